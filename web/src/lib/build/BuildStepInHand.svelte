<!-- @component The build step in hand in large type: what goes in and which way, its bolts, what it asks, its sign-off. -->
<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import {
		cautionsFor,
		effectiveTime,
		facesUpAt,
		fastenersAt,
		firstMissing,
		leftOf,
		locksInForce,
		mayTurn,
		itemsOf,
		openedCylinders,
		stepsInScope,
		windowMinutes,
		type BuildStep
	} from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import Crank from '$lib/strip/Crank.svelte';
	import { lastQuestion } from '$lib/strip/lastQuestion';
	import Recalled from '$lib/strip/Recalled.svelte';
	import StepAsks from '$lib/strip/StepAsks.svelte';
	import StepFacts from '$lib/strip/StepFacts.svelte';
	import StepWays from '$lib/strip/StepWays.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import { shortTime } from '$lib/format/time';
	import { buildStepName, deducedStep, signingWords } from '$lib/words/steps';
	import CylinderDrawing from './CylinderDrawing.svelte';
	import CylinderOne from '$lib/pump/CylinderOne.svelte';
	import Despite from './Despite.svelte';
	import JoinedParts from './JoinedParts.svelte';
	import PutIn from './PutIn.svelte';
	import Tighten from './Tighten.svelte';
	import TimeLeft from './TimeLeft.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		step: BuildStep;
		locked: boolean;
		onsigned: () => void;
	}
	let { bench, step, locked, onsigned }: Props = $props();

	const { sheet, job } = $derived(bench.bench);
	const steps = $derived(bench.build.steps);
	const signed = $derived(bench.log.steps.get(step.key));
	const done = $derived(bench.built.has(step.key));
	const first = $derived(steps.filter(({ key }) => step.after.includes(key) && !bench.built.has(key)));
	const left = $derived(leftOf(bench.build, step, bench.log.answers));
	const fasteners = $derived(fastenersAt(bench.build, step));
	const up = $derived(facesUpAt(sheet, stepsInScope(sheet, job), steps, step));
	// What the order asks for before this step is signed off.
	const order = $derived(step.mirrored ? undefined : firstMissing(bench.build, step.key, 0));
	const locks = $derived(locksInForce(sheet.steps, bench.log.steps));
	const shut = $derived(
		mayTurn(sheet.steps, bench.log.steps, step) ? undefined : locks.map(({ text }) => text).join(' ')
	);
	const index = $derived(steps.indexOf(step));
	let way = $state<string>();
	// A count that is typed comes before the one that should be there.
	let typing = $state(false);
	const chosenWay = $derived(signed?.payload.way ?? way);
	const minutes = $derived(windowMinutes(step, sheet.products));
	const from = $derived(step.within && bench.log.steps.get(step.within.of));
	const opened = $derived(openedCylinders(sheet, job));
	const last = $derived(
		typing ? undefined : lastQuestion(step, bench.log.answers, opened, (station) => bench.piecesDue(step, station))
	);
	// What still keeps it from being signed off, the first of it.
	const missing = $derived(
		first.length > 0
			? `Sign off steps ${first.map(({ key }) => steps.findIndex((step) => step.key === key) + 1).join(', ')} first.`
			: order
				? `${order.name} comes first. ${order.fact.why ?? ''}`
				: left.notIn.length > 0
					? `${left.notIn.length === 1 ? 'One part is' : `${left.notIn.length} parts are`} not ${step.joined ? 'joined' : 'fitted'} yet.`
					: left.notTightened.length > 0
						? 'Some bolts are not tightened yet.'
						: left.questions > 0 && !last
							? 'Answer the questions first.'
							: step.ways.length > 0 && !way
								? 'Choose the method.'
								: ''
	);
	// The cylinder that is being filled, as it grows; nothing where the step fills none.
	const filled = $derived(itemsOf(bench.build, step).filter(({ cylinder }) => cylinder > 0));
	const isIn = (item: (typeof filled)[number]) =>
		(item.kind === 'part' ? item.place.record.putIn : item.place.putIn) !== undefined;
	const cylinder = $derived((filled.find((item) => !isIn(item)) ?? filled.at(-1))?.cylinder);
	// Only the order is in the way: it can be signed off with a reason.
	const onlyOrder = $derived(
		(first.length > 0 || order !== undefined) &&
			left.notIn.length + left.notTightened.length + left.questions === 0 &&
			(step.ways.length === 0 || way !== undefined)
	);
	const cylinderOne = $derived(sheet.cylinderOne);
	// A fresh step for the next tightening: a group that is done folds away.
	const open = $derived(fasteners.filter((place) => left.notTightened.includes(place)));

	function signOff(despite?: string) {
		bench.record(...(last ? [{ kind: 'answer' as const, payload: last.payload }] : []), {
			kind: 'step',
			payload: { step: step.key, ...(way ? { way } : {}), ...(despite ? { despite } : {}) }
		});
		onsigned();
	}
