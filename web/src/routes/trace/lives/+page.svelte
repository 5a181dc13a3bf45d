<!-- @component How long the parts of one station of a model live: on Weibull paper, as survival, as replacements; groups compared. -->
<script lang="ts">
	import WithTerms from '$lib/ui/WithTerms.svelte';
	import { goto } from '$app/navigation';
	import DataTable from '$lib/table/DataTable.svelte';
	import Filters from '$lib/ui/Filters.svelte';
	import type { Column } from '$lib/table/features';
	import Segments from '$lib/ui/Segments.svelte';
	import LivesChart, { type Series } from '$lib/trace/LivesChart.svelte';
	import type { GroupSummary } from '@exetasis/server/trace/livesSummary';
	import { kitWords } from '$lib/words/contrasts';
	import TraceNav from '$lib/trace/TraceNav.svelte';
	import { inSentence } from '$lib/words/place';
	import {
		comparisonSentence,
		limitsWords,
		noMaximumWords,
		phaseWords,
		saysLife,
		trendSentence
	} from '$lib/words/survival';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { summary } = $derived(data);
	const byWords = {
		none: 'no grouping',
		cylinder: 'cylinder',
		lot: 'lot',
		supplier: 'supplier',
		kit: 'kit',
		mate: 'condition of mating parts',
		duty: 'duty',
		liquid: 'liquid',
		site: 'site',
		pump: 'pump'
	};
	const ask = (change: Record<string, string>) =>
		goto(
			`/trace/lives?${new URLSearchParams({ model: data.model, station: data.station?.key ?? '', by: data.by, from: data.entry, ...change })}`,
			{ keepFocus: true }
		);
	const mateWords: Readonly<Record<string, string>> = {
		new: 'New mating parts',
		clean: 'Reused mating part without damage',
		marked: 'Reused mating part with damage'
	};
	function groupName(name: string): string {
		if (data.by === 'none') return 'All';
		if (name === '') return 'not recorded';
		return data.by === 'cylinder'
			? `Cylinder ${name}`
			: data.by === 'mate'
				? mateWords[name]
				: data.by === 'kit'
					? kitWords(name)
					: name;
	}
	const groups = $derived(summary?.groups ?? []);
	const MOST_DRAWN = 4;
	const drawn = $derived(groups.filter(({ fit }) => fit.kind === 'fitted').slice(0, MOST_DRAWN));
	const onPaper = (share: number) => Math.log(-Math.log1p(-Math.min(0.9999, Math.max(1e-6, share))));
	const paper: Series[] = $derived(
		drawn.flatMap((group): Series[] => {
			const name = groupName(group.name);
			const at = (of: (point: GroupSummary['curve'][number]) => number) =>
				group.curve.map((point) => ({ x: point.hours, y: onPaper(of(point)) }));
			return [
				{ name, kind: 'line', points: at(({ value }) => value), strong: true },
				{ name, kind: 'band', points: at(({ low }) => low) },
				{ name, kind: 'band', points: at(({ high }) => high) },
				{
					name,
					kind: 'ranges',
					// Where the record lets the ends lie: from one look to the next.
					points: group.masses.flatMap(({ after, by, ended }) => [
						{ x: Math.max(1, after), y: onPaper(ended) },
						{ x: by, y: onPaper(ended) },
						{ x: NaN, y: NaN }
					])
				},
				{
					name,
					kind: 'ticks',
					points: group.censored.filter((hours) => hours > 0).map((x) => ({ x, y: onPaper(0.0115) }))
				}
			];
		})
	);
	// When an end came between two looks is not known: survival is then a range, with limits about it.
	const still: Series[] = $derived.by(() => {
		const [steps, ranges] = [summary?.steps ?? [], summary?.ranges ?? []];
		const whole = { x: 0, y: 100 };
		const line = (kind: Series['kind'], points: Series['points']): Series => ({ name: 'survival', kind, points });
		if (ranges.length > 0)
			return [
				line('line', [whole, ...ranges.map(({ hours, most }) => ({ x: hours, y: 100 * most }))]),
				line('line', [whole, ...ranges.map(({ hours, least }) => ({ x: hours, y: 100 * least }))]),
				line('band', [whole, ...ranges.map(({ hours, low }) => ({ x: hours, y: 100 * low }))]),
				line('band', [whole, ...ranges.map(({ hours, high }) => ({ x: hours, y: 100 * high }))])
			];
		return [
			line('steps', [whole, ...steps.map(({ hours, survival }) => ({ x: hours, y: 100 * survival }))]),
			line(
				'band',
				steps.map(({ hours, low }) => ({ x: hours, y: 100 * low }))
			),
			line(
				'band',
				steps.map(({ hours, high }) => ({ x: hours, y: 100 * high }))
			)
		];
	});
	const stillWords = $derived.by(() => {
		const last = summary?.ranges.at(-1);
		if (last)
			return `From ${format.number(100 * last.low)} to ${format.number(100 * last.high)} % after ${format.number(last.hours)} h`;
		const step = summary?.steps.at(-1);
		return `${summary?.steps.length ?? 0} steps; ${step ? `${format.number(100 * step.survival)} % after the last` : 'none'}`;
	});
	const replaced: Series[] = $derived([
		{
			name: 'replacements',
			kind: 'steps',
			points: [{ x: 0, y: 0 }, ...(summary?.replacements ?? []).map(({ hours, mean }) => ({ x: hours, y: mean }))]
		},
		{
			name: 'replacements',
			kind: 'band',
			points: (summary?.replacements ?? []).map(({ hours, low }) => ({ x: hours, y: low }))
		},
		{
			name: 'replacements',
			kind: 'band',
			points: (summary?.replacements ?? []).map(({ hours, high }) => ({ x: hours, y: high }))
		}
	]);
	const columns: readonly Column<GroupSummary>[] = $derived([
		{
			key: 'group',
			head: data.by === 'none' ? 'Group' : byWords[data.by],
			of: ({ name }: GroupSummary) => groupName(name)
		},
		{ key: 'lives', head: 'Lives', number: true, of: ({ lives }: GroupSummary) => lives },
		{ key: 'ended', head: 'Failures', number: true, of: ({ ended }: GroupSummary) => ended },
		{
			key: 'hours',
			head: 'Operating hours',
			number: true,
			of: ({ hours }: GroupSummary) => hours,
			says: ({ hours }: GroupSummary) => format.number(hours)
		},
		{
			key: 'b10',
			head: 'B10 life, h (95 %)',
			number: true,
			of: ({ fit }: GroupSummary) => (fit.kind === 'fitted' ? fit.b10.value : undefined),
			says: ({ fit, least }: GroupSummary) =>
				fit.kind === 'fitted'
					? !saysLife(fit)
						? 'below 1'
						: limitsWords(fit.b10, format)
					: least
						? `scale at least ${format.number(least.scale)} for shape ${least.shape}`
						: 'not enough data'
		},
		{
			key: 'scale',
			head: 'Scale, h (95 %)',
			number: true,
			of: ({ fit }: GroupSummary) => (fit.kind === 'fitted' ? fit.scale.value : undefined),
			says: ({ fit }: GroupSummary) => (fit.kind === 'fitted' ? limitsWords(fit.scale, format) : '–')
		},
		{
			key: 'shape',
			head: 'Shape (95 %)',
			number: true,
			of: ({ fit }: GroupSummary) => (fit.kind === 'fitted' ? fit.shape.value : undefined),
			says: ({ fit }: GroupSummary) => (fit.kind === 'fitted' ? limitsWords(fit.shape, format, 1) : '–')
		},
		{
			key: 'naive',
			wideOnly: true,
			head: 'Scale if every removal counted as a failure, h',
			number: true,
			of: ({ naive }: GroupSummary) => (naive.kind === 'fitted' ? naive.scale.value : undefined),
			says: ({ naive }: GroupSummary) => (naive.kind === 'fitted' ? format.number(naive.scale.value) : '–')
		}
	]);
	type Drawn = 'failed' | 'surviving' | 'replacements';
	const charts: readonly (readonly [Drawn, string])[] = $derived([
		...(paper.length > 0 ? [['failed', 'Share failed'] as const] : []),
		['surviving', 'Surviving'],
		['replacements', 'Replacements']
	]);
	let asked = $state<Drawn>();
	const chart = $derived(charts.some(([key]) => key === asked) ? asked : charts[0][0]);
	const title = $derived(data.station ? `${data.model}, ${data.station.name}` : '');
	const file = $derived(`${data.model}-${data.station?.key ?? ''}-${data.by}`);
