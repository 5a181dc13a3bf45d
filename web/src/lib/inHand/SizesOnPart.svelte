<!-- @component What was measured, on the section drawing of the part: each size with its line, the worst place of those read at several. -->
<script lang="ts">
	import type { MeasuredCharacteristic } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import type { Lie } from '@exetasis/core/record';
	import { drawingOf } from '$lib/glyph/drawing';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { asDrawn, dimensions, spread } from './dimensions';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		part: BenchPart;
		sizes: readonly MeasuredCharacteristic[];
		up: Lie | undefined;
	}
	let { part, sizes, up }: Props = $props();
	const MOST = 4;
	const BOX = { width: 124, height: 54 };
	const LABEL_X = 60;
	const GAP = 12;

	const mirrored = $derived(drawingOf(part.station.type, part.station.face).mirrored);
	const shown = $derived.by(() => {
		const places = dimensions[part.station.type] ?? {};
		const known = sizes.filter(({ value, sheet }) => value !== undefined && places[sheet.key]).slice(0, MOST);
		const lines = known.map(({ sheet }) => asDrawn(places[sheet.key], mirrored, up));
		const heights = spread(
			lines.map(([, y1, , y2]) => (y1 + y2) / 2),
			GAP,
			5,
			BOX.height - 9
		);
		return known.map((size, i) => ({ size, line: lines[i], labelY: heights[i] }));
	});
	// "Flatness: largest feeler gap …" has no room here.
	const shortName = ({ characteristic }: MeasuredCharacteristic) => characteristic.name.split(':')[0];
	const says = ({ sheet, value }: MeasuredCharacteristic) =>
		format.quantity(value!, shownUnit(dimensionOf(sheet.unit), format.units));
</script>

<svg
	viewBox="-5 -3 {BOX.width} {BOX.height}"
	role="img"
	aria-label={shown.map(({ size }) => `${size.characteristic.name} ${says(size)}`).join('; ') || 'Nothing measured'}
>
	<Glyph type={part.station.type} face={part.station.face} {up} size={48} />
	{#if up === 'P' || up === 'C'}
		<text class="side" x="24" y="0">{up}</text><text class="side" x="24" y="50.5">{up === 'P' ? 'C' : 'P'}</text>
	{:else}<text class="side" x="-2.5" y="25.4">P</text><text class="side" x="50.5" y="25.4">C</text>{/if}
	{#each shown as { size, line: [x1, y1, x2, y2], labelY } (size.sheet.key)}
		{#if x1 === x2 && y1 === y2}<circle cx={x1} cy={y1} r="1" />
		{:else}<path class="line" d="M{x1} {y1}L{x2} {y2}" />
			<circle cx={x1} cy={y1} r="0.8" /><circle cx={x2} cy={y2} r="0.8" />{/if}
		<path class="leader" d="M{(x1 + x2) / 2} {(y1 + y2) / 2}L{LABEL_X - 2} {labelY}" />
		<text x={LABEL_X} y={labelY - 0.6}>{shortName(size)}</text>
		<text class="figure" x={LABEL_X} y={labelY + 4.8}>{says(size)}</text>
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		height: auto;
		max-height: calc(100cqh - 12px);
		color: var(--ink);
	}
	.side {
		text-anchor: middle;
	}
	.line {
		stroke: var(--mark);
		stroke-width: 1.6;
	}
	.leader {
		stroke: var(--mark);
		stroke-width: 0.7;
	}
	path {
		fill: none;
		vector-effect: non-scaling-stroke;
	}
	circle {
		fill: var(--mark);
	}
	svg :global(svg path) {
		vector-effect: non-scaling-stroke;
		stroke-width: 1.8;
	}
	svg :global(svg path.edge) {
		stroke-width: 1;
	}
	text {
		font-size: 5.2px;
		fill: var(--ink-soft);
	}
	.figure {
		font-family: var(--figures);
		font-weight: 600;
		fill: var(--ink);
	}
</style>
