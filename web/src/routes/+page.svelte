<!-- @component Floor: every job in the shop, where it stands, what is to be done first there, what recurs. -->
<script lang="ts">
	import DrawnLayout from '$lib/pump/DrawnLayout.svelte';
	import Wall from '$lib/pump/Wall.svelte';
	import Wide from '$lib/ui/Wide.svelte';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import { nextStepOf, stages } from '$lib/floor/nextStep';
	import StageBoard from '$lib/floor/StageBoard.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import LittleMat from '$lib/mat/LittleMat.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { ago } from '$lib/format/ago';
	import { day } from '$lib/format/time';
	import { inspectAddress } from '$lib/words/causes';
	import { dueWords } from '$lib/words/due';
	import { inSentence, placeName } from '$lib/words/place';

	let { data } = $props();

	type Job = (typeof data.jobs)[number];
	let view = $state<'list' | 'stages'>('list');
	const recurs = ({ pumpId, names }: Job): string => {
		const recurrence = data.recurring[pumpId];
		if (!recurrence) return '';
		const part = placeName(names[recurrence.station] ?? recurrence.station, recurrence.cylinder);
		return `${patternName(recurrence.pattern as PatternKey)} at the ${inSentence(part)}, ${recurrence.rate.events}×`;
	};
	const columns: readonly Column<Job>[] = $derived([
		{
			key: 'pump',
			head: 'Pump',
			of: ({ serial, model, tag, site }: Job) => [serial, model, tag, site].filter(Boolean).join(' '),
			cell: pump,
			width: '12.5%'
		},
		{
			key: 'work',
			head: 'Work',
			of: ({ scopeName, complaint }: Job) => `${scopeName}, ${complaint}`,
			cell: work,
			width: '15%'
		},
		{
			key: 'customer',
			wideOnly: true,
			head: 'Customer',
			of: ({ customer }: Job) => [customer.name, customer.orderNumber].filter(Boolean).join(', '),
			cell: customer,
			width: '14%'
		},
		{
			key: 'promised',
			head: 'Promised',
			of: ({ customer }: Job) => customer.promisedOn ?? '',
			cell: promised,
			width: '10.5%'
		},
		{
			key: 'since',
			wideOnly: true,
			head: 'Received',
			of: ({ receivedAt }: Job) => receivedAt,
			says: (job) => ago(job.receivedAt),
			width: '8.5%'
		},
		{
			key: 'next',
			head: 'Next step',
			of: (job: Job) => `${stages.indexOf(nextStepOf(job).at)} ${nextStepOf(job).at} ${nextStepOf(job).first}`,
			cell: first,
			width: '17%'
		},
		{
			key: 'mat',
			head: 'Parts',
			of: ({ inspected, parts }: Job) => inspected / parts,
			says: () => '',
			cell: mat,
			width: '14%'
		},
		{ key: 'recurs', wideOnly: true, head: 'Recurring problems', of: recurs, cell: recurring, width: '8.5%' }
	]);
	const empty = $derived(data.jobs.length === 0 && data.released.length === 0);
</script>

