<!-- @component What a list or a chart is asked for: choices with their labels, in a row. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import Fields from './Fields.svelte';

	let { children }: { children: Snippet } = $props();
</script>

<div>
	<Fields>{@render children()}</Fields>
</div>

<style>
	div {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: end;
		margin-bottom: 6px;
	}
	div :global(label) {
		display: flex;
		align-items: center;
		gap: 6px;
	}
	div :global(label > .select) {
		width: auto;
	}
</style>
