<!-- @component Judge: the proposed verdict with its reasons in words and figures; accept it, or overrule it with a reason. -->
<script lang="ts">
	import { dimensionOf, formatWithUncertainty, shownUnit } from '@exetasis/core/quantity';
	import { standingDecision } from '@exetasis/core/record';
	import { judge, type MeasuredCharacteristic } from '@exetasis/core/decide';
	import { partType } from '@exetasis/core/part';
	import { shortTime } from '$lib/ui/time';
	import { unitsInUse } from '$lib/ui/preference';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { schoolName } from '$lib/words/schools';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { judgeInput } from '@exetasis/core/mat';
	import ArithmeticDetails from './ArithmeticDetails.svelte';
	import Choices from '$lib/ui/Choices.svelte';
	import Figures from './Figures.svelte';
	import JudgedSize from './JudgedSize.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		ondecided: () => void;
	}
	let { bench, part, locked, ondecided }: Props = $props();
	const units = unitsInUse();

	const proposed = $derived(part.judgement.verdict);
	const standing = $derived(standingDecision(part.record));
	const earlier = $derived(part.record.decisions.slice(0, -1));
	const unit = (one: Pick<MeasuredCharacteristic, 'sheet'>) => shownUnit(dimensionOf(one.sheet.unit), units());
	const nameOf = (by: string) => bench.bench.people[by] ?? 'somebody';

	let choices = $state<Choices>();
	/** Accepts the proposal as it stands, where there is one. */
	export const accept = (): void => choices?.accept();

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
</script>

<section aria-label="Judge">
	<h2>
		Judge
		<span class="verdict ml-2 px-1 {proposed}" data-testid="verdict"
			>{standing ? 'proposed: ' : ''}{verdictName[proposed]}</span
		>
	</h2>
	{#if !locked}
		{#key part.cell.part}<Choices bind:this={choices} {bench} {part} {proposed} entered {ondecided} />{/key}
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
	{#each part.judgement.measured as judged (judged.sheet.key)}
		<JudgedSize
			{bench}
			{judged}
			age={part.cell.age}
			outlook={part.judgement.outlook[judged.sheet.key]}
			life={part.judgement.life}
		/>
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
	<Figures figures={part.judgement.figures} />
	{#if bench.bench.policy.school === 'leastCost'}
		<p class="soft basis">
			Least expected cost is weighed over the whole set, under <a href="/jobs/{bench.bench.job.id}/decide">Decide</a>;
			here the part is judged by its own condition.
		</p>
	{/if}
	{#key part.cell.part}<ArithmeticDetails {bench} {part} />{/key}
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
	.reasons {
		list-style: square;
		padding-left: 1.1rem;
		margin: 6px 0;
		font-size: 0.92rem;
	}
</style>
