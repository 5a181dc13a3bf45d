<!-- @component What the policy proposes for the whole pump: how many parts, at what cost, with what risk, and where the risk is. -->
<script lang="ts">
	import { proposalOf } from '@exetasis/core/decide';
	import type { BenchState } from '$lib/log/bench.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { inSentence, placeName } from '$lib/words/place';
	import { renewalPolicyName } from '$lib/words/policies';
	import type { DecisionState } from './decision.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		set: DecisionState;
		currency: string;
		locked: boolean;
	}
	let { bench, set, currency, locked }: Props = $props();
	const MOST_NAMED = 3;

	const partOf = $derived(new Map([...bench.parts.values()].map((part) => [part.cell.part, part])));
	// A set that was decided before the mat changed may hold a part that is gone.
	const parts = $derived((set.decision?.parts ?? []).filter(({ id }) => partOf.has(id)));
	const proposal = $derived(proposalOf(parts, set.renewalPolicy, MOST_NAMED));
	const clear = $derived(
		parts.filter((part) => {
			const says = part.says[set.renewalPolicy];
			return !part.decided && partOf.get(part.id)?.inspected && (says === 'reuse' || says === 'replace');
		})
	);
	const cost = $derived(set.decision?.cost[set.renewalPolicy]);
	const counts = $derived.by(() => {
		const { replace, reuse, open, lookAgain } = proposal.count;
		return [
			`Replace ${replace}, reuse ${reuse}`,
			...(open > 0 ? [`${open} to inspect first`] : []),
			...(lookAgain > 0 ? [`${lookAgain} to recheck`] : [])
		].join(', ');
	});

	function accept() {
		bench.record(
			...clear.map((part) => {
				const verdict = part.says[set.renewalPolicy] as 'reuse' | 'replace';
				return { kind: 'decision' as const, part: part.id, payload: { verdict, proposed: verdict } };
			})
		);
	}
</script>

<!-- Its height keeps what lies below from moving when the figures come. -->
<section
	class="sheet mb-2 grid min-h-24 grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1.5 px-2.5 py-2 max-[700px]:grid-cols-1"
	aria-label="Proposal"
>
	{#if cost}
		<div>
			<p class="text-[1.15rem] leading-[1.35]">
				{counts}: <b class="figures">{format.number(cost.parts)} {currency}</b> now,
				<b class="figures">{format.probability(cost.pAnyFailure)}</b> chance of an unplanned stop within
				<span class="figures">{format.number(set.hours)}&nbsp;h</span>.
			</p>
			<p class="soft text-[0.875rem] leading-[1.35]">
				Most of the risk: {#each proposal.riskiest as { id, stop }, i (id)}{@const { cell, station } =
						partOf.get(id)!}{i === 0 ? '' : ', '}<b>{inSentence(placeName(station.name, cell.cylinder))}</b>
					({format.probability(stop)}){/each}. {format.probability(cost.pAnyBeyond)} chance that a part is then beyond its
				limit or damaged (expected cost {format.number(cost.opening + cost.collateral)}
				{currency}). An unplanned stop costs {format.number(
					bench.bench.sheet.openingCost + bench.bench.policy.downtimeCost
				)}
				{currency}.
			</p>
		</div>
	{:else if !set.problem}<Working what="Calculating the set …" />{/if}
	<button type="button" class="btn main" disabled={locked || clear.length === 0} onclick={accept}
		>Accept {clear.length} verdicts (“{renewalPolicyName[set.renewalPolicy]}”)</button
	>
</section>
