<!-- @component What a step asks, each with its answer; a choice may say something of parts, and stands at them as well. -->
<script lang="ts">
	import { askKey, piecesInPump, type Answer, type Ask, type Step } from '@exetasis/core/record';
	import type { BenchState, NewEntry } from '$lib/log/bench.svelte';
	import StepAsk from './StepAsk.svelte';

	interface Props {
		bench: BenchState;
		step: Step;
		locked: boolean;
	}
	let { bench, step, locked }: Props = $props();

	const { sheet, job } = $derived(bench.bench);
	const partsAt = (station: string) => [...bench.parts.values()].filter((part) => part.station.key === station);
	// What a choice said before goes.
	function meant(ask: Ask, value: Answer['payload']['value']): NewEntry[] {
		if (ask.kind !== 'choice') return [];
		return ask.means.flatMap(({ choice, station, pattern }) =>
			partsAt(station).flatMap(({ cell, record }): NewEntry[] => {
				const standing = record.findings.find(({ payload }) => payload.pattern === pattern);
				if (choice === value && !standing)
					return [{ kind: 'finding', part: cell.part, payload: { pattern, severity: 2, onset: 'service' } }];
				if (choice !== value && standing)
					return [{ kind: 'withdraw', payload: { entry: standing.id, why: 'answered otherwise' } }];
				return [];
			})
		);
	}
	// Going in all of them belong; coming out those that were not there are not looked for.
	const due = (station: string) =>
		(step.stage === 'build' ? undefined : bench.piecesOut.find((one) => one.station.key === station)?.expected) ??
		piecesInPump(sheet, station, job);
	const answer = (ask: Ask, i: number, value: Answer['payload']['value']) =>
		bench.record({ kind: 'answer', payload: { step: step.key, ask: i, value } }, ...meant(ask, value));
</script>

{#each step.asks as ask, i (i)}
	<StepAsk
		{ask}
		{sheet}
		due={ask.kind === 'count' ? due(ask.station) : 0}
		given={bench.log.answers.get(askKey(step.key, i))?.payload.value}
		{locked}
		onanswer={(value) => answer(ask, i, value)}
	/>
{/each}
