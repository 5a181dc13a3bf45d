<!-- @component Says, where work on the parts begins, that the pump is not safe to work on or not clean yet, and what has to be signed off. -->
<script lang="ts">
	import type { BenchState } from '$lib/log/bench.svelte';

	let { bench }: { bench: BenchState } = $props();
	const { job } = $derived(bench.bench);
</script>

{#if bench.blocked.length > 0 && job.releasedAt === null}
	<p class="border-2 border-doubt px-2.5 py-1.5 mb-1.5" role="alert">
		<b>Not safe to work on yet.</b>
		First sign off: {bench.blocked.map(({ text }) => text).join(' ')}
		<a href="/jobs/{job.id}/strip">Open the steps</a>
	</p>
{:else if bench.uncleaned.length > 0 && job.releasedAt === null}
	<p class="border-2 border-doubt px-2.5 py-1.5 mb-1.5" role="alert">
		<b>Not cleaned yet.</b>
		Dirt hides cracks: no part is called clean before this is signed off: {bench.uncleaned
			.map(({ text }) => text)
			.join(' ')}
		<a href="/jobs/{job.id}/strip">Open the steps</a>
	</p>
{/if}
