<!-- @component The pump as it grows: its cylinders in section, one below the other. -->
<script lang="ts">
	import { openedCylinders } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import CylinderDrawing from './CylinderDrawing.svelte';

	interface Props {
		bench: BenchState;
		/** Stations of the step in hand. */
		inHand: readonly string[];
	}
	let { bench, inHand }: Props = $props();
</script>

<div class="growing" role="group" aria-label="Fitted parts">
	{#each openedCylinders(bench.bench.sheet, bench.bench.job) as cylinder (cylinder)}
		<div class="flex items-center border-b border-b-line py-0.5">
			<b class="figures w-[1.2rem]">{cylinder}</b>
			<CylinderDrawing {bench} {cylinder} {inHand} />
		</div>
	{/each}
	<p class="soft text-[0.8rem]">Pressure side left, crank side right.</p>
</div>
