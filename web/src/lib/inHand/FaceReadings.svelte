<!-- @component A face from above, with the height read at each point where it was taken. -->
<script lang="ts">
	import type { MeasuredCharacteristic } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		size: MeasuredCharacteristic;
	}
	let { size }: Props = $props();
	const WIDTH = 300;
	const HEIGHT = 150;
	const INSET = { x: 34, y: 22 };

	const unit = $derived(shownUnit(dimensionOf(size.sheet.unit), format.units));
	const bare = (value: number) => format.bare(value, unit);
	const share = (mm: readonly number[], at: number) =>
		(at - Math.min(...mm)) / Math.max(1e-9, Math.max(...mm) - Math.min(...mm));
	const spots = $derived.by(() => {
		const { face, key } = size.sheet;
		return (face?.rowsMm ?? []).flatMap((rowMm, row) =>
			face!.columnsMm.map((columnMm, column) => ({
				key: `${key} ${row} ${column}`,
				x: INSET.x + share(face!.columnsMm, columnMm) * (WIDTH - 2 * INSET.x),
				y: HEIGHT - INSET.y - share(face!.rowsMm, rowMm) * (HEIGHT - 2 * INSET.y),
				value: size.points.find((point) => point.row === row && point.column === column)?.value
			}))
		);
	});
	const read = $derived(spots.filter(({ value }) => value !== undefined).length);
</script>

<svg
	viewBox="0 0 {WIDTH} {HEIGHT}"
	role="img"
	aria-label="{size.characteristic.name}: {read} of {spots.length} points read"
>
	<rect x="4" y="4" width={WIDTH - 8} height={HEIGHT - 8} />
	{#each spots as { key, x, y, value } (key)}
		<circle class:open={value === undefined} cx={x} cy={y} r="3" />
		{#if value !== undefined}<text {x} y={y - 6}>{bare(value)}</text>{/if}
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		height: auto;
		max-height: calc(100cqh - 12px);
	}
	rect {
		fill: color-mix(in oklab, var(--ink) 5%, transparent);
		stroke: var(--ink);
		vector-effect: non-scaling-stroke;
	}
	circle {
		fill: var(--mark);
	}
	circle.open {
		fill: var(--paper);
		stroke: var(--ink-soft);
	}
	text {
		font-family: var(--figures);
		font-size: 11px;
		text-anchor: middle;
		fill: var(--ink);
	}
</style>