{#snippet pump(job: Job)}
	<a class="row grid! min-w-0! content-center justify-stretch! no-underline" href={nextStepOf(job).path}
		><b class="underline">{job.serial}</b><span
			class="soft truncate text-[0.875rem]"
			title={[job.model, job.tag, job.site].filter(Boolean).join(', ')}
			>{[job.model, job.tag].filter(Boolean).join(', ')}</span
		></a
	>
{/snippet}
{#snippet work({ scopeName, complaint }: Job)}
	<span class="grid min-w-0 leading-[1.3]"
		><span class="truncate">{scopeName}</span><span class="soft truncate text-[0.875rem]" title={complaint}
			>{complaint}</span
		></span
	>
{/snippet}
{#snippet customer({ customer: { name, orderNumber } }: Job)}
	<span class="grid min-w-0 leading-[1.3]"
		><span class="truncate" title={name}>{name ?? ''}</span><span class="soft truncate text-[0.875rem]"
			>{orderNumber ?? ''}</span
		></span
	>
{/snippet}
{#snippet promised({ customer: { promisedOn } }: Job)}
	{#if promisedOn}{@const due = dueWords(promisedOn)}<span
			class="grid min-w-0 leading-[1.3] {due.due ? 'font-[650] text-doubt whitespace-nowrap' : ''}"
			><span>{day(promisedOn)}</span>{#if due.due}<span>{due.says}</span>{/if}</span
		>{/if}
{/snippet}
{#snippet first(job: Job)}
	{@const next = nextStepOf(job)}
	<span class="line-clamp-2" title={next.first}><b>{next.at}</b> · {next.first}</span>
{/snippet}
{#snippet mat(job: Job)}<span class="mat block overflow-hidden"><LittleMat mat={job.mat} /></span>{/snippet}
{#snippet recurring(job: Job)}
	{#each data.cases.filter(({ pumpId }) => pumpId === job.pumpId) as example (example.id)}
		<a class="row" href="/trace/cases/{example.id}"
			><span class="line-clamp-2"
				>Case: {inSentence(placeName(job.names[example.station] ?? example.station, example.cylinder))}, {inSentence(
					example.causeName
				)}?</span
			></a
		>
		{#if example.check}<a class="row" href={inspectAddress(job.id, example.check)}
				><span class="line-clamp-2">First: {inSentence(example.check.name)}</span></a
			>{/if}
	{/each}
	{#if recurs(job)}<a class="row" href="/trace/pumps/{job.pumpId}"><span class="line-clamp-2">{recurs(job)}</span></a
		>{:else}<span class="soft">none</span>{/if}
{/snippet}

<svelte:head><title>Floor · Exetasis</title></svelte:head>
<div class="flex flex-wrap gap-x-4 gap-y-1 items-center mb-2 [&_.segment]:whitespace-nowrap!">
	<h1>Floor</h1>
	{#if !empty}<Segments
			label="View"
			options={[
				['list', 'List'],
				['stages', 'By stage']
			]}
			value={view}
			onchoose={(chosen) => (view = chosen)}
		/>{/if}
	<span class="flex-1"></span>
	{#if data.mayWork && !empty}<a class="btn main" href="/receive">Receive pump</a>{/if}
</div>
{#if empty}
	{#if !data.mayWork}<p class="soft">There are no jobs yet.</p>
	{:else if data.start.sheets > 0}
		<p class="mb-3">
			<a class="btn main" href="/receive">Receive the first pump</a>
			{#if data.start.gauges === 0}<a class="btn" href="/gauges">Add a gauge</a>
				<span class="soft">The accuracy of the gauge is part of every reading.</span>{/if}
		</p>
	{/if}
	{#if data.mayWork}
		<h2>What is on your bench?</h2>
		<p class="soft">
			Choose the drawing that is most like your pump, parts in strip order. It becomes a model sheet that you fit to
			yours.
			<a class="row" href="/sheets/new?like=none">None of these: begin with a parts list or empty</a>
		</p>
		<Wall
			items={data.start.layouts}
			keyOf={({ model }) => model}
			href={({ model }) => `/sheets/new?like=${encodeURIComponent(model)}`}
		>
			{#snippet tile({ layout, cylinders, stack })}<DrawnLayout {layout} {cylinders} {stack} />{/snippet}
		</Wall>
	{/if}
{:else if view === 'stages'}
	<StageBoard jobs={data.jobs} />
{:else}
	<DataTable
		label="Jobs in the shop"
		rows={data.jobs}
		{columns}
		empty="No pump is in the shop. {data.mayWork ? 'Receive a pump to begin.' : ''}"
	/>
{/if}
{#if !empty}
	<h2 class="mt-6">Recently released</h2>
	{#if data.released.length === 0}<p class="soft">Nothing yet.</p>{/if}
	<Wide label="Recently released">
		<table class="table">
			<tbody>
				{#each data.released as job (job.id)}
					<tr>
						<td><a class="row" href="/jobs/{job.id}/inspect">{job.serial}</a></td>
						<td>{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}</td>
						<td>{day(job.releasedAt)}</td>
						<td class="number">{job.replaced} parts replaced</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</Wide>
{/if}
