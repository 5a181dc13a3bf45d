<!-- @component Decide: the whole set in one table, risks and costs at the next service, what each policy says, how far it can go. -->
<script lang="ts">
	import WithTerms from '$lib/ui/WithTerms.svelte';
	import { untrack } from 'svelte';
	import { INTERVALS, renewalPolicies, valveRules } from '@exetasis/core/decide';
	import { Slider } from '@skeletonlabs/skeleton-svelte';
	import { allSteps, consequences } from '@exetasis/core/record';
	import { benchInUse } from '$lib/log/bench.svelte';
	import { DecisionState } from '$lib/decide/decision.svelte';
	import NotSafeYet from '$lib/strip/NotSafeYet.svelte';
	import SetAside from '$lib/decide/SetAside.svelte';
	import SetTable from '$lib/decide/SetTable.svelte';
	import IntervalChart from '$lib/decide/IntervalChart.svelte';
	import Working from '$lib/ui/Working.svelte';
	import Proposal from '$lib/decide/Proposal.svelte';
	import UnitQuestion from '$lib/decide/UnitQuestion.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { renewalPolicyName, valvesName } from '$lib/words/policies';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const bench = $derived(benchInUse()());
	const set = $derived(
		new DecisionState(
			bench,
			untrack(() => data.first)
		)
	);
	const job = $derived(bench.bench.job);
	const currency = $derived(data.shop?.currency ?? '');
	const locked = $derived(job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);

	// The worker lives as long as the page; what it is asked follows the slider, the policy and the log.
	$effect(() => set.open());
	$effect(() => set.hold());
	$effect(() => void set.decide());
	$effect(() => void set.findInterval());

	const inQuestion = $derived(
		consequences(allSteps(bench.bench.sheet, job), bench.log.answers).filter(({ means }) => 'unit' in means)
	);
</script>

<svelte:head><title>Decide {job.serial} · Exetasis</title></svelte:head>
<h1 class="sr-only">Decide on the parts of {job.serial}</h1>
<NotSafeYet {bench} />
{#if set.problem}<div class="flex items-center gap-4 mb-2" role="alert">
		<p class="wrong">{set.problem}</p>
		<button type="button" class="btn" onclick={() => set.restart()}>Try again</button>
	</div>{/if}
{#if set.decision}<UnitQuestion unit={set.decision.unit} {currency} answers={inQuestion} />{/if}
<Proposal {bench} {set} {currency} {locked} />
<div class="top grid grid-cols-[1.6fr_1fr] gap-2.5 mb-2 max-[900px]:grid-cols-[1fr]">
	<!-- Their height keeps what lies below from moving when the figures come. -->
	<section class="sheet grid min-h-42 content-start gap-1.5 px-2.5 py-1.5" aria-label="Interval and policy">
		<div class="leading-[1.2]">
			<Slider
				class="slider"
				value={[set.hours]}
				min={INTERVALS[0]}
				max={INTERVALS.at(-1)}
				step={INTERVALS[0]}
				onValueChange={({ value: [hours] }) => (set.hours = hours)}
			>
				<Slider.Label>Hours to the next service: <b class="figures">{format.number(set.hours)} h</b></Slider.Label>
				<Slider.Control>
					<Slider.Track><Slider.Range /></Slider.Track>
					<Slider.Thumb index={0}><Slider.HiddenInput /></Slider.Thumb>
				</Slider.Control>
			</Slider>
		</div>
		<div class="policies grid grid-cols-[repeat(3,1fr)] gap-1.5" role="group" aria-label="Policy">
			{#each renewalPolicies as renewalPolicy (renewalPolicy)}
				{@const one = set.decision?.cost[renewalPolicy]}
				<button
					type="button"
					class="btn justify-start! text-left text-[0.88rem]!"
					aria-pressed={set.renewalPolicy === renewalPolicy}
					onclick={() => (set.renewalPolicy = renewalPolicy)}
				>
					<span
						>{renewalPolicyName[renewalPolicy]}{renewalPolicy === bench.bench.policy.renewalPolicy
							? ' (in force)'
							: ''}<br /><span class="figures soft">{one ? `${format.number(one.total)} ${currency}` : '…'}</span></span
					>
				</button>
			{/each}
		</div>
		<div class="flex flex-wrap items-center gap-1.5">
			<Segments
				label="Valves"
				labelled
				options={valveRules.map(
					(rule) => [rule, `${valvesName[rule]}${rule === bench.bench.policy.valves ? ' (in force)' : ''}`] as const
				)}
				value={set.valves}
				onchoose={(rule) => (set.valves = rule)}
			/>
		</div>
	</section>
	<section class="sheet grid min-h-42 content-start gap-1.5 px-2.5 py-1.5" aria-label="Most economical interval">
		{#if set.interval}
			<p class="text-[0.85rem] leading-[1.3]">
				Lowest cost per hour: {set.interval.atLeast ? 'at least ' : ''}<b class="figures"
					>{format.number(set.interval.best.hours)} h</b
				>: {format.number(set.interval.best.per1000h)}
				{currency} per 1000 h, by “{renewalPolicyName[set.renewalPolicy]}”.
				<a
					class="row"
					href="/jobs/{bench.bench.job.id}/service?hours={set.interval.best.hours}"
					download
					data-sveltekit-reload>Add to calendar</a
				>
			</p>
			<IntervalChart curve={set.interval.curve} best={set.interval.best} hours={set.hours} {currency} />
		{:else if set.problem}<p class="soft">Not calculated.</p>
		{:else if set.seeking}<Working what="Finding the most economical interval …" />
		{:else}<p class="soft">The best interval is calculated after the first inspection.</p>{/if}
	</section>
</div>
<SetTable {bench} {set} {locked} />
<p class="soft mt-2">
	<WithTerms
		text="The chances combine the wear of each part, the history of similar parts in your shop, and the priors of sheet and part type. “Beyond limit”: to be replaced at the next service. “Unplanned stop”: before the next service. The parts of a pump share its wear factor."
	/>
	{bench.bench.fleet.settled ? '' : 'The fit to your shop’s history has not converged. The chances are rough.'}
</p>
<SetAside {bench} />
