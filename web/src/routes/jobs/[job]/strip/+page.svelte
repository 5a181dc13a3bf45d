<!-- @component Strip: the steps of the model sheet one at a time, with what can hurt, what comes out and how it was found. -->
<script lang="ts">
	import { cautionsFor, stepsInScope } from '@exetasis/core/record';
	import { benchInUse } from '$lib/log/bench.svelte';
	import Photos from '$lib/log/Photos.svelte';
	import OpenVariants from '$lib/strip/OpenVariants.svelte';
	import LayDown from '$lib/strip/LayDown.svelte';
	import { laidDownInUse } from '$lib/strip/laidDownInUse';
	import JobFacts from '$lib/strip/JobFacts.svelte';
	import PartsOut from '$lib/strip/PartsOut.svelte';
	import StepInHand from '$lib/strip/StepInHand.svelte';
	import StepColumns from '$lib/strip/StepColumns.svelte';
	import StepList from '$lib/strip/StepList.svelte';
	import ToolRecap from '$lib/strip/ToolRecap.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';

	import { inspectAddress } from '$lib/words/causes';
	import { inSentence, placeName } from '$lib/words/place';

	let { data } = $props();
	const stationNamed = (key: string) => bench.bench.sheet.stations.find((station) => station.key === key)?.name ?? key;
	const bench = $derived(benchInUse()());
	const laidDown = $derived(laidDownInUse()());
	const { job, sheet } = $derived(bench.bench);
	const locked = $derived(job.releasedAt !== null || !data.mayWork);
	const steps = $derived(stepsInScope(sheet, job));
	const warned = $derived([
		...new Map(
			steps
				.filter(({ key }) => bench.log.steps.has(key))
				.flatMap((step) => cautionsFor(step, job.variants).map((caution) => [caution.text, caution]))
		).values()
	]);
	const open = $derived(steps.find(({ key }) => !bench.log.steps.has(key)));
	// The step in hand: the one that was picked, else the first that is open.
	let picked = $state<string>();
	const step = $derived(steps.find(({ key }) => key === picked) ?? open);
	// Asked at the step that has such parts in hand, once the pump is safe to open, and before anything is said of parts that it has not.
	const asksHere = $derived(
		!locked &&
			bench.blocked.length === 0 &&
			data.open?.variants.some(({ key }) =>
				sheet.stations.some(
					(station) => step?.stations.includes(station.key) && station.onlyWith && key in station.onlyWith
				)
			)
	);
</script>

{#snippet list()}
	<StepList {steps} done={bench.log.steps} current={step?.key} onpick={(key) => (picked = key)} />
{/snippet}
<svelte:head><title>Strip {job.serial} · Exetasis</title></svelte:head>
<StepColumns>
	{#if asksHere}<OpenVariants open={data.open!} />{/if}
	{#if step}
		{#key step.key}<StepInHand {bench} {steps} {step} {locked} onsigned={() => (picked = undefined)} />{/key}
	{:else}
		<section class="sheet done">
			<h1>All {steps.length} steps signed off</h1>
			<p>The parts are laid out by cylinder.</p>
			<a class="btn main" href="/jobs/{job.id}/inspect">Open the mat</a>
			{@render list()}
		</section>
	{/if}

	{#if data.grows && laidDown && !locked && bench.blocked.length === 0}
		<LayDown {bench} list={laidDown} customs={data.grows.customs} first={data.grows.first} />
	{/if}

	{#snippet beside()}
		<p>
			<b class="figures">{steps.filter(({ key }) => bench.log.steps.has(key)).length}</b> of
			<b class="figures">{steps.length}</b> steps signed off
		</p>
		{#if step}{@render list()}{/if}
		{#each data.cases as example (example.id)}
			<a class="case border-l-4 border-l-pencil px-2 py-1 text-ink" href="/trace/cases/{example.id}"
				><b>Case: {placeName(stationNamed(example.station), example.cylinder)}, {inSentence(example.causeName)}?</b>
				{example.remedy}</a
			>
			{#if example.check}<a class="btn" href={inspectAddress(job.id, example.check)}
					>{example.check.size ? 'Measure' : 'Inspect'} first: {inSentence(example.check.name)}</a
				>{/if}
		{/each}
		<PartsOut {bench} />
		{#if step}<a class="btn" href="/jobs/{job.id}/inspect">Open the mat</a>{/if}
		{#if warned.length > 0}
			<div class="grid gap-1" role="group" aria-label="Cautions in force">
				{#each warned as caution (caution.text)}<CautionNote {caution} />{/each}
			</div>
		{/if}
		<ToolRecap {sheet} {job} wrenches={data.wrenches} />
		<JobFacts {sheet} {job} />
		<h2>Photographs of pump and connections</h2>
		<Photos {bench} photos={bench.log.photos} {locked} />
	{/snippet}
</StepColumns>
