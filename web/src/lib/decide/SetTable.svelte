<!-- @component The whole set as a list: what each policy says of each part, its risk and costs, and what was decided. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import { renewalPolicies, type DecidedPart } from '@exetasis/core/decide';
	import { placeKey } from '@exetasis/core/mat';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import DataTable from '$lib/table/DataTable.svelte';
	import type { Column } from '$lib/table/features';
	import { reasonSentence, verdictName } from '$lib/words/reasons';
	import { renewalPolicyName } from '$lib/words/policies';
	import DecideRow from './DecideRow.svelte';
	import type { DecisionState } from './decision.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		set: DecisionState;
		locked: boolean;
	}
	let { bench, set, locked }: Props = $props();

	/** A row stays itself while what it shows changes, so that only its own cells are drawn again. */
	class Row {
		outcome = $state.raw() as DecidedPart;
		part = $state.raw() as BenchPart;
		constructor(decidedPart: DecidedPart, part: BenchPart) {
			this.outcome = decidedPart;
			this.part = part;
		}
	}
	const rowOf = new Map<string, Row>();
	const partOf = $derived(new Map([...bench.parts.values()].map((part) => [part.cell.part, part])));
	function draw(decidedPart: DecidedPart): void {
		const part = partOf.get(decidedPart.id);
		if (!part) return;
		const row = rowOf.get(decidedPart.id);
		if (row) row.outcome = decidedPart;
		else rowOf.set(decidedPart.id, new Row(decidedPart, part));
	}
	function inOrder(): Row[] {
		const { renewalPolicy } = set;
		const parts = [...(set.decision?.parts ?? [])].sort((a, b) => b.weight[renewalPolicy] - a.weight[renewalPolicy]);
		return parts.flatMap(({ id }) => rowOf.get(id) ?? []);
	}

	// A new set is drawn a few rows a frame, so that the slider never waits for the list; rows change places once it rests.
	const ROWS_A_FRAME = 6;
	const REST_MS = 250;
	untrack(() => set.decision?.parts.forEach(draw));
	let rows = $state.raw(untrack(inOrder));
	function reorder(): void {
		const next = inOrder();
		if (next.length !== rows.length || next.some((row, i) => row !== rows[i])) rows = next;
	}
	$effect(() => {
		const parts = set.decision?.parts ?? [];
		let next = 0;
		let frame = 0;
		const drawFew = () => {
			untrack(() => parts.slice(next, (next += ROWS_A_FRAME)).forEach(draw));
			if (next < parts.length) frame = requestAnimationFrame(drawFew);
		};
		drawFew();
		const rest = setTimeout(() => untrack(reorder), REST_MS);
		return () => {
			cancelAnimationFrame(frame);
			clearTimeout(rest);
		};
	});
	$effect(() => {
		void set.renewalPolicy;
		untrack(reorder);
	});
	$effect(() => {
		for (const [id, part] of partOf) {
			const row = rowOf.get(id);
			if (row && row.part !== part) row.part = part;
		}
	});

	let opened = $state<string>();
	const says = ({ outcome }: Row) => outcome.says[set.renewalPolicy];
	// What is out is not reused: the chances of its wear alone would make it look sound.
	const ifReused = (decidedPart: DecidedPart, chance: number) => (decidedPart.out ? 'out' : format.probability(chance));
	const differs = (row: Row) =>
		renewalPolicies.filter(
			(renewalPolicy) => renewalPolicy !== set.renewalPolicy && row.outcome.says[renewalPolicy] !== says(row)
		);
	const nameOf = ({ part }: Row) => `${part.station.name}${part.cell.cylinder ? `, ${part.cell.cylinder}` : ''}`;
	const columns = $derived<readonly Column<Row>[]>([
		{ key: 'part', head: 'Part', of: nameOf, cell: partCell, width: '20%' },
		{
			key: 'says',
			head: `${renewalPolicyName[set.renewalPolicy]} says`,
			of: (row) => verdictName[says(row)],
			cell: saysCell,
			width: '15%'
		},
		{
			key: 'beyond',
			head: 'Beyond limit, reused / new',
			number: true,
			of: ({ outcome }) => outcome.reused.beyond,
			cell: beyondCell,
			width: '9.5%'
		},
		{
			key: 'stop',
			head: 'Unplanned stop, reused / new',
			number: true,
			of: ({ outcome }) => outcome.reused.stop,
			cell: stopCell,
			width: '9.5%'
		},
		{
			key: 'reuse',
			wideOnly: true,
			head: 'Cost, reuse',
			number: true,
			of: ({ outcome }) => outcome.cost.reuse,
			says: ({ outcome }) => (outcome.out ? 'out' : format.number(outcome.cost.reuse)),
			width: '8.5%'
		},
		{
			key: 'replace',
			wideOnly: true,
			head: 'Cost, replace',
			number: true,
			of: ({ outcome }) => outcome.cost.replace,
			says: ({ outcome }) => format.number(outcome.cost.replace),
			width: '8.5%'
		},
		{
			key: 'why',
			head: 'Why',
			of: ({ outcome, part }) => (outcome.reasons[0] ? reasonSentence(outcome.reasons[0], part.station, format) : '')
		}
	]);
