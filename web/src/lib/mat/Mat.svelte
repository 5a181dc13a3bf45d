<!-- @component The mat: one row per cylinder, one column per station in strip order, one cell per physical part. -->
<script lang="ts">
	import type { BenchState } from '$lib/log/bench.svelte';
	import { placeKey } from '@exetasis/core/mat';
	import MatCell from './MatCell.svelte';

	interface Props {
		bench: BenchState;
		/** Place of the part in hand, "station/cylinder". */
		selected: string;
		onselect: (place: string) => void;
	}
	let { bench, selected, onselect }: Props = $props();

	const cylinders = $derived(Array.from({ length: bench.bench.sheet.cylinders }, (_, i) => i + 1));
	const sideName = { pump: 'Pump', manifold: 'In the manifold', rod: 'On the rod', valves: 'Valves' } as const;
	// Neighbouring stations of one assembly share a heading.
	const groups = $derived(
		bench.stations.reduce<{ side: keyof typeof sideName; count: number }[]>((all, { side }) => {
			const last = all.at(-1);
			if (last?.side === side) last.count++;
			else all.push({ side, count: 1 });
			return all;
		}, [])
	);
</script>

<div class="mat sheet" role="region" aria-label="Mat">
	<table style="width: max(100%, {34 + 45 * bench.stations.length}px)">
		<colgroup><col class="rows" /><col span={bench.stations.length} /></colgroup>
		<thead>
			<tr>
				<th class="corner" scope="col"><span class="sr-only">Cylinder</span></th>
				{#each groups as { side, count }, index (index)}
					<th class="group" colspan={count} scope="colgroup">{count > 1 ? sideName[side] : ''}</th>
				{/each}
			</tr>
			<tr>
				<th class="corner" scope="col" aria-label="Cylinder"></th>
				{#each bench.stations as station, index (station.key)}
					<th class="station" scope="col" class:current={selected.startsWith(`${station.key}/`)}>
						<span class="name">{station.short}</span>
						<span class="figures number" aria-hidden="true">{index + 1}</span>
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each cylinders as cylinder (cylinder)}
				<tr>
					<th scope="row" class="cylinder figures" aria-label="Cylinder {cylinder}">{cylinder}</th>
					{#each bench.stations as station (station.key)}
						{#if station.per === 'cylinder' || cylinder === 1}
							{@const place = placeKey(station.key, station.per === 'cylinder' ? cylinder : 0)}
							{@const part = bench.parts.get(place)}
							<td rowspan={station.per === 'pump' ? cylinders.length : undefined} class:whole={station.per === 'pump'}>
								{#if part}
									<MatCell {part} selected={selected === place} onselect={() => onselect(place)} />
								{/if}
							</td>
						{/if}
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	/* On a layer of its own: the hatched drawings are not painted anew when a panel below changes. */
	.mat {
		contain: layout paint;
		will-change: transform;
		overflow-x: auto;
		overscroll-behavior-x: contain;
	}
	/* Fixed columns: a mark on one cell lays nothing else out anew. */
	table {
		table-layout: fixed;
		border-collapse: collapse;
	}
	.rows {
		width: 34px;
	}
	.group {
		font-size: 0.72rem;
		font-weight: 600;
		color: var(--ink-soft);
		text-align: left;
		padding: 2px 4px 0;
		border-left: 1.5px solid var(--ink-soft);
		white-space: nowrap;
		overflow: hidden;
	}
	.station {
		vertical-align: bottom;
		font-weight: 500;
		font-size: 0.74rem;
		padding: 2px 0;
		border-left: 1px solid var(--line);
	}
	.station .name {
		display: inline-block;
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		height: 86px;
		line-height: 1.05;
		text-align: left;
		white-space: nowrap;
	}
	.station .number {
		display: block;
		text-align: center;
		font-size: 0.68rem;
		color: var(--ink-soft);
	}
	.station.current {
		color: var(--mark);
		font-weight: 700;
	}
	.cylinder {
		position: sticky;
		left: 0;
		z-index: 1;
		background: var(--sheet);
		width: 34px;
		min-width: 34px;
		font-size: 1.1rem;
		border-top: 1px solid var(--line);
	}
	.corner {
		position: sticky;
		left: 0;
		background: var(--sheet);
	}
	td {
		padding: 0;
		border-left: 1px solid var(--line);
		border-top: 1px solid var(--line);
	}
	td.whole {
		background: repeating-linear-gradient(
			135deg,
			transparent 0 6px,
			color-mix(in oklab, var(--line) 22%, transparent) 6px 7px
		);
	}
</style>
