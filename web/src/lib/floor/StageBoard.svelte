<!-- @component The open jobs by stage: one column a stage, one card a job. -->
<script lang="ts">
	import LittleMat from '$lib/mat/LittleMat.svelte';
	import { ago } from '$lib/format/ago';
	import { dueWords } from '$lib/words/due';
	import type { FloorListing } from '@exetasis/server/jobs/floor';
	import { nextStepOf, stages } from './nextStep';

	let { jobs }: { jobs: readonly FloorListing[] } = $props();
	const cards = $derived(jobs.map((job) => ({ job, next: nextStepOf(job) })));
</script>

<div class="board">
	{#each stages as stage (stage)}
		{@const here = cards.filter(({ next }) => next.at === stage)}
		<section aria-label={stage}>
			<h2>{stage} <span class="soft figures">{here.length}</span></h2>
			{#each here as { job, next } (job.id)}
				{@const due = job.customer.promisedOn ? dueWords(job.customer.promisedOn) : undefined}
				<a class="card sheet" href={next.path}>
					<span class="line"
						><b>{job.serial}</b>{#if due}<span class:due={due.due}>{due.says}</span>{:else}<span class="soft"
								>{ago(job.receivedAt)}</span
							>{/if}</span
					>
					<span class="soft truncate">{[job.model, job.tag, job.site].filter(Boolean).join(', ')}</span>
					<span class="mat"><LittleMat mat={job.mat} /></span>
					<span class="line-clamp-2">{next.first}</span>
				</a>
			{:else}<p class="soft none">No pump here.</p>{/each}
		</section>
	{/each}
</div>

<style>
	.board {
		display: grid;
		grid-template-columns: repeat(7, minmax(10.5rem, 1fr));
		gap: 8px;
		align-items: start;
		overflow-x: auto;
	}
	section {
		display: grid;
		gap: 8px;
		align-content: start;
	}
	h2 {
		font-size: 1rem;
		padding-bottom: 4px;
		border-bottom: 2px solid var(--line);
	}
	.card {
		display: grid;
		gap: 3px;
		min-width: 0;
		padding: 8px;
		color: inherit;
		text-decoration: none;
		font-size: 0.875rem;
		line-height: 1.25;
	}
	.card:hover {
		border-color: var(--mark);
	}
	.line {
		display: flex;
		justify-content: space-between;
		gap: 6px;
	}
	.mat {
		overflow: hidden;
	}
	.due {
		font-weight: 650;
		color: var(--doubt);
	}
	.none {
		font-size: 0.875rem;
	}
</style>
