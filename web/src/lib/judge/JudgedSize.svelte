<!-- @component One measured size against its limit: the strip, the value, what the forecast rests on, what would settle it, its budget. -->
<script lang="ts">
	import { limitFromWords } from '$lib/words/limits';
	import type { Age } from '@exetasis/core/life';
	import { dominantLine } from '@exetasis/core/measure';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import type { JudgedCharacteristic, Outlook } from '@exetasis/core/decide';
	import type { BenchState } from '$lib/log/bench.svelte';
	import LimitStrip from './LimitStrip.svelte';
	import RiskOfWear from './RiskOfWear.svelte';
	import Shape from '$lib/measure/Shape.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		judged: JudgedCharacteristic;
		age: Age;
		outlook?: Outlook;
	}
	let { bench, judged, age, outlook }: Props = $props();
	const unit = $derived(shownUnit(dimensionOf(judged.sheet.unit), format.units));

	const settlement = $derived.by((): string[] => {
		const found = judged.settlement;
		if (!found) return [];
		const more = found.moreReadings;
		const own = more ? [`${more} more reading${more > 1 ? 's' : ''} at this point would decide it`] : [];
		const others = found.gauges.map(({ id, readings }) => {
			const name = bench.bench.gauges.find((gauge) => gauge.id === id)?.name;
			return `${readings} reading${readings > 1 ? 's' : ''} with ${name} would decide it`;
		});
		return own.length + others.length > 0
			? [...own, ...others]
			: ['No gauge of your shop can decide it. Judge by eye and write the reason'];
	});
	const sources = {
		repeatability: 'repeatability',
		resolution: 'resolution',
		calibration: 'calibration',
		temperature: 'temperature',
		reproducibility: 'operator'
	};
</script>

<LimitStrip {judged} {outlook} />
<p class="value">
	<span class="figures">{format.withUncertainty(judged.value, judged.budget.U, unit)}</span>
	<span class="soft"
		>{judged.characteristic.name}, {judged.points.length > 1 && !judged.characteristic.form ? 'worst point, ' : ''}95 %;
		limit from {limitFromWords[judged.sheet.limitFrom]}{judged.startIsNominal
			? '; wear counted from nominal, not measured when fitted'
			: ''}</span
	>
</p>
{#if outlook}<RiskOfWear sheet={judged.sheet} {outlook} {age} />{/if}
{#each settlement as sentence (sentence)}<p class="text-doubt text-[0.9rem]">
		{sentence}, if the value stays the same.
	</p>{/each}
{#if judged.worst.outlier !== undefined}<p class="text-doubt text-[0.9rem]">
		One reading there does not fit the others ({format.quantity(judged.worst.readings[judged.worst.outlier], unit)}):
		read it again.
	</p>{/if}
{#if judged.gauge?.facts.overdue}<p class="text-doubt text-[0.9rem]">
		{judged.gauge.name}: calibration overdue (uncertainty doubled; stated in the report).
	</p>{/if}
<Shape size={judged} />
<details>
	<summary class="min-h-11 flex items-center cursor-pointer text-mark text-[0.88rem]"
		>Sources of uncertainty: mostly {sources[dominantLine(judged.budget).line.source]}</summary
	>
	<table class="table">
		<thead
			><tr><th>Source</th><th class="number">u</th><th class="number">share</th><th class="number">dof</th></tr></thead
		>
		<tbody>
			{#each judged.budget.contributions as line (line.source)}
				<tr>
					<td>{sources[line.source]}</td>
					<td class="number">{format.difference(line.u, unit, unit === 'in' ? 5 : 4)}</td>
					<td class="number">{format.probability((line.u / judged.budget.u) ** 2)}</td>
					<td class="number">{line.dof === Infinity ? '∞' : format.number(line.dof)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="soft">
		Combined {format.difference(judged.budget.u, unit, unit === 'in' ? 5 : 4)}, k = {format.number(judged.budget.k, 2)} (JCGM
		100). {judged.gauge ? judged.gauge.name : 'No gauge chosen; a shop caliper is assumed'}.
		{judged.budget.contributions.some(({ source }) => source === 'temperature')
			? 'Temperatures are assumed known within ± 2 K, or 20 °C if none is typed.'
			: ''}
	</p>
</details>

<style>
	.value .figures {
		font-size: 1.1rem;
		font-weight: 600;
		white-space: nowrap;
	}
	.value .soft {
		font-size: 0.82rem;
	}
	details table {
		font-size: 0.85rem;
	}
</style>
