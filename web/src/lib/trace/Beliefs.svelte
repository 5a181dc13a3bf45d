<!-- @component What is believed of the causes of a pump: over its rebuilds, what carries it, and what to look at next. -->
<script lang="ts">
	import type { PumpBeliefs } from '@exetasis/server/trace/beliefs';
	import type { Belief } from '@exetasis/core/trace';
	import Fields from '$lib/ui/Fields.svelte';
	import { causeAtPlace, causeName, findingAtPlace } from '$lib/words/causes';
	import { inSentence } from '$lib/words/place';
	import { day } from '$lib/format/time';
	import BeliefChart from './BeliefChart.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		of: PumpBeliefs;
		/** Where a finding can be looked for now: its address on the open job's Inspect. */
		lookAt: (finding: string, cylinder: number) => string | undefined;
	}
	let { of, lookAt }: Props = $props();
	const MOST_LINES = 6;
	const MOST_FINDINGS = 8;
	const MOST_CHECKS = 5;
	const { beliefs, network } = $derived(of);
	const ranked = $derived(
		beliefs.kind === 'believed'
			? beliefs.beliefs
					.filter(({ cause }) => network.causes.find(({ key }) => key === cause)?.kind !== 'age')
					.toSorted((a, b) => b.now.at(-1)! - a.now.at(-1)! || Math.max(...b.now) - Math.max(...a.now))
			: []
	);
	const lines = $derived(
		ranked
			.toSorted((a, b) => Math.max(...b.now) - Math.max(...a.now))
			.slice(0, MOST_LINES)
			.toSorted((a, b) => b.now.at(-1)! - a.now.at(-1)!)
	);
	let chosen = $state(0);
	const picked = $derived<Belief | undefined>(lines[Math.min(chosen, lines.length - 1)]);
	const remedy = $derived(network.causes.find(({ key }) => key === picked?.cause)?.remedy);
	const checks = $derived(
		beliefs.kind === 'believed' ? beliefs.next.filter(({ bits }) => bits > 0.001).slice(0, MOST_CHECKS) : []
	);
	const factorWords = (factor: number) =>
		factor === Infinity
			? 'only this makes it possible'
			: factor >= 1
				? `× ${format.number(factor, factor < 10 ? 1 : 0)}`
				: `÷ ${format.number(1 / factor, 1 / factor < 10 ? 1 : 0)}`;
</script>

{#if beliefs.kind === 'contradicts'}
	<p class="wrong" role="alert">
		What was found on {day(of.rebuilds[beliefs.rebuild].receivedAt)} contradicts the causes of your shop:
		{beliefs.findings.map((finding) => findingAtPlace(network, finding)).join('; ')}. No cause can be named. Check these
		findings, or give them a chance without any cause on the page Causes.
	</p>
{:else if of.rebuilds.length === 0}
	<p class="soft">No inspections of this pump yet.</p>
{:else}
	<div class="columns grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-[20px] max-[900px]:grid-cols-[1fr]">
		<div>
			<BeliefChart
				hours={of.rebuilds.map(({ pumpHours }) => pumpHours)}
				lines={lines.map((line) => ({ name: causeAtPlace(network, line), now: line.now, picked: line === picked }))}
				actions={of.actions.map(({ rebuild, cause }) => ({ rebuild, name: causeName(network, cause) }))}
				onpick={(line) => (chosen = line)}
			/>
			{#each of.actions as { rebuild, cause, cylinder } (`${rebuild}/${cause}/${cylinder}`)}
				<p class="border-l-3 border-dashed border-l-pencil pl-2 text-[0.85rem]">
					Something was done about {inSentence(causeAtPlace(network, { cause, cylinder }))} at {format.number(
						of.rebuilds[rebuild].pumpHours
					)} h.
				</p>
			{/each}
			<ul class="grid grid-cols-[1fr_1fr] gap-x-2.5 gap-y-0.5 max-[900px]:grid-cols-[1fr]">
				{#each lines as line, i (`${line.cause}/${line.cylinder}`)}
					<li>
						<Fields
							><button
								type="button"
								class="cause min-h-11 w-full text-left px-2 py-0.5 border-l-4 border-l-transparent cursor-pointer"
								aria-pressed={line === picked}
								onclick={() => (chosen = i)}
							>
								<b class="figures">{format.probability(line.now.at(-1)!)}</b>
								{causeAtPlace(network, line)}
							</button></Fields
						>
					</li>
				{/each}
			</ul>
		</div>
		<div>
			{#if picked}
				<h3 class="text-[1.05rem] font-[650]">{causeAtPlace(network, picked)}</h3>
				<p>{remedy}</p>
				<h4 class="mt-2 font-[650]">Evidence at the last rebuild</h4>
				<ul class="carried">
					{#each picked.carriedBy.slice(0, MOST_FINDINGS) as evidence (`${evidence.finding}/${evidence.cylinder}`)}
						<li class="py-0.5" class:against={evidence.factor < 1}>
							{findingAtPlace(network, evidence)}{evidence.present ? '' : ', not found'}:
							<span class="figures">{factorWords(evidence.factor)}</span>
						</li>
					{:else}<li class="soft py-0.5">
							No finding of the last rebuild supports it. The probability is near the average of such pumps.
						</li>{/each}
				</ul>
			{/if}
			<h4 class="mt-2 font-[650]">Check next</h4>
			<ol class="list-decimal pl-[1.3rem]">
				{#each checks as check (`${check.finding}/${check.cylinder}`)}
					{@const to = lookAt(check.finding, check.cylinder)}
					<li class="py-0.5">
						{#if to}<a class="row" href={to}>{findingAtPlace(network, check)}</a>{:else}{findingAtPlace(
								network,
								check
							)}{/if}:
						<span class="soft"
							>{format.probability(check.pPresent)} chance of finding it, {format.number(check.minutes)} min,
							{format.number(check.bits, 2)} bits</span
						>
					</li>
				{:else}<li class="soft py-0.5">All useful checks are done.</li>{/each}
			</ol>
		</div>
	</div>
	<p class="soft text-[0.8rem] max-w-300">
		From all {of.rebuilds.length} rebuilds together{beliefs.exact
			? ' (exact)'
			: ' (the cylinders are approximated given the causes of the whole pump)'}.
		{#if beliefs.leftOut.length > 0}
			Too many causes to combine. These stay at their average rate: {beliefs.leftOut
				.map((belief) => causeAtPlace(network, belief))
				.join('; ')}.
		{/if}
		Strengths: {of.revision === 0 ? 'initial settings' : `revision ${of.revision} of your shop`}, {of.taughtBy === 0
			? 'no confirmed cases yet'
			: `learned from ${of.taughtBy} confirmed ${of.taughtBy === 1 ? 'case' : 'cases'}`}. Normal wear-out is included
		along and not drawn.
	</p>
{/if}

<style>
	.cause[aria-pressed='true'] {
		border-color: var(--mark);
	}
	.carried li {
		border-left: 3px solid var(--pencil);
		padding-left: 8px;
		margin: 2px 0;
	}
	.carried li.against {
		border-color: var(--sound);
	}
</style>
