<!-- @component Chooses the parts around which a line is drawn; a part is found by its `data-part`, a touch without a line does nothing. -->
<script lang="ts">
	import type { Snippet } from 'svelte';
	import { isInside, type Point } from './lasso';

	interface Props {
		/** A line can be drawn. */
		on: boolean;
		onchoose: (keys: readonly string[]) => void;
		children: Snippet;
	}
	let { on, onchoose, children }: Props = $props();
	/** From here on it is a line and no touch, pixels. */
	const LEAST = 8;
	let room = $state<HTMLElement>();
	let line = $state.raw<readonly Point[]>([]);
	let begun: Point | undefined;

	function onpointerdown(event: PointerEvent) {
		if (on && event.button === 0) begun = { x: event.clientX, y: event.clientY };
	}
	function onpointermove(event: PointerEvent) {
		if (!begun) return;
		const here = { x: event.clientX, y: event.clientY };
		if (line.length === 0 && Math.hypot(here.x - begun.x, here.y - begun.y) < LEAST) return;
		if (line.length === 0) room!.setPointerCapture(event.pointerId);
		line = [...(line.length === 0 ? [begun] : line), here];
	}
	function onpointerup() {
		const parts = [...room!.querySelectorAll<HTMLElement>('[data-part]')].filter((part) => {
			const { left, top, width, height } = part.getBoundingClientRect();
			return isInside({ x: left + width / 2, y: top + height / 2 }, line);
		});
		if (line.length > 0) onchoose(parts.map((part) => part.dataset.part!));
		stop();
	}
	function stop() {
		begun = undefined;
		line = [];
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div bind:this={room} class:on {onpointerdown} {onpointermove} {onpointerup} onpointercancel={stop}>
	{@render children()}
	{#if line.length > 0}
		<svg aria-hidden="true"><polygon points={line.map(({ x, y }) => `${x},${y}`).join(' ')} /></svg>
	{/if}
</div>

<style>
	.on {
		touch-action: none;
		user-select: none;
	}
	svg {
		position: fixed;
		inset: 0;
		width: 100vw;
		height: 100vh;
		pointer-events: none;
		z-index: 5;
	}
	polygon {
		fill: color-mix(in oklab, var(--mark) 12%, transparent);
		stroke: var(--mark);
		stroke-width: 2;
		stroke-dasharray: 6 4;
	}
</style>
