import type { Snippet } from 'svelte';
import {
	columnFilteringFeature,
	columnVisibilityFeature,
	createFilteredRowModel,
	createSortedRowModel,
	filterFn_includesString,
	globalFilteringFeature,
	rowSortingFeature,
	sortFn_alphanumeric,
	sortFn_basic,
	sortFn_datetime,
	sortFn_text,
	tableFeatures
} from '@tanstack/svelte-table';

/** What every list of ours can do: be sorted by a column, be filtered by a word, leave columns out. */
export const features = tableFeatures({
	columnFilteringFeature,
	globalFilteringFeature,
	filteredRowModel: createFilteredRowModel(),
	filterFns: { includesString: filterFn_includesString },
	rowSortingFeature,
	sortedRowModel: createSortedRowModel(),
	sortFns: {
		alphanumeric: sortFn_alphanumeric,
		basic: sortFn_basic,
		datetime: sortFn_datetime,
		text: sortFn_text
	},
	columnVisibilityFeature
});

/** A column of a list: what it is called, what it is sorted and filtered by, and how its cell reads. */
export interface Column<Row> {
	readonly key: string;
	readonly head: string;
	readonly of: (row: Row) => string | number | Date | null | undefined;
	/** How it reads, where that is not the value itself. */
	readonly says?: (row: Row) => string;
	/** How it is drawn, where words are not enough. */
	readonly cell?: Snippet<[Row]>;
	/** Where a press on it leads, if anywhere. */
	readonly to?: (row: Row) => string | undefined;
	/** Figures, to the right. */
	readonly number?: true;
	/** Marked as something to look at. */
	readonly wrong?: (row: Row) => boolean;
	/** Left out until it is chosen. */
	readonly hidden?: true;
	/** Left out in a narrow window until it is chosen. */
	readonly wideOnly?: true;
	/** On one line: a date, a number with its unit. */
	readonly brief?: true;
	/** Share of the table's width, "16%": given for all but one column, nothing is laid out again when a row changes. */
	readonly width?: string;
}
