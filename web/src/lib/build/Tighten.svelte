<!-- @component A group of bolts being tightened: the next one lit, one touch when the wrench lets go, or what it reads. -->
<script lang="ts">
	import { readTorque, tighteningPasses, torqueWindow } from '@exetasis/core/build';
	import { fromBase, parseQuantity, toBase, unitLabel, type Unit } from '@exetasis/core/quantity';
	import { boltStates, inPump, type BuildPlace, type Tightened } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import BoltMap from '$lib/measure/BoltMap.svelte';
	import { placeName } from '$lib/words/place';
	import { quantitySentence } from '$lib/words/problems';
	import { deviceEndWords } from '$lib/words/proof';
	import type { WrenchEvent } from '@exetasis/server/devices/wrench';
	import ClampLoad from './ClampLoad.svelte';
	import SlotAhead from './SlotAhead.svelte';
	import TurnCounter from './TurnCounter.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		place: BuildPlace;
		locked: boolean;
	}
	let { bench, place, locked }: Props = $props();
	const id = $props.id();

	const fastening = $derived(place.station.fastening!);
	const states = $derived(boltStates(place.station, place.record));
	const next = $derived(states.find(({ against }) => against !== 'within'));
	const passes = $derived(tighteningPasses(fastening));
	const pass = $derived(next?.pass ?? passes.length - 1);
	const tight = $derived(
		new Set(states.filter((state) => state.pass === pass && state.against === 'within').map(({ bolt }) => bolt))
	);
	const numbers = $derived(new Map(passes[0].order.map((bolt, i) => [bolt, i + 1])));
	const target = $derived(torqueWindow(fastening, passes[pass].share));
	const torque = (nm: number) => format.quantity(nm, format.units.torque);
	const last = $derived(place.record.tightened.at(-1));
	const isIn = $derived(inPump(bench.build, place));

	let typed = $state('');
	/** Past hand-tight, as it was counted here. */
	let turnedDeg = $state(0);
	let problem = $state('');
	/** A reading that would be right in another unit: asked about before it is taken. */
	let asked = $state<{ digits: number; unit: Unit; suspect: Unit }>();

	/** True while the shop's wrench says by itself what it reads. */
	let listening = $state(false);
	let wrenchSays = $state('');
	const targetNm = $derived(isIn && next ? target?.targetNm : undefined);
	$effect(() => {
		if (!listening || targetNm === undefined) return;
		const source = new EventSource(`/devices/wrench?target=${targetNm}`);
		source.onmessage = ({ data }: MessageEvent<string>) => {
			const event = JSON.parse(data) as WrenchEvent;
			if (event.kind === 'end') {
				wrenchSays = deviceEndWords('The torque wrench', event.why);
				listening = false;
				return;
			}
			const { torque, unit } = event;
			record({ valueNm: toBase(torque, unit), typed: { text: String(torque), unit } });
		};
		source.onerror = () => (listening = false);
		return () => source.close();
	});

	const wrenches = $derived(bench.bench.gauges.filter(({ kind, retired }) => kind === 'torque wrench' && !retired));
	// The wrench last used on this job stays in hand.
	const wrench = $derived(bench.gaugeInHand['torque wrench'] ?? wrenches.at(0)?.id);

	function record(read?: Tightened['payload']['read'], byFeel = false) {
		if (!next) return;
		const { pass, bolt } = next;
		const turned = fastening.mostTurnDeg && turnedDeg > 0 ? { turnDeg: turnedDeg } : {};
		const used = target && !byFeel && wrench ? { wrench } : {};
		const feel = target && byFeel ? ({ byFeel: true } as const) : {};
		bench.record({
			kind: 'tightened',
			part: place.part,
			payload: { pass, bolt, ...(read ? { read } : {}), ...turned, ...used, ...feel }
		});
		turnedDeg = 0;
		typed = '';
		asked = undefined;
	}
	// The bolts left in this pass, to be entered at once after a round with a clicking wrench.
	const restOfPass = $derived(
		next ? states.filter((state) => state.pass === next.pass && state.against === undefined) : []
	);
	function wholePass() {
		const used = target && wrench ? { wrench } : {};
		bench.record(
			...restOfPass.map(({ pass, bolt }) => ({
				kind: 'tightened' as const,
				part: place.part,
				payload: { pass, bolt, ...used }
			}))
		);
	}
	function take() {
		problem = '';
		const parsed = parseQuantity(typed, format.units.torque);
		if (parsed.kind === 'problem')
			return void (problem = quantitySentence(parsed.problem, format, 'Type what the wrench reads.'));
		const { base, unit } = parsed;
		const suspect = target && readTorque(base, unit, target).suspect;
		if (suspect) return void (asked = { digits: fromBase(base, unit), unit, suspect });
		record({ valueNm: base, typed: { text: typed.trim(), unit } });
	}
	function takeAs(unit: Unit) {
		const text = String(Number(asked!.digits.toPrecision(12)));
		record({ valueNm: toBase(Number(text), unit), typed: { text, unit } });
	}
</script>

