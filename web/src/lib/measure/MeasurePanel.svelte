<!-- @component Measure: a grid of stations × angles that takes the next reading, from the keyboard or any gauge that types, and moves on. -->
<script lang="ts">
	import { tick } from 'svelte';
	import { browser } from '$app/environment';
	import { partType } from '@exetasis/core/part';
	import {
		dimensionOf,
		fromBase,
		parseQuantity,
		shownUnit,
		unitLabel,
		units as allUnits,
		type Unit
	} from '@exetasis/core/quantity';
	import Calculator from '@lucide/svelte/icons/calculator';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { BENCH_C, checkPlausible } from '@exetasis/core/record';
	import { unitsInUse } from '$lib/ui/preference';
	import { readingPlace } from '$lib/words/nextAct';
	import { quantitySentence, refusalSentence } from '$lib/words/problems';
	import type BoltMap from './BoltMap.svelte';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { formatNumber, formatQuantity } from '$lib/ui/numbers';
	import { keepBenchDay, readBenchDay } from './benchDay';
	import Mates from './Mates.svelte';
	import ReadingGrid from './ReadingGrid.svelte';
	import SizeChoice from './SizeChoice.svelte';
	import { firstUnmeasured, type GridPlace } from '@exetasis/core/mat';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		/** What is typed and not yet taken. */
		text: string;
		/** The pad types: no keyboard of the system slides in. */
		padded: boolean;
		onpad: () => void;
		/** A reading was taken; `complete`: all places of all that is asked for have one. */
		ontaken: (complete: boolean) => void;
		/** Escape: back to the mat. */
		onleave: () => void;
		/** To the part that this one runs with. */
		onmate: (place: string) => void;
	}
	let { bench, part, locked, text = $bindable(), padded, onpad, ontaken, onleave, onmate }: Props = $props();
	const units = unitsInUse();
	const id = $props.id();

	let chosen = $state<GridPlace>();
	// Another unit than the one shown, chosen on the pad.
	let otherUnit = $state<Unit>();
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
	// A size that is probably a slip is asked about here, whichever size is in hand.
	const slip = $derived(
		part.judgement.reasons.flatMap((reason) => (reason.code === 'questioned' ? [reason.slip] : [])).at(0)
	);
	const formSays = {
		runout: 'Set the dial to zero at any point and turn the part. Eccentricity is removed from the roundness.',
		flatness: 'Remove O-rings. Set the dial to zero at any point. The tilt of the face is removed.'
	} as const;
	const gauges = $derived(
		kind ? bench.bench.gauges.filter((gauge) => gauge.kind === kind.instrument && !gauge.retired) : []
	);
	const gauge = $derived(gauges.find((one) => one.id === (kind && bench.gaugeInHand[kind.instrument])) ?? gauges[0]);

	// The server draws the page too, and keeps nothing of a bench.
	const device = browser ? localStorage : { getItem: () => null, setItem: () => undefined };
	// The bench's own day: asked once, then kept with every reading.
	let today = $state(readBenchDay(device));
	const zeroSeen = $derived(gauge !== undefined && today.zeroSeen.includes(gauge.id));
	function say(said: Partial<typeof today>) {
		today = { ...readBenchDay(device), ...said };
		keepBenchDay(device, today);
	}
	function toggleZero() {
		if (!gauge) return;
		const others = today.zeroSeen.filter((one) => one !== gauge.id);
		say({ zeroSeen: zeroSeen ? others : [...others, gauge.id] });
	}
	function gaugesAt(typed: string) {
		problem = '';
		if (typed.trim() === '') return say({ gaugeC: undefined });
		const read = parseQuantity(typed, units().temperature);
		if (read.kind === 'problem') problem = `Gauges: ${quantitySentence(read.problem, 'Type the temperature.')}`;
		else if (read.base < BENCH_C.least || read.base > BENCH_C.most)
			problem = `Gauges: type a temperature from ${formatQuantity(BENCH_C.least, units().temperature)} to ${formatQuantity(BENCH_C.most, units().temperature)}.`;
		else say({ gaugeC: read.base });
	}

	/** Puts the next typed character into the reading's field. */
	export function focus(): void {
		input?.focus();
	}

	/** Takes up one size of the part, also one that nothing here calls for. */
	export function measure(characteristic: string): void {
		if (!part.station.characteristics.some(({ key }) => key === characteristic)) return;
		chosen = { characteristic, row: 0, column: 0 };
		focus();
	}

	/** Adds a character of the pad; a sign changes sides. */
	export function type(character: string): void {
		if (character !== '−') text += character;
		else text = text.startsWith('−') ? text.slice(1) : `−${text}`;
	}
	export const erase = (): string => (text = text.slice(0, -1));

	const padUnits = $derived(
		unit ? [unit, ...allUnits.filter((one) => one !== unit && dimensionOf(one) === dimensionOf(unit))] : []
	);
	/** The unit in which what is typed on the pad is read. */
	export const padUnit = (): string => (unit ? unitLabel(otherUnit ?? unit) : '');
	export function nextUnit(): void {
		otherUnit = padUnits[(padUnits.indexOf(otherUnit ?? padUnits[0]) + 1) % padUnits.length];
	}

	/** Takes what is typed as the reading of the place in hand. */
	export async function take(): Promise<void> {
		if (!sheet || !unit || locked) return;
		const parsed = parseQuantity(
			text,
			otherUnit ?? unit,
			(base) => checkPlausible(base, sheet, kind?.form) === undefined
		);
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
				...(warmth ? { partC: warmth.base } : {}),
				...(gauge && today.gaugeC !== undefined ? { gaugeC: today.gaugeC } : {}),
				...(zeroSeen ? { zeroSeen: true as const } : {})
			}
		});
		text = problem = '';
		chosen = otherUnit = undefined;
		await tick();
		ontaken(!next());
	}

	function onkeydown(event: KeyboardEvent) {
		// A key that is held down does nothing twice.
		const again = event.repeat && (event.key === 'Enter' || event.key.length === 1);
		if (event.key === 'Escape') onleave();
		else if (event.key === 'Enter' && !again && text.trim() === '' && !next()) ontaken(true);
		else if (event.key === 'Enter' && !again) void take();
		else if (!again) return;
		event.preventDefault();
		event.stopPropagation();
	}

	function again(row: number, column: number, characteristic = sheet?.key) {
		if (characteristic) chosen = { characteristic, row, column };
		focus();
	}

	/** Takes the last reading of the size in hand back. */
	export function withdrawLast(): void {
		const last = part.record.readings.findLast(({ payload }) => payload.characteristic === place.characteristic);
		if (last) bench.withdraw(last, 'reading removed');
	}
	// Fetched with the first part that is tightened.
	let Bolts = $state.raw<typeof BoltMap>();
	$effect(() => {
		if (part.station.fastening && !Bolts) void import('./BoltMap.svelte').then((module) => (Bolts = module.default));
	});
