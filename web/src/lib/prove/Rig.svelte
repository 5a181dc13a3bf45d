<!-- @component The test rig: its pressure as it comes, what its shaft orders say of each valve, and how sure that is. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import { flowDriveOf, lastProofs } from '@exetasis/core/record';
	import { fromBase, unitLabel } from '@exetasis/core/quantity';
	import type { TraceVerdict } from '@exetasis/core/prove';
	import type { BenchState } from '$lib/log/bench.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { deviceEndWords, hiddenWords, testPressure, traceProblemWords, verdictWords } from '$lib/words/proof';
	import { placeName } from '$lib/words/place';
	import { opensAgain } from './opensAgain';
	import { RigTrace } from './rigTrace.svelte';
	import TraceChart from './TraceChart.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		locked: boolean;
	}
	let { bench, locked }: Props = $props();
	const trace = new RigTrace();
	const { sheet } = $derived(bench.bench);
	const drive = $derived(flowDriveOf(sheet));
	const kept = $derived(lastProofs(bench.log.proofs).trace);
	const told = $derived(trace.answer?.kind === 'told' ? trace.answer : undefined);
	const likely = $derived(
		told && !told.finding.hidden ? told.finding.verdicts.filter(({ probability }) => probability >= 0.02) : []
	);
	const [first] = $derived(likely);
	// Pressures far beyond what the pump is made for were most likely sent in another unit than the rig says.
	const tooHigh = $derived(told && told.orders.meanMPa > 2 * sheet.ratedPressureMPa);
	const amplitudes = $derived(told?.orders.orders.map(({ cos, sin }) => 100 * Math.hypot(cos, sin)) ?? []);
	$effect(() => () => trace.stop());

	function keep() {
		if (!told) return;
		const { turns, speedRpm, meanMPa } = told.orders;
		const verdicts = told.finding.verdicts.map((verdict) => ({
			...verdict,
			probability: Math.min(1, verdict.probability)
		}));
		bench.record({
			kind: 'proof',
			payload: { test: 'trace', turns, speedRpm, meanMPa, verdicts, lostShare: told.finding.lost.share }
		});
	}
	const toOpen = $derived(
		opensAgain(sheet, first ?? (kept?.verdicts[0] as TraceVerdict | undefined) ?? { what: 'healthy', probability: 1 })
	);
	const opens = (verdict: TraceVerdict | undefined) => verdict !== undefined && verdict.what !== 'healthy';
</script>

<section class="sheet grid gap-2 px-[18px] pt-3 pb-4 mt-2.5" aria-label="Test rig">
	<h2>Test rig</h2>
	{#if !drive}
		<p class="soft">
			The sheet does not describe the crank or plungers of this pump, so a recording cannot be analysed.
		</p>
	{:else}
		<div class="line flex flex-wrap items-center gap-2.5">
			{#if trace.listening}
				<button type="button" class="btn main" disabled={trace.count === 0} onclick={() => trace.analyse(drive)}
					>Stop and analyse</button
				>
				<span role="status"
					>{format.number(trace.seconds, 1)} s{trace.latest.pressureMPa.length > 0
						? `, ${format.quantity(trace.latest.pressureMPa.at(-1)!, format.units.pressure)}`
						: ''}</span
				>
			{:else}
				<button type="button" class="btn" disabled={locked || trace.working} onclick={() => trace.listen()}
					>Record from test rig</button
				>
			{/if}
			{#if trace.gaps > 0}<span class="wrong"
					>Samples were lost {trace.gaps} times. The recording restarted each time.</span
				>{/if}
			{#if trace.unread > 0}<span class="wrong">{trace.unread} lines could not be read.</span>{/if}
		</div>
		{#if trace.ended}<p class="wrong" role="alert">{deviceEndWords('The rig', trace.ended)}</p>{/if}
		{#if trace.working}<Working what="Analysing the recording …" />{/if}
		{#if trace.latest.pressureMPa.length > 0}
			<TraceChart
				label="Pressure over the last revolutions"
				kind="line"
				values={trace.latest.pressureMPa.map((mpa) => fromBase(mpa, format.units.pressure))}
				at={trace.latest.degrees}
				across={trace.latest.marked
					? 'Shaft angle from the mark (°), last three revolutions'
					: 'Shaft angle (°), last three revolutions; no mark was seen'}
				up={unitLabel(format.units.pressure)}
			/>
		{/if}
		{#if trace.answer?.kind === 'problem'}<p class="wrong" role="alert">
				{traceProblemWords(trace.answer, format)}
			</p>{/if}
		{#if told}
			<p>
				{format.number(told.orders.turns)} revolutions at {format.number(told.orders.speedRpm)} rpm, mean pressure {testPressure(
					told.orders.meanMPa,
					format
				)} ({testPressure(told.orders.leastMPa, format)} to {testPressure(
					told.orders.mostMPa,
					format
				)}).{#if !told.orders.marked}
					Nothing marks the shaft: no cylinder can be named.{/if}
			</p>
			{#if tooHigh}<p class="wrong" role="alert">
					This is more than twice the rated pressure of the pump. Check the unit that the rig sends.
				</p>{/if}
			{#if told.finding.hidden}<p class="wrong" role="alert">{hiddenWords[told.finding.hidden]}</p>{/if}
			<ol class="grid gap-0.5" aria-label="Possible explanations">
				{#each likely as verdict (JSON.stringify(verdict))}
					<li>
						<b class="figures inline-block min-w-16">{format.probability(verdict.probability)}</b>
						{verdictWords(verdict)}
					</li>
				{/each}
			</ol>
			{#if opens(first)}
				<p>
					Lost flow: {format.probability(told.finding.lost.share)} ± {format.probability(2 * told.finding.lost.u)}. Open
					the pump there and inspect valve, seat and O-ring.
				</p>
			{/if}
			<TraceChart
				label="Shaft orders 1 to 12 as shares of the mean flow"
				kind="bar"
				values={amplitudes}
				across="Shaft order"
				up="% of the flow"
			/>
			<p class="soft">
				Assumes at most one leaking valve (1 % of the flow or more) and a nozzle as load. A pulsation damper blurs the
				result. Pressure lag of the line: {format.number(told.finding.lagDeg)}° (corrected). Prior: 50 % healthy.
			</p>
			<button type="button" class="btn" disabled={locked || told.finding.hidden !== undefined} onclick={keep}
				>Save result</button
			>
		{/if}
		{#if toOpen.length > 0}
			<p class="line flex flex-wrap items-center gap-2.5">
				Open again:
				{#each toOpen as { station, cylinder } (station.key)}
					<a class="btn" href="/jobs/{bench.bench.job.id}/build?place={placeKey(station.key, cylinder)}"
						>{placeName(station.name, cylinder)}</a
					>
				{/each}
			</p>
		{/if}
		{#if kept}<p class="soft" role="status">
				Kept: {verdictWords(kept.verdicts[0] as TraceVerdict)}, {format.probability(kept.verdicts[0].probability)}.
			</p>{/if}
	{/if}
</section>
