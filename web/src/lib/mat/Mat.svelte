<!-- @component The mat: one row per cylinder, one column per station in strip order, one cell per physical part. -->
<script lang="ts">
	import type { BenchState } from '$lib/log/bench.svelte';
	import { placeKey } from '@exetasis/core/mat';
	import { openedCylinders, type Station } from '@exetasis/core/record';
	import type { MatLayers } from './layers.svelte';
	import MatCell from './MatCell.svelte';

	interface Props {
		bench: BenchState;
		/** Place of the part in hand, "station/cylinder". */
		selected: string;
		/** The names of all columns stand over them. */
		named: boolean;
		layers: MatLayers;
		/** The rows stay low: the room below is needed. */
		low?: boolean;
		onselect: (place: string) => void;
	}
	let { bench, selected, named, layers, low = false, onselect }: Props = $props();

	interface Group {
		readonly assembly: string;
		readonly key: string;
		readonly stations: readonly Station[];
	}

	// Five rows take little more than three.
	const leastRow = $derived(Math.max(32, 47 - 3 * Math.max(3, bench.bench.sheet.cylinders)));
	const cylinders = $derived(openedCylinders(bench.bench.sheet, bench.bench.job));
	const nameOf = (assembly: string) => bench.bench.sheet.assemblies.find(({ key }) => key === assembly)?.name ?? '';
	// Which of its faces lies up stands with an assembly that lies on the bench: its parts are drawn so.
	const headOf = (assembly: string) =>
		bench.up.has(assembly) ? `${nameOf(assembly)}, ${bench.up.get(assembly)} up` : nameOf(assembly);
	// Neighbouring stations of one assembly share a heading.
	const groupsOf = (stations: readonly Station[]): Group[] =>
		stations.reduce<Group[]>((all, station) => {
			const last = all.at(-1);
			if (last?.assembly === station.in) all[all.length - 1] = { ...last, stations: [...last.stations, station] };
			else all.push({ assembly: station.in, key: station.key, stations: [station] });
			return all;
		}, []);
	const numbers = $derived(new Map(bench.stations.map(({ key }, index) => [key, index + 1])));
	const inHand = $derived(selected.split('/')[0]);
	const nameInHand = $derived(bench.stations.find(({ key }) => key === inHand)?.short);

	// Where not all columns have room beside each other they stand in bands below each other, as far as the window is high enough;
	// else each assembly but the one in hand folds to one column, which opens it.
	const COLUMN_PX = 40;
	const ROWS_PX = 34;
	const HEADS_PX = 40;
	const BANDED_ROW_PX = 32; // the least that a row takes: the panels below keep their height
	const REST_PX = 500; // what the rest of the page needs
	let width = $state(0);
	let windowHeight = $state(0);
	const inBand = $derived(Math.max(1, Math.floor((width - ROWS_PX) / COLUMN_PX)));
	const wanted = $derived(width > 0 ? Math.ceil(bench.stations.length / inBand) : 1);
	const most = $derived(Math.floor((windowHeight - REST_PX) / (HEADS_PX + cylinders.length * leastRow)));
	const folds = $derived(wanted > 1 && wanted > most && groupsOf(bench.stations).length > 1);
	const bands = $derived.by(() => {
		const count = folds ? 1 : wanted;
		const each = Math.ceil(bench.stations.length / count);
		return Array.from({ length: count }, (_, i) => groupsOf(bench.stations.slice(i * each, (i + 1) * each)));
	});
	// A high window gives half of what it has more than a usual one to the rows: the cells are the larger.
	const USUAL_PX = 800;
	const HIGHEST_ROW_PX = 56;
	const rowHeight = $derived.by(() => {
		const least = bands.length > 1 ? BANDED_ROW_PX : leastRow;
		const more = low ? 0 : Math.max(0, windowHeight - USUAL_PX) / 2 / (cylinders.length * bands.length);
		return Math.floor(Math.min(HIGHEST_ROW_PX, least + more));
	});
	const isFolded = ({ stations }: Group) => folds && stations.length > 1 && !stations.some(({ key }) => key === inHand);
	const columnsOf = (groups: readonly Group[]) =>
		groups.reduce((sum, group) => sum + (isFolded(group) ? 1 : group.stations.length), 0);
	const columns = $derived(Math.max(...bands.map(columnsOf)));
	// Where every name has room over its column, names stand there instead of numbers.
	const LETTER_PX = 6.6;
	const namesFit = $derived(
		Math.max(...bench.stations.map(({ short }) => short.length)) * LETTER_PX + 8 <= (width - ROWS_PX) / columns
	);
	const placesOf = ({ stations }: Group, cylinder: number) =>
		stations.map(({ key, per }) => placeKey(key, per === 'cylinder' ? cylinder : 0));
	const leftIn = (group: Group, cylinder: number) =>
		placesOf(group, cylinder).filter((place) => bench.parts.get(place)?.inspected === false);

	let roll = $state<HTMLElement>();
	let more = $state({ left: false, right: false });
	function inspection() {
		if (!roll) return;
		more = {
			left: roll.scrollLeft > 4,
			right: roll.scrollLeft + roll.clientWidth < roll.scrollWidth - 4
		};
	}
	// What is in hand is always in sight.
	$effect(() => {
		void [columns, width, rowHeight];
		const cell = roll?.querySelector<HTMLElement>(`[data-place="${CSS.escape(selected)}"]`);
		if (roll && cell) {
			const [box, within] = [cell.getBoundingClientRect(), roll.getBoundingClientRect()];
			const beside = box.width + 40;
			if (box.left < within.left + beside) roll.scrollLeft -= within.left + beside - box.left;
			else if (box.right > within.right - beside) roll.scrollLeft += box.right - within.right + beside;
		}
		inspection();
	});
