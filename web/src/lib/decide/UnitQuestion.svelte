<!-- @component Where a finding puts the unit itself in question: decide on the pump before buying seals. -->
<script lang="ts">
	import type { WholeDecision } from '@exetasis/core/decide';
	import type { Consequence } from '@exetasis/core/record';
	import { inSentence, placeName } from '$lib/words/place';
	import { patternName } from '@exetasis/core/part';
	import { severityName } from '$lib/words/reasons';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		unit: WholeDecision['unit'];
		currency: string;
		/** Answers at steps that put the pump in question. */
		answers?: readonly Consequence[];
	}
	let { unit, currency, answers = [] }: Props = $props();
	const money = (amount: number) => `${format.number(amount)} ${currency}`;
</script>

{#if unit.triggers.length + answers.length > 0}
	<section class="sheet px-3 py-2.5 mb-2 border-2 border-pencil" aria-label="Repair or replace the unit">
		<h2 class="text-pencil">Stop: decide on the unit before you buy parts</h2>
		<ul class="squares">
			{#each answers as { question, answer, cylinder, means } (`${question}/${cylinder}`)}
				<li>{placeName(question, cylinder ?? 0)}: {answer}. {'unit' in means ? means.unit : ''}</li>
			{/each}
			{#each unit.triggers as { station, cylinder, pattern, severity } (`${station.key}/${cylinder}/${pattern}`)}
				<li>
					{patternName(pattern)}, {severityName[severity]}: {inSentence(placeName(station.name, cylinder))}.
				</li>
			{/each}
		</ul>
		{#if unit.comparison}
			{@const { says, byRule, repairCost, hoursLeft, repairPer1000h, newPer1000h } = unit.comparison}
			<p>
				<b>{says === 'stop' ? 'Replace the unit' : 'Repair the unit'}</b>{byRule ? ' (shop rule)' : ''}. This rebuild
				costs
				<span class="figures">{money(repairCost)}</span>, over
				<span class="figures">{format.number(hoursLeft)} h</span> of assumed remaining life
				<span class="figures">{money(repairPer1000h)}</span> per 1000 h; a new unit
				<span class="figures">{money(newPer1000h)}</span> per 1000 h.
			</p>
			<p class="soft">
				The remaining life is an assumption of your shop (see Shop). Wear parts cost the same in both cases and are left
				out.
			</p>
		{:else}<p class="soft">The sheet has no price for a new unit, so there is no comparison.</p>{/if}
	</section>
{/if}
