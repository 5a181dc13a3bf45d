<!-- @component The part from the side, with its readings where they were taken, its wear enlarged, and the marks on its surface. -->
<script lang="ts">
	import type { MeasuredCharacteristic } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { profileWords } from '$lib/words/profile';
	import MarkOnSide from './MarkOnSide.svelte';
	import { PROFILE, wornProfile } from './wornProfile';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		part: BenchPart;
		size: MeasuredCharacteristic;
	}
	let { part, size }: Props = $props();
	const { width, height, left, right, middle, radius } = PROFILE;

	const surface = $derived(part.station.surface);
	const profile = $derived(wornProfile(size, surface));
	const unit = $derived(shownUnit(dimensionOf(size.sheet.unit), format.units));
	const bare = (value: number) => format.bare(value, unit);
	const name = $derived(size.characteristic.name);
	const inWords = $derived(
		(profile?.edges ?? [])
			.filter(({ points }) => points.length > 0)
			.map(({ angle, points }) => `at ${angle} ${points.map(({ value }) => bare(value)).join(', ')}`)
			.join('; ')
	);
	const line = (points: readonly { x: number; y: number }[]) => points.map(({ x, y }) => `${x} ${y}`).join('L');
	/** The edge as measured, run on to both ends at the height of its outermost readings. */
	function edge(column: number): string {
		const points = profile?.edges[column]?.points ?? [];
		const flat = column === 0 ? middle - radius : middle + radius;
		if (points.length === 0) return `${left} ${flat}L${right} ${flat}`;
		return line([{ x: left, y: points[0].y }, ...points, { x: right, y: points[points.length - 1].y }]);
	}
	const reversed = (path: string) => path.split('L').reverse().join('L');
</script>

{#if profile}
	<svg viewBox="0 0 {width} {height}" role="img" aria-label="{name} along the part: {inWords}">
		{#if profile.bore}
			<path class="body" d="M{left} 14L{right} 14L{reversed(edge(0))}Z" />
			<path class="body" d="M{left} {height - 14}L{right} {height - 14}L{reversed(edge(1))}Z" />
		{:else}
			<path class="body" d="M{edge(0)}L{reversed(edge(1))}Z" />
		{/if}
		{#if surface}
			<rect
				class="track"
				x={profile.xOf(surface.track.fromMm)}
				y={middle - radius}
				width={profile.xOf(surface.track.toMm) - profile.xOf(surface.track.fromMm)}
				height={2 * radius}
			/>
			{#each part.record.marks as { id, payload } (id)}<MarkOnSide mark={payload} xOf={profile.xOf} />{/each}
		{/if}
		<path class="centre" d="M{left - 5} {middle}H{right + 5}" />
		{#each profile.edges as { angle, points, limitY }, column (angle)}
			{@const labelY = column === 0 ? 9 : height - 3}
			<path class="new" d="M{left} {column === 0 ? middle - radius : middle + radius}H{right}" />
			{#if limitY !== undefined}<path class="limit" d="M{left} {limitY}H{right}" />{/if}
			<text class="angle" x="0" y={labelY}>{angle}</text>
			{#each points as { x, y, labelX, value, worst } (labelX)}
				<path class="leader" d="M{labelX} {column === 0 ? 12 : height - 13}L{x} {y}" />
				<circle class="read" class:worst cx={x} cy={y} r="2.4" />
				<text class="value" class:worst x={labelX} y={labelY}>{bare(value)}</text>
			{/each}
		{/each}
		<text class="side" x="9" y={middle + 4}>P</text>
		<text class="side" x={right + 11} y={middle + 4}>C</text>
	</svg>
	<p class="soft text-[0.75rem] leading-[1.2]">{profileWords(profile.enlarged, size.sheet, format)}</p>
{/if}

<style>
	svg {
		display: block;
		width: 100%;
		height: auto;
		max-height: calc(100cqh - 34px);
	}
	path,
	rect,
	circle {
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
	.new {
		stroke: var(--ink-soft);
		stroke-dasharray: 2 3;
	}
	.limit {
		stroke: var(--pencil);
		stroke-width: 1.3;
	}
	.centre {
		stroke: var(--ink-soft);
		stroke-dasharray: 9 3 2 3;
	}
	.leader {
		stroke: var(--ink-soft);
		stroke-width: 0.7;
	}
	.read {
		fill: var(--mark);
	}
	.read.worst {
		fill: var(--ink);
	}
	text {
		font-size: 11px;
		fill: var(--ink);
	}
	.value {
		font-family: var(--figures);
		text-anchor: middle;
	}
	.value.worst {
		font-weight: 700;
	}
	.angle,
	.side {
		fill: var(--ink-soft);
	}
	.side {
		text-anchor: middle;
	}
</style>
