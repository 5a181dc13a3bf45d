<!-- @component The shop's own documents where they are needed: each opens beside the page. -->
<script lang="ts">
	import FileText from '@lucide/svelte/icons/file-text';
	import Image from '@lucide/svelte/icons/image';
	import type { DocumentListing } from '@exetasis/server/documents/documents';

	interface Props {
		documents: readonly DocumentListing[];
	}
	let { documents }: Props = $props();
</script>

{#if documents.length > 0}
	<ul class="flex flex-wrap gap-1.5" aria-label="Documents">
		{#each documents as { id, name, type } (id)}
			<li>
				<a class="btn" href="/documents/{id}" target="_blank" rel="noopener"
					>{#if type === 'application/pdf'}<FileText size={18} aria-hidden="true" />{:else}<Image
							size={18}
							aria-hidden="true"
						/>{/if}
					{name}</a
				>
			</li>
		{/each}
	</ul>
{/if}
