<!-- @component A file of a form: dropped here or chosen. -->
<script lang="ts">
	import FileUp from '@lucide/svelte/icons/file-up';
	import { FileUpload } from '@skeletonlabs/skeleton-svelte';
	import { fileSentence } from '$lib/words/files';

	interface Props {
		name: string;
		label: string;
		/** What can be chosen: endings and media types. */
		accept: string;
		/** Called with each file that is chosen, also with the same one again. */
		onfile?: (file: File) => void;
	}
	let { name, label, accept, onfile }: Props = $props();
	let given = $state.raw<File>();
	function give([file]: readonly File[]) {
		if (!onfile || !file) return;
		given = file;
		onfile(file);
	}
</script>

<FileUpload
	{name}
	{accept}
	maxFiles={1}
	class="label"
	acceptedFiles={onfile && []}
	onFileAccept={({ files }) => give(files)}
>
	<FileUpload.Label>{label}</FileUpload.Label>
	<FileUpload.Dropzone class="dropzone">
		<FileUp size={20} aria-hidden="true" />
		<FileUpload.Context>
			{#snippet children(upload)}
				{@const file = given ?? upload().acceptedFiles.at(0)}
				{#if file}<b>{file.name}</b>{:else}<span>Choose a file or drop it here</span>{/if}
			{/snippet}
		</FileUpload.Context>
	</FileUpload.Dropzone>
	<FileUpload.HiddenInput aria-label={label} />
	<FileUpload.Context>
		{#snippet children(upload)}
			{@const problem = upload()
				.rejectedFiles.map(({ file, errors }) => fileSentence(file.name, errors, accept))
				.find(Boolean)}
			{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
		{/snippet}
	</FileUpload.Context>
</FileUpload>

<style>
	:global(.dropzone.dropzone) {
		display: flex;
		flex-direction: row;
		justify-content: flex-start;
		align-items: center;
		gap: 0.8rem;
		min-height: 52px;
		padding: 6px 12px;
		cursor: pointer;
		border: 1.5px dashed var(--ink-soft);
	}
	:global(.dropzone[data-dragging]) {
		border-color: var(--mark);
	}
</style>
