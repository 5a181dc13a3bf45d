<!-- @component A part's own cross-section, facing the way it lies: P to the left as drawn, mirrored where it faces C. -->
<script lang="ts">
	import type { PartTypeKey } from '@exetasis/core/part';
	import type { Station } from '@exetasis/core/record';
	import { shapes } from './shapes';

	interface Props {
		type: PartTypeKey;
		/** The side that its lip, groove or dish faces. */
		toward?: Station['face']['toward'];
		/** Dotted while nobody has looked at the part. */
		dotted?: boolean;
		size?: number;
	}
	let { type, toward = 'P', dotted = false, size = 40 }: Props = $props();
</script>

<svg viewBox="0 0 48 48" width={size} height={size} aria-hidden="true" class:dotted>
	<g transform={toward === 'C' ? 'matrix(-1 0 0 1 48 0)' : undefined}>
		{#each shapes[type] as { d, hatch } (d)}
			<path {d} fill={hatch ? `url(#hatch-${hatch})` : 'none'} class:edge={!hatch} fill-rule="evenodd" />
		{/each}
	</g>
</svg>

<style>
	svg {
		flex: none;
	}
	path {
		stroke: currentColor;
		stroke-width: 1.2;
		stroke-linejoin: round;
	}
	path.edge {
		stroke-width: 0.7;
		stroke-dasharray: 5 1.5 1 1.5;
	}
	.dotted path {
		stroke-dasharray: 1 2.4;
		fill: none;
		opacity: 0.75;
	}
</style>
