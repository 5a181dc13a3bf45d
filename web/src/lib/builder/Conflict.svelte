<!-- @component Another person saved the draft meanwhile: what differs, and which version stands. -->
<script lang="ts">
	import { changesBetween } from '@exetasis/core/draft';
	import { changeSentence } from '$lib/words/draft';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
	}
	let { draft }: Props = $props();
	const MOST = 12;
	const theirs = $derived(draft.theirs);
	const changes = $derived(theirs ? changesBetween(draft.body, theirs.body) : []);
</script>

{#if theirs}
	<section role="alert" class="sheet px-3.5 py-2.5 border-l-4 border-l-doubt mb-2">
		<h2>{theirs.changedBy} changed this draft</h2>
		<p>Your last change is not on the server. Their version differs from yours:</p>
		<ul class="list-disc pl-[1.2rem]">
			{#each changes.slice(0, MOST) as change, i (i)}<li>{changeSentence(change)}</li>{/each}
			{#if changes.length > MOST}<li class="soft">and {changes.length - MOST} more</li>{/if}
		</ul>
		<div class="flex gap-2 my-2">
			<button type="button" class="btn main" onclick={() => draft.takeTheirs()}>Go on from theirs</button>
			<button type="button" class="btn" onclick={() => draft.keepMine()}>Save mine over it</button>
		</div>
		<p class="soft">“Undo” brings your own version back afterwards.</p>
	</section>
{/if}
