<script lang="ts">
	import { formatNumber } from '@exetasis/core/quantity';
	import { day } from '$lib/ui/time';

	let { data } = $props();
	let search = $state('');
	const shown = $derived(
		data.pumps.filter(({ serial, tag, site }) =>
			`${serial} ${tag ?? ''} ${site ?? ''}`.toLowerCase().includes(search.trim().toLowerCase())
		)
	);
</script>

<svelte:head><title>Pumps · Exetasis</title></svelte:head>
<div class="mb-2 flex items-end justify-between gap-4">
	<h1>Pumps</h1>
	<label class="field w-72"
		><span class="sr-only">Find a pump</span><input
			type="search"
			placeholder="Serial, name or site"
			bind:value={search}
		/></label
	>
</div>
<table class="list sheet">
	<thead
		><tr
			><th>Serial</th><th>Where it runs</th><th>Model</th><th class="number">Rebuilds</th><th class="number">Hours</th
			><th>Last in</th></tr
		></thead
	>
	<tbody>
		{#each shown as pump (pump.id)}
			<tr>
				<td><a class="row" href="/pumps/{pump.id}">{pump.serial}</a></td>
				<td>{pump.tag ?? ''}{pump.site ? `, ${pump.site}` : ''}</td>
				<td>{pump.model}</td>
				<td class="number">{pump.rebuilds}</td>
				<td class="number">{pump.pumpHours === null ? '–' : formatNumber(pump.pumpHours)}</td>
				<td>{pump.lastReceived ? day(pump.lastReceived) : 'never'}</td>
			</tr>
		{:else}<tr
				><td colspan="6" class="soft"
					>{data.pumps.length === 0 ? 'No pump yet: receive one from the floor.' : 'No pump matches.'}</td
				></tr
			>{/each}
	</tbody>
</table>
