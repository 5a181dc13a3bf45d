<!-- @component Build: the pump put together again, step by step, so that nothing is shut in without what lies deeper. -->
<script lang="ts">
	import { page } from '$app/state';
	import { piecesIn } from '@exetasis/core/record';
	import BuildStepInHand from '$lib/build/BuildStepInHand.svelte';
	import Growing from '$lib/build/Growing.svelte';
	import { benchInUse } from '$lib/log/bench.svelte';
	import JobFacts from '$lib/strip/JobFacts.svelte';
	import StepColumns from '$lib/strip/StepColumns.svelte';
	import SheetLacks from '$lib/sheet/SheetLacks.svelte';
	import StepList from '$lib/strip/StepList.svelte';
	import NotSafeYet from '$lib/strip/NotSafeYet.svelte';
	import { buildStepName } from '$lib/words/steps';

	let { data } = $props();
	const bench = $derived(benchInUse()());
	const { job, sheet } = $derived(bench.bench);
	const locked = $derived(job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);
	const steps = $derived(bench.build.steps);
	const named = $derived(steps.map((step) => ({ ...step, text: buildStepName(step) })));
	const open = $derived(steps.find(({ key }) => !bench.built.has(key)));
	// Whoever comes from a test that failed comes for one place.
	const asked = $derived(page.url.searchParams.get('place')?.split('/')[0]);
	let picked = $state<string>();
	const step = $derived(
		steps.find(({ key }) => key === picked) ?? steps.find(({ stations }) => asked && stations.includes(asked)) ?? open
	);
	const pieces = $derived(piecesIn(bench.build));
	const undecided = $derived(
		[...bench.build.places.values()].filter(({ record }) => record.decisions.length === 0).length
	);
</script>

<svelte:head><title>Build {job.serial} · Exetasis</title></svelte:head>
<NotSafeYet {bench} />
<StepColumns>
	{#if step}
		{#key step.key}<BuildStepInHand {bench} {step} {locked} onsigned={() => (picked = open?.key)} />{/key}
	{:else}
		<section class="sheet done">
			<h1>Pump assembled</h1>
			<p>All {steps.length} steps done, {pieces.in} of {pieces.of} pieces fitted.</p>
			<a class="btn main" href="/jobs/{job.id}/prove">Test the pump</a>
		</section>
	{/if}

	{#snippet beside()}
		<p>
			<b class="figures">{pieces.in}</b> of <b class="figures">{pieces.of}</b> pieces fitted,
			<b class="figures">{pieces.fresh}</b>
			new
		</p>
		{#if undecided > 0}<p class="wrong">
				{undecided} parts are not decided and cannot be fitted. <a href="/jobs/{job.id}/decide">Decide</a>
			</p>{/if}
		<Growing {bench} inHand={step?.stations ?? []} />
		<StepList steps={named} done={bench.built} current={step?.key} onpick={(key) => (picked = key)} />
		<SheetLacks {sheet} level="build" />
		<JobFacts {sheet} {job} />
	{/snippet}
</StepColumns>
