<!-- @component Bolts on a drawing of the joint, seen from outside: touched to mark, dragged to move, added where the drawing is touched. -->
<script lang="ts">
	import { tighteningOrder } from '@exetasis/core/build';
	import type { Fastening } from '@exetasis/core/record';
	import QuantityField from '$lib/ui/QuantityField.svelte';

	type Bolts = Fastening['bolts'];
	interface Props {
		name: string;
		/** Undefined until the first bolt is placed. */
		fastening: Fastening | undefined;
		/** A touch of the drawing adds a bolt. */
		adding: boolean;
		onchange: (bolts: Bolts) => void;
	}
	let { name, fastening, adding, onchange }: Props = $props();
	const MOST_MM = 2000;
	const EMPTY_SPAN = 60;
	const LEAST_DRAG_PX = 5;

	const markName = { none: 'bolt', pin: 'guide pin', doNotTouch: 'do not loosen', last: 'tightened last' } as const;
	const nextMark = { none: 'pin', pin: 'doNotTouch', doNotTouch: 'last', last: 'none' } as const;

	const bolts = $derived(fastening?.bolts ?? []);
	const order = $derived(fastening ? tighteningOrder(fastening) : []);
	const widest = $derived(Math.max(20, ...bolts.flatMap(({ xMm, yMm }) => [Math.abs(xMm), Math.abs(yMm)])));
	// While bolts are added by hand there is room beside them.
	const span = $derived(adding ? 1.5 * Math.max(EMPTY_SPAN, widest) : 1.35 * widest);
	let chosen = $state<number>();
	const inHand = $derived(chosen === undefined ? undefined : bolts.at(chosen));

	let svg = $state<SVGSVGElement>();
	let drag = $state.raw<{ index: number; from: DOMPoint; moved: boolean; xMm: number; yMm: number }>();

	function place(event: PointerEvent): { xMm: number; yMm: number } {
		const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg!.getScreenCTM()!.inverse());
		return { xMm: Math.round(x), yMm: Math.round(-y) + 0 };
	}
	function begin(event: PointerEvent, index: number) {
		event.stopPropagation();
		svg!.setPointerCapture(event.pointerId);
		chosen = index;
		drag = { index, from: new DOMPoint(event.clientX, event.clientY), moved: false, ...bolts[index] };
	}
	function move(event: PointerEvent) {
		if (!drag) return;
		const moved = drag.moved || Math.hypot(event.clientX - drag.from.x, event.clientY - drag.from.y) > LEAST_DRAG_PX;
		if (moved) drag = { ...drag, moved, ...place(event) };
	}
	function end() {
		if (!drag) return;
		const { index, moved, xMm, yMm } = drag;
		drag = undefined;
		if (moved) moveTo(index, { xMm, yMm });
		else mark(index);
	}
	function touch(event: PointerEvent) {
		if (!adding) return;
		chosen = bolts.length;
		onchange([...bolts, place(event)]);
	}
	function moveTo(index: number, to: { xMm?: number; yMm?: number }) {
		onchange(bolts.with(index, { ...bolts[index], ...to }));
	}
	function mark(index: number) {
		const { mark: before, ...bolt } = bolts[index];
		const after = nextMark[before ?? 'none'];
		onchange(bolts.with(index, { ...bolt, ...(after === 'none' ? {} : { mark: after }) }));
	}
	function remove(index: number) {
		chosen = undefined;
		onchange(bolts.toSpliced(index, 1));
	}
	const arrows: Readonly<Record<string, readonly [number, number]>> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, 1],
		ArrowDown: [0, -1]
	};
	function keys(event: KeyboardEvent, index: number) {
		const arrow = arrows[event.key];
		const far = event.shiftKey ? 10 : 1;
		if (arrow) {
			const { xMm, yMm } = bolts[index];
			moveTo(index, { xMm: xMm + far * arrow[0], yMm: yMm + far * arrow[1] });
		} else if (event.key === 'Delete') remove(index);
		else if (event.key === 'Enter' || event.key === ' ') mark(index);
		else return;
		event.preventDefault();
	}
	const within = (value: number) =>
		Math.abs(value) <= MOST_MM ? undefined : `Type a place within ${MOST_MM} mm of the middle.`;
	const at = (index: number) => (drag?.index === index ? drag : bolts[index]);
</script>

<svg
	bind:this={svg}
	viewBox="{-span} {-span} {2 * span} {2 * span}"
	role="group"
	aria-label="Bolts of {name}, seen from outside"
	class:adding
	onpointerdown={touch}
	onpointermove={move}
	onpointerup={end}
	onpointercancel={() => (drag = undefined)}
>
	<path class="middle" d="M{-span} 0H{span}M0 {-span}V{span}" />
	{#each bolts as bolt, i (i)}
		{@const place = order.indexOf(i)}
		{@const { xMm, yMm } = at(i)}
		<g
			role="button"
			tabindex="0"
			aria-label="Position {i + 1}: {markName[bolt.mark ?? 'none']}{place < 0 ? '' : `, number ${place + 1} in order`}"
			onpointerdown={(event) => begin(event, i)}
			onfocus={() => (chosen = i)}
			onkeydown={(event) => keys(event, i)}
		>
			<circle cx={xMm} cy={-yMm} r={span / 8} class={bolt.mark ?? 'none'} class:chosen={chosen === i} />
			<text x={xMm} y={-yMm} font-size={span / 8}>{place < 0 ? '–' : place + 1}</text>
		</g>
	{/each}
</svg>
<p class="soft">
	{#if adding}Touch the drawing where a bolt is.{/if} Touch a bolt to mark it: guide pin, do not loosen, tightened last. Drag
	it, or use the arrow keys, to move it. Numbers: order of tightening.
</p>
{#if chosen !== undefined && inHand}
	{@const index = chosen}
	<div class="grid grid-cols-[1fr_1fr_auto] gap-2 items-end" role="group" aria-label="Position {index + 1}">
		<QuantityField
			label="To the right of the middle"
			value={inHand.xMm}
			unit="mm"
			check={within}
			onchange={(xMm) => xMm !== undefined && moveTo(index, { xMm })}
		/>
		<QuantityField
			label="Above the middle"
			value={inHand.yMm}
			unit="mm"
			check={within}
			onchange={(yMm) => yMm !== undefined && moveTo(index, { yMm })}
		/>
		<button type="button" class="btn" disabled={bolts.length < 2} onclick={() => remove(index)}
			>Delete position {index + 1}</button
		>
	</div>
{/if}

<style>
	svg {
		flex: none;
		width: 100%;
		height: 240px;
		min-height: 240px;
		background: var(--sheet);
		border: 1px solid var(--line);
	}
	svg.adding {
		cursor: crosshair;
		touch-action: none;
	}
	.middle {
		stroke: var(--line);
		stroke-dasharray: 8 3 2 3;
		vector-effect: non-scaling-stroke;
	}
	g {
		cursor: grab;
		touch-action: none;
	}
	circle {
		fill: var(--sheet);
		stroke: var(--ink);
		stroke-width: 1.5;
		vector-effect: non-scaling-stroke;
	}
	circle.pin {
		stroke-dasharray: 4 3;
	}
	circle.doNotTouch {
		stroke: var(--pencil);
	}
	circle.last {
		stroke-width: 4;
	}
	circle.chosen {
		fill: color-mix(in oklab, var(--mark) 20%, var(--sheet));
	}
	text {
		fill: var(--ink);
		text-anchor: middle;
		dominant-baseline: central;
		font-family: var(--figures);
		pointer-events: none;
	}
</style>
