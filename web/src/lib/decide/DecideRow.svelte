<!-- @component One part opened in the Decide table: all its reasons, its arithmetic, and the decision, against the proposal with a reason. -->
<script lang="ts">
	import { judge, type DecidedPart, type JudgeInput } from '@exetasis/core/decide';
	import { verdicts, type Verdict } from '@exetasis/core/record';
	import type { BenchPart, BenchState } from '$lib/bench/bench.svelte';
	import { unitsInUse } from '$lib/ui/preference';
	import { reasonSentence, verdictName } from '$lib/words/reasons';

	interface Props {
		bench: BenchState;
		part: BenchPart;
		one: DecidedPart;
		/** What the school that is tried says. */
		proposed: Verdict | 'open';
		input: () => JudgeInput;
		locked: boolean;
		ondecided: () => void;
	}
	let { bench, part, one, proposed, input, locked, ondecided }: Props = $props();
	const units = unitsInUse();
	const id = $props.id();
	let overruling = $state<Verdict>();
	let why = $state('');
	let problem = $state('');
	let arithmetic = $state(false);

	function keep(verdict: Verdict, reason: object) {
		bench.record({ kind: 'decision', part: one.id, payload: { verdict, proposed, ...reason } });
		ondecided();
	}

	function choose(verdict: Verdict) {
		if (verdict === proposed) return keep(verdict, {});
		overruling = verdict;
		problem = '';
	}

	function overrule() {
		if (!overruling) return;
		if (why.trim() === '')
			return void (problem = 'Write why: the record keeps the proposal and your reason side by side.');
		keep(overruling, { why: why.trim() });
	}
</script>

<div class="open">
	<ul>
		{#each one.reasons as reason, index (index)}<li>
				{reasonSentence(reason, part.station, units())}
			</li>{/each}
	</ul>
	{#if !locked && part.looked}
		<div class="choices" role="group" aria-label="Decide">
			{#each verdicts as verdict (verdict)}
				<button
					type="button"
					class="press"
					class:main={verdict === proposed}
					aria-pressed={overruling === verdict || one.decided === verdict}
					onclick={() => choose(verdict)}>{verdictName[verdict]}</button
				>
			{/each}
			{#if overruling}
				<div class="field why">
					<label for="{id}-why">Why {verdictName[overruling].toLowerCase()}, against the proposal?</label>
					<!-- svelte-ignore a11y_autofocus -->
					<input
						id="{id}-why"
						autofocus
						bind:value={why}
						aria-invalid={problem !== ''}
						onkeydown={(event) => event.key === 'Enter' && overrule()}
					/>
					{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
				</div>
				<button type="button" class="press main" onclick={overrule}>Overrule</button>
			{/if}
		</div>
	{/if}
	<button type="button" class="press" aria-expanded={arithmetic} onclick={() => (arithmetic = !arithmetic)}
		>The arithmetic, step by step</button
	>
	{#if arithmetic}
		{#await import('$lib/bench/Arithmetic.svelte') then { default: Arithmetic }}
			{@const rests = input()}
			<Arithmetic input={rests} judgement={judge(rests)} />
		{/await}
	{/if}
</div>

<style>
	.open {
		display: grid;
		gap: 8px;
		justify-items: start;
		padding: 4px 0 8px;
	}
	ul {
		list-style: square;
		padding-left: 1.1rem;
		font-size: 0.9rem;
	}
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		align-items: end;
	}
	.why {
		min-width: 22rem;
	}
</style>
