<!-- @component One mark as it is seen from the side; dashed if it lies on the side away from us. Stands in an svg. -->
<svelte:options namespace="svg" />

<script lang="ts">
	import type { SurfaceMark } from '@exetasis/core/measure';
	import { markOnSide } from './surfaceSide';

	interface Props {
		mark: SurfaceMark;
		xOf: (mm: number) => number;
		turned?: boolean;
		unsure?: boolean;
	}
	let { mark, xOf, turned = false, unsure = false }: Props = $props();
	const at = $derived(markOnSide(mark, xOf, turned));
</script>

{#if mark.shape === 'point'}<circle class:behind={at.behind} cx={at.x} cy={at.y} r="2.4" />
{:else if mark.shape === 'band'}
	<rect class:behind={at.behind} class:unsure x={at.x} y={at.y} width={at.width} height={at.height} />
{:else}<path class:behind={at.behind} class:unsure d="M{at.x} {at.y}l{at.width} {at.height}" />{/if}

<style>
	path,
	rect,
	circle {
		vector-effect: non-scaling-stroke;
		fill: none;
		stroke: var(--pencil);
		stroke-width: 1.8;
	}
	rect {
		fill: color-mix(in oklab, var(--pencil) 20%, transparent);
	}
	.behind {
		stroke-dasharray: 3 3;
		opacity: 0.6;
	}
	.unsure {
		stroke-dasharray: 4 3;
	}
</style>
