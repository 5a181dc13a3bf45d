<!-- @component What earlier steps noted and this one needs again: settings, readings, notes, as they were found. -->
<script lang="ts">
	import { askKey, type Step } from '@exetasis/core/record';
	import type { BenchState } from '$lib/log/bench.svelte';
	import { answerWords, recalledWords } from '$lib/words/steps';

	interface Props {
		bench: BenchState;
		step: Step;
	}
	let { bench, step }: Props = $props();

	const noted = $derived(
		bench.bench.sheet.steps
			.filter(({ key }) => step.recalls.includes(key))
			.flatMap(({ key, asks }) =>
				asks.map((ask, i) => ({
					key: `${key}/${i}`,
					question: recalledWords(ask, bench.bench.sheet),
					value: bench.log.answers.get(askKey(key, i))?.payload.value
				}))
			)
	);
</script>

{#if noted.length > 0}
	<dl class="grid grid-cols-[max-content_1fr] gap-x-3 gap-y-1">
		{#each noted as { key, question, value } (key)}
			<dt>{question}</dt>
			<dd><b>{value === undefined ? 'not recorded' : answerWords(value)}</b></dd>
		{/each}
	</dl>
{/if}
