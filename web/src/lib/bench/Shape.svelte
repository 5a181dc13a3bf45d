<!-- @component The shape that a gridded diameter has worn to, and the fit to the part it runs with, as measured in this rebuild. -->
<script lang="ts">
	import { diameterForm, fitOf } from '@exetasis/core/measure';
	import { formatDifference, shownUnit } from '@exetasis/core/quantity';
	import type { JudgedCharacteristic } from '@exetasis/core/decide';
	import { unitsInUse } from '$lib/ui/preference';
	import type { BenchPart, BenchState } from './bench.svelte';
	import { placeKey } from './place';

	interface Props {
		bench: BenchState;
		part: BenchPart;
	}
	let { bench, part }: Props = $props();
	const units = unitsInUse();
	const unit = $derived(shownUnit('length', units()));

	const sizeOf = (one: BenchPart | undefined, key: string): JudgedCharacteristic | undefined =>
		one?.judgement.measured.find(({ sheet }) => sheet.key === key);
	const measured = ({ worst, budget }: JudgedCharacteristic) => ({ value: worst.value, u: budget.u, dof: budget.dof });

	const diameter = $derived(sizeOf(part, 'diameter'));
	const form = $derived(diameter?.sheet.grid && diameterForm(diameter.places));
	const stationName = (index: number) => diameter?.sheet.grid?.stations[index].toLowerCase() ?? '';

	// A lip on its plunger: two measured sizes, never the sheet's nominal one.
	const mate = $derived(
		part.station.mate ? bench.parts.get(placeKey(part.station.mate, part.cell.cylinder)) : undefined
	);
	const lip = $derived(sizeOf(part, 'insideDiameter'));
	const plunger = $derived(sizeOf(mate, 'diameter'));
	const fit = $derived(lip && plunger && fitOf(measured(plunger), measured(lip)));
</script>

{#if form?.ovality || form?.taper}
	<p class="soft">
		{#if form.ovality}Ovality <span class="figures">{formatDifference(form.ovality.value, unit)}</span> at the {stationName(
				form.ovality.station
			)}.{/if}
		{#if form.taper}Taper <span class="figures">{formatDifference(form.taper.value, unit)}</span>, thinnest at the {stationName(
				form.taper.thinnest
			)}.{/if}
	</p>
{/if}
{#if fit && mate}
	<p>
		{fit.interference >= 0 ? 'Presses on its plunger by' : 'Stands off its plunger by'}
		<span class="figures">{formatDifference(Math.abs(fit.interference), unit)} ± {formatDifference(fit.U, unit)}</span>,
		both as measured now.
	</p>
{:else if lip && mate}
	<p class="doubt">
		Its mate, the {mate.station.name.toLowerCase()}, is not measured yet: the fit between the two is not known.
	</p>
{/if}

<style>
	p {
		font-size: 0.88rem;
	}
	.doubt {
		color: var(--doubt);
	}
</style>
