<!-- @component Parts of one station that came in: how many, and what their bag says. -->
<script lang="ts">
	import { parseNumber } from '@exetasis/core/quantity';
	import type { Station } from '@exetasis/core/record';
	import { formatInUse } from '$lib/format/context';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { numberSentence } from '$lib/words/problems';

	interface Props {
		bench: BenchState;
		station: Station;
		/** As many as are still awaited. */
		due: number;
		onclose: () => void;
	}
	let { bench, station, due, onclose }: Props = $props();
	const format = formatInUse();
	const id = $props.id();
	// svelte-ignore state_referenced_locally
	let pieces = $state(String(due));
	let lot = $state('');
	let supplier = $state('');
	let kit = $state('');
	const kits = $derived(
		bench.bench.sheet.kits.filter(({ holds }) => holds.some((held) => held.station === station.key))
	);
	let problem = $state('');

	function take() {
		const read = parseNumber(pieces, { least: 1, most: 1000 });
		if (read.kind === 'problem') return void (problem = numberSentence(read.problem, format));
		if (!Number.isInteger(read.value)) return void (problem = 'Type a whole number.');
		bench.record({
			kind: 'arrived',
			payload: {
				station: station.key,
				pieces: read.value,
				from: 'bought',
				...(lot.trim() ? { lot: lot.trim() } : {}),
				...(supplier.trim() ? { supplier: supplier.trim() } : {}),
				...(kit ? { kit } : {})
			}
		});
		onclose();
	}
</script>

<div class="flex flex-wrap items-center gap-1.5 py-1.5" role="group" aria-label="Receive: {station.name}">
	<label for="{id}-pieces">Pieces</label>
	<input id="{id}-pieces" class="input w-16!" inputmode="numeric" maxlength="6" bind:value={pieces} />
	<label for="{id}-lot">Lot</label>
	<input id="{id}-lot" class="input w-36!" maxlength="80" bind:value={lot} />
	<label for="{id}-supplier">Supplier</label>
	<input id="{id}-supplier" class="input w-36!" maxlength="80" bind:value={supplier} />
	{#if kits.length > 0}
		<label for="{id}-kit">From kit</label>
		<select id="{id}-kit" class="select w-48!" bind:value={kit}>
			<option value="">sold singly</option>
			{#each kits as { number, name } (number)}<option value={number}>{name}</option>{/each}
		</select>
	{/if}
	<button type="button" class="btn main" onclick={take}>Book in</button>
	<button type="button" class="btn" onclick={onclose}>Cancel</button>
	{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
</div>
