<!-- @component How far a slotted nut is turned on until its pin goes through: on, never back. -->
<script lang="ts">
	import { nextSlot } from '@exetasis/core/build';
	import { parseNumber } from '@exetasis/core/quantity';
	import type { Fastening } from '@exetasis/core/record';
	import { numberSentence } from '$lib/words/problems';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		fastening: Fastening;
	}
	let { fastening }: Props = $props();
	const id = $props.id();
	let ahead = $state('');
	let rise = $state('');
	const read = (text: string) => parseNumber(text, { least: 0, most: 1000 });
	const answer = $derived.by(() => {
		if (ahead.trim() === '') return undefined;
		const angle = read(ahead);
		if (angle.kind === 'problem') return { problem: numberSentence(angle.problem, format) };
		const per = rise.trim() === '' ? undefined : read(rise);
		if (per?.kind === 'problem') return { problem: numberSentence(per.problem, format) };
		return nextSlot({
			slots: fastening.slots!,
			aheadDeg: angle.value,
			torqueNm: fastening.torqueNm ?? 0,
			mostNm: fastening.mostNm,
			riseNmPerDeg: per?.value
		});
	});
</script>

<div class="flex flex-wrap items-center gap-1.5 text-[0.92rem]" role="group" aria-label="Turn to the next slot">
	<label for="{id}-ahead">Angle from the next slot to the hole (°)</label>
	<input id="{id}-ahead" class="input w-20!" inputmode="decimal" autocomplete="off" maxlength="10" bind:value={ahead} />
	<label for="{id}-rise">Torque rise (N·m per degree, if you read it twice)</label>
	<input id="{id}-rise" class="input w-20!" inputmode="decimal" autocomplete="off" maxlength="10" bind:value={rise} />
	{#if answer}
		<p class="basis-full" role="status">
			{#if 'problem' in answer}<span class="wrong">{answer.problem}</span>
			{:else if answer.turnDeg === 0}<b>The pin fits.</b>
			{:else}
				Tighten another <b class="figures">{format.number(answer.turnDeg)}°</b>. Never turn back.
				{#if answer.mayTurn === false}
					<b class="wrong"
						>This gives {format.quantity(answer.torqueNm!, format.units.torque)}, more than the maximum of {format.quantity(
							fastening.mostNm!,
							format.units.torque
						)}. Use another nut or washer and tighten again.</b
					>
				{:else if answer.torqueNm !== undefined}
					That makes {format.quantity(answer.torqueNm, format.units.torque)}.
				{:else if fastening.mostNm}
					Read the wrench there: never above {format.quantity(fastening.mostNm, format.units.torque)}.
				{/if}
			{/if}
		</p>
	{/if}
</div>
