<!-- @component What the model sheet does not state for a stage of the work: the work can go on without it. -->
<script lang="ts">
	import { lacksOf, type Level } from '@exetasis/core/draft';
	import type { ModelSheet } from '@exetasis/core/record';
	import { lackSentence } from '$lib/words/draft';

	interface Props {
		sheet: ModelSheet;
		level: Level;
	}
	let { sheet, level }: Props = $props();
	const lacks = $derived(lacksOf(sheet)[level]);
</script>

{#if lacks.length > 0}
	<details>
		<summary>Not stated on the model sheet ({lacks.length})</summary>
		<ul>
			{#each lacks as lack (lack.code)}<li>{lackSentence(lack)}</li>{/each}
		</ul>
	</details>
{/if}

<style>
	summary {
		padding-block: 10px;
		cursor: pointer;
		font-weight: 650;
	}
	li {
		font-size: 0.84rem;
		padding-block: 2px;
	}
</style>
