<!-- @component The parts that one runs with, and what they measure in this rebuild; a press leads there. -->
<script lang="ts">
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import type { BenchPart } from '$lib/log/bench.svelte';
	import { placeKey } from '@exetasis/core/mat';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		mates: readonly BenchPart[];
		onmate: (place: string) => void;
	}
	let { mates, onmate }: Props = $props();
	const MOST_SHOWN = 2;

	const sizesOf = ({ judgement }: BenchPart): string =>
		judgement.sizes
			.filter(({ value }) => value !== undefined)
			.slice(0, MOST_SHOWN)
			.map(({ characteristic, value, budget, sheet }) => {
				const unit = shownUnit(dimensionOf(sheet.unit), format.units);
				return `${characteristic.name} ${format.withUncertainty(value!, budget.U, unit)}`;
			})
			.join('; ');
</script>

{#if mates.length > 0}
	<p class="flex flex-wrap gap-x-1.25 gap-y-0 text-[0.78rem] leading-[1.15]">
		<span class="soft">Runs against</span>
		{#each mates as mate (mate.cell.part)}
			{@const sizes = sizesOf(mate)}
			<button
				type="button"
				class="btn"
				class:doubt={sizes === ''}
				title={sizes || 'Not measured in this rebuild'}
				onclick={() => onmate(placeKey(mate.cell.station, mate.cell.cylinder))}
			>
				<span>{mate.station.name}</span><span class="figures">{sizes || 'not measured'}</span></button
			>
		{/each}
	</p>
{/if}

<style>
	/* On a line of its own, and two mates a row: more leave no room for their names. */
	p > .soft {
		flex-basis: 100%;
	}
	.btn {
		flex: 1 1 40%;
		min-width: 44px;
		flex-direction: column;
		align-items: stretch;
		gap: 0;
		font-size: 0.78rem;
		line-height: 1.15;
		padding: 0.1rem 0.35rem;
	}
	.btn span {
		overflow: hidden;
		display: -webkit-box;
		-webkit-box-orient: vertical;
		line-clamp: 2;
		-webkit-line-clamp: 2;
		white-space: normal;
		overflow-wrap: anywhere;
	}
	.btn .figures {
		font-size: 0.7rem;
		font-weight: 400;
	}
	.doubt {
		color: var(--doubt);
	}
</style>
