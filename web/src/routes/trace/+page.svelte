<!-- @component Trace of the shop: what recurs beyond chance, dearest first, and what is being done about it. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import { goto } from '$app/navigation';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { FALSE_ALARM, FEWEST_ALIKE } from '@exetasis/core/trace';
	import type { ShopRecurrence } from '@exetasis/server/trace/ofShop';
	import { equalRows, type EqualRecurrences } from '$lib/trace/equalRows';
	import type { PartTypeKey } from '@exetasis/core/part';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import PumpChoice from '$lib/pump/PumpChoice.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import Filters from '$lib/ui/Filters.svelte';
	import type { Column } from '$lib/table/features';
	import WithTerms from '$lib/ui/WithTerms.svelte';
	import TraceNav from '$lib/trace/TraceNav.svelte';
	import { day } from '$lib/format/time';
	import { caseState } from '$lib/words/causes';
	import { placesName } from '$lib/words/report';
	import { harshWords, timesWords } from '$lib/words/rates';

	import type { LikelyCause } from './pumps/[pump]/likely/+server';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const { trace } = $derived(data);
	let only = $state<'standing' | 'all'>('standing');
	let model = $state('');
	let liquid = $state('');
	const models = $derived([...new Set(trace.recurrences.map((recurrence) => recurrence.model))].sort());
	const liquids = $derived([...new Set(trace.recurrences.flatMap((recurrence) => recurrence.liquid ?? []))].sort());
	const shown = $derived(
		equalRows(
			trace.recurrences.filter(
				(recurrence) =>
					(only === 'all' || recurrence.q <= FALSE_ALARM) &&
					(model === '' || recurrence.model === model) &&
					(liquid === '' || recurrence.liquid === liquid)
			)
		)
	);
	// Causes take longer than the list: they are asked for once it stands, pump by pump.
	let likely = $state<Readonly<Record<string, readonly LikelyCause[]>>>({});
	onMount(() => {
		let left = false;
		const pumps = new Set(trace.recurrences.filter(({ q }) => q <= FALSE_ALARM).map(({ pump }) => pump));
		void (async () => {
			for (const pump of pumps) {
				if (left) return;
				const answer = await fetch(`/trace/pumps/${pump}/likely`).catch(() => undefined);
				if (answer?.ok) likely = { ...likely, [pump]: (await answer.json()) as LikelyCause[] };
			}
		})();
		return () => (left = true);
	});
	const causeOf = ({ pump, cylinder }: ShopRecurrence) =>
		likely[pump]?.find((cause) => cause.cylinder === 0 || cylinder === 0 || cause.cylinder === cylinder);
	function causeWords(recurrence: ShopRecurrence): string {
		const cause = causeOf(recurrence);
		if (cause) return `${cause.name}, ${format.probability(cause.p)}`;
		return recurrence.q <= FALSE_ALARM && !likely[recurrence.pump] ? '…' : '–';
	}
	const place = ({ stationName, cylinders }: EqualRecurrences) => placesName(stationName, cylinders);
	const currency = $derived(data.shop?.currency ?? '');
	const columns: readonly Column<EqualRecurrences>[] = $derived([
		{
			key: 'pattern',
			head: 'Recurring problem',
			of: (recurrence: EqualRecurrences) => `${patternName(recurrence.pattern as PatternKey)} ${place(recurrence)}`,
			cell: what
		},
		{
			key: 'pump',
			head: 'Pump',
			of: ({ serial }: ShopRecurrence) => serial,
			says: ({ serial, tag }: ShopRecurrence) => (tag ? `${serial}, ${tag}` : serial),
			cell: ofPump
		},
		{
			key: 'found',
			head: 'Occurrences',
			number: true,
			of: ({ events }: ShopRecurrence) => events,
			cell: occurrences
		},
		{
			key: 'expected',
			wideOnly: true,
			head: 'Expected from other pumps',
			number: true,
			of: ({ expected }: ShopRecurrence) => expected,
			says: ({ expected }: ShopRecurrence) =>
				expected === undefined ? '–' : expected === 0 ? 'never' : format.number(expected, 2)
		},
		{
			key: 'ratio',
			wideOnly: true,
			head: 'Rate ratio (95\u00a0%)',
			number: true,
			of: (shopRecurrence: ShopRecurrence) => shopRecurrence.shrunken?.ratio ?? shopRecurrence.crude?.ratio,
			says: ({ shrunken, crude }: ShopRecurrence) => {
				const limits = shrunken ?? crude;
				return limits ? timesWords(limits, format) : '–';
			}
		},
		{
			key: 'q',
			head: 'Chance of a false alarm',
			number: true,
			of: ({ q }: ShopRecurrence) => q,
			says: ({ q }: ShopRecurrence) => format.probability(q)
		},
		{
			key: 'cost',
			wideOnly: true,
			head: `Cost so far (${currency})`,
			number: true,
			of: ({ cost }: ShopRecurrence) => cost,
			cell: spent
		},
		{
			key: 'since',
			wideOnly: true,
			brief: true,
			head: 'Since',
			of: ({ since }: ShopRecurrence) => since,
			says: (shopRecurrence: ShopRecurrence) => day(shopRecurrence.since)
		},
		{
			key: 'likely',
			head: 'Most likely cause',
			of: (shopRecurrence: ShopRecurrence) => causeOf(shopRecurrence)?.p ?? -1,
			says: causeWords,
			cell: cause
		},
		{
			key: 'case',
			head: 'Case',
			of: ({ caseState: state }: ShopRecurrence) => (state ? caseState[state] : ''),
			to: ({ caseId }: ShopRecurrence) => (caseId ? `/trace/cases/${caseId}` : undefined)
		}
	]);
