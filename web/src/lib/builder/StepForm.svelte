<!-- @component The step in hand: text, parts, where it is signed off, what comes before it, questions, cautions. -->
<script lang="ts">
	import { isFirst, withStepChanged, withStepSplit, withoutStep } from '@exetasis/core/draft';
	import { stepSchema, type Step } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { deducedStep } from '$lib/words/steps';
	import type { DraftState } from './draft.svelte';
	import PartCautions from './PartCautions.svelte';
	import MoreFields from './fields/MoreFields.svelte';
	import { statementForm } from './fields/statementForm.svelte';
	import OnlyWithChoices from './OnlyWithChoices.svelte';
	import StepQuestions from './StepQuestions.svelte';

	interface Props {
		draft: DraftState;
		step: Step;
		ongone: () => void;
	}
	let { draft, step, ongone }: Props = $props();
	const first = $derived(isFirst(step));
	const change = (next: Partial<Step>) => draft.change(withStepChanged(draft.body, step.key, next));
	const form = statementForm(stepSchema, () => step, change);
	const toggled = (keys: readonly string[], key: string): string[] =>
		keys.includes(key) ? keys.filter((candidate) => candidate !== key) : [...keys, key];
	const earlier = $derived(
		draft.body.steps.slice(
			0,
			draft.body.steps.findIndex(({ key }) => key === step.key)
		)
	);
	const parts = $derived(
		step.stage === 'build' ? [...draft.body.stations, ...draft.body.subAssemblies] : draft.body.stations
	);
	const more = [
		'sure',
		'at',
		'blocking',
		'walk',
		'joins',
		'tools',
		'cautions',
		'asks',
		'ways',
		'lays',
		'crank',
		'locks',
		'within',
		'recalls'
	];
	const handles = $derived(step.stage === 'strip' || step.stage === 'build');
</script>

<h2>Step</h2>
<TextEdit label="What is done" value={step.text} rows={3} onchange={(text = '') => change({ text, sure: 'stated' })} />
{#if step.sure === 'deduced'}
	<p class="soft">{deducedStep}</p>
	<button type="button" class="btn" onclick={() => change({ sure: 'stated' })}>Confirm step</button>
{/if}
{#if !first}
	<Choose
		label="Signed off"
		value={step.per}
		options={[
			['pump', 'once'],
			['cylinder', 'at every cylinder']
		]}
		onchoose={(per) => change({ per })}
	/>
	{#if handles}
		<h3>{step.stage === 'strip' ? 'Parts that come off' : 'Parts that go in, in this order'}</h3>
		<div class="flex flex-wrap gap-1" role="group" aria-label="Parts of the step">
			{#each parts as { key, name } (key)}
				<button
					type="button"
					class="btn"
					aria-pressed={step.stations.includes(key)}
					onclick={() => change({ stations: toggled(step.stations, key) })}
					>{step.stations.includes(key) ? `${step.stations.indexOf(key) + 1} ` : ''}{name}</button
				>
			{/each}
		</div>
	{/if}
	{#if handles && step.stations.length > 1}
		<div>
			<button type="button" class="btn" onclick={() => draft.change(withStepSplit(draft.body, step.key))}
				>Split: one step per part</button
			>
		</div>
	{/if}
	{#if draft.body.scopes.length > 1}
		<h3>Part of</h3>
		<div class="flex flex-wrap gap-1">
			{#each draft.body.scopes as scope (scope.key)}
				<button
					type="button"
					class="btn"
					aria-pressed={step.scopes.includes(scope.key)}
					onclick={() => {
						const scopes = toggled(step.scopes, scope.key);
						if (scopes.length > 0) change({ scopes });
					}}>{scope.name}</button
				>
			{/each}
		</div>
	{/if}
	{#if draft.body.variants.length > 0}
		<OnlyWithChoices
			variants={draft.body.variants}
			onlyWith={step.onlyWith}
			onchange={(onlyWith) => change({ onlyWith })}
		/>
	{/if}
	<details>
		<summary class="min-h-11 flex items-center cursor-pointer">Must be signed off before ({step.after.length})</summary>
		<div class="flex flex-wrap gap-1">
			{#each earlier as { key, text } (key)}
				<button
					type="button"
					class="btn before"
					aria-pressed={step.after.includes(key)}
					onclick={() => change({ after: toggled(step.after, key) })}>{text}</button
				>
			{/each}
		</div>
	</details>
{/if}
<h3>Questions before sign-off</h3>
<StepQuestions {draft} {step} onchange={(asks) => change({ asks: [...asks] })} />
<h3>Cautions</h3>
<PartCautions cautions={step.cautions} offered={[]} onchange={(cautions) => change({ cautions: [...cautions] })} />
<h3>More statements</h3>
<MoreFields {form} names={first ? more.filter((name) => name !== 'blocking') : more} draft={draft.body} />
{#if !first}
	<div class="mt-3">
		<button
			type="button"
			class="btn"
			onclick={() => {
				ongone();
				draft.change(withoutStep(draft.body, step.key));
			}}>Delete step</button
		>
	</div>
{/if}

<style>
	.before {
		text-align: left;
		font-weight: 450;
	}
	h3 {
		font-weight: 650;
		margin-top: 8px;
	}
</style>
