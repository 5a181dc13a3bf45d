<!-- @component One job: its stages, what is known of the pump, and whether everything typed has reached the server. -->
<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { allSteps, effectiveTime, locksInForce, scopeOf, windowMinutes } from '@exetasis/core/record';
	import { setTimers } from '$lib/build/timers';
	import Bar from '$lib/bar/Bar.svelte';
	import { BenchState, provideBench } from '$lib/log/bench.svelte';
	import { preloadJob } from './preload';
	import OutboxNotice from '$lib/log/OutboxNotice.svelte';
	import type { grownBench, LaidDownList } from '$lib/strip/growing';
	import { provideLaidDown } from '$lib/strip/laidDownInUse';
	import { outboxInUse } from '$lib/log/outboxInUse';
	import Tabs from '$lib/ui/Tabs.svelte';
	import { day } from '$lib/format/time';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	let { data, children } = $props();
	// The server draws no mat of hundreds of parts: that would keep everybody else waiting. The browser does.
	const MOST_DRAWN_BY_SERVER = 150;
	let alive = $state(false);
	onMount(() => void (alive = true));
	const drawn = $derived(alive || data.bench.cells.length <= MOST_DRAWN_BY_SERVER);
	const outboxOf = outboxInUse();
	// A new state for another job, and after a release; what others add arrives by the event stream.
	const bench = $derived(new BenchState(data.bench, data.user!.id, outboxOf()));
	provideBench(() => bench);
	$effect(() => bench.follower.start());
	$effect(() => preloadJob(data.bench.job.id));
	// Where the sheet grows with the strip: parts that the server does not have yet lie on the mat of this tablet.
	let laidDown = $state.raw<LaidDownList>();
	let grown = $state.raw<typeof grownBench>();
	const growing = $derived(data.grows && data.bench.job.id);
	$effect(() => {
		const id = growing;
		laidDown = undefined;
		const customs = untrack(() => data.grows && data.grows.customs);
		if (!id || !customs) return;
		// Fetched while the network is up.
		void import('$lib/strip/growing').then(({ grownBench, LaidDownList }) => {
			const sendEarlier = async () => (await outboxOf()?.sendAll(id)) ?? true;
			// The whole job goes by the next revision; what is being typed stays.
			const onlaid = () => void outboxOf()?.flush().then(invalidateAll);
			grown = grownBench;
			laidDown = new LaidDownList(id, { customs, sendEarlier, onlaid });
		});
	});
	provideLaidDown(() => laidDown);
	$effect(() => {
		const list = laidDown;
		return untrack(() => list?.sendWhenBack());
	});
	$effect(() => {
		const { grows, bench: fromServer } = data;
		const waiting = laidDown?.waiting ?? [];
		if (!grows || !grown || (waiting.length === 0 && untrack(() => bench.bench === fromServer))) return;
		bench.grow(grown(fromServer, waiting, grows.customs));
	});

	const job = $derived(data.bench.job);
	const stages = $derived([
		[`/jobs/${job.id}/strip`, 'Strip'],
		[`/jobs/${job.id}/inspect`, 'Inspect'],
		[`/jobs/${job.id}/decide`, 'Decide'],
		[`/jobs/${job.id}/order`, 'Order'],
		[`/jobs/${job.id}/build`, 'Build'],
		[`/jobs/${job.id}/prove`, 'Prove'],
		[`/jobs/${job.id}/release`, job.releasedAt ? 'Released' : 'Release']
	] as const);
	// The part in hand fills the window: nothing of it scrolls.
	const fills = $derived(page.url.pathname.endsWith('/inspect'));
	const facts = $derived(
		[
			`“${job.complaint}”`,
			scopeOf(bench.bench.sheet, job)?.name ?? job.scope,
			`${format.number(job.pumpHours)} h`,
			`in ${day(job.receivedAt)}`,
			...(job.releasedAt ? [`released ${day(job.releasedAt)}`] : [])
		].join(' · ')
	);
	const locks = $derived(locksInForce(allSteps(bench.bench.sheet, job), bench.log.steps));
	// A time that runs out rings on any page: this browser keeps it.
	$effect(() => {
		const { sheet } = bench.bench;
		const timers = allSteps(sheet, job).flatMap((step) => {
			const from = step.within && bench.log.steps.get(step.within.of);
			const minutes = windowMinutes(step, sheet.products);
			if (!from || minutes === undefined || bench.log.steps.has(step.key) || job.releasedAt) return [];
			const until = effectiveTime(from) + 60_000 * minutes;
			return [{ job: job.id, step: step.key, pump: job.serial, todo: step.text, until }];
		});
		setTimers(job.id, timers, Date.now());
	});
	const count = $derived(outboxOf()?.waiting.filter((entry) => entry.job === job.id).length ?? 0);
	const waiting = $derived(count === 1 ? '1 entry' : `${count} entries`);
	const sending = $derived(outboxOf()?.status ?? 'idle');
	const laying = $derived(laidDown?.waitingParts ?? 0);
	const status = $derived(
		sending === 'signedOut'
			? `You are signed out. ${waiting} will be sent when you sign in again.`
			: (sending === 'offline' || laying > 0) && count > 0
				? `Offline: ${waiting} will be sent when the connection is back.`
				: count > 0
					? `Saving ${count} …`
					: bench.follower.hears
						? 'All saved'
						: 'All saved. Reconnecting to show changes by others …'
	);
