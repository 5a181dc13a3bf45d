<!-- @component The step in hand in large type: what can hurt, tools, crank, what comes out and how it was found, what it asks, its sign-off. -->
<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import {
		blockedBy,
		consequences,
		cautionsFor,
		locksInForce,
		mayTurn,
		openedCylinders,
		stepsOutOfOrder,
		unanswered,
		waitsFor,
		type Step
	} from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import { shortTime } from '$lib/format/time';
	import { deducedStep, signingWords } from '$lib/words/steps';
	import Despite from '$lib/build/Despite.svelte';
	import CylinderOne from '$lib/pump/CylinderOne.svelte';
	import AsFound from './AsFound.svelte';
	import Crank from './Crank.svelte';
	import CylindersDone from './CylindersDone.svelte';
	import { lastQuestion } from './lastQuestion';
	import StepAsks from './StepAsks.svelte';
	import StepFacts from './StepFacts.svelte';
	import StripSection from './StripSection.svelte';
	import StepWays from './StepWays.svelte';

	interface Props {
		bench: BenchState;
		steps: readonly Step[];
		step: Step;
		locked: boolean;
		onsigned: () => void;
		/** Why none of these steps can be signed off yet, where that is so. */
		kept?: string;
	}
	let { bench, steps, step, locked, onsigned, kept = '' }: Props = $props();

	const { sheet, job } = $derived(bench.bench);
	const done = $derived(bench.log.steps);
	const signed = $derived(done.get(step.key));
	const waits = $derived(waitsFor(steps, step, done));
	const shut = $derived(
		mayTurn(steps, done, step)
			? undefined
			: locksInForce(steps, done)
					.map(({ text }) => text)
					.join(' ')
	);
	const early = $derived(stepsOutOfOrder({ sheet, ...job }, done).has(step.key));
	const index = $derived(steps.indexOf(step));
	let way = $state<string>();
	// A count that is typed comes before the one that should be there.
	let typing = $state(false);
	const chosenWay = $derived(signed?.payload.way ?? way);
	const cylinders = $derived(openedCylinders(sheet, job));
	const left = $derived(unanswered(step, bench.log.answers, cylinders).length);
	const last = $derived(
		typing ? undefined : lastQuestion(step, bench.log.answers, cylinders, (station) => bench.piecesDue(step, station))
	);
	const repeated = $derived(step.per === 'cylinder' && cylinders.length > 1);
	// Once it is counted by cylinder, all of them count.
	const begun = $derived(bench.log.cylindersDone.get(step.key));
	const cylinderLeft = $derived(begun && cylinders.find((cylinder) => !begun.has(cylinder)));

	const inQuestion = $derived(
		consequences([step], bench.log.answers).some(
			({ means }) => 'unit' in means || ('finding' in means && means.finding.pattern === 'metalInOil')
		)
	);

	// Cautions of the step, and of the parts that it takes out.
	const cautions = $derived([
		...new Map(
			[
				...cautionsFor(step, job.variants).map((caution) => ({ caution, of: undefined })),
				...bench.stations
					.filter(({ key }) => step.stations.includes(key))
					.flatMap((station) =>
						cautionsFor(station, job.variants, 'out').map((caution) => ({ caution, of: station.name }))
					)
			].map((stated) => [stated.caution.text, stated] as const)
		).values()
	]);
	// What makes the pump safe gives way to no reason, and neither does what waits for it.
	const safe = $derived(!step.blocking && blockedBy(steps, done).length === 0);
	const onlyOrder = $derived(
		safe && !shut && waits.length > 0 && left === 0 && cylinderLeft === undefined && (step.ways.length === 0 || way)
	);

	function signOff(despite?: string) {
		bench.record(...(last ? [{ kind: 'answer' as const, payload: last.payload }] : []), {
			kind: 'step',
			payload: { step: step.key, ...(way ? { way } : {}), ...(despite ? { despite } : {}) }
		});
		onsigned();
	}
