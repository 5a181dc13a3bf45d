<!-- @component What follows from a part's sizes: each figure with its uncertainty and its limit. -->
<script lang="ts">
	import type { Figure } from '@exetasis/core/part';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { figureName } from '$lib/words/figures';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		figures: readonly Figure[];
	}
	let { figures }: Props = $props();
	const NORMAL_K = 2; // expanded at about 95 %

	const unitOf = ({ unit }: Figure) => shownUnit(dimensionOf(unit), format.units);
	const valueOf = (figure: Figure): string => {
		const spread = figure.u === undefined ? '' : ` ± ${format.difference(NORMAL_K * figure.u, unitOf(figure))}`;
		return `${format.quantity(figure.value, unitOf(figure))}${spread}`;
	};
	const limitOf = (figure: Figure): string => {
		const { min, max } = figure.limit ?? {};
		if (min !== undefined) return `at least ${format.quantity(min, unitOf(figure))}`;
		return max === undefined ? '' : `at most ${format.quantity(max, unitOf(figure))}`;
	};
	const isOut = ({ limit, value }: Figure): boolean =>
		limit !== undefined && (value < (limit.min ?? -Infinity) || value > (limit.max ?? Infinity));
</script>

{#if figures.length > 0}
	<table class="my-1.5! text-[0.85rem]! table">
		<caption class="sr-only">What follows from the sizes</caption>
		<tbody>
			{#each figures as figure (figure.key)}
				<tr>
					<td class="pr-[0.4rem] py-1">{figureName(figure)}</td>
					<td class="number pr-[0.4rem] py-1" class:out={isOut(figure)}>{valueOf(figure)}</td>
					<td class="soft pr-[0.4rem] py-1">{limitOf(figure)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
{/if}

<style>
	.out {
		color: var(--pencil);
		font-weight: 600;
	}
</style>
