<!-- @component A list that can be sorted by its heads, filtered by a word, and shown with the columns one wants. -->
<script lang="ts" generics="Row extends object">
	import { onMount, type Snippet } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import Term from '../ui/Term.svelte';
	import Wide from '../ui/Wide.svelte';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark';
	import { Popover, Portal, Switch } from '@skeletonlabs/skeleton-svelte';
	import { createTable } from '@tanstack/svelte-table';
	import { piecesOf } from '$lib/words/glossary';
	import { features, type Column } from './features';

	interface Props {
		/** What is listed, for those who hear the page, and the word before what is looked for. */
		label: string;
		rows: readonly Row[];
		columns: readonly Column<Row>[];
		/** What an empty list says: what to do next. */
		empty: string;
		/** The server finds and pages: no word is filtered by here. */
		served?: boolean;
		/** The row that is in hand. */
		picked?: (row: Row) => boolean;
		/** What stands beside the list's tools, over it. */
		note?: Snippet;
		/** What stands at the end of a row, and its head. */
		acts?: Snippet<[Row]>;
		actsHead?: string;
		/** What lies open below a row, where something does. */
		below?: Snippet<[Row]>;
		opened?: (row: Row) => boolean;
		/** What tells rows apart whatever their order: a row that moves keeps what it shows. */
		idOf?: (row: Row) => string;
	}
	let {
		label,
		rows,
		columns,
		empty,
		served = false,
		picked,
		note,
		acts,
		actsHead,
		below,
		opened = () => false,
		idOf
	}: Props = $props();

	let sought = $state('');
	let choosing = $state(false);
	const text = (column: Column<Row>, row: Row): string => column.says?.(row) ?? String(column.of(row) ?? '');
	// Worked out once: the table compares them by reference.
	const definitions = $derived(
		columns.map((column) => ({
			id: column.key,
			header: column.head,
			accessorFn: (row: Row) => column.of(row) ?? undefined,
			sortUndefined: 'last' as const
		}))
	);
	const table = createTable({
		features,
		get data() {
			return rows as Row[];
		},
		// svelte-ignore state_referenced_locally
		getRowId: idOf,
		get columns() {
			return definitions;
		},
		state: {
			get globalFilter() {
				return sought;
			}
		},
		initialState: {
			// svelte-ignore state_referenced_locally
			columnVisibility: Object.fromEntries(columns.filter(({ hidden }) => hidden).map(({ key }) => [key, false]))
		},
		globalFilterFn: (row: { original: Row }, _: string, word: string) =>
			columns.some((column) => text(column, row.original).toLowerCase().includes(word.toLowerCase())),
		getColumnCanGlobalFilter: () => true,
		enableSortingRemoval: false
	});
	const narrow = new MediaQuery('max-width: 900px');
	const leavesOut = $derived(columns.some(({ hidden, wideOnly }) => hidden ?? (wideOnly && narrow.current)));
	onMount(() => {
		if (!narrow.current) return;
		for (const { key, wideOnly } of columns) if (wideOnly) table.getColumn(key)?.toggleVisibility(false);
	});
	const byKey = $derived(new Map(columns.map((column) => [column.key, column])));
	const columnOf = (id: string) => byKey.get(id)!;
	const termsIn = (head: string) => piecesOf(head).flatMap(({ term }) => term ?? []);
	const sorted = { asc: 'ascending', desc: 'descending' } as const;
	const shown = $derived(table.getRowModel().rows);
	// As many as there are: more would take width from the others.
	const across = $derived(table.getVisibleLeafColumns().length + (acts ? 1 : 0));
</script>

