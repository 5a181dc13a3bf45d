<!-- @component Which size is measured: those that are wanted or begun at hand, the rest of the sheet's behind a list. -->
<script lang="ts">
	import { wantedSizes } from '@exetasis/core/decide';
	import { dimensionOf, formatQuantity, shownUnit } from '@exetasis/core/quantity';
	import { characteristicOf } from '@exetasis/core/record';
	import { unitsInUse } from '$lib/ui/preference';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		chosen: string;
		onchoose: (key: string) => void;
	}
	let { bench, part, chosen, onchoose }: Props = $props();
	const units = unitsInUse();
	const id = $props.id();

	const wanted = $derived(wantedSizes(part.station, part.record, bench.bench.policy));
	const sizeOf = (key: string) => part.judgement.sizes.find(({ sheet }) => sheet.key === key);
	const atHand = $derived(
		part.station.characteristics.filter((one) => wanted.includes(one) || one.key === chosen || sizeOf(one.key))
	);
	const others = $derived(part.station.characteristics.filter((one) => !atHand.includes(one)));
	const nameOf = (key: string) => characteristicOf(part.station, key).name;
	const valueOf = (key: string): string => {
		const size = sizeOf(key);
		return size?.value === undefined
			? ''
			: formatQuantity(size.value, shownUnit(dimensionOf(size.sheet.unit), units()));
	};
</script>

{#if part.station.characteristics.length > 1}
	<div class="row" role="group" aria-label="What to measure">
		{#each atHand as { key } (key)}
			<button type="button" class="press" aria-pressed={key === chosen} onclick={() => onchoose(key)}>
				{nameOf(key)}
				{#if valueOf(key)}<span class="figures soft">{valueOf(key)}</span>{/if}
			</button>
		{/each}
		{#if others.length > 0}
			<label class="field" for="{id}-other"
				><span class="sr-only">Measure something else</span>
				<select
					id="{id}-other"
					value=""
					onchange={(event) => {
						onchoose(event.currentTarget.value);
						event.currentTarget.value = '';
					}}
				>
					<option value="">Something else …</option>
					{#each others as { key } (key)}<option value={key}>{nameOf(key)}</option>{/each}
				</select>
			</label>
		{/if}
	</div>
{/if}

<style>
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin: 6px 0;
	}
	.press {
		font-size: 0.85rem;
		padding: 0.2rem 0.6rem;
	}
	.field {
		min-width: 11rem;
	}
	select {
		font-size: 0.85rem;
	}
</style>
