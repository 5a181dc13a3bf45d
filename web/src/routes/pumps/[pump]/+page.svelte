<!-- @component One pump: its rebuilds, and the lives of the parts at each of its places. -->
<script lang="ts">
	import { formatNumber, formatQuantity } from '@exetasis/core/quantity';
	import LifeLines from '$lib/pump/LifeLines.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { day } from '$lib/ui/time';
	import { scopeName } from '$lib/words/scope';

	let { data } = $props();
	const units = unitsInUse();
	const { pump, rebuilds } = $derived(data);
	const duty = $derived(
		[
			pump.duty.liquid,
			pump.duty.pressureMPa !== undefined && formatQuantity(pump.duty.pressureMPa, units().pressure),
			pump.duty.temperatureC !== undefined && formatQuantity(pump.duty.temperatureC, units().temperature),
			pump.duty.speedRpm !== undefined && `${formatNumber(pump.duty.speedRpm)} rpm`,
			pump.duty.inlet
		]
			.filter(Boolean)
			.join(', ')
	);
	const open = $derived(rebuilds.find(({ releasedAt }) => !releasedAt));
</script>

<svelte:head><title>{pump.serial} · Exetasis</title></svelte:head>
<div class="head">
	<div>
		<h1>{pump.serial}</h1>
		<p class="soft">{pump.model} · {pump.tag ?? ''}{pump.site ? `, ${pump.site}` : ''}{duty ? ` · ${duty}` : ''}</p>
	</div>
	<a class="press" href="/trace?pump={pump.id}">What recurs here</a>
	{#if open}<a class="press main" href="/jobs/{open.id}">Open job</a>{/if}
</div>
<div class="columns">
	<section>
		<h2>Part lives</h2>
		{#if data.sheet}<LifeLines sheet={data.sheet} lives={data.lives} hoursNow={rebuilds[0]?.pumpHours ?? 0} />{/if}
	</section>
	<section>
		<h2>Rebuilds</h2>
		<table class="list">
			<thead
				><tr
					><th>In</th><th class="number">Hours</th><th>Complaint</th><th class="number">Findings</th><th class="number"
						>Replaced</th
					></tr
				></thead
			>
			<tbody>
				{#each rebuilds as rebuild (rebuild.id)}
					<tr>
						<td><a class="row" href="/jobs/{rebuild.id}/inspect">{day(rebuild.receivedAt)}</a></td>
						<td class="number">{formatNumber(rebuild.pumpHours)}</td>
						<td
							>{rebuild.complaint}<br /><span class="soft"
								>{scopeName[rebuild.scope]}{rebuild.releasedAt ? '' : ', open'}</span
							></td
						>
						<td class="number">{rebuild.findings}</td>
						<td class="number">{rebuild.replaced}</td>
					</tr>
				{:else}<tr><td colspan="5" class="soft">Not yet in the shop.</td></tr>{/each}
			</tbody>
		</table>
	</section>
</div>

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 0.8rem;
		margin-bottom: 10px;
	}
	.head div {
		flex: 1;
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
		gap: 24px;
	}
	.soft {
		font-size: 0.85rem;
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: 1fr;
		}
	}
</style>
