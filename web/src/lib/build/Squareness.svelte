<!-- @component How deep and how square a ring sits: its depth below the face at four places round the rim. -->
<script lang="ts">
	import { seating } from '@exetasis/core/build';
	import { parseQuantity, unitLabel } from '@exetasis/core/quantity';
	import { quantitySentence } from '$lib/words/problems';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		/** Keeps what was found with the part. */
		onkeep: (words: string) => void;
	}
	let { onkeep }: Props = $props();
	const id = $props.id();

	/** Less than this is square, as depths are read. */
	const SQUARE_MM = 0.005;
	const clock = [
		[0, '12 o’clock'],
		[90, '3'],
		[180, '6'],
		[270, '9']
	] as const;
	let typed = $state(['', '', '', '']);
	const answer = $derived.by(() => {
		const read = typed.map((text) => (text.trim() === '' ? undefined : parseQuantity(text, format.units.length)));
		const wrong = read.find((parsed) => parsed?.kind === 'problem');
		if (wrong?.kind === 'problem') return { problem: quantitySentence(wrong.problem, format, 'Type the depth.') };
		const readings = read.flatMap((parsed, i) =>
			parsed?.kind === 'quantity' ? [{ atDeg: clock[i][0], depthMm: parsed.base }] : []
		);
		return readings.length < 3 ? undefined : seating(readings);
	});
	const hour = (deg: number) => Math.round(deg / 30) % 12 || 12;
	const words = $derived(
		answer && !('problem' in answer)
			? `Depth ${format.quantity(answer.depthMm, format.units.length)}, out of square by ${format.quantity(answer.outOfSquareMm, format.units.length)}${answer.outOfSquareMm > SQUARE_MM ? `, deepest at ${hour(answer.deepestDeg)} o’clock` : ''}`
			: ''
	);
</script>

<div class="flex flex-wrap items-center gap-1.5 text-[0.92rem]" role="group" aria-label="Depth and squareness">
	<span>Depth below the face ({unitLabel(format.units.length)}) at</span>
	{#each clock as [, name], i (name)}
		<label for="{id}-{i}">{name}</label>
		<input
			id="{id}-{i}"
			class="input w-20!"
			inputmode="decimal"
			autocomplete="off"
			maxlength="12"
			bind:value={typed[i]}
		/>
	{/each}
	{#if answer}
		<p class="basis-full" role="status">
			{#if 'problem' in answer}<span class="wrong">{answer.problem}</span>
			{:else}
				<b>{words}.</b>
				{#if answer.restMm !== undefined}<span class="soft"
						>{format.number(answer.restMm, 3)} mm are left beside a flat ring.</span
					>{/if}
				The maker’s sheet states the limit.
				<button type="button" class="btn" onclick={() => onkeep(`${words}.`)}>Save with the part</button>
			{/if}
		</p>
	{:else}<p class="soft basis-full">Measure at three points or more.</p>{/if}
</div>
