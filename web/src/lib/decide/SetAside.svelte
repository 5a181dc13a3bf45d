<!-- @component Sizes that are not used in forecasts, because wear cannot have made them: which, and where they are corrected. -->
<script lang="ts">
	import type { BenchState } from '$lib/log/bench.svelte';
	import { setAsideSentence } from '$lib/words/slips';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { bench }: { bench: BenchState } = $props();
	const SHOWN = 5;
	const all = $derived(bench.bench.setAside);
</script>

{#if all.length > 0}
	<ul class="doubt" aria-label="Readings left out">
		{#each all.slice(0, SHOWN) as reading (`${reading.pump} ${reading.station} ${reading.characteristic} ${reading.pumpHours}`)}
			<li><a class="row" href="/pumps/{reading.pump}">{setAsideSentence(reading, bench.bench.sheet, format)}</a></li>
		{/each}
		{#if all.length > SHOWN}<li>And {all.length - SHOWN} more.</li>{/if}
	</ul>
{/if}