</script>

<svelte:window onresize={inspection} bind:innerHeight={windowHeight} />
<div
	class="mat sheet"
	style:--row="{rowHeight}px"
	class:banded={bands.length > 1}
	class:left={more.left}
	class:right={more.right}
	role="region"
	aria-label="Mat"
>
	<div class="roll" bind:this={roll} bind:clientWidth={width} onscroll={inspection}>
		{#each bands as groups, band (band)}
			<table
				style="min-width: {ROWS_PX + COLUMN_PX * columns}px; width: {(100 * (ROWS_PX + COLUMN_PX * columnsOf(groups))) /
					(ROWS_PX + COLUMN_PX * columns)}%"
			>
				<colgroup
					><col class="w-8.5" />{#each groups as group (group.key)}{#if isFolded(group)}<col />{:else}<col
								span={group.stations.length}
							/>{/if}{/each}</colgroup
				>
				<thead>
					<tr>
						<th
							class="corner sticky left-0 z-1 bg-sheet w-8.5 min-w-8.5"
							rowspan="2"
							scope="col"
							title="P: the pressure side, to the left. C: the crank side, to the right."
							><span class="sr-only">Cylinder</span><span aria-hidden="true">P◂<br />▸C</span></th
						>
						{#each groups as group (group.key)}
							<th class="group" colspan={isFolded(group) ? 1 : group.stations.length} scope="colgroup">
								{group.stations.length > 1 ? headOf(group.assembly) : ''}
							</th>
						{/each}
					</tr>
					<tr class:named>
						{#each groups as group (group.key)}
							{#if isFolded(group)}<th></th>{:else}
								{#each group.stations as station (station.key)}
									<th class="station" scope="col" class:current={station.key === inHand} aria-label={station.name}>
										{#if named}<span class="name">{station.short}</span>{:else if namesFit}<span class="fits"
												>{station.short}</span
											>{:else if station.key === inHand}<span class="in-hand">{nameInHand}</span>{:else}<span
												class="figures number block text-center"
												aria-hidden="true">{numbers.get(station.key)}</span
											>{/if}
									</th>
								{/each}
							{/if}
						{/each}
					</tr>
				</thead>
				<tbody>
					{#each cylinders as cylinder (cylinder)}
						<tr>
							<th
								scope="row"
								class="cylinder figures sticky left-0 z-1 bg-sheet w-8.5 min-w-8.5"
								aria-label="Cylinder {cylinder}"
								title={bench.bench.sheet.cylinderOne?.text}>{cylinder}</th
							>
							{#each groups as group (group.key)}
								{#if isFolded(group)}
									{@const left = leftIn(group, cylinder)}
									<td class="folded p-0 border-l border-l-line border-t border-t-line">
										<button
											type="button"
											class="figures w-full min-w-11 h-[var(--row,_38px)] text-[0.82rem] text-ink-soft cursor-pointer"
											aria-label="{nameOf(group.assembly)}, cylinder {cylinder}: {left.length} of {group.stations
												.length} not inspected"
											onclick={() => onselect(left[0] ?? placesOf(group, cylinder)[0])}
											>{left.length > 0 ? left.length : '✓'} ▸</button
										>
									</td>
								{:else}
									{#each group.stations as station (station.key)}
										{#if station.per === 'cylinder' || cylinder === 1}
											{@const place = placeKey(station.key, station.per === 'cylinder' ? cylinder : 0)}
											{@const part = bench.parts.get(place)}
											<td
												class="p-0 border-l border-l-line border-t border-t-line"
												rowspan={station.per === 'pump' ? cylinders.length : undefined}
												class:whole={station.per === 'pump'}
											>
												{#if part}
													<MatCell
														{part}
														selected={selected === place}
														layer={layers.shown}
														before={layers.history?.get(place)}
														sheet={bench.bench.sheet}
														up={bench.up.get(group.assembly)}
														onselect={() => onselect(place)}
													/>
												{/if}
											</td>
										{/if}
									{/each}
								{/if}
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		{/each}
	</div>
</div>

<style>
	/* On a layer of its own: the hatched drawings are not painted again when a panel below changes. */
	.mat {
		position: relative;
		contain: layout paint;
		will-change: transform;
		flex: none;
	}
	.roll {
		overflow-x: auto;
		overscroll-behavior-x: contain;
		scrollbar-width: none;
	}
	/* What lies outside is hinted at. */
	.mat.left::before,
	.mat.right::after {
		content: '◂';
		position: absolute;
		inset: 0 auto 0 34px;
		z-index: 2;
		width: 26px;
		display: grid;
		place-items: center;
		color: var(--mark);
		font-size: 1.3rem;
		background: linear-gradient(to right, var(--sheet), transparent);
		pointer-events: none;
	}
	.mat.right::after {
		content: '▸';
		inset: 0 0 0 auto;
		background: linear-gradient(to left, var(--sheet), transparent);
	}
	/* Fixed columns: a mark on one cell lays nothing else out again. */
	table {
		table-layout: fixed;
		border-collapse: collapse;
	}
	.corner {
		font-size: 0.68rem;
		line-height: 1.15;
		color: var(--ink-soft);
	}
	.group {
		font-size: 0.72rem;
		font-weight: 600;
		color: var(--ink-soft);
		text-align: left;
		border-left: 1.5px solid var(--ink-soft);
		white-space: nowrap;
		overflow: hidden;
		height: 18px;
		line-height: 1;
		padding: 1px 4px;
	}
	.station {
		position: relative;
		height: 18px;
		font-weight: 500;
		font-size: 0.68rem;
		color: var(--ink-soft);
		vertical-align: bottom;
		border-left: 1px solid var(--line);
	}
	.station .name {
		display: inline-block;
		writing-mode: vertical-rl;
		transform: rotate(180deg);
		height: 88px;
		line-height: 1.05;
		font-size: 0.74rem;
		text-align: left;
		white-space: nowrap;
	}
	.station .fits {
		display: block;
		padding-inline: 4px;
		font-size: 0.72rem;
		text-align: left;
		white-space: nowrap;
		overflow: hidden;
	}
	.station.current {
		color: var(--mark);
		font-weight: 700;
		z-index: 1;
	}
	.in-hand {
		position: absolute;
		left: 50%;
		bottom: 1px;
		transform: translateX(-50%);
		padding: 0 5px;
		font-size: 0.78rem;
		white-space: nowrap;
		background: var(--sheet);
	}
	.station.current:nth-child(2) .in-hand {
		left: 0;
		transform: none;
	}
	.station.current:last-child .in-hand {
		left: auto;
		right: 0;
		transform: none;
	}
	.cylinder {
		font-size: 1.05rem;
		border-top: 1px solid var(--line);
	}
	.banded :is(.group, .station) {
		height: 16px;
	}
	td.whole {
		background: repeating-linear-gradient(
			135deg,
			transparent 0 6px,
			color-mix(in oklab, var(--line) 22%, transparent) 6px 7px
		);
	}
</style>