<div class="relative flex flex-wrap items-end justify-end gap-2 mb-2">
	{#if note}<div class="flex-1 self-center">{@render note()}</div>{/if}
	{#if !served && rows.length > 8}
		<label class="label w-64"
			><span class="sr-only">Filter: {label}</span><input
				class="input"
				type="search"
				placeholder="Filter"
				bind:value={sought}
			/></label
		>
	{/if}
	{#if leavesOut || rows.length > 8}
		<Popover positioning={{ placement: 'bottom-end' }} onOpenChange={({ open }) => (choosing = open)}>
			<Popover.Trigger class="btn">Columns</Popover.Trigger>
			{#if choosing}
				<Portal>
					<Popover.Positioner class="z-40">
						<Popover.Content class="sheet menu" aria-label="Shown columns">
							{#each table.getAllLeafColumns() as column (column.id)}
								<Switch
									class="menu-item gap-3"
									checked={column.getIsVisible()}
									onCheckedChange={({ checked }) => column.toggleVisibility(checked)}
								>
									<Switch.Control class="switch"><Switch.Thumb /></Switch.Control>
									<Switch.Label>{columnOf(column.id).head}</Switch.Label>
									<Switch.HiddenInput />
								</Switch>
							{/each}
						</Popover.Content>
					</Popover.Positioner>
				</Portal>
			{/if}
		</Popover>
	{/if}
</div>
<div class="overflow-x-auto">
	<Wide {label}>
		<table class="table sheet" class:even={columns.some(({ width }) => width)} aria-label={label}>
			{#if columns.some(({ width }) => width)}
				<colgroup>
					{#each table.getVisibleLeafColumns() as column (column.id)}<col
							style:width={columnOf(column.id).width}
						/>{/each}{#if acts}<col style="width: 8.5rem" />{/if}
				</colgroup>
			{/if}
			<thead>
				{#each table.getHeaderGroups() as group (group.id)}
					<tr>
						{#each group.headers as header (header.id)}
							{@const direction = header.column.getIsSorted()}
							<th
								class:number={columnOf(header.column.id).number}
								aria-sort={direction ? sorted[direction] : undefined}
							>
								<button type="button" class="head" onclick={header.column.getToggleSortingHandler()}>
									{columnOf(header.column.id).head}
									{#if direction === 'asc'}<ArrowUp size={14} />{:else if direction === 'desc'}<ArrowDown
											size={14}
										/>{/if}
								</button>{#each termsIn(columnOf(header.column.id).head) as term (term)}<span
										class="inline-block align-middle"
										><Term {term}
											><CircleHelp class="mx-2 my-1" size={15} aria-hidden="true" /><span class="sr-only"
												>Meaning of {term}</span
											></Term
										></span
									>{/each}
							</th>
						{/each}
						{#if acts}<th
								>{#if actsHead}<span class="head">{actsHead}</span>{:else}<span class="sr-only">Actions</span>{/if}</th
							>{/if}
					</tr>
				{/each}
			</thead>
			<tbody>
				{#each shown as row (row.id)}
					<tr class:picked={picked?.(row.original)}>
						{#each row.getVisibleCells() as cell (cell.id)}
							{@const column = columnOf(cell.column.id)}
							<td
								class:number={column.number}
								class:whitespace-nowrap={column.brief}
								class:wrong={column.wrong?.(row.original)}
							>
								{#if column.cell}{@render column.cell(row.original)}{:else if column.to?.(row.original)}<a
										class="row"
										href={column.to(row.original)}>{text(column, row.original)}</a
									>{:else}{text(column, row.original)}{/if}
							</td>
						{/each}
						{#if acts}<td>{@render acts(row.original)}</td>{/if}
					</tr>
					{#if below && opened(row.original)}<tr><td colspan={across}>{@render below(row.original)}</td></tr>{/if}
				{:else}
					<tr><td colspan={across} class="soft">{rows.length === 0 ? empty : `No row contains “${sought}”.`}</td></tr>
				{/each}
			</tbody>
		</table>
	</Wide>
</div>

<style>
	tr.picked td {
		background: color-mix(in oklab, var(--mark) 10%, transparent);
	}
	.even {
		table-layout: fixed;
	}
	@media (max-width: 900px) {
		.even {
			min-width: 46rem;
		}
	}
	.head {
		display: inline-flex;
		align-items: center;
		gap: 0.2rem;
		min-height: 44px;
		min-width: 44px;
		font-weight: inherit;
		color: inherit;
		text-align: left;
		cursor: pointer;
	}
	.number .head {
		justify-content: flex-end;
		text-align: right;
	}
</style>
