<!-- @component Tiles with drawings. One is chosen, or each leads to a page. -->
<script lang="ts" generics="Item">
	import type { Snippet } from 'svelte';

	interface Props {
		items: readonly Item[];
		/** What distinguishes the items. */
		keyOf: (item: Item) => string;
		/** Key of the chosen one. */
		chosen?: string;
		/** A tile leads there; otherwise it is pressed. */
		href?: (item: Item) => string;
		onchoose?: (item: Item) => void;
		tile: Snippet<[Item]>;
	}
	let { items, keyOf, chosen, href, onchoose, tile }: Props = $props();
</script>

<ul class="grid grid-cols-[repeat(auto-fill,minmax(min(19rem,100%),1fr))] gap-2 my-2.5">
	{#each items as item (keyOf(item))}
		<li>
			{#if href}<a href={href(item)}>{@render tile(item)}</a>
			{:else}<button
					type="button"
					aria-pressed={chosen === undefined ? undefined : chosen === keyOf(item)}
					onclick={() => onchoose?.(item)}>{@render tile(item)}</button
				>{/if}
		</li>
	{/each}
</ul>

<style>
	a,
	button {
		display: grid;
		align-content: start;
		width: 100%;
		height: 100%;
		min-height: 88px;
		padding: 8px 10px;
		text-align: left;
		border: 1px solid var(--line);
		background: var(--sheet);
		color: var(--ink);
		text-decoration: none;
		cursor: pointer;
	}
	:is(a, button):hover {
		border-color: var(--mark);
	}
	button[aria-pressed='true'] {
		border: 2px solid var(--mark);
		background: color-mix(in oklab, var(--mark) 12%, var(--sheet));
	}
</style>
