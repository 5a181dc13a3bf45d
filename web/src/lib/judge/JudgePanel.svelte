<!-- @component Judge: the proposed verdict, its three weightiest reasons and the limit strip; all that it rests on is one touch away. -->
<script lang="ts">
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { standingDecision } from '@exetasis/core/record';
	import { shortTime } from '$lib/format/time';
	import { sizesByEye } from '@exetasis/core/decide';
	import { moreWords, reasonSentence, sizeNames, verdictName } from '$lib/words/reasons';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import PartInHand from '$lib/inHand/PartInHand.svelte';
	import type { EarlierAtPlace } from '$lib/mat/history';
	import Choices from '$lib/judge/Choices.svelte';
	import { judgedSize } from './judgedSize';
	import LimitStrip from './LimitStrip.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		ondecided: () => void;
		/** Everything that the verdict rests on is asked for. */
		onmore: () => void;
		/** The part is drawn here, with what earlier rebuilds found at its place. */
		drawn: boolean;
		earlier: readonly EarlierAtPlace[] | undefined;
	}
	let { bench, part, locked, ondecided, onmore, drawn, earlier }: Props = $props();
	const MOST_REASONS = 3;

	const proposed = $derived(part.judgement.verdict);
	const standing = $derived(standingDecision(part.record));
	const { reasons, measured, outlook } = $derived(part.judgement);
	const judged = $derived(judgedSize(part.judgement));
	const forecast = $derived(judged && outlook[judged.sheet.key]);
	const risk = $derived(forecast?.risk);

	// Where no limit is stated the other cylinders are asked.
	const unstated = $derived(part.judgement.sizes.filter(({ sheet }) => sheet.limitFrom === 'assumed').slice(0, 1));

	const byEye = $derived(sizeNames(part.station, sizesByEye(reasons)));
	let choices = $state<Choices>();
	/** Accepts the proposal as it stands, where there is one. */
	export const accept = (): void => choices?.accept();
</script>

<section class="flex flex-col h-full" aria-label="Judge">
	<header class="flex items-center justify-between min-h-11">
		<h2>
			Judge
			<span class="verdict ml-2 px-1 {proposed}" data-testid="verdict"
				>{standing ? 'proposed: ' : ''}{verdictName[proposed]}</span
			>
		</h2>
		<button type="button" class="btn small" aria-haspopup="dialog" onclick={onmore}>Full explanation</button>
	</header>
	{#if !locked}
		{#key part.cell.part}<Choices bind:this={choices} {bench} {part} {proposed} {byEye} entered {ondecided} />{/key}
	{/if}
	{#if standing}
		<p class="line-clamp-2 my-0.75 border-l-3 border-ink-soft pl-[0.6rem] text-[0.82rem] leading-[1.2]">
			Decided: <b>{verdictName[standing.payload.verdict]}</b>, {bench.bench.people[standing.by] ?? 'unknown'}, {shortTime(
				standing.at
			)}{standing.payload.why ? ` — “${standing.payload.why}”` : ''}{part.record.decisions.length > 1
				? `; ${part.record.decisions.length - 1} before it`
				: ''}
		</p>
	{/if}
	<ul class="my-1 squares text-[0.85rem] leading-[1.25]">
		{#each reasons.slice(0, MOST_REASONS) as reason, index (index)}
			<li>{reasonSentence(reason, part.station, format)}</li>
		{/each}
	</ul>
	{#if judged}
		<LimitStrip {judged} outlook={forecast} />
		<p class="leading-[1.25]">
			<span class="figures text-[1rem] font-semibold whitespace-nowrap"
				>{format.withUncertainty(
					judged.value,
					judged.budget.U,
					shownUnit(dimensionOf(judged.sheet.unit), format.units)
				)}</span
			>
			<span class="soft text-[0.78rem]"
				>{judged.characteristic.name}{judged.points.length > 1 && !judged.characteristic.form ? ', worst point' : ''},
				95 %{risk
					? `; ${format.probability(risk.probability)} (${format.probability(risk.low)} to ${format.probability(risk.high)}) beyond by the next service`
					: ''}{judged.gauge?.facts.overdue ? '; calibration overdue, uncertainty doubled' : ''}</span
			>
		</p>
	{/if}
	{#each unstated as size (size.sheet.key)}
		{#await import('./OtherCylinders.svelte') then { default: OtherCylinders }}
			<OtherCylinders {bench} {part} {size} />
		{/await}
	{/each}
	{#if reasons.length > MOST_REASONS || measured.length > 1}
		<p class="soft text-[0.78rem]">
			{moreWords(reasons.length - MOST_REASONS, measured.length - 1)}
		</p>
	{/if}
	{#if drawn}<PartInHand {bench} {part} up={bench.up.get(part.station.in)} {locked} {earlier} />{/if}
</section>
