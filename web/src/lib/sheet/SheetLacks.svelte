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
		<summary class="py-2.5 cursor-pointer font-[650]">Not stated on the model sheet ({lacks.length})</summary>
		<ul>
			{#each lacks as lack (lack.code)}<li class="text-[0.84rem] py-0.5">{lackSentence(lack)}</li>{/each}
		</ul>
	</details>
{/if}
