<!-- @component A pump's mats in little, one a rebuild along its hours: where a mark was new, where it was still there, what was renewed. -->
<script lang="ts">
	import { placeName } from '$lib/words/place';
	import { day } from '$lib/format/time';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import type { RebuildOnRecord } from '@exetasis/server/trace/evidence';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		rebuilds: readonly RebuildOnRecord[];
		stations: readonly { readonly key: string; readonly name: string }[];
		cylinders: number;
		/** The place that is asked about. */
		picked?: { readonly station: string; readonly cylinder: number };
	}
	let { rebuilds, stations, cylinders, picked }: Props = $props();

	const CELL = 9;
	const shown = $derived(
		stations.filter(({ key }) =>
			rebuilds.some(({ inspections }) =>
				inspections.some(
					(inspection) =>
						inspection.station === key &&
						(inspection.patterns.length > 0 || inspection.seenBefore.length > 0 || inspection.failed)
				)
			)
		)
	);
	const columnOf = $derived(new Map(shown.map(({ key }, i) => [key, i])));
	const nameOf = $derived(new Map(stations.map(({ key, name }) => [key, name])));
	const width = $derived(CELL * Math.max(1, shown.length));
	const height = $derived(CELL * cylinders);
	const first = $derived(rebuilds[0]?.pumpHours ?? 0);
	const span = $derived(Math.max(1, (rebuilds.at(-1)?.pumpHours ?? 0) - first));
	type Inspection = RebuildOnRecord['inspections'][number];
	const told = (inspections: readonly Inspection[]) =>
		inspections.filter((inspection) => columnOf.has(inspection.station));
	const words = ({ inspections }: RebuildOnRecord) =>
		told(inspections)
			.filter(({ patterns }) => patterns.length > 0)
			.map(
				({ station, cylinder, patterns }) =>
					`${placeName(nameOf.get(station) ?? station, cylinder)}: ${patterns.map((pattern) => patternName(pattern as PatternKey)).join(', ')}`
			)
			.join('; ') || 'no new damage';
</script>

{#if rebuilds.length > 1}
	<!-- The mats stand side by side; how far apart they lie in hours is told here. -->
	<div
		class="rail relative h-5 mx-2.5 mb-1.5 border-b-[1.5px] border-b-ink-soft"
		role="img"
		aria-label="Rebuilds at {rebuilds.map(({ pumpHours }) => `${format.number(pumpHours)} h`).join(', ')}"
	>
		{#each rebuilds as { job, pumpHours }, i (job)}
			<span class="figures" style="left: {(100 * (pumpHours - first)) / span}%">{i + 1}</span>
		{/each}
	</div>
{/if}
<ul class="flex gap-3.5 overflow-x-auto pb-1 print:flex-wrap" aria-label="Mats over the pump’s hours">
	{#each rebuilds as rebuild, i (rebuild.job)}
		<li>
			<a
				class="mat grid text-ink no-underline text-[0.78rem] flex-none"
				href="/jobs/{rebuild.job}/inspect"
				title={words(rebuild)}
			>
				<svg
					viewBox="0 0 {width} {height}"
					style="width: {width}px; height: {height}px"
					role="img"
					aria-label={words(rebuild)}
				>
					{#if picked && picked.cylinder > 0}
						<rect class="row" x="0" y={(picked.cylinder - 1) * CELL} {width} height={CELL} />
					{/if}
					{#each told(rebuild.inspections) as inspection (`${inspection.station}/${inspection.cylinder}`)}
						{@const x = columnOf.get(inspection.station)! * CELL + CELL / 2}
						{@const y = Math.max(0, inspection.cylinder - 1) * CELL + CELL / 2}
						<g transform="translate({x} {y})">
							{#if inspection.patterns.length > 0}<path class="new" d="M-3-3 3 3M3-3-3 3" />
							{:else if inspection.seenBefore.length > 0}<path class="still" d="M0-3 3 0 0 3-3 0z" />
							{:else if inspection.failed}<path class="still" d="M-3 3 3-3" />
							{:else}<circle class="clean" r="1" />{/if}
						</g>
					{/each}
				</svg>
				<span class="figures"><b>{i + 1}</b> {format.number(rebuild.pumpHours)} h</span>
				<span class="soft">{day(rebuild.receivedAt)}</span>
			</a>
		</li>
	{/each}
</ul>
<p class="soft key text-[0.78rem] mt-0.5 mb-2">
	<span class="new">×</span> new or grown <span class="new">◇</span> still there <span class="new">╱</span> worn or
	damaged, out · sound. Rows are cylinders, columns the {shown.length} stations that ever showed anything.
</p>

<style>
	.rail span {
		position: absolute;
		bottom: -1.5px;
		transform: translateX(-50%);
		padding-bottom: 5px;
		font-size: 0.72rem;
		line-height: 1;
		background: linear-gradient(var(--ink), var(--ink)) bottom / 1.5px 5px no-repeat;
	}
	.mat:hover svg {
		border-color: var(--mark);
	}
	svg {
		border: 1px solid var(--line);
		background: var(--paper);
	}
	path {
		fill: none;
		stroke: var(--pencil);
		stroke-width: 1.4;
	}
	path.new {
		stroke-width: 2;
	}
	.clean {
		fill: var(--ink-soft);
		opacity: 0.55;
	}
	.row {
		fill: var(--mark);
		opacity: 0.13;
	}
	.key .new {
		color: var(--pencil);
		font-weight: 700;
	}
</style>
