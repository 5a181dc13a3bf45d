<!-- @component The pump as it shrinks: one cylinder in section, without what is off; what comes off now is accented. -->
<script lang="ts">
	import { staysIn, type Face, type Station, type Step } from '@exetasis/core/record';
	import { inSentence } from '$lib/words/place';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { inRows } from '$lib/section/section';
	import SectionDrawing from '$lib/section/SectionDrawing.svelte';

	interface Props {
		bench: BenchState;
		steps: readonly Step[];
		step: Step;
	}
	let { bench, steps, step }: Props = $props();
	const signed = $derived(steps.filter(({ key, stage }) => stage === 'strip' && bench.log.steps.has(key)));
	const off = $derived(new Set(signed.flatMap(({ stations }) => stations)));
	const isIn = (station: Station) => staysIn(station) || !off.has(station.key);

	// An assembly that was put down is emptied through the face that lies up; of others the sheet does not say.
	const lies = $derived(
		new Map(
			signed.flatMap(({ lays }) => (lays ? [[lays.assembly, lays.up === 'mounted' ? 'P' : lays.up] as const] : []))
		)
	);
	const comesOut = (station: Station): Face | undefined =>
		staysIn(station) || off.has(station.key) ? undefined : lies.get(station.in);
	const known = $derived(
		bench.stations.find((station) => step.stations.includes(station.key) && comesOut(station) !== undefined)
	);
	// Of the part itself, else of the step, which is used at its first part.
	const kindOf = (tool: string | undefined) => bench.bench.sheet.tools.find(({ key }) => key === tool)?.kind;
	const own = (station: Station) => kindOf(station.tools.find((tool) => tool.for !== 'in' && kindOf(tool.tool))?.tool);
	const handled = $derived(bench.stations.filter(({ key }) => step.stations.includes(key)));
	const ofStep = $derived(handled.some(own) ? undefined : kindOf(step.tools.find(kindOf)));
	const toolFor = (station: Station) => own(station) ?? (station.key === handled.at(0)?.key ? ofStep : undefined);
	const left = $derived(bench.stations.filter((station) => !isIn(station)).length);
	const assembly = $derived(bench.bench.sheet.assemblies.find(({ key }) => key === known?.in));
	const side = $derived(known && comesOut(known));
	// With parts in hand the drawing shows these near; without, the whole stack.
	const rows = $derived(handled.length > 0 ? [bench.stations] : inRows(bench.stations));
</script>

<div>
	{#each rows as stations, i (stations[0]?.key)}
		<SectionDrawing
			{stations}
			label="Section through one cylinder{rows.length > 1 ? `, row ${i + 1} of ${rows.length}` : ''}: {left} of {bench
				.stations.length} parts are off"
			{isIn}
			inHand={step.stations}
			{comesOut}
			{toolFor}
			named={bench.bench.sheet.assemblies}
		/>
	{/each}
	<p class="soft text-[0.8rem]">
		{left === 0 ? 'The pump as it comes in.' : 'Dotted: already off.'} Pressure side left, crank side right.{#if side && assembly}
			Arrows: out through the {side === 'P' ? 'pressure' : 'crank'} side of the {inSentence(assembly.name)}, as it lies
			now.{/if}
	</p>
</div>
