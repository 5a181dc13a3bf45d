<!-- @component What was said in passing, at the lower edge, for a moment. -->
<script lang="ts">
	import { Toast } from '@skeletonlabs/skeleton-svelte';
	import { said } from './said';
</script>

<Toast.Group toaster={said}>
	{#snippet children(toast)}
		<Toast {toast} class="sheet said" role="status">
			<Toast.Title>{toast.title}</Toast.Title>
		</Toast>
	{/snippet}
</Toast.Group>

<style>
	:global(.said) {
		padding: 0.6rem 1rem;
		border: 1.5px solid var(--ink);
		font-weight: 600;
	}
</style>
