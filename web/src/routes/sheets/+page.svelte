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
	Everything that is known of a pump model: its stack, sizes and discard limits, steps and cautions. An open JSON
	format; a job keeps the revision it began with.
</p>
<DataTable
	label="Model sheets"
	rows={data.sheets}
	{columns}
	empty="No sheet yet: take the first one in below. A pump can only be received once its model has one."
/>
{#if data.mayManage}
	<h2 class="mt-6">Take a sheet in, or its next revision</h2>
	<form method="post" enctype="multipart/form-data" use:enhance class="mt-2 grid gap-3">
		<Fields>
			<FileField name="file" label="File" accept=".json,application/json" />
			<SheetEditor label="or its text" name="text" bind:text={$form.text} />
			{#if $message}
				<div role="alert">
					<p class="wrong">
						{$message.faults.length + $message.more === 1
							? 'One thing is'
							: `${$message.faults.length + $message.more} things are`} wrong with this sheet{$message.more > 0
							? `, the first ${$message.faults.length} of them below`
							: ''}; nothing was taken in.
					</p>
					<table class="table">
						<thead><tr><th class="number">Line</th><th>Path</th><th>What is wrong</th></tr></thead>
						<tbody
							>{#each $message.faults as fault, index (index)}<tr
									><td class="number">{fault.line}</td><td class="figures">{fault.path}</td><td>{fault.message}</td></tr
								>{/each}</tbody
						>
					</table>
				</div>
			{/if}
			<div><button class="btn main">Check and take in</button></div>
		</Fields>
	</form>
{:else}
	<p class="soft mt-4">A lead can take sheets in.</p>
{/if}
