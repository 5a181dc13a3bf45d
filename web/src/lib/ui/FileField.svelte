<!-- @component A file of a form: dropped here or chosen. -->
<script lang="ts">
	import { FileUpload } from '@skeletonlabs/skeleton-svelte';

	interface Props {
		name: string;
		label: string;
		/** What can be chosen: endings and media types. */
		accept: string;
	}
	let { name, label, accept }: Props = $props();
</script>

<FileUpload {name} {accept} maxFiles={1} class="label">
	<FileUpload.Label>{label}</FileUpload.Label>
	<FileUpload.Dropzone class="dropzone">
		<FileUpload.Trigger class="btn">Choose a file</FileUpload.Trigger>
		<FileUpload.Context>
			{#snippet children(upload)}
				{#each upload().acceptedFiles as file (file.name)}<b>{file.name}</b>{:else}<span class="soft"
						>or drop it here</span
					>{/each}
			{/snippet}
		</FileUpload.Context>
		<FileUpload.HiddenInput aria-label={label} />
	</FileUpload.Dropzone>
</FileUpload>

<style>
	:global(.dropzone.dropzone) {
		display: flex;
		flex-direction: row;
		justify-content: flex-start;
		align-items: center;
		gap: 0.8rem;
		padding: 6px;
		border: 1.5px dashed var(--ink-soft);
	}
	:global(.dropzone[data-dragging]) {
		border-color: var(--mark);
	}
</style>
