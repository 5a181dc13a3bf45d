<!-- @component Prices, part numbers and kits from a table: columns are matched here, and what fits no part is named before anything changes. -->
<script lang="ts">
	import { withPriceList } from '@exetasis/core/draft';
	import type { DraftState } from './draft.svelte';
	import { guessedPriceColumns, priceColumns, priceLinesIn, type PriceColumns } from './priceColumns';
	import MatchColumns from './MatchColumns.svelte';
	import TableFile from './TableFile.svelte';

	interface Props {
		draft: DraftState;
		mostKits: number;
	}
	let { draft, mostKits }: Props = $props();
	const SHOWN = 10;
	let rows = $state.raw<readonly (readonly string[])[]>([]);
	let left = $state(0);
	let columns = $state.raw<PriceColumns>();
	let taken = $state('');

	const read = $derived(columns && priceLinesIn(rows, columns));
	const priced = $derived(read && withPriceList(draft.body, read.lines));
	const listed = (numbers: readonly number[]) =>
		`${numbers.slice(0, SHOWN).join(', ')}${numbers.length > SHOWN ? ' …' : ''}`;
	const rowsOf = (lines: readonly number[]) => listed(lines.map((line) => read!.rows[line]));
	const count = (number: number, text: string) => `${number} ${text}${number === 1 ? '' : 's'}`;
	function take() {
		if (!priced) return;
		draft.change(priced.draft);
		taken = `${count(priced.parts, 'part')} and ${count(priced.kits, 'kit')} were taken over. “Undo” reverses it.`;
		columns = undefined;
	}
</script>

<TableFile
	label="Prices and kits (CSV or XLSX, names of the columns in the first row)"
	onrows={(read, more) => {
		[rows, left, taken] = [read, more, ''];
		columns = guessedPriceColumns(read);
	}}
/>
{#if taken}<p role="status">{taken}</p>{/if}
{#if columns && priced && read}
	<MatchColumns
		heads={rows.at(0) ?? []}
		fields={priceColumns.map(([field, label]) => [field, label] as const)}
		{columns}
		onchange={(next) => (columns = next)}
	/>
	<p role="status">
		The list changes {count(priced.parts, 'part')} and {count(priced.kits, 'kit')}.
		{#if priced.unknown.length > 0}No part, or more than one, fits rows {rowsOf(priced.unknown)}.{/if}
		{#if priced.withoutPieces.length > 0}Rows {rowsOf(priced.withoutPieces)} give no pieces for their kit: they are left out
			of it.{/if}
		{#if read.broken.length > 0}Rows {listed(read.broken)} have a number that cannot be read and are left out.{/if}
		{#if left > 0}{left} more rows were not read.{/if}
	</p>
	{#if priced.draft.kits.length > mostKits}<p class="wrong" role="alert">
			A sheet holds at most {mostKits} kits. The list would make {priced.draft.kits.length}.
		</p>{/if}
	<button
		type="button"
		class="btn main"
		disabled={priced.parts + priced.kits === 0 || priced.draft.kits.length > mostKits}
		onclick={take}>Take over prices and kits</button
	>
{/if}
