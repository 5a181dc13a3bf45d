<!-- @component How hard a group of bolts pulls at its torque, and how far that scatters. -->
<script lang="ts">
	import { clampLoad } from '@exetasis/core/build';
	import type { Fastening } from '@exetasis/core/record';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		fastening: Fastening;
	}
	let { fastening }: Props = $props();
	const load = $derived(
		fastening.thread && fastening.torqueNm ? clampLoad(fastening.torqueNm, fastening.thread) : undefined
	);
	const kN = (n: number) => format.number(n / 1000, 1);
</script>

{#if load && fastening.thread}
	<p class="soft">
		Clamp load per M{format.number(fastening.thread.diameterMm)} bolt at friction {fastening.thread.friction}: {kN(
			load.loadN
		)} kN ({kN(load.leastN)} to
		{kN(load.mostN)} kN, because friction varies). Oil on a joint specified dry raises it.
	</p>
{/if}
