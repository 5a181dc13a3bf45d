<!-- @component How the parts of a step were found: where each lay and which way it faced, cylinder by cylinder. -->
<script lang="ts">
	import { placeKey } from '@exetasis/core/mat';
	import { brokenUp, hasDirection, openedCylinders, type FoundWhere, type Step } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { BenchPart, BenchState, NewEntry } from '$lib/log/bench.svelte';
	import { foundName, foundSign, foundState, foundWords } from '$lib/words/found';
	import { placeName } from '$lib/words/place';
	import { directionWords } from '$lib/words/orientation';

	interface Props {
		bench: BenchState;
		step: Step;
		locked: boolean;
	}
	let { bench, step, locked }: Props = $props();

	const { sheet } = $derived(bench.bench);
	const stations = $derived(bench.stations.filter(({ key }) => step.stations.includes(key)));
	const rows = $derived.by(() => {
		const cylinders = stations.some(({ per }) => per === 'cylinder') ? openedCylinders(sheet, bench.bench.job) : [];
		return stations.some(({ per }) => per === 'pump') ? [0, ...cylinders] : cylinders;
	});
	const partAt = (station: string, cylinder: number) => bench.parts.get(placeKey(station, cylinder));
	const inRow = (cylinder: number) =>
		stations.flatMap(({ key }) => {
			const part = partAt(key, cylinder);
			return part ? [part] : [];
		});

	let chosen = $state<string>();
	const inHand = $derived(chosen === undefined ? undefined : bench.parts.get(chosen));

	const right = ({ cell, station, record }: BenchPart): NewEntry[] => [
		{ kind: 'asFound', part: cell.part, payload: { where: 'inPlace' } },
		...(hasDirection(station) && station.face.toward !== 'notStated'
			? [{ kind: 'asFound' as const, part: cell.part, payload: { facing: 'right' as const } }]
			: []),
		...(brokenUp(record) ? [{ kind: 'asFound' as const, part: cell.part, payload: { pieces: 'whole' as const } }] : [])
	];
	const facing = ({ cell }: BenchPart) =>
		bench.record({ kind: 'asFound', part: cell.part, payload: { facing: 'turned' } });
	let side = $state('');
	function noteLay({ cell }: BenchPart, toward: 'P' | 'C') {
		const what = side.trim() || 'Marked side';
		bench.record({ kind: 'asFound', part: cell.part, payload: { lay: { what, toward } } });
		side = '';
	}
	const lay = ({ cell }: BenchPart, where: FoundWhere, assembly?: string) =>
		bench.record({ kind: 'asFound', part: cell.part, payload: { where, ...(assembly ? { assembly } : {}) } });
	// A first touch says that all is as it should be; what is not is said below.
	function touch(place: string, part: BenchPart) {
		chosen = place;
		if (!locked && foundState(part.record) === 'unsaid') bench.record(...right(part));
	}
	const capital = (words: string) => words[0].toUpperCase() + words.slice(1);
	const restOf = (cylinder: number) => inRow(cylinder).filter((part) => foundState(part.record) === 'unsaid');
	const sayRow = (cylinder: number) => bench.record(...restOf(cylinder).flatMap(right));
</script>

