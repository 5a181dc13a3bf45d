<!-- @component Parts of several models, drawn once and out of sight: `StackOf` shows those of one model wherever it is wanted. -->
<script lang="ts">
	import type { DrawnPart } from '@exetasis/server/sheets';
	import { drawingOf } from './drawing';
	import { PART_BOX, stackId } from './stack';

	interface Props {
		stacks: Readonly<Record<string, readonly DrawnPart[]>>;
	}
	let { stacks }: Props = $props();
</script>

<svg width="0" height="0" class="absolute" aria-hidden="true">
	{#each Object.entries(stacks) as [model, stack] (model)}
		<symbol id={stackId(model)} viewBox="0 0 {stack.length * PART_BOX} {PART_BOX}" preserveAspectRatio="xMinYMid meet">
			{#each stack as { type, face }, i (i)}
				{@const { outlines, mirrored } = drawingOf(type, face)}
				<g transform="translate({i * PART_BOX} 0) {mirrored ? `matrix(-1 0 0 1 ${PART_BOX} 0)` : ''}">
					{#each outlines as { d, hatch } (d)}
						<path {d} fill={hatch ? `url(#hatch-${hatch})` : 'none'} fill-rule="evenodd" />
					{/each}
				</g>
			{/each}
		</symbol>
	{/each}
</svg>

<style>
	path {
		stroke: currentColor;
		stroke-width: 1.3;
		stroke-linejoin: round;
	}
</style>
