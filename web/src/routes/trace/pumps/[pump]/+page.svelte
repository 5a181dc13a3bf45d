<!-- @component Trace: what recurs on one pump, place by place, with how surprising it is, and one chart over its hours. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import type { Rate } from '@exetasis/core/trace';
	import { foundName } from '$lib/words/found';
	import { placeName } from '$lib/words/place';
	import { day } from '$lib/format/time';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import RecurrenceChart from '$lib/trace/RecurrenceChart.svelte';
	import { pumpLine } from '$lib/pump/found';
	import PumpChoice from '$lib/pump/PumpChoice.svelte';
	import LifeLines from '$lib/pump/LifeLines.svelte';
	import Beliefs from '$lib/trace/Beliefs.svelte';
	import MatsInTime from '$lib/trace/MatsInTime.svelte';
	import OpenCase from '$lib/trace/OpenCase.svelte';
	import { bySeason, spreadOverCylinders, whereToLook } from '@exetasis/core/trace';
	import { caseState, causeAtPlace, inspectAddress } from '$lib/words/causes';
	import { page } from '$app/state';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	const foundAs = { missing: 'missing', doubled: 'doubled', reversed: 'turned', jointsInLine: 'inLine' } as const;
	const MOST_SHOWN = 25;
	// A recurrence that was asked for in the address comes first.
	const asked = $derived(page.url.searchParams.get('place'));
	let chosenKey = $state<string>();
	const keyOf = (finding: { station: string; cylinder: number; pattern: string }) =>
		`${finding.station}/${finding.cylinder}/${finding.pattern}`;
	const trace = $derived(data.trace);
	const recurring = $derived(trace?.recurrences.filter(({ rate }) => rate.events > 1) ?? []);
	const picked = $derived(recurring.find((row) => keyOf(row) === (chosenKey ?? asked)) ?? recurring[0]);
	const CERTAIN = 0.9;
	// Where and when it comes up: on one cylinder or on all alike, in summer or whenever.
	const told = $derived.by(() => {
		if (!picked || !trace) return [];
		const here = trace.inspections.flatMap((inspection) =>
			inspection.station === picked.station && inspection.hours !== undefined
				? [{ ...inspection, hours: inspection.hours, found: inspection.patterns.includes(picked.pattern) }]
				: []
		);
		const cylinders = [...new Set(here.map(({ cylinder }) => cylinder))].sort((a, b) => a - b);
		const spread = spreadOverCylinders(
			cylinders.map((cylinder) => {
				const own = here.filter((inspection) => inspection.cylinder === cylinder);
				return {
					events: own.filter(({ found }) => found).length,
					exposure: own.reduce((sum, { hours }) => sum + hours, 0)
				};
			})
		);
		const season = bySeason(here);
		return [
			...(spread && spread.pOne >= CERTAIN
				? [`Only cylinder ${cylinders[spread.which]} shows it (${format.probability(spread.pOne)} probability).`]
				: spread && spread.pOne <= 1 - CERTAIN
					? [`All cylinders show it equally (${format.probability(1 - spread.pOne)} probability).`]
					: []),
			...(season && season.p <= 0.05
				? [
						`It is ${season.ratio === undefined || season.ratio > 1 ? 'more' : 'less'} frequent from June to September (${format.probability(season.p)} chance of coincidence).`
					]
				: [])
		];
	});
	const open = $derived(data.open);
	function lookAt(finding: string, cylinder: number): string | undefined {
		const node = data.beliefs?.network.findings.find(({ key }) => key === finding);
		const where = node && data.sheet && whereToLook(node, data.sheet, cylinder);
		return open && where ? inspectAddress(open, where) : undefined;
	}
	const causes = $derived.by(() => {
		const { beliefs, network } = data.beliefs ?? {};
		if (!network) return [];
		const believed = new Map(
			beliefs?.kind === 'believed'
				? beliefs.beliefs
						.filter(({ cylinder }) => cylinder === 0 || cylinder === picked?.cylinder)
						.map(({ cause, now }) => [cause, now.at(-1) ?? 0])
				: []
		);
		return network.causes
			.toSorted((a, b) => (believed.get(b.key) ?? 0) - (believed.get(a.key) ?? 0))
			.map(({ key, name }) => [key, name] as const);
	});
	const stationName = (key: string) => data.sheet?.stations.find((station) => station.key === key)?.name ?? key;
	const rateWords = (rate: Rate) =>
		`${format.number(rate.per1000h, 2)} (${format.number(rate.low, 2)}–${format.number(rate.high, 2)})`;
	const cylinderWords = (cylinder: number) => (cylinder === 0 ? '' : `cylinder ${cylinder}`);
	type Recurring = (typeof recurring)[number];
	const columns: readonly Column<Recurring>[] = $derived([
		{ key: 'pattern', head: 'Pattern', of: ({ pattern }: Recurring) => patternName(pattern as PatternKey), cell: pick },
		{
			key: 'place',
			head: 'Place',
			of: ({ station, cylinder }: Recurring) =>
				`${stationName(station)}${cylinder ? `, ${cylinderWords(cylinder)}` : ''}`
		},
		{
			key: 'times',
			head: 'Occurrences',
			number: true,
			of: ({ rate }: Recurring) => rate.events,
			says: ({ rate }: Recurring) => `${rate.events}×`
		},
		{
			key: 'rate',
			head: 'per 1000 h (95 %)',
			number: true,
			of: ({ rate }: Recurring) => rate.per1000h,
			says: ({ rate }: Recurring) => rateWords(rate)
		},
		{
			key: 'others',
			head: 'other cylinders',
			number: true,
			of: ({ others }: Recurring) => others?.per1000h,
			says: ({ others }: Recurring) => (others ? rateWords(others) : '–')
		},
		{
			key: 'alike',
			head: 'chance if equal',
			number: true,
			of: ({ others, pAlike }: Recurring) => (others ? pAlike : undefined),
			says: ({ others, pAlike }: Recurring) => (others ? format.probability(pAlike) : '–')
		},
		{
			key: 'any',
			head: 'chance of any',
			number: true,
			of: ({ others, pAny }: Recurring) => (others ? pAny : undefined),
			says: ({ others, pAny }: Recurring) => (others ? format.probability(pAny) : '–')
		}
	]);
