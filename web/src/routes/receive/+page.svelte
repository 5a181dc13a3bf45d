<!-- @component Receive: which pump, what it came in for, its hours and its duty. -->
<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { preloadCode } from '$app/navigation';
	import { unitLabel } from '@exetasis/core/quantity';
	import { complaints, type Complaint } from '@exetasis/core/record';
	import CustomerFields from '$lib/forms/CustomerFields.svelte';
	import { keptForm } from '$lib/forms/kept';
	import { complaintsIn } from '$lib/forms/receive';
	import { pumpLine, type FoundPump } from '$lib/pump/found';
	import LayoutWall from '$lib/pump/LayoutWall.svelte';
	import ToolsAtHand from '$lib/pump/ToolsAtHand.svelte';
	import Cylinders from '$lib/pump/Cylinders.svelte';
	import PartAges from '$lib/pump/PartAges.svelte';
	import CylinderOne from '$lib/pump/CylinderOne.svelte';
	import Variants from '$lib/pump/Variants.svelte';
	import PumpChoice from '$lib/pump/PumpChoice.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import { day } from '$lib/format/time';
	import { complaintName } from '$lib/words/complaints';
	import { layoutName } from '$lib/words/layout';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data, form: answer } = $props();
	// So that the job's first step stands on the page as soon as the pump is received.
	onMount(() => void preloadCode('/jobs/received/strip'));
	const { form, errors, enhance } = keptForm(untrack(() => data.form));
	// From the page of a model sheet.
	const asked = untrack(() => data.models.find((model) => model.model === data.model));
	if (asked) {
		$form.pump = 'new';
		$form.model = asked.model;
	}
	let known = $state.raw<FoundPump>();
	const tick = (complaint: Complaint, on: boolean) =>
		($form.complaints = complaints
			.filter((other) => (other === complaint ? on : complaintsIn($form).includes(other)))
			.join());
	const models = $derived([
		['', 'Choose'] as const,
		...data.models.map(({ model, layout }) => [model, `${model}: ${layoutName(layout)}`] as const)
	]);
	const sites = $derived([['', 'Not known'] as const, ...data.sites.map(({ id, name }) => [id, name] as const)]);
	// What the sheet of the pump in hand asks: how far the work goes, and what this very pump is made of.
	const model = $derived(
		data.models.find((model) => model.model === ($form.pump === 'new' ? $form.model : known?.model))
	);
	const work = $derived(
		model ? model.scopes.map(({ key, name }) => [key, name] as const) : ([['', 'Choose the pump first']] as const)
	);
	$effect(() => {
		if (!model || model.scopes.some(({ key }) => key === $form.scope)) return;
		$form.scope = (model.scopes.find(({ kind }) => kind === 'full') ?? model.scopes[0]).key;
	});
	const heavy = $derived(model?.masses.filter(({ massKg }) => massKg > data.liftAloneKg) ?? []);
	const evidence = $derived(model?.scopes.find(({ key }) => key === $form.scope)?.opensOn);
	let wall = $state(false);
	const offered = $derived(
		model?.scopes
			.find(({ key }) => key === $form.scope)
			?.offers.map((key) => model.scopes.find((scope) => scope.key === key)!)
	);
</script>

