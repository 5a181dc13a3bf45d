<!-- @component A part of the mat, found by any of its names, those that other people use included. -->
<script lang="ts">
	import { Combobox, useListCollection } from '@skeletonlabs/skeleton-svelte';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { placeKey } from '@exetasis/core/mat';
	import { partType } from '@exetasis/core/part';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { placeName } from '$lib/words/place';

	interface Props {
		bench: BenchState;
		onfind: (place: string) => void;
		onclose: () => void;
	}
	let { bench, onfind, onclose }: Props = $props();

	const MOST_SHOWN = 40;
	let sought = $state('');
	const nameOf = ({ station, cell }: BenchPart) => placeName(station.name, cell.cylinder);
	const synonyms = ({ station }: BenchPart) => [...station.alsoCalled, ...(partType(station.type).alsoCalled ?? [])];
	const holds = (part: BenchPart, words: readonly string[]) => {
		const all = [nameOf(part), part.station.short, partType(part.station.type).name, ...synonyms(part)]
			.join(' ')
			.toLowerCase();
		return words.every((word) => all.includes(word));
	};
	const found = $derived(
		[...bench.parts.values()].filter((part) => holds(part, sought.toLowerCase().split(/\s+/))).slice(0, MOST_SHOWN)
	);
	const collection = $derived(
		useListCollection({
			items: found,
			itemToString: nameOf,
			itemToValue: ({ cell }) => placeKey(cell.station, cell.cylinder)
		})
	);

	function choose(place: string | undefined) {
		if (!place) return;
		onfind(place);
		onclose();
	}
</script>

<Dialog title="Find a part" {onclose}>
	<Combobox
		{collection}
		open
		closeOnSelect
		inputBehavior="autohighlight"
		placeholder="Plunger 2, poppet, head ring …"
		onInputValueChange={({ inputValue, reason }) => reason === 'input-change' && (sought = inputValue)}
		onValueChange={({ value: [place] }) => choose(place)}
	>
		<Combobox.Label class="sr-only">Name of the part</Combobox.Label>
		<Combobox.Control><Combobox.Input class="input" autofocus /></Combobox.Control>
		<Combobox.Content class="mt-2 max-h-96 overflow-y-auto">
			{#each found as part (part.cell.part)}
				<Combobox.Item item={part} class="menu-item">
					<Combobox.ItemText>{nameOf(part)}</Combobox.ItemText>
					{#if synonyms(part).length > 0}<span class="soft ml-2 text-sm">{synonyms(part).join(', ')}</span>{/if}
				</Combobox.Item>
			{:else}<p class="soft p-3">No part with this name.</p>{/each}
		</Combobox.Content>
	</Combobox>
</Dialog>
