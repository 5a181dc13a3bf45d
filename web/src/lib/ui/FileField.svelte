<!-- @component A file of a form: dropped here or chosen. -->
<script lang="ts">
	import FileUp from '@lucide/svelte/icons/file-up';
	import { FileUpload } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		name: string;
		label: string;
		/** What can be chosen: endings and media types. */
		accept: string;
		/** Called with each file that is chosen. */
		onfile?: (file: File) => void;
	}
	let { name, label, accept, onfile }: Props = $props();
</script>

<FileUpload
	{name}
	{accept}
	maxFiles={1}
	class="label"
	onFileAccept={({ files }) => files.length > 0 && onfile?.(files[0])}
>
	<FileUpload.Label>{label}</FileUpload.Label>
	<FileUpload.Dropzone class="dropzone">
		<FileUp size={20} aria-hidden="true" />
		<FileUpload.Context>
			{#snippet children(upload)}
				{#each upload().acceptedFiles as file (file.name)}<b>{file.name}</b>{:else}<span
						>Choose a file or drop it here</span
					>{/each}
			{/snippet}
		</FileUpload.Context>
	</FileUpload.Dropzone>
	<FileUpload.HiddenInput aria-label={label} />
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
