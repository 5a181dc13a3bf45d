<!-- @component One model sheet: the stack in strip order with faces, renewal, sizes and limits. -->
<script lang="ts">
	import { keyFor } from '@exetasis/core/draft';
	import Wide from '$lib/ui/Wide.svelte';
	import { giveFile } from '$lib/ui/giveFile';
	import { partType, patternName } from '@exetasis/core/part';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { discardLimit, pointsToRead } from '@exetasis/core/record';
	import { page } from '$app/state';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import Tip from '$lib/ui/Tip.svelte';
	import HowBuilt from '$lib/sheet/HowBuilt.svelte';
	import Documents from '$lib/sheet/Documents.svelte';
	import { limitSource } from '$lib/words/limits';
	import { changeSentence, changesCount } from '$lib/words/draft';
	import { layoutName } from '$lib/words/layout';
	import { refitWords } from '$lib/words/orientation';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data, form: answer } = $props();
	const { sheet } = $derived(data);
	const renewal = {
		always: 'always new',
		kit: 'in the kit',
		inspect: 'inspect',
		inspectOrKit: 'inspect or kit',
		sheet: 'as the maker states'
	} as const;
	const toolName = (tool: string) => sheet.tools.find(({ key }) => key === tool)?.name ?? tool;
	const productName = (product?: string) => sheet.products.find(({ key }) => key === product)?.name;
	// Direction and way of fitting say so themselves.
	const deduced = {
		pieces: 'the number of pieces',
		renewal: 'the renewal',
		lookFor: 'the inspection points',
		caution: 'the caution',
		price: 'the price'
	} as const;
	const deducedOf = ({ inferred }: (typeof sheet.stations)[number]) =>
		inferred.flatMap((fact) => (fact in deduced ? [deduced[fact as keyof typeof deduced]] : [])).join(', ');
	const limitOf = (size: (typeof sheet.stations)[number]['characteristics'][number]) => discardLimit(size)?.value;
	// The open format, as another shop reads it in.
	function save() {
		const name = keyFor(sheet.model, []);
		giveFile(`${name}-${sheet.revision}.json`, new Blob([`${JSON.stringify(sheet, null, '\t')}\n`]));
	}
	const places = (size: (typeof sheet.stations)[number]['characteristics'][number]) => {
		const { rows, columns } = pointsToRead(size);
		return rows.length * columns.length;
	};
</script>

<svelte:head><title>{sheet.model} · Exetasis</title></svelte:head>
<h1>{sheet.model} <span class="soft">{layoutName(sheet.layout)}, revision {sheet.revision}</span></h1>
<p class="soft mb-2">
	{sheet.maker} · {sheet.cylinders} cylinders · {format.quantity(sheet.ratedPressureMPa, format.units.pressure)} · {sheet.ratedSpeedRpm}
	rpm · stroke {format.quantity(sheet.strokeMm, format.units.length)}{sheet.demo
		? ' · demo data, invented'
		: ''}{sheet.provisional ? ' · provisional: it grows while a pump is stripped, and a lead has not checked it' : ''}
