<!-- @component One model sheet: the stack in strip order with faces, renewal, sizes and limits. -->
<script lang="ts">
	import Wide from '$lib/ui/Wide.svelte';
	import { partType, patternName } from '@exetasis/core/part';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { formatQuantity } from '$lib/ui/numbers';
	import { discardLimit, placesToRead } from '@exetasis/core/record';
	import { page } from '$app/state';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import Tip from '$lib/ui/Tip.svelte';
	import HowBuilt from '$lib/sheet/HowBuilt.svelte';
	import Documents from '$lib/sheet/Documents.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { layoutName } from '$lib/words/layout';
	import { refitWords } from '$lib/words/orientation';

	let { data } = $props();
	const units = unitsInUse();
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
	const deduced = {
		face: 'the direction',
		fit: 'the fitting method',
		renewal: 'the renewal',
		lookFor: 'the inspection points',
		caution: 'the caution'
	} as const;
	const limitOf = (one: (typeof sheet.stations)[number]['characteristics'][number]) => discardLimit(one)?.value;
	const places = (one: (typeof sheet.stations)[number]['characteristics'][number]) => {
		const { rows, columns } = placesToRead(one);
		return rows.length * columns.length;
	};
</script>

<svelte:head><title>{sheet.model} · Exetasis</title></svelte:head>
<h1>{sheet.model} <span class="soft">{layoutName(sheet.layout)}, revision {sheet.revision}</span></h1>
<p class="soft mb-2">
	{sheet.maker} · {sheet.cylinders} cylinders · {formatQuantity(sheet.ratedPressureMPa, units().pressure)} · {sheet.ratedSpeedRpm}
	rpm · stroke {formatQuantity(sheet.strokeMm, units().length)}{sheet.demo ? ' · demo data, invented' : ''}
</p>
{#if data.mayManage}<p class="mb-3">
		<a class="btn" href="/sheets?from={page.params.sheet}">Edit (new revision)</a>
	</p>{/if}
<h2>Parts in strip order</h2>
<div class="stack sheet" role="img" aria-label="The stations in strip order, P to the left, C to the right">
	{#each sheet.stations as station, index (station.key)}
		<figure>
			<Glyph type={station.type} face={station.face} size={40} />
			<figcaption><span class="figures">{index + 1}</span> {station.short}</figcaption>
		</figure>
	{/each}
</div>
<h2 class="mt-4">Documents</h2>
<Documents {sheet} documents={data.documents} form={data.form} mayManage={data.mayManage} />
<h2 class="mt-4">Steps</h2>
<ol class="steps">
	{#each sheet.steps as step (step.key)}
		<li>
			{step.text}
			{#if step.blocking}<b>Must be done first.</b>{/if}
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
						{#if station.inferred.length > 0}<Tip
								class="btn deduced"
								label="Deduced: {station.inferred.map((fact) => deduced[fact]).join(', ')}"
								says="Not stated by the maker: {station.inferred
									.map((fact) => deduced[fact])
									.join(', ')} of this part: it is deduced. Correct it in the sheet’s next revision.">deduced</Tip
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
						{#each station.characteristics as one (one.key)}
							{@const unit = shownUnit(dimensionOf(one.unit), units())}
							{@const limit = limitOf(one)}
							<div>
								{partType(station.type).characteristics.find(({ key }) => key === one.key)?.name}:
								<span class="figures"
									>{formatQuantity(one.nominal, unit)}{limit === undefined
										? ''
										: ` ▸ ${formatQuantity(limit, unit)}`}</span
								>
								<span class="soft"
									>{limit === undefined ? 'no limit' : one.limitFrom === 'maker' ? 'maker' : 'shop default'}{places(
										one
									) > 1
										? `, ${places(one)} places`
										: ''}{one.when === 'onSuspicion'
										? `, on ${one.suspect ? one.suspect.map((pattern) => patternName(pattern).toLowerCase()).join(', ') : 'suspicion'}`
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
	.stack {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 2px;
		padding: 8px;
	}
	figure {
		width: 76px;
		text-align: center;
		font-size: 0.72rem;
		line-height: 1.1;
	}
	figure :global(svg) {
		margin: 0 auto;
	}
	.steps {
		list-style: decimal;
		padding-left: 1.6rem;
		display: grid;
		gap: 4px;
		max-width: 60rem;
	}
</style>