</script>

{#snippet partCell({ part }: Row)}
	<a class="row part" href="/jobs/{bench.bench.job.id}/inspect?place={placeKey(part.cell.station, part.cell.cylinder)}">
		<Glyph type={part.station.type} face={part.station.face} dotted={!part.inspected} size={30} />
		{part.station.name}{part.cell.cylinder ? `, ${part.cell.cylinder}` : ''}
	</a>
{/snippet}
{#snippet saysCell(row: Row)}
	<span class="verdict {says(row)}">{verdictName[says(row)]}</span>
	{#each differs(row) as renewalPolicy (renewalPolicy)}<br /><span class="soft"
			>{renewalPolicyName[renewalPolicy]}: {verdictName[row.outcome.says[renewalPolicy]].toLowerCase()}</span
		>{/each}
{/snippet}
{#snippet beyondCell({ outcome }: Row)}{ifReused(outcome, outcome.reused.beyond)}<br />{format.probability(
		outcome.fresh.beyond
	)}{/snippet}
{#snippet stopCell({ outcome }: Row)}{ifReused(outcome, outcome.reused.stop)}<br />{format.probability(
		outcome.fresh.stop
	)}{/snippet}
{#snippet decidedCell(row: Row)}
	{#if row.outcome.decided}<span class="hidden print:inline">{verdictName[row.outcome.decided]}</span>{/if}
	<button
		type="button"
		class="btn small whitespace-nowrap!"
		aria-expanded={opened === row.outcome.id}
		aria-label="{row.outcome.decided ? `Decided: ${verdictName[row.outcome.decided]}` : 'Decide'}: {nameOf(row)}"
		onclick={() => (opened = opened === row.outcome.id ? undefined : row.outcome.id)}
		>{row.outcome.decided ? verdictName[row.outcome.decided] : 'Decide'} ▾</button
	>
{/snippet}
{#snippet open({ outcome, part }: Row)}
	<DecideRow
		{bench}
		{part}
		{outcome}
		proposed={outcome.says[set.renewalPolicy]}
		input={() => set.inputOf(outcome.id)}
		{locked}
		ondecided={() => (opened = undefined)}
	/>
{/snippet}

{#snippet unlooked()}
	{@const open = rows.filter(({ part }) => !part.inspected).length}
	{#if open > 0}<p class="soft">
			{open} parts are not inspected yet (listed last). They count at the average condition for their age.
		</p>{/if}
{/snippet}
<DataTable
	label="Parts"
	{rows}
	{columns}
	idOf={({ outcome }) => outcome.id}
	note={unlooked}
	acts={decidedCell}
	actsHead="Decided"
	below={open}
	opened={({ outcome }) => opened === outcome.id}
	empty="Nothing to decide yet."
/>

<style>
	.part {
		gap: 8px;
		color: var(--ink);
	}
	.soft {
		font-size: 0.85rem;
	}
</style>
