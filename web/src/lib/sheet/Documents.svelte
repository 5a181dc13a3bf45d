<!-- @component The shop's own documents on a model; a lead attaches them to the sheet, a step or a part, and takes them away. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import type { SuperValidated } from 'sveltekit-superforms';
	import type { ModelSheet } from '@exetasis/core/record';
	import type { DocumentListing } from '@exetasis/server/documents/documents';
	import { keptForm } from '$lib/forms/kept';
	import DocumentLinks from '$lib/ui/DocumentLinks.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fields from '$lib/ui/Fields.svelte';
	import FileField from '$lib/ui/FileField.svelte';

	interface Props {
		sheet: ModelSheet;
		documents: readonly DocumentListing[];
		form: SuperValidated<{ at: string; name: string; file: string }>;
		mayManage: boolean;
	}
	let { sheet, documents, form, mayManage }: Props = $props();
	const {
		form: typed,
		errors,
		enhance: attach,
		message,
		submitting
	} = keptForm(
		untrack(() => form),
		{ resetForm: true }
	);
	function subjectOf({ about, key }: DocumentListing): string {
		if (about === 'sheet') return 'The sheet';
		const found =
			about === 'step'
				? sheet.steps.find((step) => step.key === key)?.text
				: sheet.stations.find((station) => station.key === key)?.name;
		return found ?? 'Not in this revision';
	}
</script>

{#if documents.length > 0}
	<table class="table" aria-label="Documents">
		<thead
			><tr
				><th>Document</th><th>Shown at</th>{#if mayManage}<th><span class="sr-only">Delete</span></th>{/if}</tr
			></thead
		>
		<tbody>
			{#each documents as document (document.id)}
				<tr>
					<td><DocumentLinks documents={[document]} /></td>
					<td>{subjectOf(document)}</td>
					{#if mayManage}<td>
							<form class="max-w-160" method="post" action="?/detach" use:enhance>
								<input type="hidden" name="document" value={document.id} />
								<button class="btn" aria-label="Delete: {document.name}">Delete</button>
							</form>
						</td>{/if}
				</tr>
			{/each}
		</tbody>
	</table>
{:else}<p class="soft">No documents yet. A drawing attached to a step is shown at that step.</p>{/if}
{#if mayManage}
	<form method="post" action="?/attach" enctype="multipart/form-data" use:attach class="mt-3 grid gap-3 max-w-160">
		<Fields>
			{#key documents.length}<FileField name="file" label="PDF, PNG or JPEG" accept=".pdf,.png,.jpg,.jpeg" />{/key}
			<Field name="name" label="Title" bind:value={$typed.name} errors={$errors.name} />
			<label class="label"
				>Shown at
				<select class="select max-w-136" name="at" bind:value={$typed.at}>
					<option value="sheet">the sheet as a whole</option>
					<optgroup label="Steps">
						{#each sheet.steps as { key, text } (key)}<option value="step/{key}">{text}</option>{/each}
					</optgroup>
					<optgroup label="Parts">
						{#each sheet.stations as { key, name } (key)}<option value="station/{key}">{name}</option>{/each}
					</optgroup>
				</select></label
			>
			{#if $errors.file}<p class="wrong" role="alert">{$errors.file[0]}</p>{/if}
			{#if $message}<p role="status">{$message}</p>{/if}
			<div><button class="btn main" disabled={$submitting}>Attach</button></div>
		</Fields>
	</form>
{/if}
