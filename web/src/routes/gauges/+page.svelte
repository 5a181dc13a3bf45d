<!-- @component The shop's gauges: what each is worth, when it is due; a lead adds one, or a list of them. -->
<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { Accordion } from '@skeletonlabs/skeleton-svelte';
	import { gaugeKinds, type GaugeKind } from '@exetasis/core/part';
	import { keptForm } from '$lib/forms/kept';
	import FileField from '$lib/ui/FileField.svelte';
	import GaugeFields from '$lib/forms/GaugeFields.svelte';
	import CertificateFields from '$lib/forms/CertificateFields.svelte';
	import { gaugeColumns } from '$lib/forms/gaugeCsv';
	import { gaugeShapes } from '$lib/glyph/gauges';
	import ToolPicture from '$lib/glyph/ToolPicture.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { day } from '$lib/format/time';
	import { gaugeUnitLabel } from '$lib/words/gauges';

	// A press before the page has come to life would be lost.
	let alive = $state(false);
	onMount(() => void (alive = true));
	let { data, form: answer } = $props();
	// An empty shop begins with its first gauge.
	let opened = $state(untrack(() => (data.gauges.length === 0 ? ['add'] : [])));
	const { form, errors, enhance: keep } = keptForm(untrack(() => data.form));
	type Gauge = (typeof data.gauges)[number];
	const columns: readonly Column<Gauge>[] = $derived([
		{ key: 'name', head: 'Gauge', of: ({ name }) => name, to: ({ id }) => `/gauges/${id}` },
		{ key: 'kind', head: 'Kind', of: ({ kind }) => kind, cell: drawn },
		{
			key: 'resolution',
			head: 'Resolution',
			number: true,
			of: ({ facts }) => facts.resolution,
			says: ({ facts, kind }) => `${facts.resolution} ${gaugeUnitLabel(kind)}`
		},
		{
			key: 'calibration',
			head: 'Calibration U (k)',
			number: true,
			of: ({ facts }) => facts.calibrationU,
			says: ({ facts }) => `${facts.calibrationU} (${facts.calibrationK})`
		},
		{
			key: 'repeatability',
			wideOnly: true,
			head: 'Repeatability s',
			number: true,
			of: ({ facts }) => facts.repeatability
		},
		{
			key: 'reproducibility',
			wideOnly: true,
			head: 'Reproducibility s',
			number: true,
			of: ({ facts }) => facts.reproducibility
		},
		{ key: 'certificate', head: 'Certificate', of: ({ certificate }) => certificate, hidden: true },
		{
			key: 'calibrated',
			brief: true,
			head: 'Calibrated',
			of: ({ calibratedOn }) => calibratedOn,
			says: (gauge) => day(gauge.calibratedOn)
		},
		{
			key: 'due',
			head: 'Due',
			of: ({ dueOn }) => dueOn,
			says: ({ dueOn, facts, retired }) => `${day(dueOn)}${retired ? ', retired' : facts.overdue ? ', overdue' : ''}`,
			wrong: ({ facts, retired }) => facts.overdue && !retired
		}
	]);
	const list = $derived(answer && 'list' in answer ? answer.list : undefined);
	const taken = $derived(answer && 'taken' in answer ? answer.taken : undefined);
	import Fields from '$lib/ui/Fields.svelte';
</script>

{#snippet drawn({ kind }: Gauge)}
	<span class="flex items-center gap-2"><ToolPicture shapes={gaugeShapes[kind as GaugeKind]} width={40} />{kind}</span>
{/snippet}

<svelte:head><title>Gauges · Exetasis</title></svelte:head>
<h1>Gauges</h1>
<p class="soft mb-2">
	The accuracy of a gauge is part of the uncertainty of every reading. Overdue gauges stay usable, with twice the
	uncertainty of their certificate.
</p>
<DataTable
	label="Gauges"
	rows={data.gauges}
	{columns}
	empty={data.mayManage
		? 'No gauges yet. Add the first one below. Until then, the uncertainty of a shop caliper is assumed.'
		: 'No gauges yet. A lead can add one. Until then, the uncertainty of a shop caliper is assumed.'}
/>
{#if data.mayManage}
	<Accordion class="mt-4" multiple value={opened} onValueChange={({ value }) => (opened = value)}>
		<Accordion.Item value="add">
			<Accordion.ItemTrigger class="btn" disabled={!alive}>Add gauge</Accordion.ItemTrigger>
			<Accordion.ItemContent>
				<form method="post" action="?/add" use:keep class="sheet mt-2 grid gap-3 p-4">
					<Fields>
						<GaugeFields bind:typed={$form} errors={$errors} kinds={gaugeKinds} />
						<CertificateFields bind:typed={$form} errors={$errors} />
						<div><button class="btn main">Save gauge</button></div>
					</Fields>
				</form>
			</Accordion.ItemContent>
		</Accordion.Item>
		<Accordion.Item value="import" class="mt-2">
			<Accordion.ItemTrigger class="btn" disabled={!alive}>Import a list</Accordion.ItemTrigger>
			<Accordion.ItemContent>
				<form
					method="post"
					action="?/check"
					enctype="multipart/form-data"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
					class="sheet mt-2 grid gap-3 p-4"
				>
					<Fields>
						<p class="soft">
							CSV, its first line the names of the columns: <span class="figures">{gaugeColumns.join(', ')}</span>.
							Nothing is imported until you have seen the problems.
						</p>
						<FileField name="list" label="List" accept=".csv,text/csv,text/plain" />
						<div><button class="btn main">Check list</button></div>
						{#if list?.empty}<p class="wrong" role="alert">Choose a file first.</p>{/if}
					</Fields>
				</form>
				{#if list && !list.empty}
					<section class="sheet mt-2 p-4" aria-label="Result of the check">
						<p>
							<b class="figures">{list.good}</b>
							{list.good === 1 ? 'gauge is' : 'gauges are'} valid;
							<b class="figures">{list.faults.length + list.more}</b>
							{list.faults.length + list.more === 1 ? 'line has' : 'lines have'} errors{list.more > 0
								? `, the first ${list.faults.length} of them below`
								: ''}.
						</p>
						{#if list.faults.length > 0}
							<table class="table">
								<thead><tr><th class="number">Line</th><th>Problem</th></tr></thead>
								<tbody
									>{#each list.faults as fault, index (index)}<tr
											><td class="number">{fault.line}</td><td>{fault.message}</td></tr
										>{/each}</tbody
								>
							</table>
						{/if}
						{#if list.good > 0}
							<form method="post" action="?/take" use:enhance class="mt-2">
								<Fields>
									<textarea name="text" hidden value={list.text}></textarea>
									<button class="btn main">Import {list.good} valid {list.good === 1 ? 'gauge' : 'gauges'}</button>
								</Fields>
							</form>
						{/if}
					</section>
				{/if}
			</Accordion.ItemContent>
		</Accordion.Item>
	</Accordion>
	{#if taken}
		<p role="status" class="mt-2">
			{taken.added}
			{taken.added === 1 ? 'gauge' : 'gauges'} imported{taken.known.length > 0
				? `; known already and left as they are: ${taken.known.slice(0, 5).join(', ')}${taken.known.length > 5 ? ` and ${taken.known.length - 5} more` : ''}`
				: ''}.
		</p>
	{/if}
{/if}