</p>
<div class="mb-3 flex flex-wrap gap-2">
	{#if data.mayWork}<a class="btn main" href="/receive?model={encodeURIComponent(sheet.model)}">Receive pump</a>{/if}
	{#if data.mayManage}
		<form method="post" action="?/revise"><button class="btn">Edit (new revision)</button></form>
		<a class="btn" href="/sheets?from={page.params.sheet}">Edit as text</a>{/if}
	<button type="button" class="btn" onclick={save}>Save as file</button>
</div>
{#if answer && 'moved' in answer}<p role="status">{answer.moved} now uses this revision.</p>{/if}
{#if answer && 'refused' in answer}<p class="wrong" role="alert">{answer.refused}</p>{/if}
{#if data.mayManage && data.earlier.length > 0}
	<h2>Open jobs on earlier revisions</h2>
	<ul class="earlier">
		{#each data.earlier as job (job.id)}
			<li>
				<a class="row" href="/jobs/{job.id}/inspect">{job.serial}</a> revision {job.revision}
				<form method="post" action="?/move">
					<input type="hidden" name="job" value={job.id} /><input type="hidden" name="serial" value={job.serial} />
					<button class="btn">Move to this revision</button>
				</form>
				<details>
					<summary>{changesCount(job.changes.length)}</summary>
					<ul>
						{#each job.changes as change, i (i)}<li>{changeSentence(change)}</li>{/each}
					</ul>
				</details>
			</li>
		{/each}
	</ul>
{/if}
<h2>Parts in strip order</h2>
<div
	class="sheet flex flex-wrap gap-x-0.5 gap-y-1 p-2"
	role="img"
	aria-label="The stations in strip order, P to the left, C to the right"
>
	{#each sheet.stations as station, index (station.key)}
		<figure class="w-[76px] text-center text-[0.72rem] leading-[1.1]">
			<Glyph type={station.type} face={station.face} size={40} />
			<figcaption><span class="figures">{index + 1}</span> {station.short}</figcaption>
		</figure>
	{/each}
</div>
<h2 class="mt-4">Documents</h2>
<Documents {sheet} documents={data.documents} form={data.form} mayManage={data.mayManage} />
<h2 class="mt-4">Steps</h2>
<ol class="steps list-decimal pl-[1.6rem] grid gap-1 max-w-240">
	{#each sheet.steps as step (step.key)}
		<li>
			{step.text}
			{#if step.blocking}<b>Must be done first.</b>{/if}
			{#if step.sure === 'deduced'}<span class="soft">(deduced)</span>{/if}
			<span class="soft"
				>{step.scopes.map((scope) => sheet.scopes.find(({ key }) => key === scope)?.name).join(', ')}</span
			>
			{#each step.cautions as caution (caution.text)}<CautionNote {caution} />{/each}
		</li>
	{/each}
</ol>
<h2 class="mt-4">Stations</h2>
<Wide label="Stations">
	<table class="table sheet">
		<thead
			><tr
				><th>#</th><th>Part</th><th>Orientation</th><th>Renewal</th><th>Inspect for, tools</th><th
					>New size → discard limit</th
				></tr
			></thead
		>
		<tbody>
			{#each sheet.stations as station, index (station.key)}
				<tr>
					<td class="number">{index + 1}</td>
					<td
						><span class="flex items-center gap-2"
							><Glyph type={station.type} face={station.face} size={34} /> {station.name}</span
						></td
					>
					<td>
						{refitWords(station, data.sheet)}
						{#if deducedOf(station)}<Tip
								class="btn deduced"
								label="Deduced: {deducedOf(station)}"
								says="Not stated by the maker: {deducedOf(
									station
								)} of this part. Correct it in the sheet’s next revision.">deduced</Tip
							>{/if}
					</td>
					<td>{renewal[station.renewal]}</td>
					<td>
						{station.lookFor ?? ''}
						{#each station.cautions as caution (caution.text)}<CautionNote {caution} />{/each}
						{#if station.tools.length > 0}<p class="soft">
								Tools: {station.tools
									.map(({ tool, how }) => [toolName(tool), how].filter(Boolean).join(': '))
									.join('; ')}
							</p>{/if}
						{#if station.abrasive}<p class="soft">
								{station.abrasive === 'allowed' ? 'Abrasive cloth allowed' : 'No abrasive'}
							</p>{/if}
						{#each station.products as { product, where } (where)}<p class="soft">
								Lubricate or seal: {[productName(product), where].filter(Boolean).join(', ')}
							</p>{/each}
					</td>
					<td>
						{#each station.characteristics as characteristic (characteristic.key)}
							{@const unit = shownUnit(dimensionOf(characteristic.unit), format.units)}
							{@const limit = limitOf(characteristic)}
							<div>
								{partType(station.type).characteristics.find(({ key }) => key === characteristic.key)?.name}:
								<span class="figures"
									>{format.quantity(characteristic.nominal, unit)}{limit === undefined
										? ''
										: ` ▸ ${format.quantity(limit, unit)}`}</span
								>
								<span class="soft"
									>{limit === undefined ? 'no limit' : limitSource[characteristic.limitFrom]}{places(characteristic) > 1
										? `, ${places(characteristic)} places`
										: ''}{characteristic.when === 'onSuspicion'
										? `, on ${characteristic.suspect ? characteristic.suspect.map((pattern) => patternName(pattern).toLowerCase()).join(', ') : 'suspicion'}`
										: ''}</span
								>
							</div>
						{/each}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</Wide>
<HowBuilt {sheet} currency={data.shop?.currency ?? ''} />

<style>
	.earlier > li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 10px;
		margin-bottom: 8px;
	}
	figure :global(svg) {
		margin: 0 auto;
	}
</style>
