<!-- @component The test sheet of the model: the hold, the weep places, flow and temperature, each judged as it is entered. -->
<script lang="ts">
	import { parseNumber, parseQuantity, type Unit } from '@exetasis/core/quantity';
	import { FLOW_TEST_U, flowOn, holdOn, lastProofs, PRESSURE_GAUGE, riseOn, type Proof } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import CautionNote from '$lib/ui/CautionNote.svelte';
	import { numberSentence } from '$lib/words/problems';
	import { heldByWords, holdWords, testPressure } from '$lib/words/proof';
	import Typed from './Typed.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		locked: boolean;
	}
	let { bench, locked }: Props = $props();
	const { sheet, gauges: known } = $derived(bench.bench);
	const gauges = $derived(known.filter(({ kind, retired }) => kind === PRESSURE_GAUGE && !retired));
	const gauge = $derived(gauges.find(({ id }) => id === bench.gaugeInHand[PRESSURE_GAUGE]) ?? gauges[0]);
	const proofs = $derived(lastProofs(bench.log.proofs));
	const held = $derived(holdOn(sheet, proofs, known));

	const fields = $state({
		from: '',
		to: '',
		minutes: '',
		fromC: '',
		toC: '',
		flow: '',
		pressure: '',
		speed: '',
		inlet: '',
		outlet: ''
	});
	const wrong = $state<Partial<Record<keyof typeof fields, string>>>({});
	const seen = [
		['none', 'none'],
		['stopping', 'a few, stopping'],
		['steady', 'steady']
	] as const;

	function quantity(name: keyof typeof fields, unit: Unit) {
		const text = fields[name].trim();
		const read = parseQuantity(text, unit);
		wrong[name] = text === '' ? 'Type a value first.' : '';
		return read.kind === 'problem' ? undefined : { value: read.base, typed: { text, unit: read.unit } };
	}
	function number(name: keyof typeof fields, most: number) {
		const read = parseNumber(fields[name], { least: 0.01, most });
		wrong[name] = read.kind === 'problem' ? numberSentence(read.problem, format) : '';
		return read.kind === 'problem' ? undefined : read.value;
	}
	const record = (payload: Proof['payload']) => bench.record({ kind: 'proof', payload });
	function takeHold() {
		const [from, to] = [quantity('from', format.units.pressure), quantity('to', format.units.pressure)];
		const minutes = number('minutes', 1440);
		const noted = fields.fromC.trim() !== '' || fields.toC.trim() !== '';
		const fromC = noted ? quantity('fromC', format.units.temperature) : undefined;
		const toC = noted ? quantity('toC', format.units.temperature) : undefined;
		if (!from || !to || minutes === undefined || (noted && !(fromC && toC))) return;
		const warmer = fromC && toC && toC.value > fromC.value;
		if (to.value > from.value && !warmer)
			return void (wrong.to = 'The pressure must not rise during the hold. Check that the pump is off.');
		record({
			test: 'hold',
			from,
			to,
			minutes,
			...(fromC && toC ? { fromC, toC } : {}),
			...(gauge ? { gauge: gauge.id } : {})
		});
		fields.from = fields.to = fields.minutes = fields.fromC = fields.toC = '';
	}
	function takeFlow() {
		const [flow, pressure] = [quantity('flow', 'Lmin'), quantity('pressure', format.units.pressure)];
		const speedRpm = number('speed', 10_000);
		if (!flow || !pressure || speedRpm === undefined) return;
		record({ test: 'flow', flow, pressure, speedRpm });
		fields.flow = fields.pressure = fields.speed = '';
	}
	function takeTemperature() {
		const [inlet, outlet] = [quantity('inlet', format.units.temperature), quantity('outlet', format.units.temperature)];
		if (!inlet || !outlet) return;
		record({ test: 'temperature', inlet, outlet });
		fields.inlet = fields.outlet = '';
	}
	const flow = $derived(flowOn(sheet, proofs));
	const rise = $derived(riseOn(proofs));
</script>