<section
	class="grid grid-cols-[minmax(12rem,1fr)_minmax(0,1.2fr)] max-[640px]:grid-cols-1 gap-3.5 items-start border-t border-t-line pt-2"
	aria-label="Tighten {placeName(place.station.name, place.cylinder)}"
>
	<BoltMap {fastening} {tight} {next} />
	<div class="grid gap-1.5 justify-items-start leading-[1.3]">
		<b>{placeName(place.station.name, place.cylinder)}</b>
		{#if !isIn}
			<p class="soft">Start {fastening.bolts.length > 1 ? 'them' : 'it'} by hand first to avoid crossed threads.</p>
		{:else if next}
			<p>
				{fastening.bolts.length > 1 ? `Bolt ${numbers.get(next.bolt)}, pass` : 'Pass'}
				<b class="figures">{next.pass + 1}</b>
				of {passes.length}{#if target}: <b class="figures">{torque(target.targetNm)}</b>
					<span class="soft">(from {torque(target.leastNm)} to {torque(target.mostNm)})</span>{:else}: by feel, no
					torque is stated{/if}
			</p>
			{#if fastening.mostTurnDeg}<TurnCounter mostDeg={fastening.mostTurnDeg} bind:total={turnedDeg} />{/if}
			{#if !target && fastening.byFeel}<p class="wrong">{fastening.byFeel}</p>{/if}
			{#if next.against === 'below'}<p class="wrong">Torque too low. Tighten further and read again.</p>{/if}
			{#if next.against === 'beyond'}<p class="wrong" role="alert">
					It read more than it may have. Loosen it, look at its thread and at what it clamps, and tighten it again; a
					stretched bolt is replaced.
				</p>{/if}
			<button type="button" class="btn main large" disabled={locked} onclick={() => record()}
				>{target ? 'Wrench clicked' : 'Tight'}{fastening.bolts.length > 1
					? `: bolt ${numbers.get(next.bolt)}`
					: ''}</button
			>
			{#if restOfPass.length > 1}
				<button type="button" class="btn" disabled={locked} onclick={() => wholePass()}
					>Whole pass {next.pass + 1}: {restOfPass.length} bolts {target ? 'clicked' : 'tight'}</button
				>
			{/if}
			{#if target && wrenches.length > 0}
				<label class="flex items-center gap-1.5"
					>Wrench <select
						class="select w-auto!"
						disabled={locked}
						value={wrench}
						onchange={({ currentTarget }) => (bench.gaugeInHand['torque wrench'] = currentTarget.value)}
						>{#each wrenches as { id: wrenchId, name, facts } (wrenchId)}<option value={wrenchId}
								>{name}{facts.overdue ? ' (calibration overdue)' : ''}</option
							>{/each}</select
					></label
				>
			{/if}
			{#if target}
				<button type="button" class="btn" disabled={locked} onclick={() => record(undefined, true)}
					>No wrench: tightened by feel</button
				>
				<div class="flex flex-wrap items-center gap-1.5">
					<label for={id}>Reading ({unitLabel(format.units.torque)})</label>
					<input
						{id}
						class="input w-28!"
						inputmode="decimal"
						autocomplete="off"
						maxlength="40"
						disabled={locked}
						bind:value={typed}
						aria-invalid={problem !== ''}
						onkeydown={(event) => event.key === 'Enter' && take()}
					/>
					<button type="button" class="btn" disabled={locked} onclick={take}>Enter</button>
					<button
						type="button"
						class="btn"
						aria-pressed={listening}
						disabled={locked}
						onclick={() => ([listening, wrenchSays] = [!listening, ''])}>Read from wrench</button
					>
				</div>
				{#if wrenchSays}<p class="wrong" role="alert">{wrenchSays}</p>{/if}
			{/if}
			{#if asked}
				<div class="flex flex-wrap items-center gap-1.5" role="alert">
					<p class="wrong">
						{format.quantity(toBase(asked.digits, asked.unit), asked.unit)} is outside the range of this bolt. The same number
						in
						{unitLabel(asked.suspect)} is within it. Which unit does the wrench show?
					</p>
					<button type="button" class="btn" onclick={() => takeAs(asked!.suspect)}>{unitLabel(asked.suspect)}</button>
					<button type="button" class="btn" onclick={() => takeAs(asked!.unit)}>{unitLabel(asked.unit)}</button>
				</div>
			{/if}
			{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
		{:else}
			<p>
				<b>Tight</b>{states.length > 1 ? `, all ${states.length} times` : ''}{last?.payload.turnDeg
					? `, ${format.number(last.payload.turnDeg)}° past hand-tight`
					: ''}.
			</p>
			{#if fastening.slots}<SlotAhead {fastening} />{/if}
		{/if}
		{#if last && !locked}
			<button type="button" class="btn" onclick={() => bench.withdraw(last, 'not tightened')}
				>Undo bolt {numbers.get(last.payload.bolt)}, pass {last.payload.pass + 1}</button
			>
		{/if}
		<ClampLoad {fastening} />
	</div>
</section>
