<!-- @component A size without a stated limit beside the same size at the other cylinders. -->
<script lang="ts">
	import { besideOthers, type MeasuredCharacteristic } from '@exetasis/core/decide';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { besideOthersSentence } from '$lib/words/besideOthers';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		size: MeasuredCharacteristic;
	}
	let { bench, part, size }: Props = $props();
	const others = $derived(
		[...bench.parts.values()]
			.filter(({ cell }) => cell.station === part.cell.station && cell.cylinder !== part.cell.cylinder)
			.flatMap(({ judgement }) => judgement.sizes.find(({ sheet }) => sheet.key === size.sheet.key)?.estimate ?? [])
	);
	const said = $derived(size.estimate && besideOthers(size.estimate, others, size.sheet));
</script>

{#if said}<p class="text-[0.85rem] leading-[1.25]" class:doubt={said.says === 'wornMore' || said.says === 'differs'}>
		{besideOthersSentence(size, said, format)}
	</p>{/if}

<style>
	.doubt {
		color: var(--doubt);
	}
</style>
