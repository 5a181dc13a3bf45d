<!-- @component Judge: the proposed verdict with its reasons in words and figures; accept it, or overrule it with a reason. -->
<script lang="ts">
	import { dominantLine } from '@exetasis/core/measure';
	import {
		dimensionOf,
		formatDifference,
		formatNumber,
		formatProbability,
		formatQuantity,
		formatWithUncertainty,
		shownUnit
	} from '@exetasis/core/quantity';
	import { standingDecision, verdicts, type Verdict } from '@exetasis/core/record';
	import { judge, type JudgedCharacteristic, type MeasuredCharacteristic, type Outlook } from '@exetasis/core/decide';
	import { partType, type Figure } from '@exetasis/core/part';
	import { shortTime } from '$lib/ui/time';
	import { unitsInUse } from '$lib/ui/preference';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { schoolName } from '$lib/words/schools';
	import type { BenchPart, BenchState } from './bench.svelte';
	import { judgeInput } from './judgeMat';
	import LimitStrip from './LimitStrip.svelte';
	import Shape from './Shape.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		ondecided: () => void;
	}
	let { bench, part, locked, ondecided }: Props = $props();
	const units = unitsInUse();
	const id = $props.id();

	const proposed = $derived(part.judgement.verdict);
	const standing = $derived(standingDecision(part.record));
	const earlier = $derived(part.record.decisions.slice(0, -1));
	const unit = (one: Pick<MeasuredCharacteristic, 'sheet'>) => shownUnit(dimensionOf(one.sheet.unit), units());
	const nameOf = (by: string) => bench.bench.people[by] ?? 'somebody';

	let overruling = $state<Verdict>();
	let why = $state('');
	let problem = $state('');

	/** Accepts the proposal as it stands, where there is one. */
	export function accept(): void {
		if (proposed === 'open' || !part.looked) return;
		bench.record({ kind: 'decision', part: part.cell.part, payload: { verdict: proposed, proposed } });
		ondecided();
	}

	function choose(verdict: Verdict) {
		if (verdict === proposed) return accept();
		overruling = verdict;
		problem = '';
	}

	function overrule() {
		if (!overruling) return;
		if (why.trim() === '')
			return void (problem = 'Write why: the record keeps the proposal and your reason side by side.');
		bench.record({
			kind: 'decision',
			part: part.cell.part,
			payload: { verdict: overruling, proposed, why: why.trim() }
		});
		overruling = undefined;
		why = problem = '';
		ondecided();
	}

	const settlement = (one: JudgedCharacteristic): string[] => {
		const { settlement } = one;
		if (!settlement) return [];
		const more = settlement.moreReadings;
		const own = more ? [`${more} more reading${more > 1 ? 's' : ''} at this place would settle it`] : [];
		const others = settlement.gauges.map(({ id, readings }) => {
			const name = bench.bench.gauges.find((gauge) => gauge.id === id)?.name;
			return `${readings} reading${readings > 1 ? 's' : ''} with ${name} would settle it`;
		});
		return own.length + others.length > 0
			? [...own, ...others]
			: ['No gauge of the shop would settle it within reason: decide by eye, and say why'];
	};
	const basisSays = ({ basis }: Outlook): string => {
		switch (basis.kind) {
			case 'fleet':
				return `${basis.parts} parts like it in your shop and its own wear`;
			case 'sheet':
				return 'the model sheet’s prior and its own wear: too few like it on record';
			case 'ownRate':
				return 'its own mean rate alone: too few like it on record, and no prior on the sheet';
		}
	};
	// Schools differ on soft parts alone; where another would say something else, it is said here.
	const elsewhere = $derived.by(() => {
		const { policy } = bench.bench;
		if (!partType(part.station.type).soft) return [];
		const input = judgeInput(bench.bench, part, bench.matesOf(part));
		return (['renewSoft', 'onCondition'] as const)
			.filter((school) => school !== policy.school)
			.map((school) => ({ school, says: judge({ ...input, policy: { ...policy, school } }).verdict }))
			.filter(({ says }) => says !== proposed);
	});
	// Measured, but with no limit of its own, or not complete yet.
	const unjudged = $derived(
		part.judgement.sizes.filter((size) => !part.judgement.measured.some(({ sheet }) => sheet.key === size.sheet.key))
	);
	const figureText = ({ value, unit, u }: Figure): string => {
		const shown = shownUnit(dimensionOf(unit), units());
		return `${formatQuantity(value, shown)}${u === undefined ? '' : ` ± ${formatDifference(2 * u, shown)}`}`;
	};
	const limitText = ({ limit, unit }: Figure): string => {
		const shown = shownUnit(dimensionOf(unit), units());
		const { min, max } = limit ?? {};
		return min !== undefined
			? `at least ${formatQuantity(min, shown)}`
			: max !== undefined
				? `at most ${formatQuantity(max, shown)}`
				: '';
	};
	const isOut = ({ limit, value }: Figure): boolean =>
		limit !== undefined && (value < (limit.min ?? -Infinity) || value > (limit.max ?? Infinity));
	let opened = $state(false);
	const sources = {
		repeatability: 'repeatability',
		resolution: 'resolution',
		calibration: 'calibration',
		temperature: 'temperature',
		reproducibility: 'who measures'
	};
