<!-- @component The part's surface, unrolled: marks are painted on it by finger, mouse or keyboard, their statistics beside it. -->
<script lang="ts">
	import { commonDirection, surfaceStatistics, type MarkShape, type SurfaceMark } from '@exetasis/core/measure';
	import { shownUnit } from '@exetasis/core/quantity';
	import type { Station } from '@exetasis/core/record';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { hasExtent, markFrom, markName, markShapes, STEP_DEG, type Spot } from './painting';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		surface: NonNullable<Station['surface']>;
		locked: boolean;
	}
	let { bench, part, surface, locked }: Props = $props();
	const unit = $derived(shownUnit('length', format.units));
	const id = $props.id();

	let shape = $state<MarkShape>('line');
	/** Where a mark began, and where pointer or cursor stand now: mm along the axis, degrees round it. */
	let begun = $state<Spot>();
	let cursor = $state<Spot>({ mm: 0, deg: 0 });
	let drawing = $state<SVGSVGElement>();

	const HEIGHT = 180; // half a pixel a degree
	const WIDTH = 360;
	const x = (mm: number) => (mm / surface.lengthMm) * WIDTH;
	const y = (deg: number) => deg / 2;

	const marks = $derived(part.record.marks.map(({ payload }) => payload));
	const statistics = $derived(surfaceStatistics(marks, surface));
	const preview = $derived(begun && markFrom(shape, begun, cursor));

	// The same side on every cylinder means another cause than one side on one.
	const sides = $derived(
		[...bench.parts.values()]
			.filter(({ station, record }) => station.key === part.station.key && record.marks.length > 0)
			.flatMap(({ record }) => {
				const { direction } = surfaceStatistics(
					record.marks.map(({ payload }) => payload),
					surface
				);
				return direction && direction.resultant > 0.5 ? [direction.meanDeg] : [];
			})
	);
	const together = $derived(sides.length > 1 ? commonDirection(sides) : undefined);

	function end() {
		if (!begun) return;
		const mark = markFrom(shape, begun, cursor);
		begun = undefined;
		if (hasExtent(mark)) bench.record({ kind: 'mark', part: part.cell.part, payload: mark });
	}

	function spotAt(event: PointerEvent): Spot {
		const box = drawing!.getBoundingClientRect();
		const mm = Math.round(((event.clientX - box.left) / box.width) * surface.lengthMm);
		const deg = Math.round((((event.clientY - box.top) / box.height) * 360) / STEP_DEG) * STEP_DEG;
		// Below the edge the surface goes on: a mark may run over 360° into the next turn.
		return { mm: Math.min(surface.lengthMm, Math.max(0, mm)), deg: Math.min(715, Math.max(0, deg)) };
	}

	function onpointerdown(event: PointerEvent) {
		if (locked) return;
		drawing!.setPointerCapture(event.pointerId);
		begun = cursor = spotAt(event);
	}

	function onkeydown(event: KeyboardEvent) {
		const step = event.shiftKey ? { mm: 5, deg: 45 } : { mm: 1, deg: STEP_DEG };
		const moves: Record<string, [number, number]> = {
			ArrowLeft: [-step.mm, 0],
			ArrowRight: [step.mm, 0],
			ArrowUp: [0, -step.deg],
			ArrowDown: [0, step.deg]
		};
		const move = moves[event.key];
		if (move) {
			const most = begun ? 715 : 355;
			cursor = {
				mm: Math.min(surface.lengthMm, Math.max(0, cursor.mm + move[0])),
				deg: Math.min(most, Math.max(0, cursor.deg + move[1]))
			};
		} else if (event.key === 'Enter' || event.key === ' ') {
			if (locked) return;
			if (begun || shape === 'point') {
				begun ??= cursor;
				end();
			} else begun = cursor;
		} else if (event.key === 'Escape' && begun) begun = undefined;
		else return;
		event.preventDefault();
		event.stopPropagation();
	}

	function zigzag({ fromMm, toMm, fromDeg, toDeg }: SurfaceMark, turn: number): string {
		const points = Array.from({ length: 9 }, (_, i) => {
			const share = i / 8;
			const aside = i === 0 || i === 8 ? 0 : i % 2 ? 3 : -3;
			return `${x(fromMm + share * (toMm - fromMm)) + aside} ${y(fromDeg + share * (toDeg - fromDeg) - turn) + aside}`;
		});
		return `M${points.join('L')}`;
	}
	const at = ({ mm, deg }: Spot) => `${format.quantity(mm, unit, unit === 'mm' ? 0 : 2)}, ${deg % 360}°`;
</script>

