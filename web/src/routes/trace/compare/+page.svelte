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
	import { ageWords, contrastWords, kitWords } from '$lib/words/contrasts';
	import { timesWords } from '$lib/words/rates';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data } = $props();
	let only = $state<'standing' | 'all'>('all');
	let model = $state('');
	const { contrasts, comparisons } = $derived(data.compared);
	const models = $derived([...new Set(contrasts.map((contrast) => contrast.model))].sort());
	const shown = $derived(
		contrasts.filter(
			(contrast) => (only === 'all' || contrast.q <= FALSE_ALARM) && (model === '' || contrast.model === model)
		)
	);
	const standing = $derived(contrasts.filter(({ q }) => q <= FALSE_ALARM).length);
	const groupName = (group: string) =>
		data.by === 'age' ? ageWords(group, format) : data.by === 'kit' ? kitWords(group) : group;
	const whatWords = ({ pattern, size, type }: ShopContrast) =>
		pattern === null
			? `${partType(type).characteristics.find(({ key }) => key === size)?.name ?? size} beyond its limit`
			: patternName(pattern as PatternKey);
	const columns: readonly Column<ShopContrast>[] = $derived([
		{
			key: 'what',
			head: 'What',
			of: (shopContrast: ShopContrast) => `${whatWords(shopContrast)} ${shopContrast.stationName}`,
			cell: what
		},
		{ key: 'model', head: 'Model', of: (shopContrast: ShopContrast) => shopContrast.model, wideOnly: true },
		{
			key: 'group',
			head: contrastWords[data.by],
			of: ({ group }: ShopContrast) => groupName(group)
		},
		{
			key: 'rate',
			head: 'Per 1000\u00a0h',
			number: true,
			of: ({ events, hours }: ShopContrast) => events / hours,
			cell: rate
		},
		{
			key: 'others',
			head: 'Other groups, per 1000\u00a0h',
			number: true,
			of: ({ others }: ShopContrast) => others.events / others.hours,
			cell: rateOfOthers
		},
		{
			key: 'ratio',
			head: 'Rate ratio (95\u00a0%)',
			number: true,
			of: ({ rates }: ShopContrast) => rates.ratio ?? Infinity,
			cell: times
		},
		{
			key: 'q',
			head: 'Chance of a false alarm',
			number: true,
			of: ({ q }: ShopContrast) => q,
			says: ({ q }: ShopContrast) => format.probability(q)
		}
	]);
</script>

{#snippet what(contrast: ShopContrast)}
	<span class="flex gap-2 items-center min-h-10 min-w-40"
		><Glyph type={contrast.type} size={26} />
		<span><b>{whatWords(contrast)}</b><br /><span class="soft">{contrast.stationName}</span></span></span
	>
{/snippet}

{#snippet per1000h({ events, hours }: { readonly events: number; readonly hours: number })}
	<b>{format.number((1000 * events) / hours, 2)}</b><br /><span class="soft whitespace-nowrap"
		>{events} in {format.number(hours)} h</span
	>
{/snippet}
{#snippet times({ rates }: ShopContrast)}
	<!-- The range takes a line of its own where there is no room, and stays in one piece. -->
	<span class="whitespace-normal">{timesWords(rates, format).replace('–', '\u2060–\u2060')}</span>
{/snippet}
{#snippet rate(contrast: ShopContrast)}{@render per1000h(contrast)}{/snippet}
{#snippet rateOfOthers({ others }: ShopContrast)}{@render per1000h(others)}{/snippet}

<svelte:head><title>Compare · Exetasis</title></svelte:head>
<div class="flex flex-wrap gap-x-6 gap-y-0 items-center">
	<h1>Trace</h1>
	<TraceNav />
</div>
<p class="mt-1 mb-2">
	{#if standing > 0}<b>{standing}</b> of {format.number(comparisons)} comparisons {standing === 1 ? 'stands' : 'stand'} out
		beyond chance.{:else}No recurrence is more frequent than chance explains among {format.number(comparisons)} comparisons.{/if}
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
			<option value="standing">more frequent than chance</option>
		</select></label
	>
	<label
		>Model <select class="select" bind:value={model}>
			<option value="">all</option>
			{#each models as model (model)}<option>{model}</option>{/each}
		</select></label
	>
</Filters>
<DataTable
	label="Comparison of groups"
	rows={shown}
	{columns}
	empty="Nothing to compare yet. Two groups with operating hours are needed, and damage or a size beyond its limit in one of them. Record lot and supplier when parts arrive, and the liquid when a pump arrives."
/>
<p class="soft mt-2">
	Each group is compared with all others of the same part and model{#if data.by !== 'age'}, at about the same age{/if} (exact
	test of two rates). “Chance of a false alarm” is the false discovery rate of all comparisons by this heading. People are
	never compared. Damage counts when it is new or has grown, a size when it is first found beyond its limit. Of two groups,
	the one with the higher rate is shown. A lot that was fitted to a single harsh pump looks bad because of the pump. The 200
	clearest of {format.number(comparisons)} comparisons are listed.
</p>
