<!-- @component The pump as it grows: each cylinder in section along the stack, what is in drawn out, what is not yet only dotted. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		/** Stations of the step in hand. */
		inHand: readonly string[];
	}
	let { bench, inHand }: Props = $props();
	const cylinders = $derived(Array.from({ length: bench.bench.sheet.cylinders }, (_, i) => i + 1));
	const places = $derived(
		new Map([...bench.build.places.values()].map((one) => [placeKey(one.station.key, one.cylinder), one]))
	);
	const stack = $derived(
		bench.stations.filter(({ key }) => [...places.values()].some(({ station }) => station.key === key))
	);
	const left = (cylinder: number) =>
		[...places.values()].filter((one) => one.cylinder === cylinder && !one.record.putIn).length;
</script>

<div class="growing" role="group" aria-label="What is in">
	{#each cylinders as cylinder (cylinder)}
		<div
			class="stack"
			role="img"
			aria-label="Cylinder {cylinder}: {left(cylinder) === 0 ? 'all in' : `${left(cylinder)} to go`}"
		>
			<b class="figures">{cylinder}</b>
			{#each stack as { key, type, face, per } (key)}
				{@const place = places.get(placeKey(key, per === 'cylinder' ? cylinder : 0))}
				{#if place}
					<span class:out={!place.record.putIn} class:here={inHand.includes(key)}
						><Glyph {type} toward={face.toward} size={30} dotted={!place.record.putIn} /></span
					>
				{/if}
			{/each}
		</div>
	{/each}
	<p class="soft">P to the left, the crank to the right.</p>
</div>

<style>
	.stack {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		border-bottom: 1px solid var(--line);
		padding: 2px 0;
	}
	.stack b {
		width: 1.2rem;
	}
	.out {
		color: var(--ink-soft);
	}
	.here {
		box-shadow: inset 0 -3px var(--mark);
	}
	p {
		font-size: 0.8rem;
	}
</style>