{#snippet drawn(mark: SurfaceMark, unsure: boolean)}
	{#each mark.toDeg > 360 ? [0, 360] : [0] as turn (turn)}
		{#if mark.shape === 'band'}
			<rect
				class="mark band"
				class:unsure
				x={x(mark.fromMm)}
				y={y(mark.fromDeg - turn)}
				width={x(mark.toMm - mark.fromMm)}
				height={y(mark.toDeg - mark.fromDeg)}
			/>
		{:else if mark.shape === 'line'}
			<path class="mark" class:unsure d="M{x(mark.fromMm)} {y(mark.fromDeg - turn)}H{x(mark.toMm)}" />
		{:else if mark.shape === 'point'}
			<circle class="mark point" cx={x(mark.fromMm)} cy={y(mark.fromDeg - turn)} r="3.5" />
		{:else}
			<path class="mark" class:unsure d={zigzag(mark, turn)} />
		{/if}
	{/each}
{/snippet}

<section class="mt-2.5" aria-label="Surface">
	<h3 class="font-semibold text-[0.95rem]">Unrolled surface</h3>
	<div class="grid grid-cols-[repeat(4,1fr)] gap-1.5 mt-1 mb-1.5" role="group" aria-label="Mark to draw">
		{#each markShapes as [key, name] (key)}
			<button
				type="button"
				class="btn small"
				aria-pressed={shape === key}
				disabled={locked}
				onclick={() => (shape = key)}>{name}</button
			>
		{/each}
	</div>
	<div class="relative">
		<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
		<svg
			bind:this={drawing}
			viewBox="0 0 {WIDTH} {HEIGHT}"
			preserveAspectRatio="none"
			role="application"
			tabindex="0"
			aria-label="Unrolled surface, {marks.length} marks. Arrow keys move, Enter begins and ends a mark."
			aria-describedby="{id}-at"
			{onpointerdown}
			onpointermove={(event) => begun && (cursor = spotAt(event))}
			onpointerup={end}
			onpointercancel={() => (begun = undefined)}
			{onkeydown}
		>
			<rect
				class="track"
				x={x(surface.track.fromMm)}
				y="0"
				width={x(surface.track.toMm - surface.track.fromMm)}
				height={HEIGHT}
			/>
			{#each [90, 180, 270] as deg (deg)}<path class="grid" d="M0 {y(deg)}H{WIDTH}" />{/each}
			{#each part.record.marks as { id, payload } (id)}{@render drawn(payload, false)}{/each}
			{#if preview}{@render drawn(preview, true)}{/if}
			<path
				class="cursor"
				d="M{x(cursor.mm) - 6} {y(cursor.deg % 360)}h12M{x(cursor.mm)} {y(cursor.deg % 360) - 6}v12"
			/>
		</svg>
		{#each [0, 90, 180, 270] as deg (deg)}<span
				class="figures absolute left-0.75 text-[0.68rem] pt-0.5 leading-[1.1] text-ink-soft pointer-events-none"
				style="top: {deg / 3.6}%"
				aria-hidden="true">{deg}°</span
			>{/each}
	</div>
	<p class="soft figures flex justify-between text-[0.75rem]" id="{id}-at">
		<span>P ◂ 0</span><span>{begun ? `from ${at(begun)} to ${at(cursor)}` : at(cursor)}</span><span
			>{format.quantity(surface.lengthMm, unit, unit === 'mm' ? 0 : 2)} ▸ C</span
		>
	</p>
	{#if marks.length > 0}
		<dl class="grid grid-cols-[1fr_auto] gap-x-[0.8rem] gap-y-0 text-[0.86rem] mt-1 mb-2">
			<dt class="text-ink-soft">Sealing stroke touched</dt>
			<dd class="figures text-right">{format.probability(statistics.strokeShare)}</dd>
			{#if statistics.areaShare > 0}
				<dt class="text-ink-soft">Area touched</dt>
				<dd class="figures text-right">{format.probability(statistics.areaShare)}</dd>
			{/if}
			<dt class="text-ink-soft">Longest unbroken score</dt>
			<dd class="figures text-right">{format.quantity(statistics.longestScore, unit, unit === 'mm' ? 0 : 2)}</dd>
			{#if statistics.direction}
				<dt class="text-ink-soft">Side</dt>
				<dd class="figures text-right">
					{format.number(statistics.direction.meanDeg)}°, resultant {format.number(statistics.direction.resultant, 2)}
				</dd>
				<dt class="text-ink-soft">Chance if not one-sided</dt>
				<dd class="figures text-right">
					{statistics.direction.p === undefined ? 'too few marks' : format.probability(statistics.direction.p)}
				</dd>
			{:else}<dt class="text-ink-soft">Side</dt>
				<dd class="text-right">none (all around)</dd>{/if}
		</dl>
		{#if together}<p class="soft text-[0.84rem]">
				{sides.length} cylinders are marked on one side, {together.resultant > 0.9
					? `all at about ${format.number(together.meanDeg)}°. This points to a misaligned head or guides`
					: 'at different angles. This points to the rod or guide of each cylinder'}.
			</p>{/if}
		{#if !locked}<button
				type="button"
				class="btn small"
				onclick={() => bench.withdraw(part.record.marks.at(-1)!, 'mark removed')}
				>Remove the last {markName(marks.at(-1)!.shape).toLowerCase()}</button
			>{/if}
	{:else}<p class="soft text-[0.84rem]">Draw the damage where you see it. The seal runs on the shaded area.</p>{/if}
</section>

<style>
	svg {
		display: block;
		width: 100%;
		height: 180px;
		border: 1px solid var(--ink-soft);
		background: var(--paper);
		touch-action: none;
		cursor: crosshair;
	}
	.track {
		fill: color-mix(in oklab, var(--mark) 9%, transparent);
	}
	.grid {
		stroke: var(--line);
		stroke-dasharray: 2 3;
		vector-effect: non-scaling-stroke;
	}
	.mark {
		fill: none;
		stroke: var(--pencil);
		stroke-width: 2;
		vector-effect: non-scaling-stroke;
	}
	.mark.band,
	.mark.point {
		fill: color-mix(in oklab, var(--pencil) 30%, transparent);
	}
	.mark.unsure {
		stroke-dasharray: 4 3;
	}
	.cursor {
		stroke: var(--ink);
		vector-effect: non-scaling-stroke;
	}
</style>
