<!-- @component Parts out against parts that the pump has: what is counted, what is short, and where to look for it. -->
<script lang="ts">
	import { inSentence, placeName } from '$lib/words/place';
	import { unaccounted } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
	}
	let { bench }: Props = $props();
	const pieces = $derived(bench.piecesOut);
	const expected = $derived(pieces.reduce((sum, piece) => sum + piece.expected, 0));
	const out = $derived(pieces.reduce((sum, piece) => sum + (piece.out ?? 0), 0));
	const amiss = $derived(unaccounted(pieces));
	const nameOf = (key: string) =>
		inSentence(bench.bench.sheet.assemblies.find((assembly) => assembly.key === key)?.name ?? key);
</script>

<div class="out" role="group" aria-label="Parts out">
	<p class="text-[0.9rem] leading-[1.3]">
		<b class="figures">{out}</b> of <b class="figures">{expected}</b> pieces out
	</p>
	{#each amiss as { station, expected: due, out: came, inspectionIn, fragmentsLostAt } (station.key)}
		{#if came !== undefined && came !== due}<p class="wrong text-[0.9rem] leading-[1.3]">
				{station.name}: {came} of {due}.
				{came < due
					? `Search: ${inspectionIn.map(nameOf).join(', ')}, the floor, the oil pan.`
					: 'One too many. Find out where it belongs.'}
			</p>{/if}
		{#each fragmentsLostAt as cylinder (cylinder)}<p class="wrong text-[0.9rem] leading-[1.3]">
				{placeName(station.name, cylinder)}: a fragment is missing. Search {inspectionIn.map(nameOf).join(', ')}, the
				ports and the lines downstream. If it stays there, it damages the next seat.
			</p>{/each}
	{/each}
</div>
