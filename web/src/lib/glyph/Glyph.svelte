<!-- @component A part's own cross-section, facing the way it lies: P to the left as drawn, mirrored where it faces C; of an assembly that lies on the bench, turned so that what lies up is up. -->
<script lang="ts">
	import type { PartTypeKey } from '@exetasis/core/part';
	import type { Lie } from '@exetasis/core/record';
	import { drawingOf, type DrawnFace } from './drawing';

	interface Props {
		type: PartTypeKey;
		/** The side that its lip, groove or dish faces. */
		face?: DrawnFace;
		/** The face of its assembly that lies up on the bench now. */
		up?: Lie;
		/** Dotted while no one has looked at the part. */
		dotted?: boolean;
		size?: number;
	}
	let { type, face = { toward: 'P' }, up, dotted = false, size = 40 }: Props = $props();
	const { outlines, mirrored } = $derived(drawingOf(type, face));
</script>

<svg viewBox="0 0 48 48" width={size} height={size} aria-hidden="true" class:dotted>
	<g
		transform="{up && up !== 'mounted' ? `rotate(${up === 'P' ? 90 : -90} 24 24)` : ''} {mirrored
			? 'matrix(-1 0 0 1 48 0)'
			: ''}"
	>
		{#each outlines as { d, hatch } (d)}
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
