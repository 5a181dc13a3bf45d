<!-- @component Release: what goes, what stays, what is still open; then the job is closed. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { onMount, untrack } from 'svelte';
	import { patternName } from '@exetasis/core/part';
	import {
		allSteps,
		doneDespite,
		heldByAnswers,
		lastProofs,
		locksInForce,
		lostFragments,
		proveSteps,
		standingDecision,
		unproved
	} from '@exetasis/core/record';
	import { keptForm } from '$lib/forms/kept';
	import { DecisionState } from '$lib/decide/decision.svelte';
	import Told from '$lib/release/Told.svelte';
	import OpenPoints from '$lib/release/OpenPoints.svelte';
	import NotProved from '$lib/release/NotProved.svelte';
	import Download from '$lib/ui/Download.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import Corrections from '$lib/release/Corrections.svelte';
	import { benchInUse, type BenchPart } from '$lib/log/bench.svelte';
	import Photos from '$lib/log/Photos.svelte';
	import FittedSizes from '$lib/release/FittedSizes.svelte';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { LATE_HEAD, LATE_WHY, lateWords } from '$lib/words/late';
	import { placeName } from '$lib/words/place';
	import { handoverWords } from '$lib/words/report';
	import { buildStepName } from '$lib/words/steps';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { form, errors, enhance } = keptForm(untrack(() => data.form));
	const bench = $derived(benchInUse()());
	const job = $derived(bench.bench.job);
	const parts = $derived([...bench.parts.values()]);
	const decisionOf = (part: BenchPart) => standingDecision(part.record)?.payload;
	const open = $derived(parts.filter((part) => !['reuse', 'replace'].includes(decisionOf(part)?.verdict ?? '')));
	const replaced = $derived(parts.filter((part) => decisionOf(part)?.verdict === 'replace'));
	const reused = $derived(parts.filter((part) => decisionOf(part)?.verdict === 'reuse'));
	const overruled = $derived(
		parts.filter((part) => decisionOf(part) && decisionOf(part)!.verdict !== decisionOf(part)!.proposed)
	);
	const cost = $derived(replaced.reduce((sum, { station }) => sum + station.price, 0));
	const place = ({ station, cell }: BenchPart) => placeName(station.name, cell.cylinder);
	// Readings with a gauge whose certificate is past its date are kept, and the report says so.
	const overdue = $derived(
		parts.flatMap((part) =>
			part.judgement.sizes
				.filter(({ gauge }) => gauge?.facts.overdue)
				.map(({ characteristic, gauge }) => ({ part, size: characteristic.name, gauge: gauge!.name }))
		)
	);
	const left = $derived({
		build: bench.build.steps.filter(({ key }) => !bench.built.has(key)).map(buildStepName),
		prove: proveSteps(bench.bench.sheet, job).flatMap(({ key, text }) => (bench.log.steps.has(key) ? [] : [text])),
		tests: [
			...lostFragments(bench.piecesOut),
			...heldByAnswers(allSteps(bench.bench.sheet, job), bench.log.answers),
			...unproved(bench.bench.sheet, lastProofs(bench.log.proofs), bench.bench.gauges, bench.bench.policy)
		]
	});
	const despite = $derived(doneDespite(bench.build, allSteps(bench.bench.sheet, job), bench.log.steps));
	const finished = $derived(left.build.length + left.prove.length + left.tests.length === 0);
	const locks = $derived(locksInForce(allSteps(bench.bench.sheet, job), bench.log.steps));
	const waiting = $derived((bench.outbox?.ofJob(job.id).length ?? 0) > 0);

	// The most economic interval is found in a worker; until it is, the calendar takes the one in force.
	let economic = $state<number>();
	onMount(() => {
		const set = new DecisionState(bench);
		const close = set.open();
		set.hold();
		void set.findInterval().then(() => (economic = set.interval?.best.hours));
		return close;
	});
	const serviceHours = $derived(economic ?? bench.bench.policy.intervalHours);
</script>

