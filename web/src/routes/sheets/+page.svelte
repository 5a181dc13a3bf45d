<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import type { SheetFaults } from '$lib/forms/sheet';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import FileField from '$lib/ui/FileField.svelte';
	import SheetEditor from '$lib/sheet/SheetEditor.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { layoutName } from '$lib/words/layout';

	let { data } = $props();
	const { form, enhance, message } = keptForm<{ text: string }, SheetFaults>(untrack(() => data.form));
	type Listed = (typeof data.sheets)[number];
	const columns: readonly Column<Listed>[] = $derived([
		{ key: 'model', head: 'Model', of: ({ model }) => model, to: ({ id }) => `/sheets/${id}` },
		{ key: 'layout', head: 'Layout', of: ({ layout }) => layoutName(layout), cell: drawn, width: '60%' },
		{ key: 'revision', head: 'Revision', number: true, of: ({ revision }) => revision },
		{ key: 'pumps', head: 'Pumps', number: true, of: ({ pumps }) => pumps }
	]);
	type Drafted = (typeof data.drafts)[number];
	const draftColumns: readonly Column<Drafted>[] = [
		{ key: 'model', head: 'Draft', of: ({ model }) => model, to: ({ id }) => `/sheets/drafts/${id}` },
		{ key: 'revision', head: 'Revision', number: true, of: ({ revision }) => revision },
		{ key: 'parts', head: 'Parts', number: true, of: ({ parts }) => parts },
		{ key: 'by', head: 'Changed by', of: ({ changedBy }) => changedBy }
	];
</script>

{#snippet drawn({ layout, stack }: Listed)}
	<span>{layoutName(layout)}</span>
	<span class="flex flex-wrap" aria-hidden="true"
		>{#each stack as { type, face }, i (i)}<Glyph {type} {face} size={22} />{/each}</span
	>
{/snippet}

<svelte:head><title>Model sheets · Exetasis</title></svelte:head>
<h1>Model sheets</h1>
<p class="soft mb-2">
	A model sheet describes a pump model: parts, sizes, discard limits, steps and cautions. The format is open (JSON). A
	job keeps the revision it started with.
</p>
{#if data.mayWork}<p class="mb-3"><a class="btn main" href="/sheets/new">New model sheet</a></p>{/if}
{#if data.drafts.length > 0}
	<h2>Drafts</h2>
	<DataTable label="Drafts" rows={data.drafts} columns={draftColumns} empty="No drafts." />
	<h2 class="mt-4">Sheets in use</h2>
{/if}
<DataTable
	label="Model sheets"
	rows={data.sheets}
	{columns}
	empty="No model sheets yet. A pump can be received only if its model has a sheet."
/>
{#if data.mayManage}
	<h2 class="mt-6">Import model sheet</h2>
	<form method="post" enctype="multipart/form-data" use:enhance class="mt-2 grid gap-3">
		<Fields>
			<FileField name="file" label="File" accept=".json,application/json" />
			<SheetEditor label="Or paste its text" name="text" bind:text={$form.text} />
			{#if $message}
				<div role="alert">
					<p class="wrong">
						{$message.faults.length + $message.more === 1
							? 'There is 1 problem'
							: `There are ${$message.faults.length + $message.more} problems`} in this sheet{$message.more > 0
							? `, the first ${$message.faults.length} of them below`
							: ''}. Nothing was imported.
					</p>
					<table class="table">
						<thead><tr><th class="number">Line</th><th>Path</th><th>Problem</th></tr></thead>
						<tbody
							>{#each $message.faults as fault, index (index)}<tr
									><td class="number">{fault.line}</td><td class="figures">{fault.path}</td><td>{fault.message}</td></tr
								>{/each}</tbody
						>
					</table>
				</div>
			{/if}
			<div><button class="btn main">Import model sheet</button></div>
		</Fields>
	</form>
{:else}
	<p class="soft mt-4">A lead can import model sheets.</p>
{/if}