</script>

{#snippet spent({ cost, replaced, openings }: ShopRecurrence)}
	<b class="figures">{format.number(cost)}</b><br /><span class="soft text-[0.8rem]"
		>{replaced}
		{replaced === 1 ? 'part' : 'parts'},<br />{format.number(openings, 1)} openings</span
	>
{/snippet}
{#snippet occurrences({ events, hours, cylinders }: EqualRecurrences)}
	{events}{cylinders.length > 1 ? ' each' : ''}<br />in {format.number(hours)}&nbsp;h
{/snippet}
{#snippet cause(recurrence: ShopRecurrence)}
	<a class="inline-flex items-center min-h-11 min-w-32" href="/trace/pumps/{recurrence.pump}"
		>{causeWords(recurrence)}</a
	>
{/snippet}
{#snippet ofPump({ pump, serial, tag }: ShopRecurrence)}
	<a class="inline-flex items-center min-h-11" href="/trace/pumps/{pump}"
		><span><span class="whitespace-nowrap">{serial}{tag ? ',' : ''}</span> {tag ?? ''}</span></a
	>
{/snippet}
{#snippet what(recurrence: EqualRecurrences)}
	<a
		class="flex gap-2 items-center min-h-11 min-w-44 text-ink no-underline"
		href="/trace/pumps/{recurrence.pump}?place={recurrence.station}/{recurrence.cylinder}/{recurrence.pattern}"
	>
		<Glyph type={recurrence.type as PartTypeKey} size={26} />
		<span
			><b class="text-mark underline">{patternName(recurrence.pattern as PatternKey)}</b><br /><span class="soft"
				>{place(recurrence)}</span
			></span
		>
	</a>
{/snippet}

<svelte:head><title>Trace · Exetasis</title></svelte:head>
<div class="flex flex-wrap gap-x-6 gap-y-0 items-center">
	<h1>Trace</h1>
	<TraceNav />
</div>
<p class="max-w-240 mt-1 mb-2">
	{#if trace.standing > 0}
		<b>{trace.standing}</b>
		{trace.standing === 1 ? 'recurrence is' : 'recurrences are'} more frequent than chance explains
	{:else}
		No recurrence is more frequent than chance explains
	{/if}
	among {format.number(trace.comparisons)} comparisons of {trace.pumps} pumps, over {format.number(trace.hours)} operating
	hours of their places.
</p>
{#if trace.harsh.length > 0}
	<ul class="grid gap-1 mt-1 mb-3 pl-3 border-l-4 border-l-doubt" aria-label="Pumps with high wear overall">
		{#each trace.harsh as pump (pump.pump)}
			<li>
				<a href="/trace/pumps/{pump.pump}"><b>{pump.tag ? `${pump.serial}, ${pump.tag}` : pump.serial}</b></a>
				{harshWords(pump, format)}
			</li>
		{/each}
	</ul>
{/if}
<Filters>
	<label
		>Show <select class="select" bind:value={only}>
			<option value="standing">more frequent than chance</option>
			<option value="all">everything found twice</option>
		</select></label
	>
	<label
		>Model <select class="select" bind:value={model}>
			<option value="">all</option>
			{#each models as model (model)}<option>{model}</option>{/each}
		</select></label
	>
	<label
		>Liquid <select class="select" bind:value={liquid}>
			<option value="">all</option>
			{#each liquids as liquid (liquid)}<option>{liquid}</option>{/each}
		</select></label
	>
	<div class="flex-1 min-w-64">
		<PumpChoice label="One pump" rebuilds={1} onchoose={({ id }) => void goto(`/trace/pumps/${id}`)} />
	</div>
</Filters>
<DataTable
	label="Recurring problems"
	rows={shown}
	{columns}
	empty="Nothing is more frequent than on other pumps of the model. Show everything found twice, or choose one pump."
/>
<p class="soft mt-2">
	Each place is compared with the same part on the other pumps of the model, or of the same duty if at least {FEWEST_ALIKE}
	exist. The comparison allows for the overall wear of each pump. It is gamma–Poisson if the rates of the pumps differ, else
	exact Poisson.
	<WithTerms
		text="“Chance of a false alarm” is the false discovery rate; below 5 % a problem is listed. Handling damage and faults of an earlier assembly do not count. A single finding is not a recurrence. The cost of an opening is shared by all parts replaced."
	/>
</p>
