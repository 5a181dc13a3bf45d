<!-- @component One cell of the mat: the part in section, with the inspector's marks on it. -->
<script lang="ts">
	import { patternName } from '@exetasis/core/part';
	import { standingDecision, type Lie, type ModelSheet } from '@exetasis/core/record';
	import { verdictOf, type BenchPart } from '$lib/log/bench.svelte';
	import { placeName } from '$lib/words/place';
	import { foundSign, foundState, foundWords } from '$lib/words/found';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { verdictName } from '$lib/words/reasons';
	import type { EarlierAtPlace } from './history';
	import type { Layer } from './layers.svelte';

	interface Props {
		part: BenchPart;
		selected: boolean;
		onselect: () => void;
		layer?: Layer;
		/** What became of this place in the last rebuilds, the newest first. */
		before?: readonly EarlierAtPlace[];
		sheet: Pick<ModelSheet, 'assemblies'>;
		/** The face of its assembly that lies up now. */
		up?: Lie;
	}
	let { part, selected, onselect, layer = 'judged', before = [], sheet, up }: Props = $props();

	const verdict = $derived(verdictOf(part));
	const decided = $derived(standingDecision(part.record) !== undefined);
	const findings = $derived(part.record.findings);
	const byHand = $derived(findings.some(({ payload }) => payload.onset === 'handling'));
	const worst = $derived(
		part.judgement.measured.reduce<(typeof part.judgement.measured)[number] | undefined>(
			(most, size) => (!most || size.wear.share > most.wear.share ? size : most),
			undefined
		)
	);
	// Bar of wear used, 0 to 1 over its width; the whisker is ± U.
	const used = $derived(worst && Math.min(1.2, Math.max(0, worst.wear.share)));
	const whisker = $derived(worst && worst.budget.U / worst.wear.allowance);
	const found = $derived(foundState(part.record));
	const label = $derived(
		[
			placeName(part.station.name, part.cell.cylinder),
			layer === 'found' || (found !== 'unsaid' && found !== 'right') ? `found: ${foundWords(part.record, sheet)}` : '',
			layer === 'history'
				? `before: ${before.map(({ verdict }) => (verdict ? verdictName[verdict] : 'not decided')).join(', ') || 'no history'}`
				: '',
			!part.inspected
				? 'not inspected'
				: findings.length > 0
					? findings.map(({ payload }) => patternName(payload.pattern)).join(', ')
					: 'clean',
			worst ? `${Math.round(worst.wear.share * 100)} % of the wear allowance used` : '',
			decided ? `decided: ${verdictName[verdict]}` : part.inspected ? `proposed: ${verdictName[verdict]}` : ''
		]
			.filter(Boolean)
			.join('; ')
	);
</script>

<button
	type="button"
	class="cell"
	class:selected
	class:decided
	class:byHand
	tabindex={selected ? 0 : -1}
	aria-label={label}
	data-place="{part.station.key}/{part.cell.cylinder}"
	onclick={onselect}
