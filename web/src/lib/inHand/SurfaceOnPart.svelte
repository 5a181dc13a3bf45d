<!-- @component The part from the side: damage is painted on it where it is seen, by finger or mouse. The keyboard has the unrolled surface. -->
<script lang="ts">
	import type { MarkShape, SurfaceMark } from '@exetasis/core/measure';
	import { shownUnit } from '@exetasis/core/quantity';
	import type { Station } from '@exetasis/core/record';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { hasExtent, markFrom, type Spot } from '$lib/look/painting';
	import MarkOnSide from './MarkOnSide.svelte';
	import { alongSide, spotOnSide } from './surfaceSide';
	import { PROFILE } from './wornProfile';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		part: BenchPart;
		surface: NonNullable<Station['surface']>;
		/** The mark that is painted. */
		shape: MarkShape;
		/** Seen from 270° instead of 90°. */
		turned: boolean;
		locked: boolean;
		onmark: (mark: SurfaceMark) => void;
	}
	let { part, surface, shape, turned, locked, onmark }: Props = $props();
	const unit = $derived(shownUnit('length', format.units));
	const { width, height, left, right, middle, radius } = PROFILE;
	const xOf = $derived(alongSide(surface.lengthMm));

	let drawing = $state<SVGSVGElement>();
	let begun = $state<Spot>();
	let cursor = $state<Spot>({ mm: 0, deg: 0 });
	const preview = $derived(begun && markFrom(shape, begun, cursor));
	const at = ({ mm, deg }: Spot) => `${format.quantity(mm, unit, unit === 'mm' ? 0 : 2)}, ${deg % 360}°`;

	function spotAt(event: PointerEvent): Spot {
		const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(drawing!.getScreenCTM()!.inverse());
		return spotOnSide(point, surface.lengthMm, turned);
	}
	function onpointerdown(event: PointerEvent) {
		if (locked) return;
		drawing!.setPointerCapture(event.pointerId);
		begun = cursor = spotAt(event);
	}
	function onpointerup() {
		const mark = preview;
		begun = undefined;
		if (mark && hasExtent(mark)) onmark(mark);
	}
</script>

<svg
	bind:this={drawing}
	viewBox="0 0 {width} {height}"
	role="img"
	aria-label="{part.station.name} from the side, marks: {part.record.marks.length}"
	{onpointerdown}
	onpointermove={(event) => begun && (cursor = spotAt(event))}
	{onpointerup}
	onpointercancel={() => (begun = undefined)}
>
	<rect class="body" x={left} y={middle - radius} width={right - left} height={2 * radius} />
	<rect
		class="track"
		x={xOf(surface.track.fromMm)}
		y={middle - radius}
		width={xOf(surface.track.toMm) - xOf(surface.track.fromMm)}
		height={2 * radius}
	/>
	<path class="centre" d="M{left - 5} {middle}H{right + 5}" />
	{#each part.record.marks as { id, payload } (id)}<MarkOnSide mark={payload} {xOf} {turned} />{/each}
	{#if preview}<MarkOnSide mark={preview} {xOf} {turned} unsure />{/if}
	<text class="side" x="9" y={middle + 4}>P</text>
	<text class="side" x={right + 11} y={middle + 4}>C</text>
	<text x={left} y={middle - radius - 6}>{turned ? '180°' : '0°'}</text>
	<text x={left} y={middle + radius + 14}>{turned ? '0°' : '180°'}</text>
</svg>
<p class="soft figures text-[0.75rem] leading-[1.2]">
	{begun
		? `from ${at(begun)} to ${at(cursor)}`
		: `Seen from ${turned ? '270°' : '90°'}. The seal runs on the shaded area.`}
</p>

<style>
	svg {
		display: block;
		width: 100%;
		height: auto;
		max-height: calc(100cqh - 34px);
		touch-action: none;
		user-select: none;
		cursor: crosshair;
	}
	rect,
	path {
		vector-effect: non-scaling-stroke;
		fill: none;
	}
	.body {
		fill: color-mix(in oklab, var(--ink) 7%, transparent);
		stroke: var(--ink);
		stroke-width: 1.6;
	}
	.track {
		fill: color-mix(in oklab, var(--mark) 9%, transparent);
	}
	.centre {
		stroke: var(--ink-soft);
		stroke-dasharray: 9 3 2 3;
	}
	text {
		font-size: 11px;
		fill: var(--ink-soft);
	}
	.side {
		text-anchor: middle;
	}
</style>
