<!-- @component Trace: what recurs on one pump, place by place, with how surprising it is, and one chart over its hours. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { formatNumber, formatProbability } from '$lib/ui/numbers';
	import type { Rate } from '@exetasis/core/trace';
	import { foundName } from '$lib/words/found';
	import { placeName } from '$lib/words/place';
	import { day } from '$lib/ui/time';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import RecurrenceChart from '$lib/trace/RecurrenceChart.svelte';
	import { pumpLine } from '$lib/pump/found';
	import PumpChoice from '$lib/pump/PumpChoice.svelte';

	let { data } = $props();
	const MOST_SHOWN = 25;
	let chosen = $state(0);
	const trace = $derived(data.trace);
	const recurring = $derived(trace?.recurrences.filter(({ rate }) => rate.events > 1) ?? []);
	const picked = $derived(recurring[Math.min(chosen, recurring.length - 1)]);
	const stationName = (key: string) => data.sheet?.stations.find((station) => station.key === key)?.name ?? key;
	const rateWords = (rate: Rate) =>
		`${formatNumber(rate.per1000h, 2)} (${formatNumber(rate.low, 2)}–${formatNumber(rate.high, 2)})`;
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
			head: 'Found',
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
			head: 'chance if alike',
			number: true,
			of: ({ others, pAlike }: Recurring) => (others ? pAlike : undefined),
			says: ({ others, pAlike }: Recurring) => (others ? formatProbability(pAlike) : '–')
		},
		{
			key: 'any',
			head: 'any as odd',
			number: true,
			of: ({ others, pAny }: Recurring) => (others ? pAny : undefined),
			says: ({ others, pAny }: Recurring) => (others ? formatProbability(pAny) : '–')
		}
	]);
</script>

{#snippet pick(one: Recurring)}
	<button type="button" class="pick" aria-pressed={one === picked} onclick={() => (chosen = recurring.indexOf(one))}
		>{patternName(one.pattern as PatternKey)}</button
	>
{/snippet}

<svelte:head><title>Trace · Exetasis</title></svelte:head>
<div class="head">
	<h1>Trace</h1>
	{#key data.pump?.id}
		<PumpChoice
			label="Pump"
			first={data.pump ? pumpLine(data.pump) : ''}
			rebuilds={2}
			onchoose={({ id }) => {
				chosen = 0;
				void goto(`/trace?pump=${id}`);
			}}
		/>
	{/key}
	{#if data.pump}<a class="btn" href="/pumps/{data.pump.id}">Its rebuilds</a>{/if}
</div>
{#if !trace || recurring.length === 0}
	<p class="soft">
		{data.pump
			? 'Nothing has recurred on this pump: no pattern came up twice at one place.'
			: 'A pump needs two rebuilds on record before anything can recur.'}
	</p>
{:else}
	{#if picked}
		<p class="finding">
			<b>{patternName(picked.pattern as PatternKey)}</b> at
			<b>{placeName(stationName(picked.station), picked.cylinder)}</b>: came up {picked.rate.events} times in {formatNumber(
				picked.rate.hours
			)} h.
			{#if picked.others}
				On the other cylinders {picked.others.events} in {formatNumber(picked.others.hours)} h. If all cylinders were alike,
				so many here would come about with a chance of {formatProbability(picked.pAlike)}; that something on this pump
				looks as odd, {formatProbability(picked.pAny)}.
				{picked.pAny > 0.05 ? 'That is nothing out of the ordinary.' : ''}
			{/if}
		</p>
		<RecurrenceChart {trace} {picked} name={patternName(picked.pattern as PatternKey)} />
	{/if}
	<DataTable
		label="What recurs"
		rows={recurring.slice(0, MOST_SHOWN)}
		{columns}
		empty="Nothing recurs."
		picked={(one) => one === picked}
	/>
	<p class="soft mt-2">
		Counted over the hours between one look at a place and the next: a mark once in its part’s life, and again where it
		has grown. “Any as odd” allows for all comparisons on this pump. {trace.withoutExposure} looks had no earlier one and
		could not count. Kept out: {trace.keptOut.handling} marks made while stripping, {trace.keptOut.assembly} by an earlier
		assembly,
		{trace.keptOut.unknown} of unknown origin.
		{recurring.length > MOST_SHOWN ? `The ${MOST_SHOWN} most surprising are shown.` : ''}
	</p>
{/if}

{#if trace && trace.foundWrong.length > 0}
	<section aria-labelledby="earlier-assembly">
		<h2 id="earlier-assembly" class="mt-6">Earlier assembly</h2>
		<p class="soft">How parts were found when the pump was opened: neither worn in service nor hurt at the strip.</p>
		<ul>
			{#each trace.foundWrong as { station, cylinder, wrong, times, last } (`${station}/${cylinder}/${wrong}`)}
				<li>
					<b>{placeName(stationName(station), cylinder)}</b>: {foundName[wrong === 'reversed' ? 'turned' : wrong]},
					{times === 1 ? 'once' : `${times} times`}, last in {day(last)}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<style>
	.head {
		display: flex;
		gap: 1rem;
		align-items: center;
		margin-bottom: 8px;
	}
	ul {
		list-style: square;
		padding-left: 1.2rem;
	}
	.finding {
		border-left: 4px solid var(--pencil);
		padding-left: 0.7rem;
		margin: 6px 0;
		max-width: 70rem;
	}
	.pick {
		min-height: 44px;
		text-align: left;
		color: var(--mark);
		text-decoration: underline;
		cursor: pointer;
	}
</style>