</script>

<svelte:head><title>Lives · Exetasis</title></svelte:head>
<div class="flex flex-wrap items-center gap-x-6">
	<h1>Lives</h1>
	<TraceNav />
</div>
{#if !data.station || !summary}<p class="soft">No model sheet yet. Lives are grouped by the parts of a model.</p>
{:else}
	<Filters>
		<label
			>Model <select class="select" value={data.model} onchange={(event) => ask({ model: event.currentTarget.value })}>
				{#each data.models as model (model)}<option>{model}</option>{/each}
			</select></label
		>
		<label
			>Part <select
				class="select"
				value={data.station.key}
				onchange={(event) => ask({ station: event.currentTarget.value })}
			>
				{#each data.stations as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select></label
		>
		<label
			>By <select class="select" value={data.by} onchange={(event) => ask({ by: event.currentTarget.value })}>
				{#each Object.entries(byWords) as [key, words] (key)}<option value={key}>{words}</option>{/each}
			</select></label
		>
		<label
			>Count parts that came with a pump <select
				class="select"
				value={data.entry}
				onchange={(event) => ask({ from: event.currentTarget.value })}
			>
				<option value="fitting">from when they were fitted</option>
				<option value="visit">from the pump’s first visit</option>
			</select></label
		>
		<a
			class="btn"
			href="/trace/lives/table?{new URLSearchParams({
				model: data.model,
				station: data.station.key,
				by: data.by,
				from: data.entry
			})}">CSV</a
		>
	</Filters>
	{#if groups.length === 0}
		<p class="soft">
			No part with a known fitting date yet{summary.unknownAge > 0
				? `: ${summary.unknownAge} came with their pumps, age unknown`
				: ''}.
		</p>
	{:else}
		<p class="my-1.5 max-w-[75rem] border-l-4 border-pencil pl-[0.7rem] text-[1.05rem]">
			{#if summary.compared}
				{comparisonSentence(
					summary.compared.weibull,
					summary.compared.names.map(groupName),
					summary.compared.logRank.p,
					format
				)}
			{:else if groups[0].fit.kind !== 'fitted'}{noMaximumWords[groups[0].fit.reason]}
			{:else if !saysLife(groups[0].fit)}{noMaximumWords.shapeRunsDown}
			{:else}
				<WithTerms text="B10 life" />
				{limitsWords(groups[0].fit.b10, format)} h; {phaseWords[groups[0].fit.phase]} (shape {limitsWords(
					groups[0].fit.shape,
					format,
					1
				)}).
			{/if}
		</p>
		<DataTable label="Groups of lives" rows={groups} {columns} empty="No part lives yet." />
		<div class="grid gap-2 my-3">
			<Segments label="Chart" options={charts} value={chart!} onchoose={(key) => (asked = key)} />
			{#if chart === 'failed'}
				<LivesChart
					title="{title}: share failed (%)"
					series={paper}
					y="Failed (%)"
					weibullPaper
					words={drawn
						.map(({ name, fit }) =>
							fit.kind === 'fitted'
								? `${groupName(name)}: shape ${limitsWords(fit.shape, format, 1)}, scale ${limitsWords(fit.scale, format)} hours`
								: ''
						)
						.join('; ')}
					file="{file}-weibull"
				/>
			{:else if chart === 'surviving'}
				<LivesChart
					title={summary.ranges.length > 0
						? 'Surviving (%), Turnbull estimate. Between the lines, the failure time is known only as an interval'
						: 'Surviving (%), Kaplan–Meier estimate'}
					series={still}
					y="Surviving (%)"
					words={stillWords}
					file="{file}-survival"
				/>
			{:else}
				<LivesChart
					title="Mean number of replacements per pump ({summary.pumps} pumps)"
					series={replaced}
					y="Replacements"
					words={trendSentence(summary.trend, summary.pumps, format)}
					file="{file}-replacements"
				/>
			{/if}
		</div>
		{#each groups.slice(0, MOST_DRAWN) as { name, fit } (name)}
			{#if fit.kind === 'noMaximum' && groups.length > 1}
				<p><b>{groupName(name)}</b>: {inSentence(noMaximumWords[fit.reason])}</p>
			{/if}
		{/each}
		<p>{trendSentence(summary.trend, summary.pumps, format)}</p>
		<p class="soft">
			<WithTerms
				text="Parts replaced in good condition are right-censored. Failures are interval-censored between the last two inspections and drawn as a line (Turnbull). Strokes at the bottom are right-censored lives. Bands are 95 % at each point. Counting every removal as a failure is a common error; the last column shows its result."
			/>
			{summary.unknownAge}
			lives with unknown age are left out{summary.moreGroups > 0
				? `; the ${groups.length} largest groups are shown, ${summary.moreGroups} smaller ones are not`
				: ''}.
			{#if data.entry === 'visit'}
				{format.number(summary.watchedLate)}
				{summary.watchedLate === 1 ? 'part that came with its pump enters' : 'parts that came with their pumps enter'} the
				fit at the age of the pump’s first visit (left truncation) and {summary.watchedLate === 1 ? 'is' : 'are'} left out
				of the other curves; {format.number(summary.endedUnwatched)} had ended by then and {summary.endedUnwatched === 1
					? 'is'
					: 'are'} not counted.
			{:else}
				Where parts that failed before a pump’s first visit may be missing from its record, let those that came with it
				count from that visit.
			{/if}
			Lives are never grouped by person.
		</p>
	{/if}
{/if}
