<!-- @component What comes up more often in one lot, kit, liquid, season, age or duty than in the others. -->
<script lang="ts">
	import { goto } from '$app/navigation';
	import { partType, patternName, type PatternKey } from '@exetasis/core/part';
	import { FALSE_ALARM } from '@exetasis/core/trace';
	import type { ShopContrast } from '@exetasis/server/trace/contrasts';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import TraceNav from '$lib/trace/TraceNav.svelte';
	import Filters from '$lib/ui/Filters.svelte';
	import { formatNumber, formatProbability } from '$lib/ui/numbers';
	import { ageWords, contrastWords, kitWords } from '$lib/words/contrasts';
	import { timesWords } from '$lib/words/rates';

	let { data } = $props();
	let only = $state<'standing' | 'all'>('all');
	let model = $state('');
	const { contrasts, comparisons } = $derived(data.compared);
	const models = $derived([...new Set(contrasts.map((one) => one.model))].sort());
	const shown = $derived(
		contrasts.filter((one) => (only === 'all' || one.q <= FALSE_ALARM) && (model === '' || one.model === model))
	);
	const standing = $derived(contrasts.filter(({ q }) => q <= FALSE_ALARM).length);
	const groupName = (group: string) =>
		data.by === 'age' ? ageWords(group) : data.by === 'kit' ? kitWords(group) : group;
	const whatWords = ({ pattern, size, type }: ShopContrast) =>
		pattern === null
			? `${partType(type).characteristics.find(({ key }) => key === size)?.name ?? size} beyond its limit`
			: patternName(pattern as PatternKey);
	const per1000h = (events: number, hours: number) => formatNumber((1000 * events) / hours, 2);
	const columns: readonly Column<ShopContrast>[] = $derived([
		{
			key: 'what',
			head: 'What',
			of: (one: ShopContrast) => `${whatWords(one)} ${one.stationName}`,
			cell: what
		},
		{ key: 'model', head: 'Model', of: (one: ShopContrast) => one.model },
		{
			key: 'group',
			head: contrastWords[data.by],
			of: ({ group }: ShopContrast) => groupName(group)
		},
		{
			key: 'found',
			head: 'Found',
			number: true,
			of: ({ events }: ShopContrast) => events,
			says: ({ events, hours }: ShopContrast) => `${events} in ${formatNumber(hours)} h`
		},
		{
			key: 'rate',
			head: 'In 1000 h',
			number: true,
			of: ({ events, hours }: ShopContrast) => events / hours,
			says: ({ events, hours }: ShopContrast) => per1000h(events, hours)
		},
		{
			key: 'others',
			head: 'In the others',
			number: true,
			of: ({ others }: ShopContrast) => others.events / others.hours,
			says: ({ others }: ShopContrast) =>
				`${per1000h(others.events, others.hours)} (${others.events} in ${formatNumber(others.hours)} h)`
		},
		{
			key: 'ratio',
			head: 'Times the others (95\u00a0%)',
			number: true,
			of: ({ rates }: ShopContrast) => rates.ratio ?? Infinity,
			says: ({ rates }: ShopContrast) => timesWords(rates)
		},
		{
			key: 'q',
			head: 'By chance',
			number: true,
			of: ({ q }: ShopContrast) => q,
			says: ({ q }: ShopContrast) => formatProbability(q)
		}
	]);
</script>

{#snippet what(one: ShopContrast)}
	<span class="what"
		><Glyph type={one.type} size={26} />
		<span><b>{whatWords(one)}</b><br /><span class="soft">{one.stationName}</span></span></span
	>
{/snippet}

<svelte:head><title>Compare · Exetasis</title></svelte:head>
<div class="head">
	<h1>Trace</h1>
	<TraceNav />
</div>
<p class="sum">
	{#if standing > 0}<b>{standing}</b> of {formatNumber(comparisons)} comparisons {standing === 1 ? 'stands' : 'stand'} out
		beyond chance.{:else}Nothing stands out beyond chance among {formatNumber(comparisons)} comparisons.{/if}
</p>
<Filters>
	<label
		>By <select
			class="select"
			value={data.by}
			onchange={(event) => void goto(`/trace/compare?by=${event.currentTarget.value}`, { keepFocus: true })}
		>
			{#each Object.entries(contrastWords) as [key, words] (key)}<option value={key}>{words.toLowerCase()}</option
				>{/each}
		</select></label
	>
	<label
		>Show <select class="select" bind:value={only}>
			<option value="all">all comparisons</option>
			<option value="standing">what stands out</option>
		</select></label
	>
	<label
		>Model <select class="select" bind:value={model}>
			<option value="">all</option>
			{#each models as one (one)}<option>{one}</option>{/each}
		</select></label
	>
</Filters>
<DataTable
	label="What comes up more often in one group"
	rows={shown}
	{columns}
	empty="Nothing to compare: it takes two groups with hours on record, and a mark, or a size beyond its limit, that came up in one of them. Note lot and supplier when parts come in, and the liquid when a pump does."
/>
<p class="soft mt-2">
	Each group is held against all others of the same part and model, {#if data.by !== 'age'}parts against parts that had
		been in about as long,
	{/if}by the exact test of two rates; “by chance” is the share of false alarms among all that are no less surprising,
	over every comparison made by this heading. People are never compared with each other. A mark counts when it is new or
	has grown, a size when it is first found beyond its limit. Of two groups the one with the higher rate is shown. Pumps
	differ in more than one way: a lot that went into one harsh pump alone looks bad by its pump. Of {formatNumber(
		comparisons
	)} the surest 200 are listed.
</p>

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 0 1.5rem;
		align-items: center;
	}
	.sum {
		margin: 4px 0 8px;
	}
	.what {
		display: flex;
		gap: 8px;
		align-items: center;
		min-height: 40px;
		min-width: 12rem;
	}
</style>
