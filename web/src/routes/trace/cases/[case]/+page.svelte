<!-- @component One case: what recurs, what it is thought to be, what was done, whether it worked, and what came of it. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import { day } from '$lib/format/time';
	import { caseState } from '$lib/words/causes';
	import { fixWords } from '$lib/words/fix';
	import { placeName } from '$lib/words/place';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { traceCase, worked } = $derived(data);
	const act = keptForm(untrack(() => data.action));
	const close = keptForm(untrack(() => data.close));
	const reopen = keptForm(untrack(() => data.reopen));
	const { form: actForm, errors: actErrors, enhance: actEnhance, message: actMessage } = act;
	const { form: closeForm, errors: closeErrors, enhance: closeEnhance, message: closeMessage } = close;
	const { form: reopenForm, errors: reopenErrors, enhance: reopenEnhance, message: reopenMessage } = reopen;
	const acted = $derived(data.rebuilds.find(({ id }) => id === traceCase.actedJobId));
	const rebuildChoices = $derived(
		data.rebuilds.map(
			({ id, receivedAt, pumpHours, releasedAt }) =>
				[id, `${day(receivedAt)}, ${format.number(pumpHours)} h${releasedAt ? '' : ', in the shop now'}`] as const
		)
	);
	const did = {
		opened: 'opened',
		acted: 'recorded',
		confirmed: 'confirmed',
		refuted: 'refuted',
		notTold: 'closed',
		reopened: 'reopened'
	};
</script>

<svelte:head><title>Case · Exetasis</title></svelte:head>
<p><a class="row" href="/trace/cases">Cases</a></p>
<h1>{patternName(traceCase.pattern as PatternKey)}, {placeName(data.stationName, traceCase.cylinder)}</h1>
<p>
	<a
		class="row"
		href="/trace/pumps/{traceCase.pumpId}?place={traceCase.station}/{traceCase.cylinder}/{traceCase.pattern}"
		>{traceCase.pump.serial}{traceCase.pump.tag ? `, ${traceCase.pump.tag}` : ''}</a
	>
	· <b>{caseState[traceCase.state]}</b>
</p>
{#if data.already}<p role="status">A case for this place and pattern is already open. This is it.</p>{/if}
<div class="columns grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-[20px] mt-2 max-[900px]:grid-cols-[1fr]">
	<section class="sheet p-4">
		<h2>Suspected cause: {data.cause?.name ?? traceCase.cause}</h2>
		<p>{traceCase.hypothesis}</p>
		{#if data.cause}<p class="soft">{data.cause.remedy}</p>{/if}
		{#if traceCase.action}
			<h3 class="mt-3 font-[650]">Corrective action</h3>
			<p>
				{traceCase.action}
				<span class="soft"
					>{acted ? `At the rebuild of ${day(acted.receivedAt)}, ${format.number(acted.pumpHours)} h.` : ''} Confidence in
					the fix:
					{format.probability(traceCase.effectiveness ?? 0)}. Follow-up period: {format.number(
						traceCase.watchHours ?? 0
					)} h.</span
				>
			</p>
			<h3 class="mt-3 font-[650]">Effect of the fix</h3>
			{#if worked}
				{@const said = fixWords(worked, format)}
				<p><b>{said.verdict}</b></p>
				<p>{said.figures}</p>
				{#if worked.lives}
					<p>
						Parts fitted here: {worked.lives.before} before, {worked.lives.since} since; {worked.lives.p === undefined
							? 'no part failed while both kinds ran, so their lives cannot be compared yet.'
							: `the chance of this difference without an effect is ${format.probability(worked.lives.p)} (log-rank test).`}
					</p>
				{/if}
				<p class="soft">
					Exact test of the inspections with this finding, before and after the action. The same part at other places is
					compared too, because the worst place tends to improve by itself. The fix is called ineffective only if the
					data exclude half the earlier rate. Repeated checks of an open case are not corrected for.
				</p>
			{:else}<p class="soft">
					This place was not inspected twice before the action, so there is nothing to compare.
				</p>{/if}
		{/if}
		<h3 class="mt-3 font-[650]">History</h3>
		<ol class="list-decimal pl-[1.3rem]">
			{#each traceCase.history as step, i (i)}
				<li><span class="soft">{day(step.at)}, {step.by} {did[step.did]}:</span> {step.says}</li>
			{/each}
		</ol>
	</section>
	{#if data.mayWork}
		<div class="grid content-start gap-4">
			{#if !traceCase.outcome}
				<form method="post" action="?/act" use:actEnhance class="sheet grid gap-3 p-4">
					<Fields>
						<h2>{traceCase.action ? 'Another corrective action' : 'Corrective action'}</h2>
						<Field name="action" label="Corrective action" bind:value={$actForm.action} errors={$actErrors.action} />
						<Field
							name="job"
							label="At the rebuild of"
							bind:value={$actForm.job}
							errors={$actErrors.job}
							options={rebuildChoices}
						/>
						<div class="grid grid-cols-2 gap-3">
							<Field
								name="sure"
								label="Confidence in the fix (%)"
								bind:value={$actForm.sure}
								errors={$actErrors.sure}
							/>
							<Field name="watch" label="Follow-up period (h)" bind:value={$actForm.watch} errors={$actErrors.watch} />
						</div>
						<div><button class="btn main">Save action</button></div>
					</Fields>
				</form>
				<form method="post" action="?/close" use:closeEnhance class="sheet grid gap-3 p-4">
					<Fields>
						<h2>Outcome</h2>
						<Field
							name="outcome"
							label="Outcome"
							bind:value={$closeForm.outcome}
							errors={$closeErrors.outcome}
							options={[
								['confirmed', 'Confirmed: this was the cause'],
								['refuted', 'Refuted: it was something else'],
								['notTold', 'Not decided']
							]}
						/>
						<Field name="says" label="Evidence" bind:value={$closeForm.says} errors={$closeErrors.says} />
						<div><button class="btn">Close case</button></div>
					</Fields>
				</form>
			{:else}
				<form method="post" action="?/reopen" use:reopenEnhance class="sheet grid gap-3 p-4">
					<Fields>
						<h2>Reopen case</h2>
						<Field name="says" label="Reason" bind:value={$reopenForm.says} errors={$reopenErrors.says} />
						<div><button class="btn">Reopen case</button></div>
					</Fields>
				</form>
			{/if}
			{#if $actMessage ?? $closeMessage ?? $reopenMessage}<p role="status">
					{$actMessage ?? $closeMessage ?? $reopenMessage}
				</p>{/if}
		</div>
	{/if}
</div>
