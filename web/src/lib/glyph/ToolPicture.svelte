<!-- @component A tool at its work: where it grips the part, drawn thin, and the way it moves. -->
<script lang="ts">
	import { TOOL_BOX, type ToolShape } from './tools';

	interface Props {
		shapes: readonly ToolShape[];
		width?: number;
	}
	let { shapes, width = TOOL_BOX.width }: Props = $props();
</script>

<svg
	viewBox="0 0 {TOOL_BOX.width} {TOOL_BOX.height}"
	{width}
	height={(width * TOOL_BOX.height) / TOOL_BOX.width}
	aria-hidden="true"
>
	{#each shapes as { d, as }, index (index)}<path {d} class={as} />{/each}
</svg>

<style>
	svg {
		flex: none;
	}
	path {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.1;
		stroke-linejoin: round;
		stroke-linecap: round;
	}
	.part {
		stroke: var(--ink-soft);
		fill: var(--ink-soft);
		fill-opacity: 0.14;
		stroke-width: 0.8;
	}
	.tool {
		stroke-width: 1.6;
		fill: var(--sheet);
		fill-opacity: 0.75;
	}
	.way {
		stroke: var(--mark);
		stroke-width: 1.6;
	}
</style>