</script>

{#snippet pick(recurring: Recurring)}
	<button
		type="button"
		class="min-h-11 text-left text-mark underline cursor-pointer"
		aria-pressed={recurring === picked}
		onclick={() => (chosenKey = keyOf(recurring))}>{patternName(recurring.pattern as PatternKey)}</button
	>
{/snippet}

<svelte:head><title>{data.pump.serial}, trace · Exetasis</title></svelte:head>
<div class="head flex gap-4 items-center mb-2">
	<h1><a href="/trace">Trace</a>: {data.pump.serial}</h1>
	<div class="flex-1 max-w-120">
		{#key data.pump.id}
			<PumpChoice
				label="Pump"
				first={pumpLine(data.pump)}
				rebuilds={2}
				onchoose={({ id }) => {
					chosenKey = undefined;
					void goto(`/trace/pumps/${id}`);
				}}
			/>
		{/key}
	</div>
	<a class="btn" href="/pumps/{data.pump.id}">Show rebuilds</a>
</div>
{#each data.beliefs?.cases ?? [] as traceCase (traceCase.id)}
	<p class="border-l-4 border-l-pencil pl-[0.7rem] my-1.5 max-w-280">
		<a class="row" href="/trace/cases/{traceCase.id}"
			>Case: {patternName(traceCase.pattern as PatternKey)} at {placeName(
				stationName(traceCase.station),
				traceCase.cylinder
			)}</a
		>, suspected cause {causeAtPlace(data.beliefs!.network, { cause: traceCase.cause, cylinder: 0 })};
		{caseState[traceCase.state]}.
	</p>
{/each}
{#if data.beliefs && data.sheet}
	<MatsInTime
		rebuilds={data.beliefs.rebuilds}
		stations={data.sheet.stations}
		cylinders={data.sheet.cylinders}
		{picked}
	/>
	<h2>Causes</h2>
	{#key data.pump.id}<Beliefs of={data.beliefs} {lookAt} />{/key}
{/if}
<h2 class="mt-4">Recurring problems by place</h2>
{#if !trace || recurring.length === 0}
	<p class="soft">
		{trace && trace.inspections.length === 0
			? 'No inspections of this pump yet.'
			: 'No pattern was found twice at the same place on this pump.'}
	</p>
{:else}
	{#if picked}
		<p class="border-l-4 border-l-pencil pl-[0.7rem] my-1.5 max-w-280">
			<b>{patternName(picked.pattern as PatternKey)}</b> at
			<b>{placeName(stationName(picked.station), picked.cylinder)}</b>: found {picked.rate.events} times in {format.number(
				picked.rate.hours
			)} h.
			{#if picked.others}
				Other cylinders: {picked.others.events} times in {format.number(picked.others.hours)} h. If all cylinders were equal,
				the chance of this would be {format.probability(picked.pAlike)}, and {format.probability(picked.pAny)} for something
				as unusual anywhere on this pump.
				{picked.pAny > 0.05 ? 'This is not unusual.' : ''}
			{/if}
			{told.join(' ')}
		</p>
		<RecurrenceChart {trace} {picked} name={patternName(picked.pattern as PatternKey)} />
		{#if data.mayWork && data.form}
			{#key keyOf(picked)}
				<OpenCase
					form={data.form}
					place={{
						...picked,
						words: `${patternName(picked.pattern as PatternKey)} at ${placeName(stationName(picked.station), picked.cylinder)}`
					}}
					{causes}
				/>
			{/key}
		{/if}
	{/if}
	<DataTable
		label="Recurring problems"
		rows={recurring.slice(0, MOST_SHOWN)}
		{columns}
		empty="No recurring problems."
		picked={(finding) => finding === picked}
	/>
	<p class="soft mt-2">
		Damage counts when it is new or has grown since the inspection before. “Chance of any” allows for all comparisons on
		this pump. {trace.withoutExposure} first inspections do not count. Not counted: {trace.keptOut.handling} findings of handling
		damage, {trace.keptOut.assembly} of an earlier assembly,
		{trace.keptOut.unknown} of unknown origin.
		{recurring.length > MOST_SHOWN ? `The ${MOST_SHOWN} most surprising are shown.` : ''}
	</p>
{/if}

{#if data.sheet && data.lives.length > 0}
	<h2 class="mt-6">Part lives</h2>
	<LifeLines sheet={data.sheet} lives={data.lives} hoursNow={data.hoursNow} />
{/if}

{#if trace && trace.foundWrong.length > 0}
	<section aria-labelledby="earlier-assembly">
		<h2 id="earlier-assembly" class="mt-6">Earlier assembly</h2>
		<p class="soft">Faults of an earlier assembly, found when the pump was opened.</p>
		<ul class="squares">
			{#each trace.foundWrong as { station, cylinder, wrong, times, last } (`${station}/${cylinder}/${wrong}`)}
				<li>
					<b>{placeName(stationName(station), cylinder)}</b>: {foundName[foundAs[wrong]]},
					{times === 1 ? 'once' : `${times} times`}, last in {day(last)}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<style>
	.head h1,
	.head .btn {
		white-space: nowrap;
	}
</style>
