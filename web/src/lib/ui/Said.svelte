<!-- @component What was said in passing, at the lower edge, for a moment. -->
<script lang="ts">
	import { Toast } from '@skeletonlabs/skeleton-svelte';
	import { said } from './said';
</script>

<Toast.Group toaster={said}>
	{#snippet children(toast)}
		<Toast {toast} class="sheet border-[1.5px]! border-ink! px-4! py-[0.6rem]! font-semibold!" role="status">
			<Toast.Title>{toast.title}</Toast.Title>
		</Toast>
	{/snippet}
</Toast.Group>