</script>

<section aria-label="Measure">
	<header>
		<h2>Measure</h2>
		{#if sheet}
			<span class="acts">
				<button
					type="button"
					class="btn"
					disabled={locked || part.record.readings.length === 0}
					aria-label="Undo reading"
					title="Undo reading"
					onclick={withdrawLast}><Undo size={17} /></button
				>
				<button type="button" class="btn" aria-pressed={padded} disabled={locked} onclick={onpad}
					><Calculator size={17} /> Pad</button
				>
			</span>
		{/if}
	</header>
	{#if !sheet || !unit || !kind}
		{#if bench.bench.sheet.provisional && !locked}
			{#await import('./NewSize.svelte') then { default: NewSize }}
				<NewSize station={part.station} part={part.cell.part} />
			{/await}
		{:else}<p class="soft">Nothing to measure on this part. Judge it by eye.</p>{/if}
		{#if part.station.fastening && Bolts}
			<h3>Tightening</h3>
			<Bolts fastening={part.station.fastening} />
		{/if}
	{:else}
		<SizeChoice
			{bench}
			{part}
			chosen={sheet.key}
			onchoose={(characteristic) => (chosen = { characteristic, row: 0, column: 0 })}
		/>
		{#if kind.form}<p class="soft hint" title={formSays[kind.form]}>{formSays[kind.form]}</p>{/if}
		<label class="label place" for="{id}-reading">{readingPlace(part.station, place)}</label>
		<div class="take">
			<input
				id="{id}-reading"
				class="input figures"
				inputmode={padded ? 'none' : 'decimal'}
				autocomplete="off"
				placeholder="{kind.form ? '0' : fromBase(sheet.nominal, unit).toFixed(unit === 'in' ? 4 : 2)} {unitLabel(unit)}"
				bind:this={input}
				bind:value={text}
				{onkeydown}
				disabled={locked}
				aria-invalid={problem !== ''}
				aria-describedby={problem ? `${id}-problem` : undefined}
			/>
			<button type="button" class="btn main" disabled={locked} onclick={() => void take()}>Enter</button>
			<input
				class="input figures"
				aria-label="Temperature of the part"
				title="Temperature of the part"
				inputmode="decimal"
				autocomplete="off"
				placeholder="{formatNumber(today.gaugeC ?? 20)} °C"
				bind:value={temperature}
				disabled={locked}
			/>
		</div>
		{#if problem}<p class="wrong" id="{id}-problem" role="alert">{problem}</p>{/if}
		<!-- While a reading is in question, the gauge and the mates give their room to the question. -->
		{#if slip}
			{#await import('./SlipQuestion.svelte') then { default: SlipQuestion }}
				<SlipQuestion
					{bench}
					{part}
					{slip}
					{locked}
					onagain={(row, column) => again(row, column, slip.characteristic)}
				/>
			{/await}
		{:else}
			<div class="with">
				<select
					class="select gauge"
					aria-label="Gauge"
					value={gauge?.id ?? ''}
					disabled={locked || gauges.length === 0}
					onchange={(event) => (bench.gaugeInHand[kind.instrument] = event.currentTarget.value)}
				>
					{#each gauges as one (one.id)}<option value={one.id}
							>With {one.name}{one.facts.overdue ? ' (calibration overdue, uncertainty doubled)' : ''}</option
						>{/each}
					{#if gauges.length === 0}<option value="">No {kind.instrument} (shop caliper assumed)</option>{/if}
				</select>
				{#if gauge && sheet.unit === 'mm'}
					<button
						type="button"
						class="btn zero"
						aria-pressed={zeroSeen}
						title="The zero of this gauge was checked today"
						disabled={locked}
						onclick={toggleZero}>Zero {zeroSeen ? '✓' : '?'}</button
					>
				{/if}
				<input
					class="input figures bench"
					aria-label="Temperature of the gauges today"
					title="Temperature of the gauges today (asked once a day, saved with every reading)"
					inputmode="decimal"
					autocomplete="off"
					placeholder="? °C"
					value={today.gaugeC === undefined ? '' : formatQuantity(today.gaugeC, units().temperature)}
					disabled={locked}
					onchange={({ currentTarget }) => gaugesAt(currentTarget.value)}
				/>
			</div>
		{/if}
		<ReadingGrid {sheet} {size} name={kind.name} {place} onchoose={again} />
		{#if !slip}<Mates mates={bench.matesOf(part)} {onmate} />{/if}
	{/if}
</section>

<style>
	header {
		display: flex;
		align-items: center;
		justify-content: space-between;
		min-height: 44px;
	}
	.acts {
		display: flex;
		gap: 6px;
	}
	.acts .btn {
		padding: 0 0.6rem;
		font-size: 0.85rem;
	}
	.hint {
		font-size: 0.8rem;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.place {
		display: block;
		font-weight: 550;
		font-size: 0.86rem;
		line-height: 1.2;
		margin: 1px 0;
	}
	.take {
		display: grid;
		grid-template-columns: 1fr auto 4.6rem;
		gap: 5px;
		margin-bottom: 3px;
	}
	.take input:first-child {
		font-size: 1.15rem;
	}
	.with {
		display: flex;
		gap: 5px;
	}
	.gauge {
		flex: 1;
		min-width: 0;
		font-size: 0.82rem;
	}
	.zero {
		padding: 0 0.5rem;
		font-size: 0.82rem;
		white-space: nowrap;
	}
	.bench {
		width: 4.6rem;
		font-size: 0.82rem;
	}
	.wrong {
		line-height: 1.2;
	}
</style>