<svelte:head><title>Receive pump · Exetasis</title></svelte:head>
<h1>Receive pump</h1>
<form class="grid grid-cols-[1fr_1fr_1fr] gap-3 mt-2 items-start max-[900px]:grid-cols-[1fr]" method="post" use:enhance>
	<Fields>
		<fieldset class="sheet grid min-w-0 gap-[0.7rem] p-[0.8rem]">
			<legend class="group-head mb-[0.2rem]"><span class="step">1</span> Pump</legend>
			<input type="hidden" name="pump" value={$form.pump} />
			<input type="hidden" name="pumpLine" value={$form.pumpLine} />
			<div>
				<PumpChoice
					label="Known pump"
					first={$form.pumpLine}
					wrong={$errors.pump !== undefined}
					onchoose={(found) => {
						known = found;
						$form.pump = found.id;
						$form.pumpLine = pumpLine(found);
						if (found.customer && $form.customer === '') $form.customer = found.customer;
					}}
				/>
				<button
					type="button"
					class="btn mt-2"
					aria-pressed={$form.pump === 'new'}
					onclick={() => {
						known = undefined;
						$form.pump = 'new';
					}}>New pump</button
				>
				{#if $errors.pump}<p class="wrong" role="alert">{$errors.pump[0]}</p>{/if}
				{#if answer && 'openJob' in answer}<p>
						<a class="btn" href="/jobs/{answer.openJob}">Go to its open job</a>
					</p>{/if}
				{#if known}
					<p class="soft">
						{known.model}; {known.rebuilds} rebuilds in the history{known.lastReceived
							? `, last received ${day(known.lastReceived)} at ${format.number(known.meterHours ?? 0)} h on the meter`
							: ''}.
					</p>
				{/if}
			</div>
			{#if $form.pump === 'new'}
				<Field name="serial" label="Serial number" bind:value={$form.serial} errors={$errors.serial} />
				<Field name="model" label="Model" bind:value={$form.model} errors={$errors.model} options={models} />
				<button type="button" class="btn" aria-haspopup="dialog" onclick={() => (wall = true)}>Find by drawing</button>
				<Field name="site" label="Site" bind:value={$form.site} errors={$errors.site} options={sites} />
				<Field
					name="lastRebuild"
					label="Last rebuild, if known"
					hint="March 2025 at 3,200 h, by its owner"
					bind:value={$form.lastRebuild}
					errors={$errors.lastRebuild}
				/>
				<Field name="tag" label="Name on site" hint="Port unit" bind:value={$form.tag} errors={$errors.tag} />
			{/if}
			{#if model && model.cylinders > 1 && model.cylinderOne}
				<CylinderOne cylinderOne={model.cylinderOne} count={model.cylinders} />
				<label class="reason"
					><input
						type="checkbox"
						name="cylinderOne"
						value="checked"
						checked={$form.cylinderOne === 'checked'}
						onchange={({ currentTarget }) => ($form.cylinderOne = currentTarget.checked ? 'checked' : '')}
					/>Cylinder 1 checked</label
				>
			{/if}
			{#if known}<PartAges pump={known.id} />{/if}
			{#if model && model.variants.length > 0}
				<Variants
					{model}
					known={known !== undefined}
					bind:chosen={() => $form.variants ?? '{}', (answers) => ($form.variants = answers)}
					problem={$errors.variants?.[0]}
				/>
			{/if}
		</fieldset>
		<fieldset class="sheet grid min-w-0 gap-[0.7rem] p-[0.8rem]">
			<legend class="group-head mb-[0.2rem]"><span class="step">2</span> Complaint and scope</legend>
			<input type="hidden" name="complaints" value={$form.complaints} />
			<div class="reasons grid grid-cols-2 gap-1.5" role="group" aria-label="Complaint">
				{#each complaints as complaint (complaint)}
					<label class="reason"
						><input
							type="checkbox"
							value={complaint}
							checked={complaintsIn($form).includes(complaint)}
							onchange={({ currentTarget }) => tick(complaint, currentTarget.checked)}
						/>{complaintName[complaint]}</label
					>
				{/each}
			</div>
			<Field name="complaint" label="Customer’s description" bind:value={$form.complaint} errors={$errors.complaint} />
			<Field
				name="hours"
				label="Hour meter (h)"
				hint={known?.meterHours ? `last time ${format.number(known.meterHours)}` : '4210'}
				bind:value={$form.hours}
				errors={$errors.hours}
			/>
			{#if answer && 'meterWentBack' in answer}
				<Field
					name="oldMeterHours"
					label="Hours on the old meter since the last rebuild"
					hint="0 if unknown"
					bind:value={$form.oldMeterHours}
					errors={$errors.oldMeterHours}
				/>
			{/if}
			<Field name="scope" label="Scope of work" bind:value={$form.scope} errors={$errors.scope} options={work} />
			{#each offered ?? [] as scope (scope.key)}
				<p class="soft">
					Smaller scope possible:
					<button type="button" class="btn" onclick={() => ($form.scope = scope.key)}>{scope.name} instead</button>
				</p>
			{/each}
			{#if evidence}
				<Field
					name="evidence"
					label="Evidence for this scope"
					bind:value={$form.evidence}
					errors={$errors.evidence}
					options={[['', 'Choose'], ...evidence.map((seen) => [seen, seen] as const)]}
				/>
				{#if data.mayManage}
					<Field
						name="evidenceReason"
						label="Or the reason of a lead"
						bind:value={$form.evidenceReason}
						errors={$errors.evidenceReason}
					/>
				{/if}
			{/if}
			{#if model && model.cylinders > 1}
				<Cylinders count={model.cylinders} bind:opened={$form.cylinders} problem={$errors.cylinders?.[0]} />
			{/if}
		</fieldset>
		<div class="grid gap-3 min-w-0">
			<fieldset class="sheet two grid min-w-0 grid-cols-2 items-start gap-[0.7rem] p-[0.8rem]">
				<legend class="group-head mb-[0.2rem]"><span class="step">3</span> Customer</legend>
				<CustomerFields
					bind:customer={$form.customer}
					bind:orderNumber={$form.orderNumber}
					bind:promisedOn={$form.promisedOn}
					errors={$errors}
				/>
			</fieldset>
			<fieldset class="sheet two grid min-w-0 grid-cols-2 items-start gap-[0.7rem] p-[0.8rem]">
				<legend class="float-left col-span-full mb-[0.2rem] font-[650]"
					>Duty <span class="soft">(if known)</span></legend
				>
				<Field name="liquid" label="Liquid" hint="Seawater" bind:value={$form.liquid} errors={$errors.liquid} />
				<Field
					name="temperature"
					label="Temperature ({unitLabel(format.units.temperature)})"
					bind:value={$form.temperature}
					errors={$errors.temperature}
				/>
				<Field
					name="pressure"
					label="Pressure ({unitLabel(format.units.pressure)})"
					bind:value={$form.pressure}
					errors={$errors.pressure}
				/>
				<Field name="speed" label="Speed (rpm)" bind:value={$form.speed} errors={$errors.speed} />
				<Field
					name="inlet"
					label="Inlet supply"
					hint="Flooded, suction lift, filter …"
					bind:value={$form.inlet}
					errors={$errors.inlet}
				/>
				<Field
					name="inletPressure"
					label="Inlet pressure ({unitLabel(format.units.pressure)})"
					bind:value={$form.inletPressure}
					errors={$errors.inletPressure}
				/>
				<Field name="starts" label="Starts since the last rebuild" bind:value={$form.starts} errors={$errors.starts} />
			</fieldset>
		</div>
		{#if model}
			<fieldset
				class="sheet col-span-full grid min-w-0 gap-[0.7rem] p-[0.8rem] grid-cols-[repeat(auto-fill,minmax(16rem,1fr))] items-start"
			>
				<legend class="group-head mb-[0.2rem]">Place and tools</legend>
				<Field
					name="workplace"
					label="Place of work"
					bind:value={$form.workplace}
					errors={$errors.workplace}
					options={[
						['bench', 'on the bench'],
						['machine', 'on the machine']
					]}
				/>
				<Field
					name="connections"
					label="Connections (where each hose and pipe went)"
					hint="Bypass to the tank, upper port …"
					bind:value={() => $form.connections ?? '', (text) => ($form.connections = text)}
					errors={$errors.connections}
				/>
				<ToolsAtHand
					{model}
					scope={$form.scope ?? ''}
					bind:said={() => $form.tools ?? '{}', (said) => ($form.tools = said)}
					problem={$errors.tools?.[0]}
				/>
				{#each heavy as { name, massKg } (name)}
					<CautionNote
						caution={{
							hazard: 'weight',
							text: `${name}: ${massKg} kg. More than ${data.liftAloneKg} kg, the limit of your shop for one person. Use a second person or a hoist.`
						}}
					/>
				{/each}
			</fieldset>
		{/if}
		<p
			class="sticky bottom-0 col-span-full grid justify-items-end bg-linear-to-b from-transparent to-paper to-30% py-2"
		>
			<button class="btn main">Receive pump</button>
		</p>
	</Fields>
</form>
{#if wall}
	<LayoutWall
		models={data.models}
		onchoose={(chosen) => {
			$form.model = chosen;
			wall = false;
		}}
		onclose={() => (wall = false)}
	/>
{/if}

<style>
	.reason {
		display: flex;
		align-items: center;
		gap: 8px;
		min-height: 44px;
		padding: 0 10px;
		border: 1px solid var(--line);
		border-radius: 3px;
		font-size: 0.9rem;
		line-height: 1.15;
		cursor: pointer;
	}
	.reason:has(:checked) {
		border-color: var(--mark);
		background: color-mix(in oklab, var(--mark) 12%, transparent);
		font-weight: 600;
	}
	.step {
		display: inline-grid;
		place-items: center;
		width: 1.6em;
		height: 1.6em;
		margin-right: 0.2em;
		border-radius: 50%;
		background: var(--mark);
		color: var(--paper);
		font-size: 0.9em;
	}
</style>