<svelte:head><title>Release {job.serial} · Exetasis</title></svelte:head>
<div class="flex flex-wrap items-center gap-x-[1.2rem] gap-y-2 mb-2.5">
	<h1>{job.releasedAt ? 'Released' : 'Release'}</h1>
	<p class="flex-1">
		<b class="figures">{replaced.length}</b> replaced ({format.number(cost)}
		{data.shop?.currency} of parts), <b class="figures">{reused.length}</b> reused{#if overruled.length > 0}, <b
				class="figures">{overruled.length}</b
			> overruled{/if}{#if open.length > 0},
			<b class="figures text-doubt">{open.length}</b> still open{/if}.
	</p>
	{#if !job.releasedAt && data.mayWork}
		<form method="post" action="?/release" use:enhance class="go flex items-end gap-2">
			<Fields>
				{#if !finished && data.mayManage && open.length === 0}
					<Field
						name="unbuilt"
						label="Reason for releasing it incomplete"
						bind:value={$form.unbuilt}
						errors={$errors.unbuilt}
					/>
				{/if}
				<Field
					name="to"
					label="After release"
					bind:value={$form.to}
					options={[
						['shelf', 'to stock'],
						['service', 'into service now']
					]}
				/>
				{#if $form.to === 'service'}
					<Field
						name="connected"
						label="Hoses and covers"
						bind:value={$form.connected}
						errors={$errors.connected}
						options={[
							['no', 'not yet'],
							['yes', 'back in place']
						]}
					/>
				{/if}
				<button
					class="btn main"
					disabled={open.length > 0 ||
						waiting ||
						(!finished && (($form.unbuilt ?? '').trim() === '' || !data.mayManage))}>Release pump</button
				>
			</Fields>
		</form>
	{/if}
	<a class="btn" href="/pumps/{job.pumpId}">Open the pump</a>
</div>
<div class="flex flex-wrap gap-2 mb-2" role="group" aria-label="Documents">
	<Download href="/jobs/{job.id}/report?for=customer">Customer report</Download>
	<Download href="/jobs/{job.id}/report">Shop report</Download>
	<a class="btn" href="/jobs/{job.id}/label" download data-sveltekit-reload>Label</a>
	<a class="btn" href="/jobs/{job.id}/service?hours={serviceHours}" download data-sveltekit-reload
		>Next service: {format.number(serviceHours)} h{economic === undefined ? '' : ', lowest cost'}</a
	>
	<Download href="/jobs/{job.id}/sizes?as=xlsx">Sizes, XLSX</Download>
	<a class="btn" href="/jobs/{job.id}/sizes?as=csv" download data-sveltekit-reload>Sizes, CSV</a>
	<Download href="/jobs/{job.id}/file">Job file</Download>
</div>
{#if !job.releasedAt && $form.to === 'service'}
	{#if job.arrival.connections}<p><b>As it was connected:</b> “{job.arrival.connections}”</p>{/if}
	{#if bench.log.photos.length > 0}<Photos {bench} photos={bench.log.photos} locked />{/if}
{/if}
{#if bench.bench.handover}
	<p class="soft">
		{handoverWords[bench.bench.handover.to]}
	</p>
{/if}
{#each $errors._errors ?? [] as problem (problem)}<p class="wrong" role="alert">{problem}</p>{/each}
{#if job.releasedAt && bench.bench.unbuilt}
	<h2>Released before assembly and test were complete</h2>
	<p>“{bench.bench.unbuilt.why}”</p>
	<NotProved jobId={job.id} left={bench.bench.unbuilt} />
{:else if !job.releasedAt && (open.length > 0 || !finished)}
	{#each locks as { text } (text)}<p class="wrong"><b>Shaft locked.</b> {text}</p>{/each}
	<OpenPoints jobId={job.id} {open} buildSteps={left.build} proveSteps={left.prove} tests={left.tests} />
{/if}
<Told form={data.told} locked={!data.mayWork || (job.releasedAt !== null && !data.mayManage)} />
<h2 class="mt-4">Replaced</h2>
<Wide label="Replaced">
	<table class="table">
		<thead
			><tr
				><th>Part</th><th>Found</th><th>Reason</th><th>New part, as fitted</th><th class="number"
					>{data.shop?.currency}</th
				></tr
			></thead
		>
		<tbody>
			{#each replaced as part (part.cell.part)}
				<tr>
					<td class="flex items-center gap-2"
						><Glyph type={part.station.type} face={part.station.face} size={30} /> {place(part)}</td
					>
					<td>{part.record.findings.map(({ payload }) => patternName(payload.pattern)).join(', ') || 'nothing'}</td>
					<td
						>{decisionOf(part)?.why ??
							(part.judgement.reasons[0] ? reasonSentence(part.judgement.reasons[0], part.station, format) : '')}</td
					>
					<td><FittedSizes {bench} {part} locked={job.releasedAt !== null || !data.mayWork} /></td>
					<td class="number">{format.number(part.station.price)}</td>
				</tr>
			{:else}<tr><td colspan="5" class="soft">No replacements so far.</td></tr>{/each}
		</tbody>
	</table>
</Wide>
{#if despite.length > 0}
	<h2 class="mt-4">Steps out of order</h2>
	<Wide label="Steps out of order">
		<table class="table">
			<tbody>
				{#each despite as { name, cylinder, reason, by }, i (i)}
					<tr><td>{placeName(name, cylinder)}</td><td>“{reason}”</td><td>{bench.bench.people[by]}</td></tr>
				{/each}
			</tbody>
		</table>
	</Wide>
{/if}
{#if data.late.length > 0}
	<h2 class="mt-4">{LATE_HEAD}</h2>
	<p class="soft">{LATE_WHY}</p>
	<Wide label="Recorded offline">
		<table class="table">
			<tbody>
				{#each data.late as entry, i (i)}
					<tr><td>{lateWords(entry, format)}</td><td>{bench.bench.people[entry.by]}</td></tr>
				{/each}
			</tbody>
		</table>
	</Wide>
{/if}
{#if overruled.length > 0}
	<h2 class="mt-4">Overruled verdicts</h2>
	<Wide label="Overruled verdicts">
		<table class="table">
			<tbody>
				{#each overruled as part (part.cell.part)}
					<tr
						><td>{place(part)}</td><td
							>{verdictName[decisionOf(part)!.verdict]}, proposed {verdictName[
								decisionOf(part)!.proposed
							].toLowerCase()}</td
						><td>“{decisionOf(part)!.why}”</td></tr
					>
				{/each}
			</tbody>
		</table>
	</Wide>
{/if}

{#if overdue.length > 0}
	<h2 class="mt-4">Measured with an overdue gauge</h2>
	<p class="soft">These verdicts use twice the uncertainty of the certificate.</p>
	<ul class="mt-1 mb-3 columns-3 squares text-[0.88rem]">
		{#each overdue as { part, size, gauge } (`${part.cell.part}/${size}`)}<li>{place(part)}: {size}, {gauge}</li>{/each}
	</ul>
{/if}

{#if job.releasedAt}<Corrections {bench} mayCorrect={data.mayManage} />{/if}

<style>
	.go :global(.btn) {
		flex: none;
		white-space: nowrap;
	}
</style>
