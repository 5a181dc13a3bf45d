<!-- @component One job: its stages, what is known of the pump, and whether everything typed has reached the server. -->
<script lang="ts">
	import { page } from '$app/state';
	import { formatNumber } from '@exetasis/core/quantity';
	import { BenchState, provideBench } from '$lib/log/bench.svelte';
	import { outboxInUse } from '$lib/log/outboxInUse';
	import { day } from '$lib/ui/time';
	import { scopeName } from '$lib/words/scope';

	let { data, children } = $props();
	const outboxOf = outboxInUse();
	// A new state for another job, and after a release; what others add arrives by the event stream.
	const bench = $derived(new BenchState(data.bench, data.user!.id, outboxOf()));
	provideBench(() => bench);
	$effect(() => bench.follower.start());

	const job = $derived(data.bench.job);
	const stages = $derived([
		['strip', 'Strip'],
		['inspect', 'Inspect'],
		['decide', 'Decide'],
		['release', job.releasedAt ? 'Released' : 'Release']
	] as const);
	const count = $derived(outboxOf()?.waiting.filter((one) => one.job === job.id).length ?? 0);
	const waiting = $derived(count === 1 ? '1 entry waits' : `${count} entries wait`);
	const sending = $derived(outboxOf()?.status ?? 'idle');
	const status = $derived(
		sending === 'signedOut'
			? `You are signed out. ${waiting} in this browser; it goes once you sign in again.`
			: sending === 'offline' && count > 0
				? `No connection: ${waiting} in this browser to be sent by itself.`
				: count > 0
					? `Saving ${count} …`
					: bench.follower.hears
						? 'All saved'
						: 'All saved; what others record is not heard just now, connecting again …'
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
		class:waiting={sending === 'offline' || sending === 'signedOut' || !bench.follower.hears}
		role="status"
	>
		{status}
		{#if sending === 'signedOut'}<a href="/signin" target="_blank" rel="noreferrer">Sign in</a>{/if}
	</span>
</div>
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
</style>
