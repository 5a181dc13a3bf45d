<!-- @component One cylinder cut along its axis, P to the left: what is in drawn out, what is not only dotted, what is in hand accented, its tools above it. -->
<script lang="ts">
	import type { Assembly, Face, Station, ToolKind } from '@exetasis/core/record';
	import { drawingOf } from '$lib/glyph/drawing';
	import { TOOL_BOX, toolShapes } from '$lib/glyph/tools';
	import { BOX, cylinderSection, labelled, toolsAbove, zoomed } from './section';

	interface Props {
		/** Its parts in the order of the stack. */
		stations: readonly Station[];
		/** What the drawing shows, for those who hear it. */
		label: string;
		/** Whether a part is in the pump. */
		isIn: (station: Station) => boolean;
		/** Stations of the step in hand. */
		inHand: readonly string[];
		/** The side to which a part in hand comes out, where that is known. */
		comesOut?: (station: Station) => Face | undefined;
		/** The tool that a part in hand takes. */
		toolFor?: (station: Station) => ToolKind | undefined;
		/** With the names of these assemblies under it; of a long stack then only what is in hand is drawn. */
		named?: readonly Assembly[];
	}
	let { stations, label, isIn, inHand, comesOut, toolFor, named = [] }: Props = $props();
	const section = $derived(cylinderSection(named.length > 0 ? zoomed(stations, inHand) : stations));

	const WALL = 7; // of the housing above and below
	const AXIS = WALL + BOX / 2;
	const LINE = 11;
	/** Of a few parts the drawing is no larger, so that its names are as large as other small text. */
	const MOST_SCALE = 1.5;
	// Names of what is in hand, nearest to it; those of the assemblies below.
	const heldNames = $derived(
		named.length > 0
			? labelled(
					section.pieces
						.filter(({ station }) => inHand.includes(station.key))
						.map(({ station, from, to }) => ({ key: station.key, name: station.short, from, to })),
					section.width
				)
			: []
	);
	const heldLines = $derived(heldNames.reduce((most, { line }) => Math.max(most, line + 1), 0));
	const nameOf = (key: string) => named.find((part) => part.key === key)?.name ?? '';
	const labels = $derived(
		named.length > 0
			? labelled(
					section.assemblies.map((assembly) => ({ ...assembly, name: nameOf(assembly.key) })),
					section.width
				)
			: []
	);
	const lines = $derived(heldLines + labels.reduce((most, { line }) => Math.max(most, line + 1), 0));
	const height = $derived(2 * WALL + BOX + (lines > 0 ? 1 + LINE * lines : 0));
	const TOOL_SCALE = 0.6;
	const TOOL_WIDTH = TOOL_SCALE * TOOL_BOX.width;
	const tools = $derived(
		toolFor
			? toolsAbove(
					section.pieces
						.filter(({ station }) => inHand.includes(station.key))
						.map(({ station, from, to }) => ({ kind: toolFor(station), from, to })),
					section.width,
					TOOL_WIDTH
				)
			: []
	);
	const top = $derived(tools.length > 0 ? TOOL_SCALE * TOOL_BOX.height + 6 : 0);
	const THICK: Readonly<Record<string, number>> = { rod: 5, sleeve: 13 };
	const thick = (type: string) => THICK[type] ?? 11;
</script>

<svg
	viewBox="-2 {-top} {section.width + 4} {height + top}"
	style:max-width="{MOST_SCALE * (section.width + 4)}px"
	role="img"
	aria-label={label}
>
	{#each section.assemblies as { key, from, to } (key)}
		<rect class="wall" x={from + 0.5} y="0.5" width={to - from - 1} height={WALL} fill="url(#hatch-metal)" />
		<rect class="wall" x={from + 0.5} y={WALL + BOX} width={to - from - 1} height={WALL} fill="url(#hatch-metal)" />
	{/each}
	{#each labels as { key, at, line } (key)}
		<text x={at} y={2 * WALL + BOX + LINE * (heldLines + line + 1) - 2}>{nameOf(key)}</text>
	{/each}
	{#each heldNames as { key, at, line } (key)}
		<text class="own" x={at} y={2 * WALL + BOX + LINE * (line + 1) - 2}
			>{stations.find((station) => station.key === key)?.short}</text
		>
	{/each}
	{#each tools as { kind, at, over } (over)}
		<path class="leader" d="M{at} -6L{over} -1" />
		<g transform="translate({at - TOOL_WIDTH / 2} {-top}) scale({TOOL_SCALE})">
			{#each toolShapes[kind] as { d, as }, i (i)}<path {d} class="tool {as}" />{/each}
		</g>
	{/each}
	<path class="axis" d="M-2 {AXIS}H{section.width + 2}" />
	{#each section.pieces as { station, from, to, through } (station.key)}
		{@const held = inHand.includes(station.key)}
		{@const side = held ? comesOut?.(station) : undefined}
		<g class:dotted={!isIn(station)} class:held>
			{#if held}
				<rect class="here" x={from} y={WALL + BOX - 2} width={to - from} height="3" />
			{/if}
			{#if side}
				<path
					class="way"
					d={side === 'P' ? `M${to - 3} 4H${from + 3}m4 -3l-4 3l4 3` : `M${from + 3} 4H${to - 3}m-4 -3l4 3l-4 3`}
				/>
			{/if}
			{#if through}
				<rect
					class="part"
					x={from}
					y={AXIS - thick(station.type) / 2}
					width={to - from}
					height={thick(station.type)}
					rx="1"
					fill="url(#hatch-ceramic)"
				/>
			{:else}
				{@const { outlines, mirrored } = drawingOf(station.type, station.face)}
				<!-- As wide as its place; the pressure side lies to the left. -->
				<g transform="translate({mirrored ? to : from} {WALL}) scale({((mirrored ? -1 : 1) * (to - from)) / BOX} 1)">
					{#each outlines as { d, hatch } (d)}
						<path
							class="part"
							{d}
							fill={hatch ? `url(#hatch-${hatch})` : 'none'}
							class:edge={!hatch}
							fill-rule="evenodd"
						/>
					{/each}
				</g>
			{/if}
		</g>
	{/each}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
	}
	.part {
		stroke: currentColor;
		stroke-width: 1;
		stroke-linejoin: round;
		vector-effect: non-scaling-stroke;
	}
	.edge {
		stroke-width: 0.6;
		stroke-dasharray: 5 1.5 1 1.5;
	}
	.wall {
		stroke: var(--ink-soft);
		stroke-width: 0.6;
		opacity: 0.6;
	}
	.axis {
		stroke: var(--ink-soft);
		stroke-width: 0.5;
		stroke-dasharray: 9 2 2 2;
	}
	.dotted .part {
		stroke-dasharray: 1 2.4;
		fill: none;
		opacity: 0.6;
	}
	.here {
		fill: var(--mark);
	}
	.held .part {
		stroke: var(--mark);
		stroke-width: 1.6;
	}
	.way {
		fill: none;
		stroke: var(--mark);
		stroke-width: 1.6;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.leader {
		stroke: var(--mark);
		stroke-width: 1;
	}
	.tool {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.6;
		stroke-linejoin: round;
		stroke-linecap: round;
	}
	.tool.part {
		stroke: var(--ink-soft);
		stroke-width: 0.8;
		vector-effect: none;
		fill: var(--ink-soft);
		fill-opacity: 0.14;
	}
	.tool.way {
		stroke: var(--mark);
	}
	text.own {
		fill: var(--mark);
		font-weight: 600;
	}
	text {
		fill: var(--ink-soft);
		font-size: 9px;
		text-anchor: middle;
	}
</style>
