<script lang="ts">
	import { formatNumber } from '@exetasis/core/quantity';
	import { day } from '$lib/ui/time';
	import FindForm from '$lib/ui/FindForm.svelte';

	let { data } = $props();
	const address = (page: number) => `/pumps?${new URLSearchParams({ find: data.find, page: String(page) })}`;
</script>

<svelte:head><title>Pumps · Exetasis</title></svelte:head>
<div class="mb-2 flex items-end justify-between gap-4">
	<h1>Pumps</h1>
	<FindForm label="Find a pump" placeholder="Serial, name, site or model" find={data.find} />
</div>
<table class="list sheet">
	<thead
		><tr
			><th>Serial</th><th>Where it runs</th><th>Model</th><th class="number">Rebuilds</th><th class="number">Hours</th
			><th>Last in</th></tr
		></thead
	>
	<tbody>
		{#each data.pumps as pump (pump.id)}
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
					>{data.find === '' ? 'No pump yet: receive one from the floor.' : 'No pump matches.'}</td
				></tr
			>{/each}
	</tbody>
</table>
{#if data.pages > 1}
	<nav class="mt-2 flex items-center gap-3" aria-label="Pages">
		{#if data.page > 0}<a class="press" href={address(data.page)}>Earlier</a>{/if}
		<span class="figures">{data.page + 1} of {data.pages}</span>
		<span class="soft">{data.of} pumps</span>
		{#if data.page + 1 < data.pages}<a class="press" href={address(data.page + 2)}>Later</a>{/if}
	</nav>
{/if}
