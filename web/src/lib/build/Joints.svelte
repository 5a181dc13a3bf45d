<!-- @component Where the joint of each split ring is turned to, round the bore as one looks in: no leak runs straight through. -->
<script lang="ts">
	import { jointsAt } from '@exetasis/core/build';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		rings: number;
		apartDeg: number;
	}
	let { rings, apartDeg }: Props = $props();

	const joints = $derived(jointsAt(rings, apartDeg));
	// Rings lie in one another's sight: the first outermost.
	const OUTER = 44;
	const INNER = 16;
	const radius = (ring: number) => OUTER - (ring * (OUTER - INNER)) / Math.max(1, rings - 1);
	const point = (r: number, deg: number) => {
		const at = ((deg - 90) * Math.PI) / 180;
		return `${(r * Math.cos(at)).toFixed(2)} ${(r * Math.sin(at)).toFixed(2)}`;
	};
	const GAP = 16;
	const ring = (r: number, deg: number) => `M${point(r, deg + GAP / 2)} A${r} ${r} 0 1 1 ${point(r, deg - GAP / 2)}`;
</script>

<figure class="flex items-center gap-2.5 my-1">
	<svg viewBox="-50 -50 100 100" role="img" aria-label="Joints of the rings at {joints.join(', ')} degrees">
		{#each joints as deg, i (i)}<path d={ring(radius(i), deg)} />{/each}
	</svg>
	<figcaption class="text-[0.9rem]">
		Joints {format.number(apartDeg)}° apart, the first in at 12 o’clock:
		<b class="figures">{joints.map((deg) => `${format.number(deg)}°`).join(', ')}</b>, by the clock.
	</figcaption>
</figure>

<style>
	svg {
		flex: none;
		width: 84px;
		height: 84px;
	}
	path {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.4;
	}
</style>