<section class="sheet test grid gap-2 px-[18px] pt-3 pb-4 mt-2.5" aria-label="Test sheet">
	<h2>Test sheet</h2>
	<CautionNote
		caution={{
			hazard: 'pressure',
			text: 'Raise the pressure in steps, behind a guard. Do not stand in line with a plug, a cap or a hose. Release the pressure before you touch anything.'
		}}
	/>
	{#if sheet.proof}
		{@const { pressureMPa, minutes, mostFallMPa, places } = sheet.proof}
		{@const notSeen = places.filter((place) => !proofs.drips.has(place))}
		<h3 class="text-[0.98rem] font-[650] mt-1">
			Hold: {format.quantity(pressureMPa, format.units.pressure)} for {format.number(minutes)} min, maximum fall {testPressure(
				mostFallMPa,
				format
			)}
		</h3>
		<div class="flex flex-wrap items-center gap-1.5">
			<Typed label="From" unit={format.units.pressure} {locked} bind:text={fields.from} wrong={wrong.from} />
			<Typed label="to" unit={format.units.pressure} {locked} bind:text={fields.to} wrong={wrong.to} />
			<label for="held-minutes">in, min</label>
			<input
				id="held-minutes"
				class="input w-22!"
				inputmode="decimal"
				maxlength="10"
				disabled={locked}
				bind:value={fields.minutes}
			/>
			{#if wrong.minutes}<span class="wrong">{wrong.minutes}</span>{/if}
		</div>
		<div class="flex flex-wrap items-center gap-1.5">
			<Typed label="Water at" unit={format.units.temperature} {locked} bind:text={fields.fromC} wrong={wrong.fromC} />
			<Typed label="at the end" unit={format.units.temperature} {locked} bind:text={fields.toC} wrong={wrong.toC} />
			<select
				class="select w-auto! max-w-80"
				aria-label="Read by"
				value={gauge?.id ?? ''}
				disabled={locked || gauges.length === 0}
				onchange={(event) => (bench.gaugeInHand[PRESSURE_GAUGE] = event.currentTarget.value)}
			>
				{#each gauges as gauge (gauge.id)}<option value={gauge.id}
						>by {gauge.name}{gauge.facts.overdue ? ' (calibration overdue, uncertainty doubled)' : ''}</option
					>{/each}
				{#if gauges.length === 0}<option value="">No pressure gauge (class 1 assumed)</option>{/if}
			</select>
			<button type="button" class="btn" disabled={locked} onclick={takeHold}>Save hold test</button>
		</div>
		{#if held}<p role="status">
				{holdWords(held, sheet.proof, format)}
				<span class="soft">{heldByWords(held)}</span>
			</p>{/if}
		<h3 class="text-[0.98rem] font-[650] mt-1">Drips under pressure</h3>
		{#if notSeen.length > 1}
			<button
				type="button"
				class="btn"
				disabled={locked}
				onclick={() =>
					bench.record(
						...notSeen.map((place) => ({
							kind: 'proof' as const,
							payload: { test: 'drips' as const, place, seen: 'none' as const }
						}))
					)}
				>None at {notSeen.length === places.length
					? `all ${places.length} places`
					: `the other ${notSeen.length} places`}</button
			>
		{/if}
		{#each places as place (place)}
			<div class="choices flex flex-wrap items-center gap-1.5" role="group" aria-label="Drips: {place}">
				<span class="place min-w-56">{place}</span>
				{#each seen as [value, words] (value)}
					<button
						type="button"
						class="btn"
						aria-pressed={proofs.drips.get(place)?.seen === value}
						disabled={locked}
						onclick={() => record({ test: 'drips', place, seen: value })}>{words}</button
					>
				{/each}
			</div>
		{/each}
	{:else}
		<p class="soft">The sheet of this model does not define a test.</p>
	{/if}
	<h3 class="text-[0.98rem] font-[650] mt-1">Flow</h3>
	<div class="flex flex-wrap items-center gap-1.5">
		<Typed label="Flow" unit="Lmin" {locked} bind:text={fields.flow} wrong={wrong.flow} />
		<Typed label="at" unit={format.units.pressure} {locked} bind:text={fields.pressure} wrong={wrong.pressure} />
		<label for="flow-speed">and, rpm</label>
		<input
			id="flow-speed"
			class="input w-22!"
			inputmode="decimal"
			maxlength="10"
			disabled={locked}
			bind:value={fields.speed}
		/>
		<button type="button" class="btn" disabled={locked} onclick={takeFlow}>Save flow</button>
		{#if wrong.speed}<span class="wrong">{wrong.speed}</span>{/if}
	</div>
	{#if flow}<p role="status">
			{format.quantity(proofs.flow!.flow.value, 'Lmin')} is
			<b class="figures">{format.probability(flow.efficiency.value)}</b>
			± {format.probability(2 * flow.efficiency.u)} of the displacement
			<span class="soft"
				>(jug and timer ± {format.probability(FLOW_TEST_U.flow)}, speed ± {format.probability(FLOW_TEST_U.speed)},
				plungers as new).</span
			>
			{#if flow.tooMuch}<b class="wrong">More than the displacement. Check flow and speed.</b>{/if}
		</p>{/if}
	<h3 class="text-[0.98rem] font-[650] mt-1">Temperature</h3>
	<div class="flex flex-wrap items-center gap-1.5">
		<Typed label="In" unit={format.units.temperature} {locked} bind:text={fields.inlet} wrong={wrong.inlet} />
		<Typed label="out" unit={format.units.temperature} {locked} bind:text={fields.outlet} wrong={wrong.outlet} />
		<button type="button" class="btn" disabled={locked} onclick={takeTemperature}>Save temperatures</button>
	</div>
	{#if rise !== undefined}<p role="status">
			Warmer by <b class="figures">{format.number(rise, 1)} K</b>{#if flow?.riseDueK !== undefined}; {format.number(
					flow.riseDueK,
					1
				)} K is due at this efficiency, were it all lost in the liquid{/if}.
		</p>{/if}
</section>
