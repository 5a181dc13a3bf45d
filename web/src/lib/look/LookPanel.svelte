<!-- @component Look: the damage patterns of this part on letters under the left hand, severity by pressing again, and when it was done. -->
<script lang="ts">
	import { MediaQuery } from 'svelte/reactivity';
	import { partType, patternName, type Severity } from '@exetasis/core/part';
	import { onsets, type Onset } from '@exetasis/core/record';
	import { onsetName, onsetShort, severityName } from '$lib/words/reasons';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Notes from '$lib/log/Notes.svelte';
	import PartInHand from '$lib/inHand/PartInHand.svelte';
	import type { EarlierAtPlace } from '$lib/mat/history';
	import { lettersInUse } from '$lib/mat/letters.svelte';
	import { Fetched } from '$lib/ui/fetched.svelte';
	import Grades from './Grades.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		onclean: () => void;
		/** Clean, and on to the next part; left out where something is to be measured first. */
		oncleannext?: () => void;
		/** The part is drawn here, with what earlier rebuilds found at its place. */
		drawn: boolean;
		earlier: readonly EarlierAtPlace[] | undefined;
	}
	let { bench, part, locked, onclean, oncleannext, drawn, earlier }: Props = $props();
	const letters = lettersInUse();

	const rules = $derived(partType(part.station.type).patterns);
	const findingOf = (pattern: string) => part.record.findings.find(({ payload }) => payload.pattern === pattern);
	const last = $derived(part.record.findings.at(-1));
	const notes = $derived(part.record.notes.length + part.record.photos.length);
	const marks = $derived(part.record.marks.length);

	// Upright there is room for patterns and surface at once.
	const high = new MediaQuery('(max-width: 1000px) and (min-height: 1100px)');

	// What stands in the panel: the patterns, or in their place what is second.
	let face = $state<'patterns' | 'surface' | 'notes'>('patterns');
	const shown = $derived(face === 'surface' && (high.current || !part.station.surface) ? 'patterns' : face);
	// Fetched with the first part that has a surface, and from then on drawn at once.
	const surfacePanel = new Fetched(() => import('./SurfacePanel.svelte'));
	$effect(() => {
		if (part.station.surface) surfacePanel.need();
	});
	const Surface = $derived(surfacePanel.component);

	const photos = new Fetched(() => import('$lib/log/Photos.svelte'));
	$effect(() => {
		if (face === 'notes') photos.need();
	});
	const Photos = $derived(photos.component);

	function sayOfLast(more: { readonly onset: Onset } | { readonly severity: Severity }) {
		if (!last) return;
		bench.record({ kind: 'finding', part: part.cell.part, payload: { ...last.payload, ...more } });
	}
</script>

<section class="flex flex-col h-full" aria-label="Look">
	<header class="flex items-center gap-2 min-h-11">
		<h2>Look</h2>
		{#if part.station.lookFor && shown === 'patterns'}
			<p class="soft line-clamp-2 text-[0.8rem] leading-[1.2]" title={part.station.lookFor}>{part.station.lookFor}</p>
		{/if}
		<span class="flex flex-none gap-1.5 ml-auto" role="group" aria-label="Shown here">
			{#if part.station.surface && !high.current}
				<button
					type="button"
					class="btn small"
					aria-pressed={shown === 'surface'}
					onclick={() => (face = shown === 'surface' ? 'patterns' : 'surface')}
					>Surface{marks > 0 ? ` ${marks}` : ''}</button
				>
			{/if}
			<button
				type="button"
				class="btn small"
				aria-pressed={shown === 'notes'}
				onclick={() => (face = shown === 'notes' ? 'patterns' : 'notes')}>Notes{notes > 0 ? ` ${notes}` : ''}</button
			>
		</span>
	</header>
	{#if shown === 'surface' && part.station.surface && Surface}
		<Surface {bench} {part} surface={part.station.surface} {locked} />
	{:else if shown === 'notes'}
		<Notes {bench} {part} {locked} />
		{#if Photos}<Photos {bench} photos={part.record.photos} {part} {locked} />{/if}
	{:else}
		<div class="patterns grid grid-cols-[1fr_1fr] gap-1.25 mt-1">
			<button
				type="button"
				class="btn"
				aria-pressed={part.record.clean !== undefined}
				disabled={locked || bench.uncleaned.length > 0}
				onclick={onclean}
			>
				<kbd
					class="font-figures text-[0.78rem] border border-line rounded-[2px] px-[0.32rem] text-ink-soft"
					aria-hidden="true">␣</kbd
				> <span>Clean</span>
			</button>
			{#if oncleannext}<button
					type="button"
					class="btn"
					disabled={locked || bench.uncleaned.length > 0}
					onclick={oncleannext}>Clean, next</button
				>{/if}
			{#each rules as { pattern }, index (pattern)}
				{@const finding = findingOf(pattern)}
				<button
					type="button"
					class="btn found"
					aria-pressed={finding !== undefined}
					disabled={locked}
					onclick={() => bench.cyclePattern(part, pattern)}
				>
					<kbd
						class="font-figures text-[0.78rem] border border-line rounded-[2px] px-[0.32rem] text-ink-soft"
						aria-hidden="true">{letters[index]}</kbd
					>
					<span
						>{patternName(pattern)}{#if finding}<b>: {severityName[finding.payload.severity]}</b>{/if}</span
					>
				</button>
			{/each}
		</div>
		{#if last}
			<Grades type={part.station.type} finding={last} {locked} onchoose={(severity) => sayOfLast({ severity })} />
			<fieldset class="onset mt-1 grid grid-cols-[repeat(4,1fr)] gap-1.25">
				<legend class="text-[0.8rem] text-ink-soft whitespace-nowrap overflow-hidden text-ellipsis max-w-full"
					>When did “{patternName(last.payload.pattern)}” happen?</legend
				>
				{#each onsets as onset (onset)}
					<button
						type="button"
						class="btn"
						aria-label={onsetName[onset]}
						title={onsetName[onset]}
						aria-pressed={last.payload.onset === onset}
						disabled={locked}
						onclick={() => sayOfLast({ onset })}
					>
						{onsetShort[onset]}
					</button>
				{/each}
			</fieldset>
		{/if}
		{#if high.current && part.station.surface && Surface}
			<Surface {bench} {part} surface={part.station.surface} {locked} />
		{/if}
		{#if drawn}<PartInHand {bench} {part} up={bench.up.get(part.station.in)} {locked} {earlier} />{/if}
	{/if}
</section>

<style>
	.patterns .btn {
		justify-content: flex-start;
		text-align: left;
		padding: 0.1rem 0.4rem;
		line-height: 1.1;
		font-size: 0.86rem;
	}
	.onset .btn {
		font-size: 0.82rem;
		padding: 0.1rem 0.2rem;
	}
</style>
