<!-- @component What waits in this browser for other jobs, and what the server would not take: shown on every page until dealt with. -->
<script lang="ts">
	import type { Entry } from '@exetasis/core/record';
	import { shortTime } from '$lib/format/time';
	import { kindName, refusalSentence } from '$lib/words/problems';
	import type { Kept, Outbox } from './outbox.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		outbox: Outbox;
		/** The job whose own page says by itself what waits for it. */
		jobInHand: string | undefined;
	}
	let { outbox, jobInHand }: Props = $props();

	const elsewhere = $derived.by(() => {
		const counts = new Map<string, { pump: string; count: number }>();
		for (const { job, pump } of outbox.waiting)
			if (job !== jobInHand) counts.set(job, { pump, count: (counts.get(job)?.count ?? 0) + 1 });
		return [...counts];
	});
	const typed = (entry: Entry) => ('typed' in entry.payload ? ` “${entry.payload.typed.text}”` : '');
	const why = ({ aside }: Kept) =>
		aside?.kind === 'refused' ? refusalSentence(aside.problem, format) : (aside?.message ?? '');
</script>

{#if elsewhere.length > 0}
	<p class="text-doubt font-semibold mb-1.5" role="status">
		{outbox.status === 'offline' ? 'Offline. ' : ''}Waiting to be sent:
		{#each elsewhere as [job, { pump, count }], i (job)}{i > 0 ? ', ' : ' '}<a href="/jobs/{job}/inspect"
				>{count} {count === 1 ? 'entry' : 'entries'} for {pump}</a
			>{/each}.
	</p>
{/if}
{#each outbox.setAside as entry (entry.id)}
	<div class="flex items-center gap-2 border-2 border-pencil px-2 py-1 mb-1.5" role="alert">
		<p class="flex-1">
			<b>Rejected:</b>
			{kindName[entry.entry.kind]}{typed(entry.entry)}, <a href="/jobs/{entry.job}/inspect">{entry.pump}</a>, {shortTime(
				entry.entry.at
			)}. {why(entry)}
		</p>
		<button type="button" class="btn" onclick={() => void outbox.sendAgain(entry)}>Send again</button>
		<button type="button" class="btn" onclick={() => void outbox.discard(entry)}>Discard</button>
	</div>
{/each}
