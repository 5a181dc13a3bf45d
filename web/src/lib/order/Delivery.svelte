<!-- @component A whole delivery booked in at one press: all that was to be bought and is still awaited, with its lot and supplier. -->
<script lang="ts">
	import type { Delivered } from '@exetasis/core/order';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { inSentence } from '$lib/words/place';

	interface Props {
		bench: BenchState;
		delivered: readonly Delivered[];
		locked: boolean;
	}
	let { bench, delivered, locked }: Props = $props();
	const id = $props.id();
	let lot = $state('');
	let supplier = $state('');
	const { sheet } = $derived(bench.bench);
	const pieces = $derived(delivered.reduce((sum, item) => sum + item.pieces, 0));
	const isKit = (number: string) => sheet.kits.some((kit) => kit.number === number);
	const nameOf = (key: string) => inSentence(sheet.stations.find((station) => station.key === key)?.name ?? key);

	const bookIn = () =>
		bench.record(
			...delivered.map(({ station, pieces, number }) => ({
				kind: 'arrived' as const,
				payload: {
					station,
					pieces,
					from: 'bought' as const,
					...(lot.trim() ? { lot: lot.trim() } : {}),
					...(supplier.trim() ? { supplier: supplier.trim() } : {}),
					...(isKit(number) ? { kit: number } : {})
				}
			}))
		);
</script>

<details class="my-2">
	<summary class="row">Book in the whole delivery</summary>
	<p>{delivered.map((item) => `${item.pieces} × ${nameOf(item.station)} (${item.number})`).join(', ')}.</p>
	<div class="flex flex-wrap items-center gap-2">
		<label for="{id}-supplier">Supplier</label>
		<input id="{id}-supplier" class="input w-48!" maxlength="80" bind:value={supplier} />
		<label for="{id}-lot">Lot (if the same for all)</label>
		<input id="{id}-lot" class="input w-48!" maxlength="80" bind:value={lot} />
		<button type="button" class="btn main" disabled={locked} onclick={bookIn}
			>Book in {pieces} {pieces === 1 ? 'piece' : 'pieces'}</button
		>
	</div>
</details>