<section aria-label="As found" class="found">
	<div class="roll overflow-x-auto">
		<table class="border-collapse">
			<thead>
				<tr>
					<th scope="col"><span class="sr-only">Cylinder</span></th>
					{#each stations as station (station.key)}
						<th scope="col" title={directionWords(station, sheet, bench.up)}
							><Glyph type={station.type} face={station.face} up={bench.up.get(station.in)} size={34} /><span
								>{station.short}</span
							></th
						>
					{/each}
					<th scope="col"></th>
				</tr>
			</thead>
			<tbody>
				{#each rows as cylinder (cylinder)}
					<tr>
						<th scope="row" class="figures">{cylinder === 0 ? 'Pump' : cylinder}</th>
						{#each stations as station (station.key)}
							{@const place = placeKey(station.key, cylinder)}
							{@const part = partAt(station.key, cylinder)}
							<td class="border border-line">
								{#if part}
									{@const state = foundState(part.record)}
									<button
										type="button"
										class="cell"
										class:wrong={state !== 'unsaid' && state !== 'right'}
										class:chosen={chosen === place}
										aria-label="{placeName(station.name, cylinder)}: {foundWords(part.record, sheet)}"
										onclick={() => touch(place, part)}>{foundSign[state]}</button
									>
								{/if}
							</td>
						{/each}
						<td class="border border-line"
							><button
								type="button"
								class="btn"
								disabled={locked || restOf(cylinder).length === 0}
								aria-label="{cylinder === 0 ? 'Pump' : `Cyl. ${cylinder}`}: all correct"
								onclick={() => sayRow(cylinder)}>{cylinder === 0 ? 'Pump' : `Cyl. ${cylinder}`} ✓</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<div class="say" role="group" aria-label="Condition as found">
		{#if inHand && chosen}
			<b>{placeName(inHand.station.name, inHand.cell.cylinder)}</b>
			<button type="button" class="btn" disabled={locked} onclick={() => bench.record(...right(inHand))}>Correct</button
			>
			{#if hasDirection(inHand.station) && inHand.station.face.toward !== 'notStated'}<button
					type="button"
					class="btn"
					disabled={locked}
					onclick={() => facing(inHand)}>Wrong way round</button
				>{/if}
			{#if inHand.station.face.toward === 'notStated' && hasDirection(inHand.station)}
				<span class="lay"
					><input
						class="input"
						aria-label="Marked side"
						placeholder="side: chamfer, mark …"
						maxlength="80"
						disabled={locked}
						bind:value={side}
					/>
					{#each [['P', 'faced the pressure side'], ['C', 'faced the crank side']] as const as [toward, words] (toward)}<button
							type="button"
							class="btn"
							disabled={locked}
							onclick={() => noteLay(inHand, toward)}>{words}</button
						>{/each}</span
				>
			{/if}
			{#if inHand.station.face.reversible}
				{#each ['A', 'B'] as const as ran (ran)}<button
						type="button"
						class="btn"
						disabled={locked}
						onclick={() => bench.record({ kind: 'asFound', part: inHand.cell.part, payload: { ran } })}
						>Side {ran} was used{ran === 'A' ? ' (mark it A)' : ''}</button
					>{/each}
			{/if}
			{#if inHand.station.joints}
				{#each [['staggered', 'Joints staggered'], ['inLine', 'Joints in line']] as const as [joints, words] (joints)}<button
						type="button"
						class="btn"
						disabled={locked}
						onclick={() => bench.record({ kind: 'asFound', part: inHand.cell.part, payload: { joints } })}
						>{words}</button
					>{/each}
			{/if}
			{#each sheet.assemblies.filter(({ key }) => inHand.station.mayStayIn.includes(key)) as { key, name } (key)}<button
					type="button"
					class="btn"
					disabled={locked}
					onclick={() => lay(inHand, 'elsewhere', key)}>Came off with: {name}</button
				>{/each}
			{#each ['fellOut', 'missing', 'doubled'] as const as where (where)}<button
					type="button"
					class="btn"
					disabled={locked}
					onclick={() => lay(inHand, where)}>{capital(foundName[where])}</button
				>{/each}
			{#each [['allFound', 'pieces'], ['oneLost', 'pieceLost']] as const as [pieces, state] (pieces)}<button
					type="button"
					class="btn"
					disabled={locked}
					onclick={() => bench.record({ kind: 'asFound', part: inHand.cell.part, payload: { pieces } })}
					>{capital(foundName[state])}</button
				>{/each}
		{:else}
			<span class="soft"
				>Touch a part for “correct”, then record what was different.{rows.some((cylinder) => cylinder > 0)
					? ' Check each cylinder. They may differ.'
					: ''}</span
			>
		{/if}
	</div>
</section>

<style>
	thead th {
		vertical-align: bottom;
		font-size: 0.7rem;
		font-weight: 500;
		line-height: 1.1;
		color: var(--ink-soft);
		min-width: 48px;
		max-width: 76px;
		padding: 0 2px;
	}
	thead th :global(svg) {
		display: block;
		margin: 0 auto;
		color: var(--ink);
	}
	tbody th {
		min-width: 34px;
		padding-right: 6px;
		text-align: right;
	}
	td:last-child {
		border: 0;
		padding-left: 8px;
	}
	td:last-child button {
		white-space: nowrap;
	}
	.cell {
		display: block;
		width: 100%;
		min-width: 44px;
		height: 44px;
		font-size: 1.15rem;
		cursor: pointer;
	}
	.cell.wrong {
		color: var(--doubt);
		font-weight: 700;
	}
	.cell.chosen {
		outline: 2.5px solid var(--mark);
		outline-offset: -2px;
	}
	.lay {
		display: inline-flex;
		flex-wrap: wrap;
		gap: 6px;
	}
	.lay .input {
		width: 13rem;
	}
	.say {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 6px;
		min-height: 52px;
		margin-top: 4px;
	}
</style>
