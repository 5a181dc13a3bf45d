<!-- @component The parts that one runs with, and what they measure in this rebuild; a press leads there. -->
<script lang="ts">
	import { dimensionOf, formatWithUncertainty, shownUnit } from '@exetasis/core/quantity';
	import { unitsInUse } from '$lib/ui/preference';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { placeKey } from '@exetasis/core/mat';

	interface Props {
		mates: readonly BenchPart[];
		onmate: (place: string) => void;
	}
	let { mates, onmate }: Props = $props();
	const units = unitsInUse();
	const MOST_SHOWN = 2;

	const sizesOf = ({ judgement }: BenchPart): string =>
		judgement.sizes
			.filter(({ value }) => value !== undefined)
			.slice(0, MOST_SHOWN)
			.map(({ characteristic, value, budget, sheet }) => {
				const unit = shownUnit(dimensionOf(sheet.unit), units());
				return `${characteristic.name} ${formatWithUncertainty(value!, budget.U, unit)}`;
			})
			.join('; ');
</script>

{#each mates as mate (mate.cell.part)}
	{@const sizes = sizesOf(mate)}
	<p class:doubt={sizes === ''}>
		Runs with
		<button type="button" class="press" onclick={() => onmate(placeKey(mate.cell.station, mate.cell.cylinder))}
			>{mate.station.name}</button
		>
		{#if sizes}<span class="figures">{sizes}</span>{:else}not measured in this rebuild yet{/if}
	</p>
{/each}

<style>
	p {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.5rem;
		font-size: 0.86rem;
		margin-top: 8px;
	}
	.press {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
	.doubt {
		color: var(--doubt);
	}
</style>
