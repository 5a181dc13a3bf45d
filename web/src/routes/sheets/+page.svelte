<script lang="ts">
	import { untrack } from 'svelte';
	import { keptForm } from '$lib/forms/kept';
	import type { SheetFaults } from '$lib/forms/sheet';
	import FileField from '$lib/ui/FileField.svelte';
	import SheetEditor from '$lib/sheet/SheetEditor.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { layoutName } from '$lib/words/layout';

	let { data } = $props();
	const { form, enhance, message } = keptForm<{ text: string }, SheetFaults>(untrack(() => data.form));
	type Listed = (typeof data.sheets)[number];
	const columns: readonly Column<Listed>[] = [
		{ key: 'model', head: 'Model', of: ({ model }) => model, to: ({ id }) => `/sheets/${id}` },
		{ key: 'layout', head: 'Layout', of: ({ layout }) => layoutName(layout) },
		{ key: 'revision', head: 'Revision', number: true, of: ({ revision }) => revision },
		{ key: 'pumps', head: 'Pumps', number: true, of: ({ pumps }) => pumps }
	];
	import Fields from '$lib/ui/Fields.svelte';
</script>

<svelte:head><title>Model sheets · Exetasis</title></svelte:head>
<h1>Model sheets</h1>
<p class="soft mb-2">
	A model sheet describes a pump model: parts, sizes, discard limits, steps and cautions. The format is open (JSON). A
	job keeps the revision it started with.
</p>
<DataTable
	label="Model sheets"
	rows={data.sheets}
	{columns}
	empty="No model sheets yet. Import the first one below. A pump can be received only if its model has a sheet."
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
