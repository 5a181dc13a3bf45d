<!-- @component The part in hand, large and as it lies, with its readings and what the last rebuilds found at its place. Takes the room that is left, and hides if there is too little. -->
<script lang="ts">
	import type { Lie } from '@exetasis/core/record';
	import type { Severity } from '@exetasis/core/part';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { judgedSize } from '$lib/judge/judgedSize';
	import type { MarkShape, SurfaceMark } from '@exetasis/core/measure';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { markShapes } from '$lib/look/painting';
	import type { EarlierAtPlace } from '$lib/mat/history';
	import { severityName, verdictName } from '$lib/words/reasons';
	import { Fetched } from '$lib/ui/fetched.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		up: Lie | undefined;
		locked: boolean;
		/** The last rebuilds of this place, the newest first; undefined until they are there. */
		earlier: readonly EarlierAtPlace[] | undefined;
	}
	let { bench, part, up, locked, earlier }: Props = $props();
	const MOST = 3;
	const lying = $derived(up === 'P' || up === 'C');
	const read = $derived(part.judgement.sizes.some(({ points }) => points.length > 0));

	// Fetched with the first part that has readings, and from then on drawn at once.
	const readings = new Fetched(() => import('./ReadingsOnPart.svelte'));
	$effect(() => {
		if (read) readings.need();
	});
	const Readings = $derived(readings.component);

	const surface = $derived(part.station.surface);
	// Fetched with the first part that has a surface.
	const side = new Fetched(() => import('./SurfaceOnPart.svelte'));
	$effect(() => {
		if (surface) side.need();
	});
	const Surface = $derived(side.component);
	/** Marks are painted on the drawing. */
	let painting = $state(false);
	let shape = $state<MarkShape>('line');
	let turned = $state(false);
	const onmark = (payload: SurfaceMark) => bench.record({ kind: 'mark', part: part.cell.part, payload });
</script>

<div class="room min-h-0 flex-1 overflow-hidden">
	<figure
		class="hidden h-full grid-cols-[minmax(0,2.4fr)_minmax(6.4rem,1fr)] gap-[0.8rem] items-center border-t border-t-line pt-1.5"
	>
		{#if surface && Surface && (painting || (!read && part.record.marks.length > 0))}
			<div><Surface {part} {surface} {shape} {turned} locked={locked || !painting} {onmark} /></div>
		{:else if read && Readings}
			<div><Readings {part} {up} judged={judgedSize(part.judgement)} /></div>
		{:else}
			<div
				class={[
					'drawing flex items-center justify-center text-[0.8rem] text-ink',
					lying ? 'flex-col leading-none' : 'gap-1'
				]}
			>
				<span class="text-ink-soft">{lying ? (up === 'P' ? 'P' : 'C') : 'P'}</span>
				<Glyph type={part.station.type} face={part.station.face} {up} size={160} />
				<span class="text-ink-soft">{lying ? (up === 'P' ? 'C' : 'P') : 'C'}</span>
			</div>
		{/if}
		<figcaption class="grid gap-0.5 text-[0.82rem] leading-[1.25]">
			{#if painting && surface && !locked}
				<span class="grid grid-cols-[1fr_1fr] gap-1" role="group" aria-label="Mark to paint">
					<button type="button" class="btn small" onclick={() => (painting = false)}>Done</button>
					<button type="button" class="btn small" aria-pressed={turned} onclick={() => (turned = !turned)}
						>Turn over</button
					>
					{#each markShapes as [key, name] (key)}
						<button type="button" class="btn small" aria-pressed={shape === key} onclick={() => (shape = key)}
							>{name}</button
						>
					{/each}
				</span>
			{:else}
				{#if surface && Surface && !locked}
					<button type="button" class="btn small" onclick={() => (painting = true)}>Paint marks</button>
				{/if}
				<b>Last rebuilds</b>
				{#if earlier === undefined}<span class="soft">–</span>
				{:else}
					{#each earlier.slice(0, surface ? MOST - 1 : MOST) as { pumpHours, verdict, worst } (pumpHours)}
						<span
							><span class="figures">{format.number(pumpHours)} h</span>
							{verdict ? verdictName[verdict as keyof typeof verdictName] : 'not decided'}{worst > 0
								? `, ${severityName[worst as Severity]} damage`
								: ''}</span
						>
					{:else}<span class="soft">none recorded</span>{/each}
				{/if}
			{/if}
		</figcaption>
	</figure>
</div>

<style>
	.room {
		container-type: size;
	}
	@container (min-height: 118px) {
		figure {
			display: grid;
		}
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
</style>