>
	<Glyph type={part.station.type} face={part.station.face} {up} dotted={!part.inspected} size={30} />
	{#if layer === 'found'}
		<span
			class="sign text-[1.05rem] leading-none text-sound absolute right-0.75 bottom-0.5"
			class:amiss={found !== 'right'}
			aria-hidden="true">{foundSign[found]}</span
		>
	{:else if layer === 'history'}
		<span class="before absolute right-0.75 bottom-0.5" aria-hidden="true"
			>{#each before.toReversed() as earlier, i (i)}<i
					class:gone={earlier.verdict === 'replace'}
					style="height: {6 + 5 * earlier.worst}px"
				></i>{/each}</span
		>
	{:else}
		<svg class="marks" viewBox="0 0 44 44" aria-hidden="true">
			{#if verdict === 'reuse' && part.inspected}
				<ellipse class="sound" cx="22" cy="22" rx="20" ry="19" transform="rotate(-8 22 22)" />
			{:else if verdict === 'replace' && (part.inspected || decided)}
				<path class="pencil" d="M3 40 41 4" />
				{#if decided}<path class="pencil" d="M8 43 43 9" />{/if}
			{:else if verdict === 'lookAgain'}
				<path class="doubt" d="M3 40q3.2-5 6.4 0t6.4 0 6.4 0 6.4 0 6.4 0 5 0" />
			{/if}
			{#if byHand}
				<path class="pencil thin" d="M7 3H3V41H7M37 3H41V41H37" />
			{/if}
		</svg>
		{#if findings.length > 0}
			<span class="absolute top-0.5 right-0.5 flex gap-0.5" aria-hidden="true"
				>{#each findings.slice(0, 4) as { id, payload } (id)}<i
						class="w-0.75 bg-pencil"
						style="height: {3 + 4 * payload.severity}px"
					></i>{/each}</span
			>
		{/if}
		{#if used !== undefined && whisker !== undefined}
			<span class="bar" aria-hidden="true">
				<span class="fill" class:over={used >= 1} style="width: {(used / 1.2) * 100}%"></span>
				<span class="absolute left-[83.33%] -top-[3px] -bottom-[1px] w-[1.5px] bg-pencil"></span>
				<span
					class="absolute top-0.5 h-px bg-ink"
					style="left: {(Math.max(0, used - whisker) / 1.2) * 100}%; width: {(Math.min(1.2, 2 * whisker) / 1.2) * 100}%"
				></span>
			</span>
		{/if}
	{/if}
</button>

<style>
	.cell {
		position: relative;
		display: grid;
		place-items: center;
		width: 100%;
		min-width: 32px;
		height: var(--row, 38px);
		padding: 0 0 5px;
		color: var(--ink);
		background: transparent;
		border: 1px solid transparent;
		cursor: pointer;
	}
	/* The drawing and its marks grow with the row. */
	.cell > :global(svg:first-child) {
		width: max(30px, min(var(--row, 38px) - 8px, 100%));
		height: max(30px, var(--row, 38px) - 8px);
	}
	.cell:hover {
		background: color-mix(in oklab, var(--mark) 8%, transparent);
	}
	.cell.selected {
		background: color-mix(in oklab, var(--mark) 14%, transparent);
		border-color: var(--mark);
		box-shadow: inset 0 0 0 1px var(--mark);
	}
	.cell:focus-visible {
		outline-offset: -3px;
	}
	.marks {
		position: absolute;
		inset: 1px 50% auto auto;
		width: max(34px, var(--row, 38px) - 4px);
		height: max(34px, var(--row, 38px) - 4px);
		transform: translateX(50%);
		fill: none;
		stroke-linecap: round;
		stroke-width: 1.6;
		stroke-dasharray: 3 3;
		pointer-events: none;
	}
	.decided .marks {
		stroke-dasharray: none;
		stroke-width: 2;
	}
	.sound {
		stroke: var(--sound);
	}
	.pencil {
		stroke: var(--pencil);
	}
	.pencil.thin {
		stroke-width: 1.4;
		stroke-dasharray: none;
	}
	.doubt {
		stroke: var(--doubt);
		stroke-dasharray: none;
	}
	.sign.amiss {
		color: var(--doubt);
		font-weight: 700;
	}
	/* One stroke a rebuild, the newest to the right: its height what service had left, filled where the part went. */
	.before {
		display: flex;
		align-items: flex-end;
		gap: 2px;
	}
	.before i {
		width: 5px;
		border: 1px solid var(--ink-soft);
	}
	.before i.gone {
		background: var(--pencil);
		border-color: var(--pencil);
	}
	.bar {
		position: absolute;
		inset: auto 4px 1px;
		height: 4px;
		border-bottom: 1px solid var(--ink-soft);
	}
	.fill {
		position: absolute;
		inset: 1px auto 1px 0;
		background: var(--ink-soft);
	}
	.fill.over {
		background: var(--pencil);
	}
	@media (forced-colors: active) {
		.selected {
			outline: 3px solid Highlight;
			outline-offset: -3px;
		}
	}
</style>
