<!-- @component A parts list becomes a stack: its columns are matched here, doubtful lines are chosen by picture. -->
<script lang="ts">
	import { partOfLine, proposeParts, type NewPart, type ProposedPart } from '@exetasis/core/draft';
	import { partType, partTypeKeys, type PartTypeKey } from '@exetasis/core/part';
	import { MOST_STATIONS } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import MatchColumns from './MatchColumns.svelte';
	import TableFile from './TableFile.svelte';
	import { guessedColumns, linesIn, type Columns, type TableLines } from './partsColumns';

	interface Props {
		names: readonly { readonly type: PartTypeKey; readonly words: readonly string[] }[];
		cylinders: number;
		/** The chosen parts as JSON; empty while there are none. */
		onparts: (parts: string) => void;
	}
	let { names, cylinders, onparts }: Props = $props();
	const NO_LINES: TableLines = { lines: [], broken: [], assumed: [] };
	let rows = $state.raw<readonly (readonly string[])[]>([]);
	let left = $state(0);
	let columns = $state.raw<Columns>();
	/** Chosen by hand, by line: a type, or nothing for a line that is left out. */
	let chosen = $state.raw<ReadonlyMap<number, PartTypeKey | ''>>(new Map());

	const columnNames = [
		['item', 'Item number'],
		['description', 'Description'],
		['quantity', 'Quantity']
	] as const;
	const lines = $derived(columns ? linesIn(rows, columns) : NO_LINES);
	const proposed = $derived(proposeParts(lines.lines, names, cylinders));
	const typeOf = (line: ProposedPart, i: number): PartTypeKey | '' => chosen.get(i) ?? (line.sure ? line.types[0] : '');
	const parts = $derived(
		proposed.flatMap((line, i): NewPart[] => {
			const type = typeOf(line, i);
			return type === '' ? [] : [partOfLine(line, type)];
		})
	);
	$effect(() => onparts(parts.length > 0 && parts.length <= MOST_STATIONS ? JSON.stringify(parts) : ''));
	const choose = (i: number, type: PartTypeKey | '') => (chosen = new Map(chosen).set(i, type));
	const doubtful = $derived(proposed.filter((line, i) => !line.sure && !chosen.has(i)).length);
	const SHOWN = 200;
</script>

<TableFile
	label="Parts list (CSV or XLSX, one part in each row)"
	onrows={(read, more) => {
		[rows, left] = [read, more];
		columns = guessedColumns(read);
		chosen = new Map();
	}}
/>
{#if columns}
	<MatchColumns heads={rows.at(0) ?? []} fields={columnNames} {columns} onchange={(next) => (columns = next)} />
	<p role="status">
		{parts.length} of {proposed.length} lines become parts.
		{#if doubtful > 0}{doubtful} lines are doubtful: choose their part type, or they are left out.{/if}
		{#if lines.broken.length > 0}Rows {lines.broken.slice(0, 10).join(', ')}{lines.broken.length > 10 ? ' …' : ''} have no
			description and were left out.{/if}
		{#if lines.assumed.length > 0}Rows {lines.assumed.slice(0, 10).join(', ')}{lines.assumed.length > 10 ? ' …' : ''} have
			no quantity that can be read: one piece is assumed.{/if}
		{#if left > 0}{left} more rows were not read.{/if}
	</p>
	{#if parts.length > MOST_STATIONS}<p class="wrong" role="alert">
			A sheet holds at most {MOST_STATIONS} parts. Leave {parts.length - MOST_STATIONS} lines out.
		</p>{/if}
	<table class="table">
		<thead><tr><th>Item</th><th>Description</th><th class="number">Quantity</th><th>Part type</th></tr></thead>
		<tbody>
			{#each proposed.slice(0, SHOWN) as line, i (i)}
				{@const type = typeOf(line, i)}
				<tr class:doubt={!line.sure && !chosen.has(i)}>
					<td>{line.item}</td>
					<td>{line.description}</td>
					<td class="number">{line.quantity}{line.per === 'cylinder' ? ` (${line.pieces} per cylinder)` : ''}</td>
					<td>
						<div class="types flex flex-wrap gap-1">
							{#each type === '' ? line.types : [type] as other (other)}
								<button
									type="button"
									class="btn"
									aria-pressed={type === other}
									aria-label="{line.description}: {partType(other).name}"
									onclick={() => choose(i, other)}><Glyph type={other} size={26} /> {partType(other).name}</button
								>
							{/each}
							<select
								class="select"
								aria-label="Part type of {line.description}"
								value={type}
								onchange={({ currentTarget }) => choose(i, currentTarget.value as PartTypeKey | '')}
							>
								<option value="">leave out</option>
								{#each partTypeKeys as key (key)}<option value={key}>{partType(key).name}</option>{/each}
							</select>
						</div>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if proposed.length > SHOWN}<p class="soft">The first {SHOWN} lines are shown. All sure lines are taken.</p>{/if}
{/if}

<style>
	.types select {
		width: 12rem;
	}
	tr.doubt {
		border-left: 4px solid var(--doubt);
	}
</style>
