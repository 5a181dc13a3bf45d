<!-- @component One cylinder cut along its axis, P to the left: what is in drawn out, what is not yet only dotted, what is in hand underlined. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import { inPump } from '@exetasis/core/record';
	import { drawingOf } from '$lib/glyph/drawing';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { BOX, cylinderSection, labelled } from './section';

	interface Props {
		bench: BenchState;
		cylinder: number;
		/** Stations of the step in hand. */
		inHand: readonly string[];
		/** With the names of the assemblies under it. */
		named?: boolean;
	}
	let { bench, cylinder, inHand, named = false }: Props = $props();
	const { sheet } = $derived(bench.bench);
	const places = $derived(
		new Map([...bench.build.places.values()].map((one) => [placeKey(one.station.key, one.cylinder), one]))
	);
	const placeAt = ({ key, per }: (typeof bench.stations)[number]) =>
		places.get(placeKey(key, per === 'cylinder' ? cylinder : 0));
	const section = $derived(cylinderSection(bench.stations.filter((station) => placeAt(station))));
	const left = $derived(
		[...places.values()].filter((one) => one.cylinder === cylinder && !inPump(bench.build, one)).length
	);

	const WALL = 7; // of the housing above and below
	const AXIS = WALL + BOX / 2;
	const LINE = 11;
	const nameOf = (key: string) => sheet.assemblies.find((one) => one.key === key)?.name ?? '';
	const labels = $derived(
		named
			? labelled(
					section.assemblies.map((one) => ({ ...one, name: nameOf(one.key) })),
					section.width
				)
			: []
	);
	const lines = $derived(labels.reduce((most, { line }) => Math.max(most, line + 1), 0));
	const height = $derived(2 * WALL + BOX + (lines > 0 ? 1 + LINE * lines : 0));
	const THICK: Readonly<Record<string, number>> = { rod: 5, sleeve: 13 };
	const thick = (type: string) => THICK[type] ?? 11;
</script>

<svg
	viewBox="-2 0 {section.width + 4} {height}"
	role="img"
	aria-label="Cylinder {cylinder}: {left === 0 ? 'all fitted' : `${left} left`}"
>
	{#each section.assemblies as { key, from, to } (key)}
		<rect class="wall" x={from + 0.5} y="0.5" width={to - from - 1} height={WALL} fill="url(#hatch-metal)" />
		<rect class="wall" x={from + 0.5} y={WALL + BOX} width={to - from - 1} height={WALL} fill="url(#hatch-metal)" />
	{/each}
	{#each labels as { key, at, line } (key)}
		<text x={at} y={2 * WALL + BOX + LINE * (line + 1) - 2}>{nameOf(key)}</text>
	{/each}
	<path class="axis" d="M-2 {AXIS}H{section.width + 2}" />
	{#each section.pieces as { station, from, to, through } (station.key)}
		{@const here = placeAt(station)}
		{@const dotted = !here || !inPump(bench.build, here)}
		<g class:dotted>
			{#if inHand.includes(station.key)}
				<rect class="here" x={from} y={WALL + BOX - 2} width={to - from} height="3" />
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
		width: 100%;
		max-height: 132px;
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
	text {
		fill: var(--ink-soft);
		font-size: 9px;
		text-anchor: middle;
	}
</style>
