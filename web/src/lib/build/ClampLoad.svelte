<!-- @component How hard a group of bolts pulls at its torque, and how far that scatters. -->
<script lang="ts">
	import { clampLoad } from '@exetasis/core/build';
	import type { Fastening } from '@exetasis/core/record';
	import { formatNumber } from '$lib/ui/numbers';

	interface Props {
		fastening: Fastening;
	}
	let { fastening }: Props = $props();
	const load = $derived(
		fastening.thread && fastening.torqueNm ? clampLoad(fastening.torqueNm, fastening.thread) : undefined
	);
	const kN = (n: number) => formatNumber(n / 1000, 1);
</script>

{#if load && fastening.thread}
	<p class="soft">
		M{formatNumber(fastening.thread.diameterMm)}, friction {fastening.thread.friction}: each pulls {kN(load.loadN)} kN, from
		{kN(load.leastN)} to {kN(load.mostN)} kN, since a torque wrench does not feel the friction. Oil where the sheet says dry
		pulls harder.
	</p>
{/if}
