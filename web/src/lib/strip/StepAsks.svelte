<!-- @component What a step asks, each with its answer; a choice may say something of parts, and stands at them as well. -->
<script lang="ts">
	import { askedAt, askKey, openedCylinders, type Answer, type Ask, type Step } from '@exetasis/core/record';
	import { page } from '$app/state';
	import type { LastTime } from '@exetasis/server/jobs/lastTime';
	import type { BenchState, NewEntry } from '$lib/log/bench.svelte';
	import StepAsk from './StepAsk.svelte';

	interface Props {
		bench: BenchState;
		step: Step;
		locked: boolean;
		/** Something is typed that is not an answer yet. */
		typing?: boolean;
	}
	let { bench, step, locked, typing = $bindable(false) }: Props = $props();

	const { sheet, job } = $derived(bench.bench);
	const partsAt = (station: string) => [...bench.parts.values()].filter((part) => part.station.key === station);
	// What a choice said before goes.
	function meant(ask: Ask, value: Answer['payload']['value'], at: number | undefined): NewEntry[] {
		if (ask.kind !== 'choice') return [];
		return ask.choices.flatMap(({ text: choice, means }) => {
			if (typeof means === 'string' || !('finding' in means)) return [];
			const { station, pattern } = means.finding;
			const here = partsAt(station).filter(({ cell }) => !at || cell.cylinder === 0 || cell.cylinder === at);
			return here.flatMap(({ cell, record }): NewEntry[] => {
				const standing = record.findings.find(({ payload }) => payload.pattern === pattern);
				if (choice === value && !standing)
					return [{ kind: 'finding', part: cell.part, payload: { pattern, severity: 2, onset: 'service' } }];
				if (choice !== value && standing)
					return [{ kind: 'withdraw', payload: { entry: standing.id, why: 'answer changed' } }];
				return [];
			});
		});
	}
	type At = number | undefined;
	function answer(ask: Ask, i: number, places: readonly At[], value: Answer['payload']['value']) {
		typing = false;
		bench.record(
			...places.flatMap((at): NewEntry[] => [
				{ kind: 'answer', payload: { step: step.key, ask: i, value, ...(at ? { cylinder: at } : {}) } },
				...meant(ask, value, at)
			])
		);
	}
	const givenAt = (i: number, at: At) => bench.log.answers.get(askKey(step.key, i, at))?.payload.value;
	/** What was chosen, if the same at all cylinders. */
	function givenAtAll(ask: Ask, i: number) {
		const [value, ...others] = new Set(askedAt(ask, cylinders).map((at) => givenAt(i, at)));
		return others.length === 0 ? value : undefined;
	}
	function answerAll(ask: Ask, i: number, value: Answer['payload']['value']) {
		const others = askedAt(ask, cylinders).filter((at) => givenAt(i, at) !== value);
		answer(ask, i, others, value);
	}
	const cylinders = $derived(openedCylinders(sheet, job));
	// The same question at the pump's last rebuild: a trend is seen here.
	const last = $derived((page.data as { lastTime?: LastTime }).lastTime);
	function lastTime(ask: Ask) {
		const question = ask.kind === 'readings' ? ask.text : ask.kind === 'setting' ? ask.name : undefined;
		const found = question && last?.readings.find((reading) => reading.question === question);
		return found ? { at: last!.receivedAt, value: found.value } : undefined;
	}
	// How it was set when the pump came in: it is set to that again.
	function foundSetting(name: string): Answer['payload']['value'] | undefined {
		for (const other of sheet.steps)
			for (const [i, asked] of other.asks.entries())
				if (asked.kind === 'setting' && asked.when === 'found' && asked.name === name)
					return bench.log.answers.get(askKey(other.key, i))?.payload.value;
		return undefined;
	}
</script>

{#each step.asks as ask, i (i)}
	{@const everywhere = askedAt(ask, cylinders)}
	{#if ask.kind === 'choice' && everywhere.length > 1}
		<p class="mt-1 text-[0.98rem] font-semibold">{ask.text}</p>
		<StepAsk
			{ask}
			{sheet}
			due={0}
			cylinder="all"
			{cylinders}
			given={givenAtAll(ask, i)}
			{locked}
			onanswer={(value) => answerAll(ask, i, value)}
			ontyping={(now) => (typing = now)}
		/>
	{/if}
	{#each everywhere as at (at)}<StepAsk
			{ask}
			{sheet}
			due={ask.kind === 'count' ? bench.piecesDue(step, ask.station) : 0}
			cylinder={at}
			{cylinders}
			before={lastTime(ask)}
			given={givenAt(i, at)}
			found={ask.kind === 'setting' && ask.when === 'left' ? foundSetting(ask.name) : undefined}
			{locked}
			onanswer={(value) => answer(ask, i, [at], value)}
			ontyping={(now) => (typing = now)}
		/>{/each}
{/each}
