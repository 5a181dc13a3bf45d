<!-- @component The part in hand, large and as it lies, with what the last rebuilds found at its place. Takes the room that is left, and hides if there is too little. -->
<script lang="ts">
	import type { Lie } from '@exetasis/core/record';
	import type { Severity } from '@exetasis/core/part';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import type { EarlierAtPlace } from '$lib/mat/history';
	import { formatNumber } from '$lib/ui/numbers';
	import { severityName, verdictName } from '$lib/words/reasons';

	interface Props {
		part: BenchPart;
		up: Lie | undefined;
		/** The last rebuilds of this place, the newest first; undefined until they are there. */
		earlier: readonly EarlierAtPlace[] | undefined;
	}
	let { part, up, earlier }: Props = $props();
	const MOST = 3;
	const lying = $derived(up === 'P' || up === 'C');
</script>

<div class="room">
	<figure>
		<div class="drawing" class:lying>
			<span>{lying ? (up === 'P' ? 'P' : 'C') : 'P'}</span>
			<Glyph type={part.station.type} face={part.station.face} {up} size={160} />
			<span>{lying ? (up === 'P' ? 'C' : 'P') : 'C'}</span>
		</div>
		<figcaption>
			<b>Last rebuilds</b>
			{#if earlier === undefined}<span class="soft">–</span>
			{:else}
				{#each earlier.slice(0, MOST) as { pumpHours, verdict, worst } (pumpHours)}
					<span
						><span class="figures">{formatNumber(pumpHours)} h</span>
						{verdict ? verdictName[verdict as keyof typeof verdictName] : 'not decided'}{worst > 0
							? `, ${severityName[worst as Severity]} damage`
							: ''}</span
					>
				{:else}<span class="soft">none recorded</span>{/each}
			{/if}
		</figcaption>
	</figure>
</div>

<style>
	.room {
		overflow: hidden;
		flex: 1;
		min-height: 0;
		container-type: size;
	}
	figure {
		display: none;
		height: 100%;
		grid-template-columns: auto 1fr;
		gap: 1rem;
		align-items: center;
		border-top: 1px solid var(--line);
		padding-top: 8px;
	}
	@container (min-height: 185px) {
		figure {
			display: grid;
		}
	}
	.drawing {
		display: flex;
		align-items: center;
		gap: 4px;
		font-size: 0.8rem;
		color: var(--ink);
	}
	/* As large as the room allows. */
	.drawing :global(svg) {
		width: min(100cqh - 40px, 48cqw, 320px);
		height: auto;
	}
	.drawing :global(path) {
		vector-effect: non-scaling-stroke;
		stroke-width: 2;
	}
	.drawing :global(path.edge) {
		stroke-width: 1.2;
	}
	.drawing.lying {
		flex-direction: column;
		gap: 0;
		line-height: 1;
	}
	.drawing span {
		color: var(--ink-soft);
	}
	figcaption {
		display: grid;
		gap: 2px;
		font-size: 0.86rem;
		line-height: 1.25;
	}
</style>
