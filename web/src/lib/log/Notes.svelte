<!-- @component Notes on a part: what no pattern and no figure says. -->
<script lang="ts">
	import DocumentLinks from '$lib/ui/DocumentLinks.svelte';
	import { documentsAt } from './documents';
	import { shortTime } from '$lib/format/time';
	import type { BenchPart, BenchState } from './bench.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		locked: boolean;
	}
	let { bench, part, locked }: Props = $props();
	const id = $props.id();
	let text = $state('');

	function keep(event: SubmitEvent) {
		event.preventDefault();
		if (text.trim() === '') return;
		bench.record({ kind: 'note', part: part.cell.part, payload: { text: text.trim() } });
		text = '';
	}
</script>

<DocumentLinks documents={documentsAt({ stations: [part.station.key] })} />
{#each part.record.notes as note (note.id)}
	<p class="text-[0.9rem] border-l-3 border-l-line pl-2 mt-1.5">
		“{note.payload.text}” <span class="soft">{bench.bench.people[note.by]}, {shortTime(note.at)}</span>
	</p>
{/each}
{#if !locked}
	<form onsubmit={keep} class="label grid-cols-[1fr_auto] mt-2">
		<label for="{id}-note" class="sr-only">Note on this part</label>
		<input id="{id}-note" placeholder="Note on this part" bind:value={text} maxlength="2000" />
		{#if text.trim() !== ''}<button class="btn">Save note</button>{/if}
	</form>
{/if}
