<!-- @component Measure: a grid of stations × angles that takes the next reading, from the keyboard or any gauge that types, and moves on. -->
<script lang="ts">
	import { fromBase, unitLabel } from '@exetasis/core/quantity';
	import Calculator from '@lucide/svelte/icons/calculator';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { pointName } from '$lib/words/nextAct';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Mates from './Mates.svelte';
	import type { Measuring } from './measuring.svelte';
	import ReadingGrid from './ReadingGrid.svelte';
	import SizeChoice from './SizeChoice.svelte';
	import { formatInUse } from '$lib/format/context';
	import { Fetched } from '$lib/ui/fetched.svelte';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
		measuring: Measuring;
		/** The pad types: no keyboard of the system slides in. */
		padded: boolean;
		onpad: () => void;
		/** Escape: back to the mat. */
		onleave: () => void;
		/** To the part that this one runs with. */
		onmate: (place: string) => void;
	}
	let { bench, part, locked, measuring, padded, onpad, onleave, onmate }: Props = $props();
	const id = $props.id();

	const { point, sheet, kind, unit, gauges, gauge, zeroSeen, gaugeC, problem } = $derived(measuring);
	const size = $derived(part.judgement.sizes.find((size) => size.sheet.key === point.characteristic));
	// A size that is probably a slip is asked about here, whichever size is in hand.
	const slip = $derived(
		part.judgement.reasons.flatMap((reason) => (reason.code === 'questioned' ? [reason.slip] : [])).at(0)
	);
	const formSays = {
		runout: 'Set the dial to zero at any point and turn the part. Eccentricity is removed from the roundness.',
		flatness: 'Remove O-rings. Set the dial to zero at any point. The tilt of the face is removed.'
	} as const;

	function onkeydown(event: KeyboardEvent) {
		// A key that is held down does nothing twice.
		const again = event.repeat && (event.key === 'Enter' || event.key.length === 1);
		if (event.key === 'Escape') onleave();
		else if (event.key === 'Enter' && !again) void measuring.enter();
		else if (!again) return;
		event.preventDefault();
		event.stopPropagation();
	}

	function again(row: number, column: number, characteristic = sheet?.key) {
		if (characteristic) measuring.choose(characteristic, row, column);
		measuring.focus();
	}

	// Fetched with the first part that is tightened.
	const boltMap = new Fetched(() => import('./BoltMap.svelte'));
	$effect(() => {
		if (part.station.fastening) boltMap.need();
	});
	const Bolts = $derived(boltMap.component);
</script>

<section aria-label="Measure">
	<header class="flex items-center justify-between min-h-11">
		<h2>Measure</h2>
		{#if sheet}
			<span class="flex gap-1.5">
				<button
					type="button"
					class="btn small"
					disabled={locked || part.record.readings.length === 0}
					aria-label="Undo reading"
					title="Undo reading"
					onclick={() => measuring.withdrawLast()}><Undo size={17} /></button
				>
				<button type="button" class="btn small" aria-pressed={padded} disabled={locked} onclick={onpad}
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
		<SizeChoice {bench} {part} chosen={sheet.key} onchoose={(characteristic) => measuring.choose(characteristic)} />
		{#if kind.form}<p
				class="soft text-[0.8rem] whitespace-nowrap overflow-hidden text-ellipsis"
				title={formSays[kind.form]}
			>
				{formSays[kind.form]}
			</p>{/if}
		<label class="my-px block print:hidden text-[0.86rem] leading-[1.2] font-[550]" for="{id}-reading"
			>{pointName(part.station, point)}</label
		>
		<div class="take grid grid-cols-[1fr_auto_4.6rem] gap-1.25 mb-0.75">
			<input
				id="{id}-reading"
				class="input figures"
				inputmode={padded ? 'none' : 'decimal'}
				autocomplete="off"
				placeholder="{kind.form ? '0' : fromBase(sheet.nominal, unit).toFixed(unit === 'in' ? 4 : 2)} {unitLabel(unit)}"
				bind:this={measuring.field}
				bind:value={measuring.text}
				{onkeydown}
				disabled={locked}
				aria-invalid={problem !== ''}
				aria-describedby={problem ? `${id}-problem` : undefined}
			/>
			<button type="button" class="btn main" disabled={locked} onclick={() => void measuring.take()}>Enter</button>
			<input
				class="input figures"
				aria-label="Temperature of the part"
				title="Temperature of the part"
				inputmode="decimal"
				autocomplete="off"
				placeholder="{format.number(gaugeC ?? 20)} °C"
				bind:value={measuring.temperature}
				disabled={locked}
			/>
		</div>
		{#if problem}<p class="wrong leading-[1.2]" id="{id}-problem" role="alert">{problem}</p>{/if}
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
			<div class="flex gap-1.25">
				<select
					class="select min-w-0 flex-1 text-[0.82rem]!"
					aria-label="Gauge"
					value={gauge?.id ?? ''}
					disabled={locked || gauges.length === 0}
					onchange={(event) => (bench.gaugeInHand[kind.instrument] = event.currentTarget.value)}
				>
					{#each gauges as gauge (gauge.id)}<option value={gauge.id}
							>With {gauge.name}{gauge.facts.overdue ? ' (calibration overdue, uncertainty doubled)' : ''}</option
						>{/each}
					{#if gauges.length === 0}<option value="">No {kind.instrument} (shop caliper assumed)</option>{/if}
				</select>
				{#if gauge && sheet.unit === 'mm'}
					<button
						type="button"
						class="btn small whitespace-nowrap!"
						aria-pressed={zeroSeen}
						title="The zero of this gauge was checked today"
						disabled={locked}
						onclick={() => measuring.toggleZero()}>Zero {zeroSeen ? '✓' : '?'}</button
					>
				{/if}
				<input
					class="input figures w-[4.6rem]! text-[0.82rem]!"
					aria-label="Temperature of the gauges today"
					title="Temperature of the gauges today (asked once a day, saved with every reading)"
					inputmode="decimal"
					autocomplete="off"
					placeholder="? °C"
					value={gaugeC === undefined ? '' : format.quantity(gaugeC, format.units.temperature)}
					disabled={locked}
					onchange={({ currentTarget }) => measuring.gaugesAt(currentTarget.value)}
				/>
			</div>
		{/if}
		<ReadingGrid {sheet} {size} name={kind.name} {point} onchoose={again} />
		{#if !slip}<Mates mates={bench.matesOf(part)} {onmate} />{/if}
	{/if}
</section>

<style>
	.take input:first-child {
		font-size: 1.15rem;
	}
</style>
