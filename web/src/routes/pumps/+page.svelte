<script lang="ts">
	import { goto } from '$app/navigation';
	import { Pagination } from '@skeletonlabs/skeleton-svelte';
	import { day } from '$lib/format/time';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import StackOf from '$lib/glyph/StackOf.svelte';
	import { tellingParts } from '$lib/glyph/stack';
	import Stacks from '$lib/glyph/Stacks.svelte';
	import FindForm from '$lib/ui/FindForm.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	type Pump = (typeof data.pumps)[number];
	const columns: readonly Column<Pump>[] = $derived([
		{ key: 'serial', head: 'Serial', of: ({ serial }) => serial, to: ({ id }) => `/pumps/${id}` },
		{ key: 'tag', head: 'Name on site', of: ({ tag }) => tag },
		{ key: 'site', head: 'Site', of: ({ site }) => site },
		{ key: 'model', head: 'Model', of: ({ model }) => model, cell: drawn },
		{ key: 'rebuilds', wideOnly: true, head: 'Rebuilds', number: true, of: ({ rebuilds }) => rebuilds },
		{
			key: 'hours',
			head: 'Hours',
			number: true,
			of: ({ pumpHours }) => pumpHours,
			says: ({ pumpHours }) => (pumpHours === null ? '–' : format.number(pumpHours))
		},
		{
			key: 'due',
			head: 'Next service, about',
			of: ({ due, here }) => (here ? undefined : due),
			says: ({ due, dueAssumed, here }) =>
				here
					? 'in the shop'
					: due
						? `${day(due)}${dueAssumed ? ', assumed' : ''}${due.getTime() < Date.now() ? ', due' : ''}`
						: 'not known',
			wrong: ({ due }) => due !== null && due.getTime() < Date.now()
		},
		{
			key: 'last',
			brief: true,
			head: 'Last received',
			of: ({ lastReceived }) => lastReceived,
			says: ({ lastReceived }) => (lastReceived ? day(lastReceived) : 'never')
		}
	]);
	const told = $derived(
		Object.fromEntries(Object.entries(data.stacks).map(([model, stack]) => [model, tellingParts(stack)]))
	);
	const address = (page: number) => `/pumps?${new URLSearchParams({ find: data.find, page: String(page) })}`;
</script>

{#snippet drawn({ model }: Pump)}
	<span>{model}</span>
	<StackOf {model} parts={told[model]?.length ?? 0} />
{/snippet}

<svelte:head><title>Pumps · Exetasis</title></svelte:head>
<div class="mb-2 flex items-end justify-between gap-4">
	<h1>Pumps</h1>
	<FindForm label="Find a pump" placeholder="Serial, name, site or model" find={data.find} />
</div>
<p class="soft mb-2">
	The next to come in stand first: the service interval of the shop, at the hours a day that each pump ran between its
	rebuilds. Where a pump was in once only, 8 h a day are assumed.
</p>
<Stacks stacks={told} />
<DataTable
	label="Pumps"
	rows={data.pumps}
	{columns}
	served={data.pages > 1}
	empty={data.find === '' ? 'No pumps yet. Receive one on Floor.' : 'No pump matches.'}
/>
{#if data.pages > 1}
	<div class="mt-2 flex items-center gap-3">
		<Pagination
			count={data.of}
			pageSize={data.pageSize}
			page={data.page + 1}
			onPageChange={({ page }) => void goto(address(page))}
			aria-label="Pages"
			class="flex items-center gap-1"
		>
			<Pagination.PrevTrigger class="btn">Previous</Pagination.PrevTrigger>
			<Pagination.Context>
				{#snippet children(pagination)}
					{#each pagination().pages as page, index (index)}
						{#if page.type === 'page'}
							<Pagination.Item {...page} class="btn figures">{page.value}</Pagination.Item>
						{:else}
							<Pagination.Ellipsis {index}>…</Pagination.Ellipsis>
						{/if}
					{/each}
				{/snippet}
			</Pagination.Context>
			<Pagination.NextTrigger class="btn">Next</Pagination.NextTrigger>
		</Pagination>
		<span class="soft">{data.of} pumps</span>
	</div>
{/if}