</script>

<Bar>
	<div class="job flex-1 min-w-0 leading-[1.25]">
		<p>
			<a class="font-bold text-[1.05rem] text-ink" href="/pumps/{job.pumpId}">{job.serial}</a>
			{job.tag ?? ''}{job.site ? `, ${job.site}` : ''}
		</p>
		<p class="soft text-[0.78rem] max-[1000px]:hidden" title={facts}>{facts}</p>
	</div>
	{#each locks as { text } (text)}<p
			class="border-2 border-doubt text-doubt px-2 text-[0.84rem] font-[650] whitespace-nowrap"
			role="note"
			title={text}
		>
			Shaft locked<span class="sr-only">: {text}</span>
		</p>{/each}
	<div class="stages"><Tabs label="Stages" pages={stages} current="step" /></div>
	<span
		class="status text-[0.82rem] leading-[1.2] text-ink-soft text-right w-40 max-[1000px]:w-28"
		class:waiting={sending === 'offline' || sending === 'signedOut' || !bench.follower.hears}
		role="status"
	>
		{status}
		{#if sending === 'signedOut'}<a href="/signin" target="_blank" rel="noreferrer">Sign in</a>{/if}
	</span>
</Bar>
<main id="content" tabindex="-1" class:fills>
	{#if outboxOf()}<OutboxNotice outbox={outboxOf()!} jobInHand={job.id} />{/if}
	{#if drawn}{#key job.id}{@render children()}{/key}{:else}<p class="soft" role="status">
			Opening {data.bench.cells.length} parts …
		</p>{/if}
</main>

<style>
	.job p {
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.status.waiting {
		color: var(--doubt);
		font-weight: 600;
		font-size: 0.74rem;
	}
	.fills {
		display: flex;
		flex-direction: column;
		height: calc(100dvh - 50px - var(--timers, 0px));
		padding-block: 4px 0;
	}
	@media (max-width: 600px) {
		.job p {
			white-space: normal;
		}
		.stages {
			position: fixed;
			inset: auto 0 0;
			z-index: 5;
			display: flex;
			justify-content: center;
			background: var(--sheet);
			border-top: 1.5px solid var(--ink);
		}
		/* All seven in one row. */
		.stages :global(nav) {
			flex-wrap: nowrap;
		}
		.stages :global(nav a) {
			padding: 0 0.28rem;
			font-size: 0.84rem;
		}
		.fills {
			height: calc(100dvh - 98px - var(--timers, 0px));
		}
	}
</style>
