<!-- @component Measure: a grid of stations × angles that takes the next reading, from the keyboard or any gauge that types, and moves on. -->
<script lang="ts">
	import { tick } from 'svelte';
	import { partType } from '@exetasis/core/part';
	import { dimensionOf, fromBase, parseQuantity, shownUnit, unitLabel } from '@exetasis/core/quantity';
	import { checkPlausible, placesToRead } from '@exetasis/core/record';
	import { unitsInUse } from '$lib/ui/preference';
	import { quantitySentence, refusalSentence } from '$lib/words/problems';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Mates from './Mates.svelte';
	import ReadingGrid from './ReadingGrid.svelte';
	import SizeChoice from './SizeChoice.svelte';
	import { firstUnmeasured, type GridPlace } from '@exetasis/core/mat';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		/** All places of all characteristics have a reading. */
		ondone: () => void;
		/** Escape: back to the mat. */
		onleave: () => void;
		/** To the part that this one runs with. */
		onmate: (place: string) => void;
	}
	let { bench, part, locked, ondone, onleave, onmate }: Props = $props();
	const units = unitsInUse();
	const id = $props.id();

	let chosen = $state<GridPlace>();
	let text = $state('');
	let temperature = $state('');
	let problem = $state('');
	let input = $state<HTMLInputElement>();

	const next = () => firstUnmeasured(part, bench.bench.policy);
	const place = $derived(
		chosen ?? next() ?? { characteristic: part.station.characteristics[0]?.key ?? '', row: 0, column: 0 }
	);
	const sheet = $derived(part.station.characteristics.find(({ key }) => key === place.characteristic));
	const kind = $derived(partType(part.station.type).characteristics.find(({ key }) => key === place.characteristic));
	const unit = $derived(sheet && shownUnit(dimensionOf(sheet.unit), units()));
	const size = $derived(part.judgement.sizes.find((one) => one.sheet.key === place.characteristic));
	const formSays = {
		runout: 'Set the dial to zero anywhere and turn the part: eccentricity is taken out of its roundness.',
		flatness: 'O-rings out, dial set to zero anywhere: the tilt of the face is taken out.'
	} as const;
	const gauges = $derived(kind ? bench.bench.gauges.filter((gauge) => gauge.kind === kind.instrument) : []);
	const gauge = $derived(gauges.find((one) => one.id === (kind && bench.gaugeInHand[kind.instrument])) ?? gauges[0]);
	const grid = $derived(sheet ? placesToRead(sheet) : { rows: [''], columns: [''] });
	const gridded = $derived(grid.rows.length * grid.columns.length > 1);
	const columns = $derived(grid.columns.length > 1);

	/** Puts the next typed character into the reading's field. */
	export function focus(): void {
		input?.focus();
	}

	async function take() {
		if (!sheet || !unit) return;
		const parsed = parseQuantity(text, unit, (base) => checkPlausible(base, sheet, kind?.form) === undefined);
		if (parsed.kind === 'problem') return void (problem = quantitySentence(parsed.problem));
		const implausible = checkPlausible(parsed.base, sheet, kind?.form);
		if (implausible) return void (problem = refusalSentence(implausible, units()));
		const warmth = temperature.trim() === '' ? undefined : parseQuantity(temperature, units().temperature);
		if (warmth?.kind === 'problem') return void (problem = `Temperature: ${quantitySentence(warmth.problem)}`);
		bench.record({
			kind: 'reading',
			part: part.cell.part,
			payload: {
				...place,
				value: parsed.base,
				typed: { text: text.trim(), unit: parsed.unit },
				...(gauge ? { gauge: gauge.id } : {}),
				...(warmth ? { partC: warmth.base } : {})
			}
		});
		text = problem = '';
		chosen = undefined;
		await tick();
		if (!next()) ondone();
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'Escape') onleave();
		else if (event.key === 'Enter' && text.trim() === '' && !next()) ondone();
		else if (event.key === 'Enter') void take();
		else return;
		event.preventDefault();
		event.stopPropagation();
	}

	function again(row: number, column: number) {
		if (sheet) chosen = { characteristic: sheet.key, row, column };
		focus();
	}

	function withdrawLast() {
		const last = part.record.readings.findLast(({ payload }) => payload.characteristic === place.characteristic);
		if (last) bench.withdraw(last, 'reading taken back');
	}
</script>

<section aria-label="Measure">
	<h2>Measure</h2>
	{#if !sheet || !unit || !kind}
		<p class="soft">Nothing to measure on this part: what you see decides.</p>
	{:else}
		<SizeChoice
			{bench}
			{part}
			chosen={sheet.key}
			onchoose={(characteristic) => (chosen = { characteristic, row: 0, column: 0 })}
		/>
		{#if kind.form}<p class="soft hint">{formSays[kind.form]}</p>{/if}
		<div class="take">
			<label class="field" for="{id}-reading">
				<span
					>{kind.name}{gridded ? `, ${grid.rows[place.row].toLowerCase()}` : ''}{columns
						? `, ${grid.columns[place.column]}`
						: ''}</span
				>
				<input
					id="{id}-reading"
					class="figures"
					inputmode="decimal"
					autocomplete="off"
					placeholder="{kind.form ? '0' : fromBase(sheet.nominal, unit).toFixed(unit === 'in' ? 4 : 2)} {unitLabel(
						unit
					)}"
					bind:this={input}
					bind:value={text}
					{onkeydown}
					disabled={locked}
					aria-invalid={problem !== ''}
					aria-describedby={problem ? `${id}-problem` : undefined}
				/>
			</label>
			<button type="button" class="press main" disabled={locked} onclick={() => void take()}>Enter</button>
		</div>
		{#if problem}<p class="wrong" id="{id}-problem" role="alert">{problem}</p>{/if}
		<div class="with">
			<label class="field" for="{id}-gauge">
				<span>With</span>
				<select
					id="{id}-gauge"
					value={gauge?.id ?? ''}
					disabled={locked || gauges.length === 0}
					onchange={(event) => (bench.gaugeInHand[kind.instrument] = event.currentTarget.value)}
				>
					{#each gauges as one (one.id)}<option value={one.id}
							>{one.name}{one.facts.overdue ? ' (calibration overdue)' : ''}</option
						>{/each}
					{#if gauges.length === 0}<option value=""
							>No {kind.instrument}: a shop caliper’s uncertainty is assumed</option
						>{/if}
				</select>
			</label>
			<label class="field" for="{id}-temperature">
				<span>Part at</span>
				<input
					id="{id}-temperature"
					class="figures"
					inputmode="decimal"
					placeholder="20 °C"
					bind:value={temperature}
					disabled={locked}
				/>
			</label>
		</div>
		{#if gauge?.facts.overdue}<p class="wrong">
				This gauge’s calibration is overdue: usable, but its certificate counts with twice its uncertainty.
			</p>{/if}
		<ReadingGrid {sheet} {size} name={kind.name} {place} onchoose={again} />
		{#if part.record.readings.length > 0 && !locked}
			<button type="button" class="press small" onclick={withdrawLast}>Take last reading back</button>
		{/if}
		<Mates mates={bench.matesOf(part)} {onmate} />
	{/if}
</section>

<style>
	.small {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
	.hint {
		font-size: 0.84rem;
	}
	.take,
	.with {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 8px;
		align-items: end;
		margin-bottom: 6px;
	}
	.take input {
		font-size: 1.15rem;
	}
	.with {
		grid-template-columns: 1fr 7rem;
		font-size: 0.85rem;
	}
</style>
