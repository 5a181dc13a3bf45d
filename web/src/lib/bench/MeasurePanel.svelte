<!-- @component Measure: a grid of stations × angles that takes the next reading, from the keyboard or any gauge that types, and moves on. -->
<script lang="ts">
	import { tick } from 'svelte';
	import { partType } from '@exetasis/core/part';
	import {
		dimensionOf,
		formatQuantity,
		formatWithUncertainty,
		fromBase,
		parseQuantity,
		shownUnit,
		unitLabel,
		type Unit
	} from '@exetasis/core/quantity';
	import { wantedSizes } from '@exetasis/core/decide';
	import { checkPlausible, placesToRead } from '@exetasis/core/record';
	import { unitsInUse } from '$lib/ui/preference';
	import { quantitySentence, refusalSentence } from '$lib/words/problems';
	import type { BenchPart, BenchState } from './bench.svelte';
	import { placeKey } from './place';
	import { firstUnmeasured, type GridPlace } from './walk';

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
	// The gauge last used for an instrument stays in hand for the next part.
	let gaugeOf = $state<Record<string, string>>({});

	const next = () => firstUnmeasured(part, bench.bench.policy);
	const place = $derived(
		chosen ?? next() ?? { characteristic: part.station.characteristics[0]?.key ?? '', station: 0, angle: 0 }
	);
	const sheet = $derived(part.station.characteristics.find(({ key }) => key === place.characteristic));
	const kind = $derived(partType(part.station.type).characteristics.find(({ key }) => key === place.characteristic));
	const unit = $derived(sheet && shownUnit(dimensionOf(sheet.unit), units()));
	const size = $derived(part.judgement.sizes.find((one) => one.sheet.key === place.characteristic));
	const nameOf = (key: string) => partType(part.station.type).characteristics.find((one) => one.key === key)?.name;
	// At hand: what is wanted or begun; the rest of the sheet's sizes behind a list.
	const wanted = $derived(wantedSizes(part.station, part.record, bench.bench.policy));
	const atHand = $derived(
		part.station.characteristics.filter(
			(one) =>
				wanted.includes(one) ||
				one.key === place.characteristic ||
				part.judgement.sizes.some(({ sheet }) => sheet.key === one.key)
		)
	);
	const sizeOf = (key: string): string => {
		const found = part.judgement.sizes.find((one) => one.sheet.key === key);
		return found?.value === undefined ? '' : formatQuantity(found.value, shownIn(found.sheet.unit));
	};
	const others = $derived(part.station.characteristics.filter((one) => !atHand.includes(one)));
	const formSays = {
		runout: 'Set the dial to zero anywhere and turn the part: eccentricity is taken out of its roundness.',
		flatness: 'O-rings out, dial set to zero anywhere: the tilt of the face is taken out.'
	} as const;
	const mates = $derived(bench.matesOf(part));
	const shownIn = (unit: Unit) => shownUnit(dimensionOf(unit), units());
	const gauges = $derived(kind ? bench.bench.gauges.filter((gauge) => gauge.kind === kind.instrument) : []);
	const gauge = $derived(gauges.find((one) => one.id === (kind && gaugeOf[kind.instrument])) ?? gauges[0]);
	const grid = $derived(sheet ? placesToRead(sheet) : { rows: [''], columns: [''] });
	const gridded = $derived(grid.rows.length * grid.columns.length > 1);
	const columns = $derived(grid.columns.length > 1);

	const readAt = (station: number, angle: number) =>
		size?.places.find((one) => one.station === station && one.angle === angle);

	/** Puts the next typed character into the reading's field. */
	export function focus(): void {
		input?.focus();
	}

	async function take() {
		if (!sheet || !unit) return;
		const parsed = parseQuantity(text, unit);
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

	function again(station: number, angle: number) {
		if (sheet) chosen = { characteristic: sheet.key, station, angle };
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
		{#if part.station.characteristics.length > 1}
			<div class="row" role="group" aria-label="What to measure">
				{#each atHand as one (one.key)}
					<button
						type="button"
						class="press small"
						aria-pressed={one.key === sheet.key}
						onclick={() => (chosen = { characteristic: one.key, station: 0, angle: 0 })}
					>
						{nameOf(one.key)}
						{#if sizeOf(one.key)}<span class="figures soft">{sizeOf(one.key)}</span>{/if}
					</button>
				{/each}
				{#if others.length > 0}
					<label class="field others" for="{id}-other"
						><span class="sr-only">Measure something else</span>
						<select
							id="{id}-other"
							value=""
							onchange={(event) => {
								chosen = { characteristic: event.currentTarget.value, station: 0, angle: 0 };
								event.currentTarget.value = '';
							}}
						>
							<option value="">Something else …</option>
							{#each others as one (one.key)}<option value={one.key}>{nameOf(one.key)}</option>{/each}
						</select>
					</label>
				{/if}
			</div>
		{/if}
		{#if kind.form}<p class="soft hint">{formSays[kind.form]}</p>{/if}
		<div class="take">
			<label class="field" for="{id}-reading">
				<span
					>{kind.name}{gridded ? `, ${grid.rows[place.station].toLowerCase()}` : ''}{columns
						? `, ${grid.columns[place.angle]}`
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
			<button type="button" class="press main" disabled={locked} onclick={() => void take()}>Take</button>
		</div>
		{#if problem}<p class="wrong" id="{id}-problem" role="alert">{problem}</p>{/if}
		<div class="with">
			<label class="field" for="{id}-gauge">
				<span>With</span>
				<select
					id="{id}-gauge"
					value={gauge?.id ?? ''}
					disabled={locked || gauges.length === 0}
					onchange={(event) => (gaugeOf[kind.instrument] = event.currentTarget.value)}
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
		<div class="grid">
			<table class="places">
				{#if columns}
					<thead>
						<tr
							><td></td>{#each grid.columns as column (column)}<th scope="col" class="figures">{column}</th>{/each}</tr
						>
					</thead>
				{/if}
				<tbody>
					{#each grid.rows as name, station (station)}
						<tr>
							<th scope="row">{name || kind.name}</th>
							{#each grid.columns as column, at (at)}
								{@const read = readAt(station, at)}
								{@const isNext = place.station === station && place.angle === at}
								<td>
									<button
										type="button"
										class="place figures"
										class:narrow={grid.columns.length > 3}
										class:next={isNext}
										aria-label="{name || kind.name} {columns ? column : ''}: {read
											? formatQuantity(read.value, unit)
											: 'no reading'}"
										onclick={() => again(station, at)}
									>
										{#if read}
											{grid.columns.length > 3
												? formatQuantity(read.value, unit).split('\u00a0')[0]
												: formatQuantity(read.value, unit)}{#if read.readings.length > 1}<sup
													>×{read.readings.length}</sup
												>{/if}
											{#if read.outlier !== undefined}<span
													class="doubt"
													title="One reading does not fit the others: read it again">≠</span
												>{/if}
										{:else if isNext}▸{:else}·{/if}
									</button>
								</td>
							{/each}
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if part.record.readings.length > 0 && !locked}
			<button type="button" class="press small" onclick={withdrawLast}>Take last reading back</button>
		{/if}
		{#each mates as mate (mate.cell.part)}
			{@const sizes = mate.judgement.sizes.filter(({ value }) => value !== undefined)}
			<p class="mate" class:doubt={sizes.length === 0}>
				Runs with
				<button
					type="button"
					class="press small"
					onclick={() => onmate(placeKey(mate.cell.station, mate.cell.cylinder))}>{mate.station.name}</button
				>
				{#if sizes.length > 0}<span class="figures"
						>{sizes
							.slice(0, 2)
							.map(
								({ characteristic, value, budget, sheet }) =>
									`${characteristic.name} ${formatWithUncertainty(value!, budget.U, shownIn(sheet.unit))}`
							)
							.join('; ')}</span
					>{:else}not measured in this rebuild yet{/if}
			</p>
		{/each}
	{/if}
</section>

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin: 6px 0;
	}
	.small {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
	.places {
		border-collapse: collapse;
		margin: 4px 0 8px;
	}
	.places th {
		font-weight: 500;
		font-size: 0.82rem;
		text-align: left;
		padding-right: 0.5rem;
		color: var(--ink-soft);
	}
	.places thead th {
		text-align: center;
	}
	.place {
		min-width: 104px;
		min-height: 44px;
		border: 1px solid var(--line);
		background: var(--paper);
		font-size: 0.88rem;
	}
	.place.narrow {
		min-width: 52px;
		font-size: 0.78rem;
	}
	.grid {
		overflow-x: auto;
	}
	.hint {
		font-size: 0.84rem;
	}
	.others {
		min-width: 11rem;
	}
	.others select {
		font-size: 0.85rem;
	}
	.mate {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.5rem;
		font-size: 0.86rem;
		margin-top: 8px;
	}
	.place.next {
		border: 2px solid var(--mark);
	}
	.doubt {
		color: var(--doubt);
		font-weight: 700;
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
