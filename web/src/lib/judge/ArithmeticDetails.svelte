<!-- @component The arithmetic behind a part's verdict, folded away: it is worked out and fetched when it is opened. -->
<script lang="ts">
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { judgeInput } from '@exetasis/core/mat';

	interface Props {
		bench: BenchState;
		part: BenchPart;
	}
	let { bench, part }: Props = $props();
	let opened = $state(false);
</script>

<details bind:open={opened}>
	<summary>The arithmetic, step by step</summary>
	{#if opened}
		{#await import('./Arithmetic.svelte') then { default: Arithmetic }}
			<Arithmetic input={judgeInput(bench.bench, part, bench.matesOf(part))} judgement={part.judgement} />
		{/await}
	{/if}
</details>

<style>
	details summary {
		min-height: 44px;
		display: flex;
		align-items: center;
		cursor: pointer;
		color: var(--mark);
		font-size: 0.88rem;
	}
</style>
