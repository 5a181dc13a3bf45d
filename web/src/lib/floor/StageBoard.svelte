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

<div class="grid grid-cols-[repeat(7,minmax(10.5rem,1fr))] gap-2 items-start overflow-x-auto">
	{#each stages as stage (stage)}
		{@const here = cards.filter(({ next }) => next.at === stage)}
		<section class="grid gap-2 content-start" aria-label={stage}>
			<h2 class="text-[1rem] pb-1 border-b-2 border-b-line">{stage} <span class="soft figures">{here.length}</span></h2>
			{#each here as { job, next } (job.id)}
				{@const due = job.customer.promisedOn ? dueWords(job.customer.promisedOn) : undefined}
				<a
					class="card sheet grid gap-0.75 min-w-0 p-2 text-inherit no-underline text-[0.875rem] leading-[1.25]"
					href={next.path}
				>
					<span class="line flex justify-between gap-1.5"
						><b>{job.serial}</b>{#if due}<span class:due={due.due}>{due.says}</span>{:else}<span class="soft"
								>{ago(job.receivedAt)}</span
							>{/if}</span
					>
					<span class="soft truncate">{[job.model, job.tag, job.site].filter(Boolean).join(', ')}</span>
					<span class="mat overflow-hidden"><LittleMat mat={job.mat} /></span>
					<span class="line-clamp-2">{next.first}</span>
				</a>
			{:else}<p class="soft text-[0.875rem]">No pump here.</p>{/each}
		</section>
	{/each}
</div>

<style>
	.card:hover {
		border-color: var(--mark);
	}
	.due {
		font-weight: 650;
		color: var(--doubt);
	}
</style>