</script>

<section class="sheet grid gap-2.5 px-[18px] pt-3.5 pb-4 mt-1.5 min-w-0" aria-labelledby="step-in-hand" class:signed>
	<p class="soft">Step {index + 1} of {steps.length}</p>
	<h1 class="text-[1.5rem] leading-[1.25] font-semibold max-w-184 m-0" id="step-in-hand">{step.text}</h1>
	{#if step.sure === 'deduced'}<p class="soft">{deducedStep}</p>{/if}
	{#each locksInForce(steps, done) as { text } (text)}<p class="wrong"><b>Shaft locked.</b> {text}</p>{/each}
	{#each cautions as { caution, of } (caution.text)}<CautionNote {caution} {of} />{/each}
	{#if sheet.cylinderOne && cylinders.length > 1 && (step.stations.length > 0 || step.per === 'cylinder')}
		<CylinderOne cylinderOne={sheet.cylinderOne} count={sheet.cylinders} />
	{/if}
	{#if step.stage === 'prepare' || step.stage === 'strip'}<StripSection {bench} {steps} {step} />{/if}
	<StepFacts {step} {sheet} {job} policy={bench.bench.policy} going="out" />
	{#if step.crank}<Crank {sheet} position={step.crank} {shut} />{/if}
	{#if kept}<p class="wrong">{kept}</p>{/if}
	{#if waits.length > 0 && !signed}
		<p class="wrong">
			Sign off {waits.length === 1 ? 'step' : 'steps'}
			{waits.map(({ key }) => steps.findIndex((step) => step.key === key) + 1).join(', ')} first.
		</p>
	{/if}
	{#if bench.blocked.length === 0 && step.stations.length > 0}<AsFound {bench} {step} {locked} />{/if}
	<StepAsks {bench} {step} bind:typing locked={locked || signed !== undefined || waits.length > 0} />
	{#if repeated && (begun || !signed)}
		<CylindersDone {bench} {step} locked={locked || signed !== undefined || waits.length > 0} />
	{/if}
	{#if inQuestion}
		<p class="wrong" role="alert">
			<b>Repair or replace the unit?</b> Decide before you buy parts:
			<a href="/jobs/{job.id}/decide">open the comparison</a>
		</p>
	{/if}
	{#if step.ways.length > 0}
		<StepWays
			ways={step.ways}
			chosen={chosenWay}
			locked={locked || signed !== undefined}
			onchoose={(key) => (way = key)}
		/>
	{/if}
	<footer class="flex items-center gap-3">
		{#if signed}
			<button type="button" class="btn" disabled={locked} onclick={() => bench.withdraw(signed, 'not done')}
				><Check size={18} /> Done<span class="sr-only">: undo step {index + 1}</span></button
			>
			<span class="soft"
				>{bench.bench.people[signed.by]}, {shortTime(signed.at)}{#if early}<b class="wrong">
						· signed off out of order</b
					>{/if}</span
			>
		{:else}
			<button
				type="button"
				class="btn main large"
				disabled={locked ||
					kept !== '' ||
					waits.length > 0 ||
					(left > 0 && !last) ||
					cylinderLeft !== undefined ||
					(step.ways.length > 0 && !way)}
				onclick={() => signOff()}
				><span
					>Sign off<span class="sr-only"> step {index + 1}</span>{last
						? `: ${signingWords(last.ask, Number(last.payload.value))}`
						: ''}</span
				></button
			>
			{#if (left > 0 && !last) || (step.ways.length > 0 && !way)}<span class="soft"
					>{left > 0 && !last ? 'Answer the questions first.' : 'Choose the method.'}</span
				>{/if}
			{#if onlyOrder && !locked}<Despite act="Sign off anyway" onreason={signOff} />{/if}
		{/if}
	</footer>
	{#if steps[index + 1] && !signed}<p class="soft">Next: {steps[index + 1].text}</p>{/if}
</section>
