<!-- @component The points at which one size is read, in walking order: what was read there, which comes next, which does not fit. -->
<script lang="ts">
	import type { MeasuredCharacteristic } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { pointsToRead, type SheetCharacteristic } from '@exetasis/core/record';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		sheet: SheetCharacteristic;
		/** What has been read of it so far. */
		size: MeasuredCharacteristic | undefined;
		name: string;
		/** Where the next reading goes. */
		point: { readonly row: number; readonly column: number };
		onchoose: (row: number, column: number) => void;
	}
	let { sheet, size, name, point, onchoose }: Props = $props();
	const unit = $derived(shownUnit(dimensionOf(sheet.unit), format.units));
	const grid = $derived(pointsToRead(sheet));
	const columns = $derived(grid.columns.length > 1);
	const readAt = (row: number, column: number) =>
		size?.points.find((point) => point.row === row && point.column === column);
</script>

<div class="m-0">
	<table class="points w-full border-collapse table-fixed">
		{#if columns}
			<thead>
				<tr
					><td></td>{#each grid.columns as column (column)}<th scope="col" class="figures">{column}</th>{/each}</tr
				>
			</thead>
		{/if}
		<tbody>
			{#each grid.rows as rowName, row (row)}
				<tr>
					<th scope="row" title={rowName || name}>{rowName || name}</th>
					{#each grid.columns as columnName, column (column)}
						{@const read = readAt(row, column)}
						{@const isNext = point.row === row && point.column === column}
						<td>
							<button
								type="button"
								class="point figures w-full min-w-8 min-h-9 border border-line bg-paper text-[0.86rem] cursor-pointer"
								class:narrow={grid.columns.length > 2}
								class:low={grid.rows.length > 4}
								class:next={isNext}
								aria-label="{rowName || name} {columns ? columnName : ''}: {read
									? format.quantity(read.value, unit)
									: 'no reading'}"
								onclick={() => onchoose(row, column)}
							>
								{#if read}
									{grid.columns.length > 2
										? format.bare(read.value, unit)
										: format.quantity(read.value, unit)}{#if read.readings.length > 1}<sup>×{read.readings.length}</sup
										>{/if}
									{#if read.outlier !== undefined}<span
											class="text-doubt font-bold"
											title="One reading does not fit the others. Read it again">≠</span
										>{/if}
								{:else if isNext}▸{:else}·{/if}
							</button>
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.points :is(th, td):first-child {
		width: 29%;
	}
	.points th {
		font-weight: 500;
		font-size: 0.74rem;
		line-height: 1.05;
		text-align: left;
		padding-right: 0.3rem;
		color: var(--ink-soft);
	}
	.points thead th {
		text-align: center;
		padding: 0;
		font-size: 0.7rem;
	}
	.points td {
		padding: 0;
	}
	.point.narrow {
		font-size: 0.68rem;
		letter-spacing: -0.04em;
	}
	.point.low {
		min-height: 32px;
		height: 32px;
	}
	.point.next {
		border: 2px solid var(--mark);
	}
</style>
