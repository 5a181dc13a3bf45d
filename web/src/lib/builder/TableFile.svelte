<!-- @component A table from a file, CSV or XLSX: read on the server, answered as rows of texts. -->
<script lang="ts">
	import { deserialize } from '$app/forms';
	import FileField from '$lib/ui/FileField.svelte';

	interface Props {
		label: string;
		onrows: (rows: readonly (readonly string[])[], left: number) => void;
	}
	let { label, onrows }: Props = $props();
	let problem = $state('');

	async function read(file: File) {
		problem = '';
		const body = new FormData();
		body.set('file', file);
		const headers = { accept: 'application/json' };
		const answer = await fetch('/sheets/new?/read', { method: 'POST', body, headers }).catch(() => undefined);
		if (!answer) {
			problem = 'The server does not answer. Choose the file again in a moment.';
			return;
		}
		if (answer.status === 413) {
			problem = 'This file is larger than 4 MB. Delete what is not parts, and choose it again.';
			return;
		}
		const told = deserialize(await answer.text());
		if (told.type === 'success') {
			const { rows, more } = told.data?.table as { rows: readonly (readonly string[])[]; more: number };
			onrows(rows, more);
		} else problem = (told.type === 'failure' && (told.data?.problem as string)) || 'The file could not be read.';
	}
</script>

<FileField name="file" {label} accept=".csv,.xlsx,text/csv" onfile={read} />
{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
