<!-- @component Floor: every job in the shop, where it stands, what is to be done first there, what recurs. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { buildStepName } from '$lib/words/steps';
	import { patternName, type PatternKey } from '@exetasis/core/part';
	import LittleMat from '$lib/mat/LittleMat.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { ago } from '$lib/ui/ago';
	import { day } from '$lib/ui/time';
	import { inspectAddress } from '$lib/words/causes';
	import { dueWords } from '$lib/words/due';
	import { inSentence, placeName } from '$lib/words/place';

	let { data } = $props();

	type Job = (typeof data.jobs)[number];
	const partName = ({ name, cylinder }: NonNullable<Job['nextPart']>) => inSentence(placeName(name, cylinder));
	/** Where a job stands, what is to be done first there, and where that is done. */
	function stage({ id, parts, looked, decided, again, nextStep, nextPart, closing }: Job): {
		readonly at: string;
		readonly path: string;
		readonly first: string;
	} {
		const to = (path: string) => `/jobs/${id}/${path}`;
		if (nextStep !== null && looked === 0) return { at: 'Strip', path: to('strip'), first: `Sign off: ${nextStep}` };
		if (nextPart)
			return {
				at: 'Inspect',
				path: `${to('inspect')}?place=${nextPart.station}/${nextPart.cylinder}`,
				first: `Inspect the ${partName(nextPart)} (${parts - looked} parts left)`
			};
		if (decided < parts) return { at: 'Decide', path: to('decide'), first: `Decide ${parts - decided} open parts` };
		if (again > 0)
			return { at: 'Inspect', path: to('inspect'), first: `Recheck ${again} ${again === 1 ? 'part' : 'parts'}` };
		if (nextStep !== null) return { at: 'Strip', path: to('strip'), first: `Sign off: ${nextStep}` };
		if (closing?.at === 'build' && closing.step)
			return closing.in === 0
				? { at: 'Order', path: to('order'), first: 'All parts decided. Order the replacements' }
				: {
						at: 'Build',
						path: to('build'),
						first: `${buildStepName(closing.step)} (${closing.in} of ${closing.of} pieces fitted)`
					};
		if (closing?.at === 'prove')
			return {
				at: 'Prove',
				path: to('prove'),
				first: closing.step?.text ?? 'Assembled. Complete the pump test'
			};
		return { at: 'Release', path: to('release'), first: 'Assembled and tested. Release the pump' };
	}
	const recurs = ({ pumpId, names }: Job): string => {
		const one = data.recurring[pumpId];
		if (!one) return '';
		const part = placeName(names[one.station] ?? one.station, one.cylinder);
		return `${patternName(one.pattern as PatternKey)} at the ${inSentence(part)}, ${one.rate.events}×`;
	};
	const columns: readonly Column<Job>[] = $derived([
		{
			key: 'pump',
			head: 'Pump',
			of: ({ serial, tag, site }: Job) => [serial, tag, site].filter(Boolean).join(' '),
			cell: pump
		},
		{ key: 'complaint', head: 'Complaint', of: ({ complaint }: Job) => complaint },
		{
			key: 'work',
			head: 'Work',
			of: ({ scopeName, model }: Job) => `${scopeName}, ${model}`
		},
		{
			key: 'customer',
			head: 'Customer',
			of: ({ customer }: Job) => [customer.name, customer.orderNumber].filter(Boolean).join(', ')
		},
		{
			key: 'promised',
			head: 'Promised',
			of: ({ customer }: Job) => customer.promisedOn ?? '',
			cell: promised
		},
		{ key: 'since', head: 'Received', of: ({ receivedAt }: Job) => receivedAt, says: (job) => ago(job.receivedAt) },
		{ key: 'at', head: 'Stage', of: (job: Job) => stage(job).at },
		{ key: 'first', head: 'Next step', of: (job: Job) => stage(job).first, cell: first },
		{ key: 'mat', head: 'Mat', of: ({ looked, parts }: Job) => looked / parts, says: () => '', cell: mat },
		{ key: 'recurs', head: 'Recurring problems', of: recurs, cell: recurring }
	]);
	const empty = $derived(data.jobs.length === 0 && data.released.length === 0);
	const begin = $derived([
		['/sheets', 'Import a model sheet', 'It defines the parts, sizes and limits of a pump model.', data.start.sheets],
		['/gauges', 'Add a gauge', 'Its accuracy is part of every reading.', data.start.gauges],
		['/receive', 'Receive the first pump', 'Each page then shows the next step.', 0]
	] as const);
</script>

{#snippet pump(job: Job)}
	<a class="row pump" href={stage(job).path}
		>{job.serial}<span class="soft">{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}</span></a
	>
{/snippet}
{#snippet promised({ customer: { promisedOn } }: Job)}
	{#if promisedOn}{@const due = dueWords(promisedOn)}<span class:due={due.due}>{day(promisedOn)}</span>{#if due.due}<br
			/><span class="due">{due.says}</span>{/if}{/if}
{/snippet}
{#snippet first(job: Job)}<span class="first">{stage(job).first}</span>{/snippet}
{#snippet mat(job: Job)}<LittleMat mat={job.mat} />{/snippet}
{#snippet recurring(job: Job)}
	{#each data.cases.filter(({ pumpId }) => pumpId === job.pumpId) as one (one.id)}
		<a class="row" href="/trace/cases/{one.id}"
			>Case: {inSentence(placeName(job.names[one.station] ?? one.station, one.cylinder))}, {inSentence(
				one.causeName
			)}?</a
		>
		{#if one.check}<a class="row" href={inspectAddress(job.id, one.check)}>First: {inSentence(one.check.name)}</a>{/if}
	{/each}
	{#if recurs(job)}<a class="row" href="/trace/pumps/{job.pumpId}">{recurs(job)}</a>{:else}<span class="soft"
			>no recurring problem</span
		>{/if}
{/snippet}

<svelte:head><title>Floor · Exetasis</title></svelte:head>
<div class="head">
	<h1>Floor</h1>
	{#if data.mayWork && !empty}<a class="btn main" href="/receive">Receive pump</a>{/if}
</div>
{#if empty}
	<p class="soft mb-2">
		There are no jobs yet. {data.mayManage ? 'Start here:' : 'A lead must import a model sheet first.'}
	</p>
	{#if data.mayWork}
		<ol class="begin">
			{#each begin as [path, name, why, done], index (path)}
				<li>
					<a class="btn" class:main={done === 0 && begin.slice(0, index).every((one) => one[3] > 0)} href={path}
						>{index + 1}. {name}</a
					>
					<span class="soft">{done > 0 ? 'Done.' : why}</span>
				</li>
			{/each}
		</ol>
	{/if}
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

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		margin-bottom: 8px;
	}
	.due {
		font-weight: 650;
		color: var(--doubt);
		white-space: nowrap;
	}
	.first {
		display: block;
		max-width: 22rem;
		line-height: 1.25;
	}
	a.row.pump.pump {
		flex-direction: column;
		align-items: flex-start;
		justify-content: center;
		line-height: 1.25;
	}
	.pump .soft {
		font-size: 0.85rem;
		text-decoration: none;
	}
	.begin {
		display: grid;
		gap: 10px;
	}
	.begin li {
		display: grid;
		grid-template-columns: 17rem 1fr;
		gap: 1rem;
		align-items: center;
	}
	@media (max-width: 600px) {
		.begin li {
			grid-template-columns: 1fr;
		}
	}
</style>
