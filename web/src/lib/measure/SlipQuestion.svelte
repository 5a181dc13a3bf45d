<!-- @component A size that is probably a slip: it is read again, or kept with a reason; until then the verdict waits. -->
<script lang="ts">
	import type { Slip } from '@exetasis/core/decide';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import { slipSentence } from '$lib/words/slips';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		slip: Slip;
		locked: boolean;
		/** The place is to be read again. */
		onagain: (row: number, column: number) => void;
	}
	let { bench, part, slip, locked, onagain }: Props = $props();
	const id = $props.id();
	let reason = $state('');
	let problem = $state('');

	const entry = $derived(part.record.readings.find((reading) => reading.id === slip.reading));
	function again() {
		if (!entry) return;
		bench.withdraw(entry, 'read again');
		onagain(entry.payload.row, entry.payload.column);
	}
	function keep() {
		const confirmed = reason.trim();
		if (confirmed === '') return void (problem = 'Write the reason, for example: swollen, wrong part fitted.');
		if (!entry) return;
		bench.record(
			{ kind: 'reading', part: part.cell.part, payload: { ...entry.payload, confirmed } },
			{ kind: 'withdraw', payload: { entry: entry.id, why: 'confirmed' } }
		);
		reason = '';
		problem = '';
	}
</script>

<div class="border-l-4 border-l-doubt pl-2 my-0.75 leading-[1.25]" role="group" aria-label="Check this reading">
	<p class="wrong" role="alert">{slipSentence(slip, part.station, format)}</p>
	<div class="flex flex-wrap gap-1.5 mt-1">
		<button type="button" class="btn main" disabled={locked} onclick={again}>Read again</button>
		<label class="sr-only" for={id}>Reason to keep it</label>
		<input
			{id}
			class="input flex-1 min-w-32"
			placeholder="Correct because …"
			autocomplete="off"
			maxlength="400"
			disabled={locked}
			bind:value={reason}
			aria-invalid={problem !== ''}
			onkeydown={(event) => {
				event.stopPropagation();
				if (event.key === 'Enter') keep();
			}}
		/>
		<button type="button" class="btn" disabled={locked} onclick={keep}>Keep reading</button>
	</div>
	{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
</div>
