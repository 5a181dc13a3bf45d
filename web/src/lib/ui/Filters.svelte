<!-- @component What a list or a chart is asked for: choices with their labels, in a row. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import Fields from './Fields.svelte';

	let { children }: { children: Snippet } = $props();
</script>

<div class="flex flex-wrap gap-x-4 gap-y-2 items-end mb-1.5">
	<Fields>{@render children()}</Fields>
</div>

<style>
	div :global(label) {
		display: flex;
		align-items: center;
		gap: 6px;
	}
	div :global(label > .select) {
		width: auto;
	}
</style>
