<!-- @component Which size is measured: those that are wanted or begun at hand, the rest of the sheet's behind a list; many all in the list. -->
<script lang="ts">
	import { wantedSizes } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
	import { characteristicOf } from '@exetasis/core/record';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		chosen: string;
		onchoose: (key: string) => void;
	}
	let { bench, part, chosen, onchoose }: Props = $props();
	const id = $props.id();

	const wanted = $derived(wantedSizes(part.station, part.record, bench.bench.policy));
	const sizeOf = (key: string) => part.judgement.sizes.find(({ sheet }) => sheet.key === key);
	const atHand = $derived(
		part.station.characteristics.filter(
			(characteristic) => wanted.includes(characteristic) || characteristic.key === chosen || sizeOf(characteristic.key)
		)
	);
	const MOST_AT_HAND = 3; // as many as stand side by side
	const listed = $derived(atHand.length > MOST_AT_HAND);
	const others = $derived(part.station.characteristics.filter((characteristic) => !atHand.includes(characteristic)));
	const nameOf = (key: string) => characteristicOf(part.station, key).name;
	const valueOf = (key: string): string => {
		const size = sizeOf(key);
		return size?.value === undefined
			? ''
			: format.quantity(size.value, shownUnit(dimensionOf(size.sheet.unit), format.units));
	};
</script>

{#if part.station.characteristics.length > 1}
	<div class="row flex gap-1.25 my-0.5" role="group" aria-label="Size to measure">
		{#if !listed}
			{#each atHand as { key } (key)}
				<button
					type="button"
					class="btn flex-1 px-[0.3rem]! py-[0.1rem]! text-[0.8rem]! leading-[1.1]!"
					aria-pressed={key === chosen}
					onclick={() => onchoose(key)}
				>
					<span
						>{nameOf(key)}{#if valueOf(key)}
							<span class="figures soft block">{valueOf(key)}</span>{/if}</span
					>
				</button>
			{/each}
		{/if}
		{#if listed || others.length > 0}
			<label class={['label', listed ? 'w-full' : 'w-[5.4rem]']} for="{id}-other"
				><span class="sr-only">Measure another size</span>
				<select
					id="{id}-other"
					class="select text-[0.85rem]!"
					value={listed ? chosen : ''}
					onchange={(event) => {
						onchoose(event.currentTarget.value);
						if (!listed) event.currentTarget.value = '';
					}}
				>
					{#if listed}
						{#each atHand as { key } (key)}<option value={key}
								>{nameOf(key)}{valueOf(key) ? `: ${valueOf(key)}` : ', not measured yet'}</option
							>{/each}
					{:else}<option value="">Other …</option>{/if}
					{#each others as { key } (key)}<option value={key}>{nameOf(key)}</option>{/each}
				</select>
			</label>
		{/if}
	</div>
{/if}
