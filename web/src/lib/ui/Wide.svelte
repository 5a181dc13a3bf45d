<!-- @component What may be wider than the window: it is rolled sideways by itself, and the page stays where it is. -->
<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		/** What it is, for those who hear the page. */
		label: string;
		children: Snippet;
	}
	let { label, children }: Props = $props();
	let box = $state<HTMLElement>();
	let width = $state(0);
	let content = $state(0);
	// Only what rolls is stopped at by the keyboard.
	const rolls = $derived(content > width + 1);
	$effect(() => {
		void width;
		content = box?.scrollWidth ?? 0;
	});
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (only where it rolls, so that the keyboard can roll it) -->
<div
	bind:this={box}
	bind:clientWidth={width}
	role={rolls ? 'region' : undefined}
	aria-label={rolls ? label : undefined}
	tabindex={rolls ? 0 : undefined}
	class:rolls
>
	{@render children()}
</div>

<style>
	@media (max-width: 1000px) {
		div {
			overflow-x: auto;
			overscroll-behavior-x: contain;
		}
	}
</style>
