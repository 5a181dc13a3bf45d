<!-- @component Strip: the steps of the model sheet with their cautions, signed off one by one. -->
<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { formatQuantity } from '$lib/ui/numbers';
	import { askKey, stepsInScope, stepsOutOfOrder, unanswered, waitsFor, type Step } from '@exetasis/core/record';
	import { benchInUse } from '$lib/log/bench.svelte';
	import StepAsk from '$lib/strip/StepAsk.svelte';
	import StepFacts from '$lib/strip/StepFacts.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { shortTime } from '$lib/ui/time';

	let { data } = $props();
	const units = unitsInUse();
	const bench = $derived(benchInUse()());
	const locked = $derived(bench.bench.job.releasedAt !== null || !data.mayWork);
	const steps = $derived(stepsInScope(bench.bench.sheet, bench.bench.job));
	const done = $derived(bench.log.steps);
	const open = $derived(steps.find(({ key }) => !done.has(key)));

	const facts = $derived(
		[
			['Liquid', bench.bench.job.duty.liquid],
			[
				'Pressure',
				bench.bench.job.duty.pressureMPa && formatQuantity(bench.bench.job.duty.pressureMPa, units().pressure)
			],
			[
				'Temperature',
				bench.bench.job.duty.temperatureC !== undefined &&
					formatQuantity(bench.bench.job.duty.temperatureC, units().temperature)
			],
			['Inlet', bench.bench.job.duty.inlet],
			['On the meter', formatQuantity(bench.bench.job.meterHours, 'h')],
			...bench.bench.sheet.assemblies.map(({ name, massKg }) => [name, massKg && `${massKg} kg`] as const)
		].filter(([, value]) => value)
	);

	const early = $derived(stepsOutOfOrder({ sheet: bench.bench.sheet, ...bench.bench.job }, done));
	const signOff = (step: Step) => bench.record({ kind: 'step', payload: { step: step.key } });
	const takeBack = (step: Step) => bench.withdraw(done.get(step.key)!, 'not done after all');
</script>

<svelte:head><title>Strip {bench.bench.job.serial} · Exetasis</title></svelte:head>
<div class="columns">
	<ol>
		{#each steps as step, index (step.key)}
			{@const signed = done.get(step.key)}
			{@const waits = waitsFor(steps, step, done)}
			<li class="sheet" class:signed class:now={step === open}>
				<span class="figures number">{index + 1}</span>
				<div>
					<p class="text">{step.text}</p>
					{#each step.cautions as caution (caution.text)}<CautionNote {caution} />{/each}
					<StepFacts {step} sheet={bench.bench.sheet} job={bench.bench.job} />
					{#each step.asks as ask, i (i)}
						<StepAsk
							{ask}
							sheet={bench.bench.sheet}
							variants={bench.bench.job.variants}
							given={bench.log.answers.get(askKey(step.key, i))?.payload.value}
							locked={locked || signed !== undefined || waits.length > 0}
							onanswer={(value) => bench.record({ kind: 'answer', payload: { step: step.key, ask: i, value } })}
						/>
					{/each}
					{#if signed}<p class="soft">
							{bench.bench.people[signed.by]}, {shortTime(signed.at)}{#if early.has(step.key)}<b class="wrong">
									· signed off before what has to come first</b
								>{/if}
						</p>{/if}
					{#if !signed && waits.length > 0}<p class="soft">
							First: {waits.map(({ key }) => steps.findIndex((one) => one.key === key) + 1).join(', ')}
						</p>{/if}
				</div>
				{#if signed}
					<button type="button" class="btn" disabled={locked} onclick={() => takeBack(step)}
						><Check size={18} /> Done<span class="sr-only">: step {index + 1}, take back</span></button
					>
				{:else}
					<button
						type="button"
						class="btn"
						class:main={step === open}
						disabled={locked || waits.length > 0 || unanswered(step, bench.log.answers).length > 0}
						onclick={() => signOff(step)}>Sign off<span class="sr-only"> step {index + 1}</span></button
					>
				{/if}
			</li>
		{/each}
	</ol>
	<aside class="sheet">
		<p><b class="figures">{done.size}</b> of <b class="figures">{steps.length}</b> steps signed off</p>
		<dl>
			{#each facts as [name, value] (name)}<dt>{name}</dt>
				<dd>{value}</dd>{/each}
		</dl>
		<p class="soft">The maker’s sheet, local rules and licensed practice come before anything said here.</p>
		<a class="btn" class:main={!open} href="/jobs/{bench.bench.job.id}/inspect">To the mat</a>
	</aside>
</div>

<style>
	ol {
		display: grid;
		gap: 5px;
		margin: 6px 0;
		max-width: 62rem;
	}
	li {
		display: grid;
		grid-template-columns: 2rem 1fr auto;
		gap: 0.6rem;
		align-items: center;
		padding: 5px 10px;
	}
	li.now {
		border-left: 4px solid var(--mark);
	}
	li.signed {
		background: transparent;
		color: var(--ink-soft);
	}
	.number {
		text-align: right;
		color: var(--ink-soft);
	}
	.text {
		font-weight: 550;
	}
	.signed .text {
		font-weight: 400;
	}
	.soft {
		font-size: 0.82rem;
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 62rem) minmax(14rem, 20rem);
		gap: 16px;
		align-items: start;
	}
	aside {
		position: sticky;
		top: 10px;
		display: grid;
		gap: 10px;
		padding: 12px;
		margin-top: 6px;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 2px 12px;
		font-size: 0.9rem;
	}
	dt {
		color: var(--ink-soft);
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: 1fr;
		}
	}
</style>
