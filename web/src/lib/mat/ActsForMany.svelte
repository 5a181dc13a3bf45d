<!-- @component Acts for many parts at once: each is one set of entries, and one undo takes it back. -->
<script lang="ts">
	import { inSentence } from '$lib/words/place';
	import Dialog from '$lib/ui/Dialog.svelte';
	import { partType } from '@exetasis/core/part';
	import type { BenchPart, BenchState, NewEntry } from '$lib/log/bench.svelte';
	import { cleanAll, renewAll, sameOn } from './forMany';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		onclose: () => void;
	}
	let { bench, part, onclose }: Props = $props();

	const all = $derived([...bench.parts.values()]);
	const column = $derived(all.filter(({ station }) => station.key === part.station.key));
	const row = $derived(all.filter(({ cell }) => cell.cylinder === part.cell.cylinder));
	const others = $derived(column.filter(({ cell }) => cell.part !== part.cell.part));
	const kind = $derived(all.filter(({ station }) => station.type === part.station.type));
	const name = $derived(inSentence(part.station.name));
	const acts = $derived<readonly (readonly [says: string, drafts: NewEntry[]])[]>([
		[
			part.cell.cylinder === 0
				? 'Clean: all other single parts of the pump'
				: `Clean: all other parts of cylinder ${part.cell.cylinder}`,
			bench.uncleaned.length > 0 ? [] : cleanAll(row)
		],
		[`Clean: ${name}, all other cylinders`, bench.uncleaned.length > 0 ? [] : cleanAll(column)],
		[`Same damage: ${name}, all cylinders`, sameOn(part, others)],
		[
			`Replace: every ${inSentence(partType(part.station.type).name)} on the mat`,
			renewAll(kind, 'All of this kind replaced together')
		]
	]);

	function run(drafts: NewEntry[]) {
		bench.record(...drafts);
		onclose();
	}
</script>

<Dialog
	title="Several parts"
	description="Mark only parts that you have inspected as clean. The figure is the number of entries. One undo removes them all."
	{onclose}
>
	<div class="my-3 grid gap-2">
		{#each acts as [says, drafts] (says)}
			<button
				type="button"
				class="btn justify-between! text-left min-h-14!"
				disabled={drafts.length === 0}
				onclick={() => run(drafts)}><span>{says}</span> <b class="figures">{drafts.length}</b></button
			>
		{/each}
	</div>
	{#if bench.up.size > 0}
		<h3>On the bench</h3>
		<div class="my-3 grid gap-2">
			{#each bench.bench.sheet.assemblies.filter(({ key }) => bench.up.has(key)) as { key, name: assembly } (key)}
				<button
					type="button"
					class="btn justify-between! text-left min-h-14!"
					onclick={() => (bench.turnedOver[key] = !bench.turnedOver[key])}
					><span>Turn over: {inSentence(assembly)}</span>
					<b>{bench.up.get(key) === 'C' ? 'crank side' : 'pressure side'} up</b></button
				>
			{/each}
		</div>
	{/if}
</Dialog>
