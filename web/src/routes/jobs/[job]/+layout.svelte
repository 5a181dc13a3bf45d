<!-- @component One job: its stages, what is known of the pump, and whether everything typed has reached the server. -->
<script lang="ts">
	import { page } from '$app/state';
	import { formatNumber } from '@exetasis/core/quantity';
	import { BenchState, provideBench } from '$lib/bench/bench.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { day } from '$lib/ui/time';
	import { refusalSentence } from '$lib/words/problems';
	import { scopeName } from '$lib/words/scope';

	let { data, children } = $props();
	const units = unitsInUse();
	// A new state for another job, and after a release; what others add arrives by the event stream.
	const bench = $derived(new BenchState(data.bench, data.user!.id));
	provideBench(() => bench);
	$effect(() => bench.follow());

	const job = $derived(data.bench.job);
	const stages = $derived([
		['strip', 'Strip'],
		['inspect', 'Inspect'],
		['decide', 'Decide'],
		['release', job.releasedAt ? 'Released' : 'Release']
	] as const);
	const waiting = $derived(bench.outbox.waiting === 1 ? '1 entry waits' : `${bench.outbox.waiting} entries wait`);
	const status = $derived(
		bench.outbox.status === 'signedOut'
			? `You are signed out. ${waiting} in this browser; it goes once you sign in again.`
			: bench.outbox.status === 'offline'
				? `No connection: ${waiting} in this browser to be sent by itself.`
				: bench.outbox.waiting > 0
					? `Saving ${bench.outbox.waiting} …`
					: 'All saved'
	);
</script>

<div class="job">
	<div>
		<a class="serial" href="/pumps/{job.pumpId}">{job.serial}</a>
		<span>{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}</span>
		<span class="soft"
			>“{job.complaint}” · {scopeName[job.scope]} · <span class="figures">{formatNumber(job.pumpHours)}</span> h · in {day(
				job.receivedAt
			)}{job.releasedAt ? ` · released ${day(job.releasedAt)}` : ''}</span
		>
	</div>
	<nav aria-label="Stages">
		{#each stages as [path, name] (path)}
			<a href="/jobs/{job.id}/{path}" aria-current={page.url.pathname.endsWith(`/${path}`) ? 'step' : undefined}
				>{name}</a
			>
		{/each}
	</nav>
	<span
		class="status"
		class:waiting={bench.outbox.status === 'offline' || bench.outbox.status === 'signedOut'}
		role="status"
	>
		{status}
		{#if bench.outbox.status === 'signedOut'}<a href="/signin" target="_blank" rel="noreferrer">Sign in</a>{/if}
	</span>
</div>
{#each bench.refusals as refusal (refusal.entry.id)}
	<p class="refusal" role="alert">
		<span
			><b>Not taken:</b>
			{'typed' in refusal.entry.payload ? `“${refusal.entry.payload.typed.text}”. ` : ''}{refusalSentence(
				refusal.problem,
				units()
			)}</span
		>
		<button type="button" class="press" onclick={() => bench.dismiss(refusal)}>Understood</button>
	</p>
{/each}
{@render children()}

<style>
	.job {
		display: grid;
		grid-template-columns: 1fr auto minmax(9rem, auto);
		gap: 0 1rem;
		align-items: center;
		margin: -4px 0 6px;
	}
	.serial {
		font-weight: 700;
		font-size: 1.05rem;
		color: var(--ink);
	}
	.soft {
		font-size: 0.85rem;
	}
	nav {
		display: flex;
	}
	nav a {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
		padding: 0 1rem;
		color: var(--ink);
		text-decoration: none;
		border-bottom: 3px solid var(--line);
	}
	nav a[aria-current] {
		border-color: var(--mark);
		font-weight: 650;
	}
	.status {
		font-size: 0.82rem;
		color: var(--ink-soft);
		text-align: right;
		max-width: 20rem;
	}
	.status.waiting {
		color: var(--doubt);
		font-weight: 600;
	}
	.refusal {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 1rem;
		border: 2px solid var(--pencil);
		padding: 4px 8px;
		margin-bottom: 6px;
	}
</style>
