<!-- @component The shop's own drawers, model by model: what lies there, and how much is always to be there. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { keptForm } from '$lib/forms/kept';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import ShopNav from '$lib/ui/ShopNav.svelte';

	let { data } = $props();
	const { form, errors, enhance, message } = keptForm(untrack(() => data.form));
	type Line = (typeof data.lines)[number];
	const columns: readonly Column<Line>[] = [
		{ key: 'name', head: 'Part', of: ({ name }) => name },
		{ key: 'pieces', head: 'In stock', number: true, of: ({ pieces }) => pieces },
		{ key: 'floor', head: 'Keep', number: true, of: ({ floor }) => floor },
		{ key: 'short', head: '', of: ({ pieces, floor }) => (pieces < floor ? `order ${floor - pieces}` : '') }
	];
	const chosen = $derived(data.lines.find(({ station }) => station === $form.station && $form.model === data.model));
	const choose = ({ station, pieces, floor }: Line) =>
		($form = { model: data.model!, station, pieces: String(pieces), floor: String(floor) });
</script>

<svelte:head><title>Stock · Exetasis</title></svelte:head>
<h1>{data.shop?.name}</h1>
<ShopNav />
{#if data.model === undefined}<p>No model sheet yet. Stock is kept by the parts of a model.</p>{:else}
	<div class="mb-2 flex flex-wrap items-center gap-2">
		<label for="model">Model</label>
		<select
			id="model"
			class="select w-auto"
			value={data.model}
			onchange={(event) => goto(`/shop/stock?${new URLSearchParams({ model: event.currentTarget.value })}`)}
		>
			{#each data.models as model (model)}<option>{model}</option>{/each}
		</select>
	</div>
	{#snippet change(line: Line)}
		<Fields
			><button type="button" class="btn" onclick={() => choose(line)} aria-label="Change: {line.name}">Change</button
			></Fields
		>
	{/snippet}
	{#if chosen && data.mayWork}
		<form method="post" use:enhance class="sheet mb-4 grid max-w-xl gap-3 p-4">
			<Fields>
				<h2>{chosen.name}</h2>
				<input type="hidden" name="model" value={$form.model} />
				<input type="hidden" name="station" value={$form.station} />
				<Field name="pieces" label="In stock" bind:value={$form.pieces} errors={$errors.pieces} />
				<Field name="floor" label="Keep at least" bind:value={$form.floor} errors={$errors.floor} />
				<div><button class="btn main">Save</button></div>
			</Fields>
		</form>
	{/if}
	{#if $message}<p role="status">{$message}</p>{/if}
	<DataTable
		label="Stock"
		rows={data.lines}
		{columns}
		empty="This model has no parts."
		acts={data.mayWork ? change : undefined}
	/>
{/if}
