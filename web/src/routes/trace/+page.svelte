<!-- @component Trace: what recurs on one pump, place by place, with how surprising it is, and one chart over its hours. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { formatNumber, formatProbability } from '@exetasis/core/quantity';
	import type { Rate } from '@exetasis/core/trace';
	import { placeName } from '$lib/words/place';
	import RecurrenceChart from '$lib/trace/RecurrenceChart.svelte';
	import FindForm from '$lib/ui/FindForm.svelte';

	let { data } = $props();
	let chosen = $state(0);
	const trace = $derived(data.trace);
	const recurring = $derived(trace?.recurrences.filter(({ rate }) => rate.events > 1) ?? []);
	const picked = $derived(recurring[Math.min(chosen, recurring.length - 1)]);
	const stationName = (key: string) => data.sheet?.stations.find((station) => station.key === key)?.name ?? key;
	const rateWords = (rate: Rate) =>
		`${formatNumber(rate.per1000h, 2)} (${formatNumber(rate.low, 2)}–${formatNumber(rate.high, 2)})`;
	const cylinderWords = (cylinder: number) => (cylinder === 0 ? '' : `cylinder ${cylinder}`);
</script>

<svelte:head><title>Trace · Exetasis</title></svelte:head>
<div class="head">
	<h1>Trace</h1>
	<label class="field"
		><span class="sr-only">Pump</span>
		<select
			value={data.pump?.id}
			onchange={(event) => {
				chosen = 0;
				void goto(`/trace?pump=${event.currentTarget.value}`);
			}}
		>
			{#each data.pumps as pump (pump.id)}<option value={pump.id}
					>{pump.serial}{pump.tag ? `, ${pump.tag}` : ''}{pump.site ? ` (${pump.site})` : ''}</option
				>{/each}
		</select>
	</label>
	{#if data.of > data.pumps.length || data.find}
		<FindForm label="Find a pump" placeholder="Find among {data.of}" find={data.find} />
	{/if}
	{#if data.pump}<a class="press" href="/pumps/{data.pump.id}">Its rebuilds</a>{/if}
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
	<table class="list">
		<thead>
			<tr
				><th>Pattern</th><th>Place</th><th class="number">Found</th><th class="number">per 1000 h (95 %)</th><th
					class="number">other cylinders</th
				><th class="number">chance if alike</th><th class="number">any as odd</th></tr
			>
		</thead>
		<tbody>
			{#each recurring.slice(0, 25) as one, index (`${one.station}/${one.pattern}/${one.cylinder}`)}
				<tr class:picked={one === picked}>
					<td
						><button type="button" class="pick" aria-pressed={one === picked} onclick={() => (chosen = index)}
							>{patternName(one.pattern as PatternKey)}</button
						></td
					>
					<td>{stationName(one.station)}{one.cylinder ? `, ${cylinderWords(one.cylinder)}` : ''}</td>
					<td class="number">{one.rate.events}×</td>
					<td class="number">{rateWords(one.rate)}</td>
					<td class="number">{one.others ? rateWords(one.others) : '–'}</td>
					<td class="number">{one.others ? formatProbability(one.pAlike) : '–'}</td>
					<td class="number">{one.others ? formatProbability(one.pAny) : '–'}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="soft mt-2">
		Counted over the hours between one look at a place and the next: a mark once in its part’s life, and again where it
		has grown. “Any as odd” allows for all comparisons on this pump. {trace.withoutExposure} looks had no earlier one and
		could not count. Kept out: {trace.keptOut.handling} marks made while stripping, {trace.keptOut.assembly} by an earlier
		assembly,
		{trace.keptOut.unknown} of unknown origin.
		{recurring.length > 25 ? `The 25 most surprising are shown.` : ''}
	</p>
{/if}

<style>
	.head {
		display: flex;
		gap: 1rem;
		align-items: center;
		margin-bottom: 8px;
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
	tr.picked td {
		background: color-mix(in oklab, var(--mark) 10%, transparent);
	}
</style>
