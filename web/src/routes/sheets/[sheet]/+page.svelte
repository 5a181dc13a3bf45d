<!-- @component One model sheet: the stack in strip order with faces, renewal, sizes and limits. -->
<script lang="ts">
	import { partType, patternName } from '@exetasis/core/part';
	import { dimensionOf, formatQuantity, shownUnit } from '@exetasis/core/quantity';
	import { discardLimit, placesToRead } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { layoutName } from '$lib/words/layout';
	import { refitWords } from '$lib/words/orientation';

	let { data } = $props();
	const units = unitsInUse();
	const { sheet } = $derived(data);
	const renewal = {
		always: 'always new',
		kit: 'from the kit',
		inspect: 'inspect',
		inspectOrKit: 'inspect, or kit',
		sheet: 'as the maker says'
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
<table class="list sheet">
	<thead
		><tr
			><th>#</th><th>Part</th><th>Faces on refit</th><th>Renewal</th><th>Look for, tools</th><th>Size, new ▸ discard</th
			></tr
		></thead
	>
	<tbody>
		{#each sheet.stations as station, index (station.key)}
			<tr>
				<td class="number">{index + 1}</td>
				<td
					><span class="flex items-center gap-2"
						><Glyph type={station.type} toward={station.face.toward} size={34} /> {station.name}</span
					></td
				>
				<td>{refitWords(station, data.sheet)}</td>
				<td>{renewal[station.renewal]}</td>
				<td>
					{station.lookFor ?? ''}
					{#if station.tool}<p class="soft">Tool: {station.tool}</p>{/if}
					{#if station.abrasive}<p class="soft">
							{station.abrasive === 'allowed' ? 'Abrasive cloth allowed' : 'No abrasive on it'}
						</p>{/if}
					{#if station.lubricate}<p class="soft">Lubricate or seal: {station.lubricate}</p>{/if}
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
								>{limit === undefined ? 'no limit' : one.limitFrom === 'maker' ? 'maker' : 'shop default'}{places(one) >
								1
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
