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

	const plain = 'border-line bg-sheet';
	const shape =
		'grid h-full min-h-22 w-full cursor-pointer content-start border px-2.5 py-2 text-left text-ink no-underline hover:border-mark';
</script>

<ul class="grid grid-cols-[repeat(auto-fill,minmax(min(19rem,100%),1fr))] gap-2 my-2.5">
	{#each items as item (keyOf(item))}
		<li>
			{#if href}<a class="{shape} {plain}" href={href(item)}>{@render tile(item)}</a>
			{:else}<button
					class={[shape, chosen === keyOf(item) ? 'border-2 border-mark bg-mark/12' : plain]}
					type="button"
					aria-pressed={chosen === undefined ? undefined : chosen === keyOf(item)}
					onclick={() => onchoose?.(item)}>{@render tile(item)}</button
				>{/if}
		</li>
	{/each}
</ul>
