<!-- @component The arithmetic behind a verdict, step by step: what went in, by which method and source, what came out. -->
<script lang="ts">
	import { arithmeticOf, type JudgeInput, type Judgement, type StepKey } from '@exetasis/core/decide';
	import { dimensionOf, shownUnit, type Unit } from '@exetasis/core/quantity';
	import { inputName, stepMethod, stepName } from '$lib/words/arithmetic';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		input: JudgeInput;
		judgement: Judgement;
	}
	let { input, judgement }: Props = $props();
	const steps = $derived(arithmeticOf(input, judgement));
	// A digit more than where one works, so that the sum can be done again by hand.
	const finer: Partial<Record<Unit, number>> = {
		mm: 4,
		in: 5,
		um: 3,
		N: 2,
		lbf: 3,
		MPa: 4,
		bar: 2,
		shoreA: 2,
		deg: 2,
		pieces: 3,
		percent: 2
	};
	const shown = (value: number, unit: Unit) => {
		const to = shownUnit(dimensionOf(unit), format.units);
		return format.quantity(value, to, to === 'pieces' && Number.isInteger(value) ? 0 : finer[to]);
	};
	const spread = (value: number, unit: Unit) => {
		const to = shownUnit(dimensionOf(unit), format.units);
		return format.difference(value, to, finer[to]);
	};
	const chances: readonly StepKey[] = ['beyondNow', 'beyondAtService', 'pace', 'competingFailure'];
</script>

<ol class="grid gap-2.5 text-[0.84rem]">
	{#each steps as step, index (index)}
		{@const { key, inputs, result } = step}
		<li class="border-l-3 border-l-line pl-[0.6rem]">
			<p class="flex flex-wrap justify-between gap-x-[0.8rem] gap-y-0">
				<b>{stepName(step, input.station.type)}</b>
				<b class="figures"
					>{chances.includes(key) ? format.probability(result.value) : shown(result.value, result.unit)}{result.u ===
					undefined
						? ''
						: ` (u ${spread(result.u, result.unit)})`}</b
				>
			</p>
			<dl class="grid grid-cols-[1fr_auto] gap-x-[0.8rem] gap-y-0">
				{#each inputs as input, at (at)}
					<dt>{inputName(input, at)}</dt>
					<dd class="figures text-right">{shown(input.value, input.unit)}</dd>
				{/each}
			</dl>
			<p class="soft">{stepMethod(step)}</p>
		</li>
	{:else}<li class="soft border-l-3 border-l-line pl-[0.6rem]">
			No calculation yet. The verdict follows from the inspection and the sheet.
		</li>{/each}
</ol>
