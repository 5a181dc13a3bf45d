<!-- @component The step in hand, large, and beside it what stands round it; one below the other where there is no room. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		children: Snippet;
		beside: Snippet;
	}
	let { children, beside }: Props = $props();
</script>

<div
	class="columns grid grid-cols-[minmax(0,1fr)_minmax(15rem,23rem)] gap-4 items-start max-[900px]:grid-cols-[minmax(0,1fr)]"
>
	<div class="hand min-w-0">{@render children()}</div>
	<aside class="sheet">
		{@render beside()}
		<p class="soft">The maker’s sheet, local rules and licensed practice come first.</p>
	</aside>
</div>

<style>
	aside,
	.hand > :global(.done) {
		display: grid;
		gap: 8px;
		padding: 12px;
		margin-top: 6px;
	}
	.hand > :global(.done) {
		justify-items: start;
	}
</style>
