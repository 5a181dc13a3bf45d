<!-- @component One pump: its rebuilds, and the lives of the parts at each of its places. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import Field from '$lib/ui/Field.svelte';
	import LifeLines from '$lib/pump/LifeLines.svelte';
	import { day } from '$lib/format/time';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { form, errors, enhance, message } = keptForm(untrack(() => data.form));
	const sites = $derived([['', 'Not known'] as const, ...data.sites.map(({ id, name }) => [id, name] as const)]);
	const { pump, rebuilds } = $derived(data);
	const duty = $derived(
		[
			pump.duty.liquid,
			pump.duty.pressureMPa !== undefined && format.quantity(pump.duty.pressureMPa, format.units.pressure),
			pump.duty.temperatureC !== undefined && format.quantity(pump.duty.temperatureC, format.units.temperature),
			pump.duty.speedRpm !== undefined && `${format.number(pump.duty.speedRpm)} rpm`,
			pump.duty.inlet
		]
			.filter(Boolean)
			.join(', ')
	);
	const open = $derived(rebuilds.find(({ releasedAt }) => !releasedAt));
</script>

<svelte:head><title>{pump.serial} · Exetasis</title></svelte:head>
<div class="flex items-center gap-[0.8rem] mb-2.5">
	<div class="flex-1">
		<h1>{pump.serial}</h1>
		<p class="soft text-[0.85rem]">
			{pump.model} · {pump.tag ?? ''}{pump.site ? `, ${pump.site}` : ''}{duty ? ` · ${duty}` : ''}
		</p>
	</div>
	<a class="btn" href="/trace/pumps/{pump.id}">Trace recurring problems</a>
	{#if open}<a class="btn main" href="/jobs/{open.id}">Open job</a>{/if}
</div>
<div class="columns grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-[24px] max-[900px]:grid-cols-[1fr]">
	<section>
		<h2>Part lives</h2>
		{#if data.sheet}<LifeLines sheet={data.sheet} lives={data.lives} hoursNow={rebuilds[0]?.pumpHours ?? 0} />{/if}
	</section>
	<section>
		<h2>Rebuilds</h2>
		<Wide label="Rebuilds">
			<table class="table">
				<thead
					><tr
						><th>In</th><th class="number">Hours</th><th>Complaint</th><th class="number">Findings</th><th
							class="number">Replaced</th
						></tr
					></thead
				>
				<tbody>
					{#each rebuilds as rebuild (rebuild.id)}
						<tr>
							<td><a class="row" href="/jobs/{rebuild.id}/inspect">{day(rebuild.receivedAt)}</a></td>
							<td class="number">{format.number(rebuild.pumpHours)}</td>
							<td
								>{rebuild.complaint}<br /><span class="soft text-[0.85rem]"
									>{rebuild.scopeName}{rebuild.releasedAt ? '' : ', open'}</span
								></td
							>
							<td class="number">{rebuild.findings}</td>
							<td class="number">{rebuild.replaced}</td>
						</tr>
					{:else}<tr><td colspan="5" class="soft text-[0.85rem]">No rebuilds yet.</td></tr>{/each}
				</tbody>
			</table>
		</Wide>
		<h2 class="mt-4">Site</h2>
		<ul>
			<li><b>{pump.site ?? 'Site not known'}</b>{pump.tag ? `, ${pump.tag}` : ''}, now</li>
			{#each data.places as place (place.until)}
				<li class="soft text-[0.85rem]">
					{place.site ?? 'Site not known'}{place.tag ? `, ${place.tag}` : ''}, until {day(place.until)}
				</li>
			{/each}
		</ul>
		{#if data.mayWork}
			<details class="mt-2">
				<summary class="btn">Change site</summary>
				<form method="post" use:enhance class="mt-2 grid gap-3">
					<Field name="site" label="Site" bind:value={$form.site} errors={$errors.site} options={sites} />
					<Field name="tag" label="Name on site" bind:value={$form.tag} errors={$errors.tag} />
					<div><button class="btn main">Move pump</button></div>
				</form>
			</details>
			{#if $message}<p role="status">{$message}</p>{/if}
		{/if}
	</section>
</div>
