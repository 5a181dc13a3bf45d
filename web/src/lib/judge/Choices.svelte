<!-- @component The three verdicts as buttons: the proposal is taken at once, any other one asks why and keeps both. -->
<script lang="ts">
	import { standingDecision, verdicts, type Verdict } from '@exetasis/core/record';
	import { verdictName } from '$lib/words/reasons';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		proposed: Verdict | 'open';
		/** Names of the sizes that alone keep it from being reused: it may be accepted by eye. */
		byEye?: readonly string[];
		/** True where Enter takes the proposal, which its button then says. */
		entered?: boolean;
		ondecided: () => void;
	}
	let { bench, part, proposed, byEye = [], entered = false, ondecided }: Props = $props();
	const id = $props.id();
	const standing = $derived(standingDecision(part.record)?.payload.verdict);

	let overruling = $state<Verdict>();
	let why = $state('');
	let problem = $state('');

	/** Accepts the proposal as it stands, where there is one. */
	export function accept(): void {
		if (proposed !== 'open' && part.inspected) decide(proposed);
	}

	function decide(verdict: Verdict, reason?: string) {
		const payload = { verdict, proposed, ...(reason ? { why: reason } : {}) };
		bench.record({ kind: 'decision', part: part.cell.part, payload });
		overruling = undefined;
		why = problem = '';
		ondecided();
	}

	function choose(verdict: Verdict) {
		if (verdict === proposed) return accept();
		overruling = verdict;
		problem = '';
	}

	function overrule() {
		if (!overruling) return;
		if (why.trim() !== '') return decide(overruling, why.trim());
		problem = 'Write the reason. It is recorded with the proposal.';
	}
</script>

<div class="choices flex flex-wrap gap-1.5 mt-1.5" role="group" aria-label="Decide">
	{#each verdicts as verdict (verdict)}
		<button
			type="button"
			class="btn"
			class:main={verdict === proposed && part.inspected}
			aria-pressed={standing === verdict}
			disabled={!part.inspected}
			onclick={() => choose(verdict)}
		>
			{verdictName[verdict]}{entered && verdict === proposed && verdict !== 'lookAgain' && part.inspected ? ' ⏎' : ''}
		</button>
	{/each}
	{#if part.inspected && byEye.length > 0}
		<button
			type="button"
			class="btn"
			onclick={() => decide('reuse', `Judged by eye; not measured: ${byEye.join(', ')}`)}>Accept by eye</button
		>
	{/if}
</div>
{#if !part.inspected}<p class="soft">
		Inspect first: mark the damage, or press “Clean”. A discarded part is the best evidence of the cause.
	</p>{/if}
{#if overruling}
	<div class="label mt-2 max-w-128">
		<label for="{id}-why">Reason to {verdictName[overruling].toLowerCase()}, against the proposal</label>
		<!-- svelte-ignore a11y_autofocus -->
		<input
			id="{id}-why"
			autofocus
			bind:value={why}
			aria-invalid={problem !== ''}
			onkeydown={(event) => {
				if (event.key === 'Enter') overrule();
				event.stopPropagation();
			}}
		/>
		{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
		<div class="choices flex flex-wrap gap-1.5 mt-1.5">
			<button type="button" class="btn main" onclick={overrule}>Overrule</button>
			<button type="button" class="btn" onclick={() => (overruling = undefined)}>Cancel</button>
		</div>
	</div>
{/if}
