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
	<!-- Two mates a row: more leave no room for their names. -->
	<p class="flex flex-wrap gap-x-1.25 gap-y-0 text-[0.78rem] leading-[1.15]">
		<span class="soft basis-full">Runs against</span>
		{#each mates as mate (mate.cell.part)}
			{@const sizes = sizesOf(mate)}
			<button
				type="button"
				class={[
					'btn flex-[1_1_40%] flex-col gap-0! items-stretch! px-[0.35rem]! py-[0.1rem]! text-[0.78rem]! leading-[1.15]!',
					sizes === '' && 'text-doubt!'
				]}
				title={sizes || 'Not measured in this rebuild'}
				onclick={() => onmate(placeKey(mate.cell.station, mate.cell.cylinder))}
			>
				<span class="line-clamp-2 wrap-anywhere">{mate.station.name}</span><span
					class="figures line-clamp-2 text-[0.7rem] font-normal wrap-anywhere">{sizes || 'not measured'}</span
				></button
			>
		{/each}
	</p>
{/if}
