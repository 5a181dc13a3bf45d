<!-- @component Corrections to a released job: a lead adds them, everybody sees them, nothing before is changed. -->
<script lang="ts">
	import { shortTime } from '$lib/format/time';
	import type { BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		mayCorrect: boolean;
	}
	let { bench, mayCorrect }: Props = $props();
	const id = $props.id();
	let text = $state('');

	function add(event: SubmitEvent) {
		event.preventDefault();
		if (text.trim() === '') return;
		bench.record({ kind: 'correction', payload: { text: text.trim() } });
		text = '';
	}
</script>

{#if mayCorrect || bench.log.corrections.length > 0}
	<h2 class="mt-4">Corrections after release</h2>
	{#each bench.log.corrections as correction (correction.id)}
		<p>
			{correction.payload.text}
			<span class="soft">{bench.bench.people[correction.by]}, {shortTime(correction.at)}</span>
		</p>
	{/each}
	{#if mayCorrect}
		<form onsubmit={add} class="label max-w-160 mt-1.5">
			<label for="{id}-correction">Correction</label>
			<textarea id="{id}-correction" rows="2" bind:value={text} maxlength="2000"></textarea>
			<div><button class="btn" disabled={text.trim() === ''}>Add correction</button></div>
		</form>
	{/if}
{/if}
