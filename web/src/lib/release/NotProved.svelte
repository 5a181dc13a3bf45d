<!-- @component What is left of building and proving; a lead may let the pump go all the same, and says why. -->
<script lang="ts">
	import type { Bench } from '@exetasis/server/jobs/bench';
	import { unprovedWords } from '$lib/words/proof';

	interface Props {
		jobId: string;
		left: Pick<NonNullable<Bench['unbuilt']>, 'steps' | 'tests'>;
	}
	let { jobId, left }: Props = $props();
	const SHOWN = 6;
</script>

<p>
	{left.steps.length} steps of <a href="/jobs/{jobId}/build">Build</a> and <a href="/jobs/{jobId}/prove">Prove</a> are
	not done{left.tests.length > 0 ? `, ${left.tests.length} tests are missing or not passed` : ''}.
</p>
<ul class="columns-2 squares text-[0.9rem]">
	{#each left.steps.slice(0, SHOWN) as step (step)}<li>{step}</li>{/each}
	{#if left.steps.length > SHOWN}<li class="soft">and {left.steps.length - SHOWN} more</li>{/if}
	{#each left.tests as test (JSON.stringify(test))}<li>{unprovedWords(test)}</li>{/each}
</ul>
