<!-- @component One part opened in the Decide table: all its reasons, its arithmetic, and the decision, against the proposal with a reason. -->
<script lang="ts">
	import { judge, sizesByEye, type DecidedPart, type JudgeInput } from '@exetasis/core/decide';
	import type { Verdict } from '@exetasis/core/record';
	import type { BenchPart, BenchState } from '$lib/log/bench.svelte';
	import Choices from '$lib/judge/Choices.svelte';
	import RiskOfWear from '$lib/judge/RiskOfWear.svelte';
	import { reasonSentence, sizeNames } from '$lib/words/reasons';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		bench: BenchState;
		part: BenchPart;
		outcome: DecidedPart;
		/** What the policy that is tried says. */
		proposed: Verdict | 'open';
		input: () => JudgeInput;
		locked: boolean;
		ondecided: () => void;
	}
	let { bench, part, outcome, proposed, input, locked, ondecided }: Props = $props();
	let arithmetic = $state(false);
	const rests = $derived({ ...input(), context: bench.context });
	const judgement = $derived(judge(rests));
	const byEye = $derived(sizeNames(part.station, sizesByEye(judgement.reasons)));
</script>

<div class="grid gap-2 justify-items-start pt-1 pb-2">
	<ul class="squares text-[0.9rem]">
		{#each outcome.reasons as reason, index (index)}<li>
				{reasonSentence(reason, part.station, format)}
			</li>{/each}
	</ul>
	{#each judgement.measured as { sheet, characteristic } (sheet.key)}
		{#if judgement.outlook[sheet.key]}<RiskOfWear
				{sheet}
				outlook={judgement.outlook[sheet.key]}
				age={part.cell.age}
				name={characteristic.name}
			/>{/if}
	{/each}
	{#if !locked}<Choices {bench} {part} {proposed} {byEye} {ondecided} />{/if}
	<button type="button" class="btn" aria-expanded={arithmetic} onclick={() => (arithmetic = !arithmetic)}
		>Calculation step by step</button
	>
	{#if arithmetic}
		{#await import('$lib/judge/Arithmetic.svelte') then { default: Arithmetic }}
			<Arithmetic input={rests} {judgement} />
		{/await}
	{/if}
</div>