</script>

<section class="sheet grid gap-2.5 px-[18px] pt-3.5 pb-4 mt-1.5 min-w-0" aria-labelledby="step-in-hand">
	<p class="soft">Step {index + 1} of {steps.length}</p>
	<h1 class="text-[1.4rem] leading-[1.25] font-semibold max-w-184 m-0" id="step-in-hand">{buildStepName(step)}</h1>
	{#if step.sure === 'deduced' && !step.joined}<p class="soft">{deducedStep}</p>{/if}
	{#if step.joined}<JoinedParts {sheet} joined={step.joined} />{/if}
	{#each locks as { text } (text)}<p class="wrong"><b>Shaft locked.</b> {text}</p>{/each}
	{#each cautionsFor(step, job.variants) as caution (caution.text)}<CautionNote {caution} />{/each}
	{#if cylinder !== undefined && !step.joined}
		<div class="flex items-center gap-1.5">
			<b class="figures">{cylinder}</b>
			<CylinderDrawing {bench} {cylinder} inHand={step.stations} named />
		</div>
	{/if}
	{#if opened.length > 1 && step.stations.length > 0 && cylinderOne && !step.joined}<CylinderOne
			{cylinderOne}
			count={sheet.cylinders}
		/>{/if}
	<StepFacts {step} {sheet} {job} policy={bench.bench.policy} going="in" />
	<Recalled {bench} {step} />
	{#if step.crank}<Crank {sheet} position={step.crank} {shut} />{/if}
	{#if minutes !== undefined && from && !done}
		<p>
			Within {format.number(minutes)} minutes: <TimeLeft until={effectiveTime(from) + 60_000 * minutes} />
		</p>
	{/if}
	{#if step.stations.length > 0}<PutIn {bench} {step} up={step.joined ? null : up} {locked} />{/if}
	{#each open.length > 0 ? open.slice(0, 1) : fasteners.slice(-1) as place (place.part)}
		<Tighten {bench} {place} {locked} />
	{/each}
	<StepAsks
		{bench}
		{step}
		bind:typing
		locked={locked || signed !== undefined || first.length > 0 || left.notIn.length > 0}
	/>
	{#if step.ways.length > 0}
		<StepWays ways={step.ways} chosen={chosenWay} locked={locked || done} onchoose={(key) => (way = key)} />
	{/if}
	<footer class="flex flex-wrap items-center gap-3">
		{#if signed}
			<button type="button" class="btn" disabled={locked} onclick={() => bench.withdraw(signed, 'not done')}
				><Check size={18} /> Done<span class="sr-only">: undo step {index + 1}</span></button
			>
			<span class="soft">{bench.bench.people[signed.by]}, {shortTime(signed.at)}</span>
			{#if !done}<b class="wrong">Open again: {missing || 'sign it off again.'}</b>{/if}
		{:else if step.mirrored}
			<span class="soft">{done ? 'Done. All parts are fitted.' : missing}</span>
			{#if done}<button type="button" class="btn main large" onclick={onsigned}>Next step</button>{/if}
		{:else}
			<button type="button" class="btn main large" disabled={locked || missing !== ''} onclick={() => signOff()}
				>Sign off<span class="sr-only"> step {index + 1}</span>{last
					? `: ${signingWords(last.ask, Number(last.payload.value))}`
					: ''}</button
			>
			{#if missing}<span class="soft">{missing}</span>{/if}
			{#if onlyOrder && !locked}<Despite act="Sign off anyway" onreason={signOff} />{/if}
		{/if}
	</footer>
</section>