</script>

<section aria-label="Judge">
	<h2>
		Judge
		<span class="verdict ml-2 px-1 {proposed}" data-testid="verdict"
			>{standing ? 'proposed: ' : ''}{verdictName[proposed]}</span
		>
	</h2>
	{#if !locked}
		<div class="choices" role="group" aria-label="Decide">
			{#each verdicts as verdict (verdict)}
				<button
					type="button"
					class="press"
					class:main={verdict === proposed && part.looked}
					aria-pressed={standing?.payload.verdict === verdict}
					disabled={!part.looked}
					onclick={() => choose(verdict)}
				>
					{verdictName[verdict]}{verdict === proposed && verdict !== 'lookAgain' && part.looked ? ' ⏎' : ''}
				</button>
			{/each}
		</div>
		{#if !part.looked}<p class="soft">
				Look first: mark what you see, or “Clean”. A part that goes in the bin is the best witness of the cause.
			</p>{/if}
		{#if overruling}
			<div class="field overrule">
				<label for="{id}-why">Why {verdictName[overruling].toLowerCase()}, against the proposal?</label>
				<!-- svelte-ignore a11y_autofocus -->
				<input
					id="{id}-why"
					autofocus
					bind:value={why}
					aria-invalid={problem !== ''}
					onkeydown={(event) => {
						if (event.key === 'Enter') overrule();
						event.stopPropagation();
					}}
				/>
				{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
				<div class="choices">
					<button type="button" class="press main" onclick={overrule}>Overrule</button>
					<button type="button" class="press" onclick={() => (overruling = undefined)}>Leave it</button>
				</div>
			</div>
		{/if}
	{/if}
	{#if standing}
		<p class="standing">
			<b>{verdictName[standing.payload.verdict]}</b> stands: {nameOf(standing.by)}, {shortTime(standing.at)}{standing
				.payload.why
				? ` — “${standing.payload.why}”`
				: ''}
			{#each earlier as one (one.id)}
				<br /><span class="soft"
					>before: {verdictName[one.payload.verdict]}, {nameOf(one.by)}, {shortTime(one.at)}{one.payload.why
						? ` — “${one.payload.why}”`
						: ''}</span
				>
			{/each}
		</p>
	{/if}
	<ul class="reasons">
		{#each part.judgement.reasons as reason, index (index)}
			<li>{reasonSentence(reason, part.station, units())}</li>
		{/each}
	</ul>
	{#each elsewhere as { school, says } (school)}
		<p class="soft basis">Under “{schoolName[school]}”: {verdictName[says].toLowerCase()}.</p>
	{/each}
	{#each part.judgement.measured as one (one.sheet.key)}
		{@const outlook = part.judgement.outlook[one.sheet.key]}
		<LimitStrip judged={one} {outlook} />
		<p class="value">
			<span class="figures">{formatWithUncertainty(one.value, one.budget.U, unit(one))}</span>
			<span class="soft"
				>{one.characteristic.name}, {one.places.length > 1 && !one.characteristic.form ? 'worst place, ' : ''}95 %;
				limit from {one.sheet.limitFrom === 'maker' ? 'the maker' : 'your shop'}{one.startIsNominal
					? '; wear counted from nominal, not measured when fitted'
					: ''}</span
			>
		</p>
		{#if outlook}
			<p class="soft basis">
				Forecast from {basisSays(outlook)}: {formatDifference(outlook.ratePer1000h, unit(one))} per 1000 h.
			</p>
		{/if}
		{#each settlement(one) as sentence (sentence)}<p class="doubt">{sentence}, if the value stays.</p>{/each}
		{#if one.worst.outlier !== undefined}<p class="doubt">
				One reading there does not fit the others ({formatQuantity(one.worst.readings[one.worst.outlier], unit(one))}):
				read it again.
			</p>{/if}
		{#if one.gauge?.facts.overdue}<p class="doubt">
				{one.gauge.name}: calibration overdue, so its certificate counts twice here and the report says so.
			</p>{/if}
		<Shape size={one} />
		<details>
			<summary>Where the uncertainty comes from: mostly {sources[dominantLine(one.budget).line.source]}</summary>
			<table class="list">
				<thead
					><tr><th>Source</th><th class="number">u</th><th class="number">share</th><th class="number">dof</th></tr
					></thead
				>
				<tbody>
					{#each one.budget.contributions as line (line.source)}
						<tr>
							<td>{sources[line.source]}</td>
							<td class="number">{formatDifference(line.u, unit(one), unit(one) === 'in' ? 5 : 4)}</td>
							<td class="number">{formatProbability((line.u / one.budget.u) ** 2)}</td>
							<td class="number">{line.dof === Infinity ? '∞' : formatNumber(line.dof)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
			<p class="soft">
				Combined {formatDifference(one.budget.u, unit(one), unit(one) === 'in' ? 5 : 4)}, k = {formatNumber(
					one.budget.k,
					2
				)} (JCGM 100). {one.gauge ? one.gauge.name : 'No gauge named: a shop caliper is assumed'}.
			</p>
		</details>
	{/each}
	{#each unjudged as one (one.sheet.key)}
		<p class="value">
			{#if one.value !== undefined}<span class="figures"
					>{formatWithUncertainty(one.value, one.budget.U, unit(one))}</span
				>{/if}
			<span class="soft"
				>{one.characteristic.name}{one.value === undefined
					? ': too few places yet to work its form out'
					: ', 95 %; no limit of its own'}</span
			>
		</p>
	{/each}
	{#if part.judgement.figures.length > 0}
		<table class="list figures-table">
			<caption class="sr-only">What follows from the sizes</caption>
			<tbody>
				{#each part.judgement.figures as figure (figure.key)}
					<tr>
						<td>{figure.name}</td>
						<td class="number" class:out={isOut(figure)}>{figureText(figure)}</td>
						<td class="soft">{limitText(figure)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
	{#if bench.bench.policy.school === 'leastCost'}
		<p class="soft basis">
			Least expected cost is weighed over the whole set, under <a href="/jobs/{bench.bench.job.id}/decide">Decide</a>;
			here the part is judged by its own condition.
		</p>
	{/if}
	<details bind:open={opened}>
		<summary>The arithmetic, step by step</summary>
		{#if opened}
			{#await import('./Arithmetic.svelte') then { default: Arithmetic }}
				<Arithmetic input={judgeInput(bench.bench, part, bench.matesOf(part))} judgement={part.judgement} />
			{/await}
		{/if}
	</details>
</section>

<style>
	.standing {
		border-left: 3px solid var(--ink-soft);
		padding-left: 0.6rem;
		margin: 6px 0;
		font-size: 0.9rem;
	}
	.value .figures {
		font-size: 1.1rem;
		font-weight: 600;
		white-space: nowrap;
	}
	.value .soft {
		font-size: 0.82rem;
	}
	.basis {
		font-size: 0.82rem;
	}
	.doubt {
		color: var(--doubt);
		font-size: 0.9rem;
	}
	.figures-table {
		font-size: 0.85rem;
		margin: 6px 0;
	}
	.figures-table td {
		padding: 0.25rem 0.4rem 0.25rem 0;
	}
	.out {
		color: var(--pencil);
		font-weight: 600;
	}
	.reasons {
		list-style: square;
		padding-left: 1.1rem;
		margin: 6px 0;
		font-size: 0.92rem;
	}
	details summary {
		min-height: 44px;
		display: flex;
		align-items: center;
		cursor: pointer;
		color: var(--mark);
		font-size: 0.88rem;
	}
	details table {
		font-size: 0.85rem;
	}
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin-top: 6px;
	}
	.overrule {
		margin-top: 8px;
	}
</style>
