<!-- @component All that a verdict rests on: every reason, size and figure, the calculation, earlier verdicts, this place before. Beside Judge where the window is wide, else over the page. -->
<script lang="ts">
	import Dialog from '$lib/ui/Dialog.svelte';
	import { judge, type MeasuredCharacteristic } from '@exetasis/core/decide';
	import { judgeInput } from '@exetasis/core/mat';
	import { partType } from '@exetasis/core/part';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import WithTerms from '$lib/ui/WithTerms.svelte';
	import { shortTime } from '$lib/format/time';
	import { placeName } from '$lib/words/place';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { renewalPolicyName } from '$lib/words/policies';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Arithmetic from './Arithmetic.svelte';
	import Figures from './Figures.svelte';
	import JudgedSize from './JudgedSize.svelte';
	import PlaceBefore from './PlaceBefore.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		/** Judge stays in sight, and the next part can be taken. */
		beside: boolean;
		onclose: () => void;
	}
	let { bench, part, beside, onclose }: Props = $props();

	const proposed = $derived(part.judgement.verdict);
	const unit = (measuredCharacteristic: Pick<MeasuredCharacteristic, 'sheet'>) =>
		shownUnit(dimensionOf(measuredCharacteristic.sheet.unit), format.units);
	const nameOf = (by: string) => bench.bench.people[by] ?? 'somebody';
	const input = $derived(judgeInput(bench.bench, part, bench.matesOf(part), bench.context));

	// Policies differ on soft parts alone; where another would say something else, it is said here.
	const elsewhere = $derived.by(() => {
		const { policy } = bench.bench;
		if (!partType(part.station.type).soft) return [];
		return (['renewSoft', 'onCondition'] as const)
			.filter((renewalPolicy) => renewalPolicy !== policy.renewalPolicy)
			.map((renewalPolicy) => ({
				renewalPolicy,
				says: judge({ ...input, policy: { ...policy, renewalPolicy } }).verdict
			}))
			.filter(({ says }) => says !== proposed);
	});
	// Measured, but with no limit of its own, or not complete yet.
	const unjudged = $derived(
		part.judgement.sizes.filter((size) => !part.judgement.measured.some(({ sheet }) => sheet.key === size.sheet.key))
	);
</script>

<Dialog title="{placeName(part.station.name, part.cell.cylinder)}: " width="wide" {beside} {onclose}>
	{#snippet after()}<span class="verdict {proposed}">{verdictName[proposed]}</span>{/snippet}
	<div class="grid grid-cols-[repeat(auto-fit,minmax(min(24rem,100%),1fr))] gap-x-6">
		<div>
			<ul class="my-1.5 squares text-[0.92rem]">
				{#each part.judgement.reasons as reason, index (index)}
					<li><WithTerms text={reasonSentence(reason, part.station, format)} /></li>
				{/each}
			</ul>
			{#each elsewhere as { renewalPolicy, says } (renewalPolicy)}
				<p class="soft text-[0.86rem]">
					Under “{renewalPolicyName[renewalPolicy]}”: {verdictName[says].toLowerCase()}.
				</p>
			{/each}
			{#if bench.bench.policy.renewalPolicy === 'leastCost'}
				<p class="soft text-[0.86rem]">
					Lowest expected cost considers the whole set, under <a href="/jobs/{bench.bench.job.id}/decide">Decide</a>;
					here the part is judged by its own condition.
				</p>
			{/if}
			{#each part.record.decisions.toReversed() as decision, index (decision.id)}
				<p class:soft={index > 0} class="text-[0.86rem]">
					{index === 0 ? 'Current' : 'Earlier'}: {verdictName[decision.payload.verdict]}, {nameOf(decision.by)}, {shortTime(
						decision.at
					)}{decision.payload.why ? ` — “${decision.payload.why}”` : ''}
				</p>
			{/each}
			{#each part.judgement.measured as judged (judged.sheet.key)}
				<JudgedSize {bench} {judged} age={part.cell.age} outlook={part.judgement.outlook[judged.sheet.key]} />
			{/each}
			{#each unjudged as size (size.sheet.key)}
				<p class="text-[0.86rem]">
					{#if size.value !== undefined}<b class="figures"
							>{format.withUncertainty(size.value, size.budget.U, unit(size))}</b
						>{/if}
					<span class="soft"
						>{size.characteristic.name}{size.value === undefined
							? ': too few places to calculate its form'
							: ', 95 %; no limit of its own'}</span
					>
				</p>
			{/each}
			<Figures figures={part.judgement.figures} />
			<h3 class="font-semibold mt-2.5 mb-1">Earlier parts at this place</h3>
			<PlaceBefore job={bench.bench.job.id} station={part.station} cylinder={part.cell.cylinder} />
		</div>
		<div>
			<h3 class="font-semibold mt-2.5 mb-1">Calculation step by step</h3>
			<Arithmetic {input} judgement={part.judgement} />
		</div>
	</div>
</Dialog>
