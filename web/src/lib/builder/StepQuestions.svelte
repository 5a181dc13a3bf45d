<!-- @component What a step asks before it can be signed off, and what follows from each answer. -->
<script lang="ts">
	import { partType, patternName } from '@exetasis/core/part';
	import type { Ask, Meaning, Step } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import type { DraftState } from './draft.svelte';

	interface Props {
		draft: DraftState;
		step: Step;
		onchange: (asks: readonly Ask[]) => void;
	}
	let { draft, step, onchange }: Props = $props();
	const MOST = 12;
	type Kind = 'tick' | 'count' | 'photo' | 'note' | 'choice';
	const kinds: readonly (readonly [Kind, string])[] = [
		['tick', 'Tick: done and seen'],
		['count', 'Count the pieces'],
		['choice', 'Choose an answer'],
		['photo', 'Take a photo'],
		['note', 'Write a note']
	];
	let kind = $state<Kind>('tick');

	const nameOf = (key: string) => draft.body.stations.find((station) => station.key === key)?.name ?? key;
	function says(ask: Ask): string {
		switch (ask.kind) {
			case 'count':
				return `Count: ${nameOf(ask.station)}`;
			case 'size':
				return `Measure: ${nameOf(ask.station)}`;
			case 'setting':
				return `Setting ${ask.when}: ${ask.name}`;
			default:
				return `${kinds.find(([kind]) => kind === ask.kind)?.[1] ?? 'Readings'}: ${ask.text}`;
		}
	}
	function add(text: string | undefined) {
		if (!text || step.asks.length >= MOST) return;
		const ask: Ask =
			kind === 'choice'
				? {
						kind,
						text,
						per: 'pump',
						choices: [
							{ text: 'As it should be', means: 'harmless' },
							{ text: 'Not as it should be', means: { hold: `${text}: not as it should be.` } }
						]
					}
				: kind === 'count'
					? { kind, station: text }
					: { kind, text };
		onchange([...step.asks, ask]);
	}
	const replace = (i: number, ask: Ask) => onchange(step.asks.with(i, ask));

	// What an answer means, as one value of a list.
	const meaningKey = (means: Meaning): string =>
		typeof means === 'string'
			? means
			: 'finding' in means
				? `finding ${means.finding.station} ${means.finding.pattern}`
				: 'hold' in means
					? 'hold'
					: 'unit';
	const meanings = $derived([
		['harmless', 'nothing'],
		['notStated', 'not stated'],
		['hold', 'hold before release'],
		['unit', 'decide on the whole pump'],
		...draft.body.stations
			.filter(({ key }) => step.stations.includes(key) || step.stations.length === 0)
			.flatMap(({ key, name, type }) =>
				partType(type).patterns.map(
					({ pattern }) => [`finding ${key} ${pattern}`, `${name}: ${patternName(pattern).toLowerCase()}`] as const
				)
			)
	] as const);
	function meaning(chosen: string, text: string): Meaning {
		if (chosen === 'harmless' || chosen === 'notStated') return chosen;
		if (chosen === 'hold') return { hold: `${text}.` };
		if (chosen === 'unit') return { unit: `${text}.` };
		const [, station, pattern] = chosen.split(' ');
		return { finding: { station, pattern } } as Meaning;
	}
</script>

{#each step.asks as ask, i (i)}
	<div class="border-l-2 border-l-line pl-2 grid gap-1.5 mb-2">
		<p>
			{says(ask)}
			<button type="button" class="btn" onclick={() => onchange(step.asks.toSpliced(i, 1))}>Delete</button>
		</p>
		{#if ask.kind === 'choice'}
			{#each ask.choices as choice, j (j)}
				<div class="grid grid-cols-[1fr_1fr] gap-2 items-end">
					<TextEdit
						label="Answer {j + 1}"
						value={choice.text}
						onchange={(text = '') => replace(i, { ...ask, choices: ask.choices.with(j, { ...choice, text }) })}
					/>
					<Choose
						label="means"
						value={meaningKey(choice.means)}
						options={meanings}
						onchoose={(chosen) =>
							replace(i, { ...ask, choices: ask.choices.with(j, { ...choice, means: meaning(chosen, choice.text) }) })}
					/>
				</div>
			{/each}
			{#if ask.choices.length < 8}<button
					type="button"
					class="btn"
					onclick={() =>
						replace(i, {
							...ask,
							choices: [...ask.choices, { text: `Answer ${ask.choices.length + 1}`, means: 'notStated' }]
						})}>Add answer</button
				>{/if}
		{/if}
	</div>
{/each}
<div class="grid grid-cols-[1fr_1fr] gap-2 items-end">
	<Choose label="New question" value={kind} options={kinds} onchoose={(chosen) => (kind = chosen)} />
	{#if kind === 'count'}
		<Choose
			label="Pieces of"
			value=""
			options={[['', 'Choose a part'], ...draft.body.stations.map(({ key, name }) => [key, name] as const)]}
			onchoose={add}
		/>
	{:else}
		{#key step.asks.length}<TextEdit label="Text" value={undefined} optional onchange={add} />{/key}
	{/if}
</div>
