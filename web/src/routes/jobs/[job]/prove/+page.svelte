<!-- @component Prove: turned by hand, primed, under pressure; what fails leads back to what has to be opened again. -->
<script lang="ts">
	import {
		allSteps,
		curing,
		effectiveTime,
		firstUnbuilt,
		heldByAnswers,
		lastProofs,
		proveSteps,
		unproved
	} from '@exetasis/core/record';
	import { shortTime } from '$lib/format/time';
	import { benchInUse } from '$lib/log/bench.svelte';
	import ShimPack from '$lib/build/ShimPack.svelte';
	import Rig from '$lib/prove/Rig.svelte';
	import TestSheet from '$lib/prove/TestSheet.svelte';
	import JobFacts from '$lib/strip/JobFacts.svelte';
	import StepInHand from '$lib/strip/StepInHand.svelte';
	import StepColumns from '$lib/strip/StepColumns.svelte';
	import SheetLacks from '$lib/sheet/SheetLacks.svelte';
	import StepList from '$lib/strip/StepList.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import NotSafeYet from '$lib/strip/NotSafeYet.svelte';
	import { unprovedWords } from '$lib/words/proof';
	import { buildStepName } from '$lib/words/steps';

	let { data } = $props();
	const bench = $derived(benchInUse()());
	const { job, sheet, policy, gauges } = $derived(bench.bench);
	const unbuilt = $derived(firstUnbuilt(bench.build, bench.log.answers));
	const locked = $derived(job.releasedAt !== null || !data.mayWork || bench.blocked.length > 0);
	const steps = $derived(proveSteps(sheet, job));
	const done = $derived(steps.filter(({ key }) => bench.log.steps.has(key)));
	const open = $derived(steps.find(({ key }) => !bench.log.steps.has(key)));
	let picked = $state<string>();
	const step = $derived(steps.find(({ key }) => key === picked) ?? open);
	const left = $derived([
		...heldByAnswers(allSteps(sheet, job), bench.log.answers),
		...unproved(sheet, lastProofs(bench.log.proofs), gauges, policy)
	]);
	// What was put on and has not set: no pressure before.
	const setting = $derived(
		curing(
			sheet,
			bench.build.steps,
			new Map([...bench.log.steps].map(([key, entry]) => [key, effectiveTime(entry)]))
		).filter(({ until }) => until > Date.now())
	);
	// A cylinder that moves is shimmed: what an answer of this step keeps the pump back for, on a pump that has shims.
	const shims = $derived(sheet.stations.find(({ type }) => type === 'shim'));
	const shimmed = $derived(
		shims !== undefined && step !== undefined && heldByAnswers([step], bench.log.answers).length > 0
	);
	let shimsKept = $state('');
	function keepShims(text: string) {
		const laid = [...bench.parts.values()].find(({ station }) => station.key === shims?.key);
		bench.record({ kind: 'note', ...(laid ? { part: laid.cell.part } : {}), payload: { text } });
		shimsKept = `Saved. ${text}`;
	}
	const fails = $derived(left.filter(({ what }) => what === 'holdFails' || what === 'drips' || what === 'held'));
	const kept = $derived.by(() => {
		const first = unbuilt && bench.build.steps.find(({ key }) => key === unbuilt.key);
		return first ? `The pump is not assembled yet. First: ${buildStepName(first)}` : '';
	});
</script>

<svelte:head><title>Prove {job.serial} · Exetasis</title></svelte:head>
<NotSafeYet {bench} />
<StepColumns>
	{#each setting as { product, until } (product.key)}
		<CautionNote
			caution={{
				hazard: 'pressure',
				text: `${product.name} has not set. No pressure before ${shortTime(new Date(until).toISOString())}.`
			}}
		/>
	{/each}
	{#if step}
		{#key step.key}<StepInHand {bench} {steps} {step} {locked} {kept} onsigned={() => (picked = undefined)} />{/key}
	{:else}
		<section class="sheet done">
			<h1>{left.length === 0 ? 'Pump test passed' : 'All steps signed off'}</h1>
			{#if left.length === 0}<a class="btn main" href="/jobs/{job.id}/release">Release pump</a>{/if}
		</section>
	{/if}
	{#if shimmed}<section class="sheet">
			<ShimPack onkeep={keepShims} />{#if shimsKept}<p role="status">{shimsKept}</p>{/if}
		</section>{/if}
	<TestSheet {bench} locked={locked || kept !== ''} />
	<Rig {bench} locked={locked || kept !== ''} />

	{#snippet beside()}
		<h2 class:wrong={fails.length > 0}>
			{fails.length > 0 ? 'The pump fails the test' : left.length > 0 ? 'Not proved yet' : 'The pump passes the test'}
		</h2>
		{#if fails.length > 0}
			<p>
				Release the pressure and lock out first. Then remove the parts in front of the leak under
				<a href="/jobs/{job.id}/build">Build</a>. The results recorded here stay.
			</p>
		{/if}
		{#if left.length > 0}
			<div role="group" aria-label="Missing from the test">
				{#each [...fails, ...left.filter((demand) => !fails.includes(demand))] as demand (JSON.stringify(demand))}<p
						class:wrong={fails.includes(demand)}
					>
						{unprovedWords(demand)}
					</p>{/each}
			</div>
		{/if}
		<p><b class="figures">{done.length}</b> of <b class="figures">{steps.length}</b> steps signed off</p>
		<StepList {steps} done={bench.log.steps} current={step?.key} onpick={(key) => (picked = key)} />
		<SheetLacks {sheet} level="prove" />
		<JobFacts {sheet} {job} />
	{/snippet}
</StepColumns>
