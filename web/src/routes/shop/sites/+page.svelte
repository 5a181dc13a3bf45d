<!-- @component The sites where the shop's pumps run; a lead adds and renames them. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import Field from '$lib/ui/Field.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';

	let { data } = $props();
	const { form, errors, enhance, message } = keptForm(
		untrack(() => data.form),
		{ resetForm: true }
	);
	type Site = (typeof data.sites)[number];
	const columns: readonly Column<Site>[] = [
		{ key: 'name', head: 'Site', of: ({ name }) => name },
		{
			key: 'pumps',
			head: 'Pumps',
			number: true,
			of: ({ pumps }) => pumps,
			to: ({ name }) => `/pumps?${new URLSearchParams({ find: name })}`
		}
	];
	const renamed = $derived(data.sites.find(({ id }) => id === $form.id));
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>Sites · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
{#snippet rename(site: Site)}
	<button
		type="button"
		class="btn"
		onclick={() => ($form = { id: site.id, name: site.name })}
		aria-label="Rename: {site.name}">Rename</button
	>
{/snippet}
<DataTable
	label="Sites"
	rows={data.sites}
	{columns}
	empty="No sites yet. Add the first one to find pumps by site."
	acts={data.mayManage ? rename : undefined}
/>
{#if data.mayManage}
	<form method="post" use:enhance class="sheet mt-4 grid max-w-xl gap-3 p-4">
		<Fields>
			<h2>{renamed ? `Rename ${renamed.name}` : 'Add site'}</h2>
			<input type="hidden" name="id" value={$form.id} />
			<Field name="name" label="Name" bind:value={$form.name} errors={$errors.name} />
			<div class="flex gap-2">
				<button class="btn main">{renamed ? 'Rename site' : 'Add site'}</button>
				{#if renamed}<button type="button" class="btn" onclick={() => ($form = { id: '', name: '' })}>Cancel</button
					>{/if}
			</div>
			{#if $message}<p role="status">{$message}</p>{/if}
		</Fields>
	</form>
{/if}
