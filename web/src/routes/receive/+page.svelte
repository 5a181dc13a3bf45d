<!-- @component Receive: which pump, what it came in for, its hours and its duty. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { formatNumber, unitLabel } from '@exetasis/core/quantity';
	import { scopes } from '@exetasis/core/record';
	import { day } from '$lib/ui/time';
	import { scopeName } from '$lib/words/scope';

	import { layoutName } from '$lib/words/layout';
	let { data, form } = $props();

	const typed = $derived((form?.typed ?? {}) as Record<string, string>);
	const problem = (field: string) => (form?.problems as Record<string, string> | undefined)?.[field];
	// Undefined at first: what was chosen before the page came to life is then taken over, not lost.
	let pump = $state<string | undefined>(untrack(() => form?.typed.pump));
	const known = $derived(data.pumps.find(({ id }) => id === pump));
</script>

{#snippet wrong(field: string)}
	{#if problem(field)}<p class="wrong" id="{field}-problem">{problem(field)}</p>{/if}
{/snippet}
{#snippet input(name: string, label: string, hint = '')}
	<div class="field">
		<label for={name}>{label}</label>
		<input
			id={name}
			{name}
			defaultValue={typed[name] ?? ''}
			placeholder={hint}
			autocomplete="off"
			aria-invalid={problem(name) !== undefined}
			aria-describedby={problem(name) ? `${name}-problem` : undefined}
		/>
		{@render wrong(name)}
	</div>
{/snippet}

<svelte:head><title>Receive a pump · Exetasis</title></svelte:head>
<h1>Receive a pump</h1>
<form
	method="post"
	use:enhance={() =>
		async ({ update }) =>
			update({ reset: false })}
>
	<fieldset class="sheet">
		<legend>Pump</legend>
		<div class="field">
			<label for="pump">Which pump</label>
			<select id="pump" name="pump" bind:value={pump} aria-invalid={problem('pump') !== undefined}>
				<option value="">Choose</option>
				<option value="new">A pump we do not know yet</option>
				{#each data.pumps as one (one.id)}<option value={one.id}
						>{one.serial}{one.tag ? `, ${one.tag}` : ''}{one.site ? ` (${one.site})` : ''}</option
					>{/each}
			</select>
			{@render wrong('pump')}
			{#if form && 'openJob' in form}<p><a class="press" href="/jobs/{form.openJob}">Go to its open job</a></p>{/if}
			{#if known}
				<p class="soft">
					{known.model}; {known.rebuilds} rebuilds on record{known.lastReceived
						? `, last in ${day(known.lastReceived)} at ${formatNumber(known.meterHours ?? 0)} h on the meter`
						: ''}.
				</p>
			{/if}
		</div>
		{#if pump === 'new'}
			{@render input('serial', 'Serial number')}
			<div class="field">
				<label for="model">Model</label>
				<select id="model" name="model" aria-invalid={problem('model') !== undefined}>
					{#each data.sheets as { model, layout } (model)}<option value={model} selected={model === typed.model}
							>{model}: {layoutName(layout)}</option
						>{/each}
				</select>
				{@render wrong('model')}
			</div>
			<div class="field">
				<label for="site">Where it runs</label>
				<select id="site" name="site">
					<option value="">Not known</option>
					{#each data.sites as { id, name } (id)}<option value={id} selected={id === typed.site}>{name}</option>{/each}
				</select>
			</div>
			{@render input('tag', 'Its name there', 'Port set')}
		{/if}
	</fieldset>
	<fieldset class="sheet">
		<legend>Why and how far</legend>
		{@render input('complaint', 'Complaint', 'Water leak, weak or pulsing pressure, noise, planned …')}
		{@render input(
			'hours',
			'Hours on its meter',
			known?.meterHours ? `last time ${formatNumber(known.meterHours)}` : '4210'
		)}
		{#if form && 'meterWentBack' in form}
			{@render input('oldMeterHours', 'Meter replaced: hours on the old one since last time', '0 if nobody knows')}
		{/if}
		<div class="field">
			<label for="scope">Work to do</label>
			<select id="scope" name="scope">
				{#each scopes as scope (scope)}<option value={scope} selected={scope === (typed.scope ?? 'full')}
						>{scopeName[scope]}</option
					>{/each}
			</select>
		</div>
	</fieldset>
	<fieldset class="sheet">
		<legend>Duty <span class="soft">as far as known</span></legend>
		{@render input('liquid', 'Liquid', 'Seawater')}
		{@render input('temperature', `Temperature, ${unitLabel(data.units.temperature)}`)}
		{@render input('pressure', `Pressure, ${unitLabel(data.units.pressure)}`)}
		{@render input('speed', 'Speed, rpm')}
		{@render input('inlet', 'Inlet supply', 'Flooded, suction lift, filter …')}
	</fieldset>
	<p class="last"><button class="press main">Receive and lay out the mat</button></p>
</form>

<style>
	form {
		display: grid;
		grid-template-columns: 1fr 1fr 1fr;
		gap: 12px;
		margin-top: 8px;
		align-items: start;
	}
	fieldset {
		padding: 0.8rem;
		display: grid;
		gap: 0.7rem;
	}
	.last {
		grid-column: 1 / -1;
		justify-self: end;
	}
	legend {
		font-weight: 650;
		float: left;
		margin-bottom: 0.2rem;
	}
	@media (max-width: 900px) {
		form {
			grid-template-columns: 1fr;
		}
	}
</style>
