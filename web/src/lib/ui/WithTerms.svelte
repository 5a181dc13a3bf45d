<!-- @component A sentence whose terms are explained at a touch. -->
<script lang="ts">
	import { piecesOf } from '$lib/words/glossary';
	import Term from './Term.svelte';

	interface Props {
		text: string;
	}
	let { text }: Props = $props();
</script>

{#each piecesOf(text) as { text: words, term }, i (i)}{#if term}<Term {term}>{words}</Term>{:else}{words}{/if}{/each}
