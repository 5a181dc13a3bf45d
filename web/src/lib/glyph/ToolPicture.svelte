<!-- @component A tool at its work: where it grips the part, drawn thin, and the way it moves. -->
<script lang="ts">
	import type { ToolKind } from '@exetasis/core/record';
	import { TOOL_BOX, toolShapes } from './tools';

	interface Props {
		kind: ToolKind;
	}
	let { kind }: Props = $props();
</script>

<svg viewBox="0 0 {TOOL_BOX.width} {TOOL_BOX.height}" aria-hidden="true">
	{#each toolShapes[kind] as { d, as }, index (index)}<path {d} class={as} />{/each}
</svg>

<style>
	svg {
		flex: none;
		width: 64px;
		height: 48px;
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
