<!-- @component One question of a step, with its answer: seen, counted, chosen, or in one's own words. -->
<script lang="ts">
	import { patternName } from '@exetasis/core/part';
	import { inSentence } from '$lib/words/place';
	import { parseNumber, parseQuantity } from '@exetasis/core/quantity';
	import type { Answer, Ask, ModelSheet } from '@exetasis/core/record';
	import { numberSentence, quantitySentence } from '$lib/words/problems';
	import { day } from '$lib/format/time';
	import { answerWords, askWords } from '$lib/words/steps';
	import ReadingsAsk from './ReadingsAsk.svelte';
	import { formatInUse } from '$lib/format/context';

	const format = formatInUse();
	interface Props {
		ask: Ask;
		sheet: ModelSheet;
		/** As many pieces as there should be, where they are counted. */
		due: number;
		given?: Answer['payload']['value'];
		locked: boolean;
		/** How it was set when the pump came in. */
		found?: Answer['payload']['value'];
		/** What was measured or set at the pump's last rebuild, and when that was. */
		before?: { readonly at: Date; readonly value: Answer['payload']['value'] };
		/** The cylinders that the job opens. */
		cylinders: readonly number[];
		/** The cylinder that is asked about, where it is asked at each; `all`: one touch answers for all. */
		cylinder?: number | 'all';
		onanswer: (value: Answer['payload']['value']) => void;
		/** Something is typed that is not an answer yet. */
		ontyping: (typing: boolean) => void;
	}
	let { ask, sheet, due, given, locked, cylinder, cylinders, found, before, onanswer, ontyping }: Props = $props();
	const named = $derived.by(() => {
		if (ask.kind !== 'choice' || cylinder === undefined) return ask;
		return { ...ask, text: `${ask.text}, ${cylinder === 'all' ? 'all cylinders' : `cylinder ${cylinder}`}` };
	});
	// Below the question itself, which stands once above the cylinders.
	const of = $derived(cylinder === 'all' ? 'All cylinders' : `Cylinder ${cylinder}`);
	// What follows from the answer that stands.
	const follows = $derived.by(() => {
		if (ask.kind !== 'choice' || cylinder === 'all') return '';
		const means = ask.choices.find(({ text }) => text === given)?.means;
		if (means === undefined || typeof means === 'string') return '';
		if ('hold' in means) return means.hold;
		if ('unit' in means) return means.unit;
		const part = sheet.stations.find(({ key }) => key === means.finding.station);
		return `Recorded as a finding: ${patternName(means.finding.pattern).toLowerCase()}, ${inSentence(part?.name ?? '')}.`;
	});
	const id = $props.id();

	const COUNTED = { least: 0, most: 1000 };
	let typed = $state('');
	let problem = $state('');
	// Anyone's answer stands here, also one from another tablet.
	$effect(() => {
		if (typeof given === 'number' || typeof given === 'string') typed = String(given);
		else if (typeof given === 'object' && 'value' in given) typed = format.quantity(given.value, given.typed.unit);
	});
	const differs = $derived(ask.kind === 'count' && typeof given === 'number' && given !== due);

	function take() {
		problem = '';
		const text = typed.trim();
		if (ask.kind === 'count') {
			const read = parseNumber(text, COUNTED);
			if (read.kind === 'problem')
				return void (problem = numberSentence(read.problem, format, 'Type the number of pieces.'));
			if (!Number.isInteger(read.value)) return void (problem = 'Type a whole number.');
			return onanswer(read.value);
		}
		if (ask.kind === 'setting') {
			const read = parseQuantity(text, ask.unit);
			if (read.kind === 'problem')
				return void (problem = quantitySentence(read.problem, format, 'Type the setting first.'));
			return onanswer({ value: read.base, typed: { text, unit: read.unit } });
		}
		if (text === '') return void (problem = 'Write a note first.');
		onanswer(text);
	}
</script>

<div
	class="flex flex-wrap items-center gap-1.5 mt-1 text-[0.98rem] font-semibold"
	role="group"
	aria-label={askWords(named, sheet)}
>
	{#if ask.kind === 'tick'}
		<span>{askWords(ask, sheet)}</span>
		<button
			type="button"
			class="btn"
			aria-pressed={given === true}
			disabled={locked || given === true}
			onclick={() => onanswer(true)}>{given === true ? 'Checked ✓' : 'Checked'}</button
		>
	{:else if ask.kind === 'choice'}
		{#if cylinder !== undefined && cylinders.length > 1}<span class="min-w-28 font-normal">{of}</span>
		{:else}<span>{named.kind === 'choice' ? named.text : ''}</span>{/if}
		{#each ask.choices as { text } (text)}
			<button type="button" class="btn" aria-pressed={given === text} disabled={locked} onclick={() => onanswer(text)}
				>{text}</button
			>
		{/each}
		{#if follows}<b class="wrong">{follows}</b>{/if}
	{:else if ask.kind === 'readings'}
		<ReadingsAsk {ask} {cylinders} {given} {locked} {onanswer} />
	{:else if ask.kind === 'count' || ask.kind === 'note' || ask.kind === 'setting'}
		<label for={id}>{askWords(ask, sheet)}</label>
		{#if typeof found === 'object' && 'value' in found}<span
				>As found: {format.quantity(found.value, found.typed.unit)}</span
			>{/if}
		{#if ask.kind === 'count'}<button
				type="button"
				class="btn"
				aria-pressed={given === due}
				disabled={locked}
				onclick={() => onanswer(due)}>All {due}</button
			>{/if}
		<input
			{id}
			class="input flex-1 min-w-40"
			class:short={ask.kind !== 'note'}
			inputmode={ask.kind === 'note' ? undefined : 'decimal'}
			autocomplete="off"
			maxlength="400"
			disabled={locked}
			bind:value={typed}
			aria-invalid={problem !== ''}
			oninput={() => ontyping(typed.trim() !== '')}
			onkeydown={(event) => event.key === 'Enter' && take()}
		/>
		<button type="button" class="btn" disabled={locked} onclick={take}
			>{given === undefined ? 'Enter' : 'Change'}</button
		>
	{:else}
		<span>{askWords(ask, sheet)}</span>
	{/if}
	{#if before}<span class="soft">Last rebuild, {day(before.at)}: {answerWords(before.value)}</span>{/if}
	{#if differs}<b class="wrong">{due} expected. Search for the missing ones.</b>{/if}
	{#if problem}<p class="wrong" role="alert">{problem}</p>{/if}
</div>

<style>
	.input.short {
		flex: none;
		width: 6rem;
		min-width: 0;
	}
</style>
