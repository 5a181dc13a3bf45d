<!-- @component The steps of all stages in their order. Lock-out and release of pressure come first and stay there. -->
<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import {
		isFirst,
		withNewStep,
		withStepMoved,
		withStepOrder,
		withStepsConfirmed,
		withStepsDrafted
	} from '@exetasis/core/draft';
	import { stages, type Step } from '@exetasis/core/record';
	import Choose from '$lib/ui/Choose.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { stageName } from '$lib/words/draft';
	import type { DraftState } from './draft.svelte';
	import StepForm from './StepForm.svelte';

	interface Props {
		draft: DraftState;
		/** Key of the step in hand. */
		step: string | undefined;
		onstep: (key: string | undefined) => void;
	}
	let { draft, step: inHand, onstep }: Props = $props();
	const steps = $derived(draft.body.steps);
	const step = $derived(steps.find(({ key }) => key === inHand));
	const wrong = $derived(
		new Set(draft.faults.flatMap(({ subject }) => (subject.kind === 'step' ? [subject.key] : [])))
	);
	let stage = $state<Step['stage']>('strip');

	type Item = Step & { readonly id: string };
	let dragged = $state.raw<Item[]>();
	const shown = $derived(dragged ?? steps.map((step): Item => ({ ...step, id: step.key })));
	function drop({ detail }: CustomEvent<DndEvent<Item>>) {
		dragged = undefined;
		draft.change(
			withStepOrder(
				draft.body,
				detail.items.map(({ key }) => key)
			)
		);
	}

	const sameStage = (i: number, by: number) => steps[i + by]?.stage === steps[i].stage && !isFirst(steps[i + by]);
	function add(text: string | undefined) {
		if (!text) return;
		const added = withNewStep(draft.body, stage, text);
		draft.change(added.draft);
		onstep(added.key);
	}
	const unconfirmed = $derived(steps.filter(({ sure }) => sure === 'deduced').length);
	const drafted = $derived(withStepsDrafted(draft.body));
</script>

<div class="columns grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-4 items-start max-[900px]:grid-cols-[1fr]">
	<section aria-label="Steps">
		{#if drafted.steps.length > steps.length}
			<p class="flex flex-wrap items-center gap-2.5 border-l-3 border-l-doubt pl-2.5">
				{drafted.steps.length - steps.length} steps are missing for the parts, cleaning or proving.
				<button type="button" class="btn main" onclick={() => draft.change(drafted)}>Draft missing steps</button>
			</p>
		{/if}
		{#if unconfirmed > 0}
			<p class="flex flex-wrap items-center gap-2.5 border-l-3 border-l-doubt pl-2.5">
				{unconfirmed} steps come from another model. Read each of them.
				<button type="button" class="btn" onclick={() => draft.change(withStepsConfirmed(draft.body))}
					>Confirm all steps</button
				>
			</p>
		{/if}
		<ol
			class="grid gap-0.5"
			aria-label="Steps in their order"
			use:dragHandleZone={{
				items: shown,
				flipDurationMs: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150,
				dropTargetStyle: {}
			}}
			onconsider={({ detail }: CustomEvent<DndEvent<Item>>) => (dragged = detail.items)}
			onfinalize={drop}
		>
			{#each shown as step, i (step.id)}
				<li
					class="flex items-center gap-0.5"
					class:head={i === 0 || shown[i - 1].stage !== step.stage}
					data-stage={stageName[step.stage]}
				>
					<button
						type="button"
						class={[
							'flex min-h-11 flex-1 cursor-pointer items-baseline gap-2 bg-sheet px-2.5 py-2 text-left',
							step.key === inHand ? 'border-2 border-mark' : 'border border-line',
							wrong.has(step.key) && 'border-l-4! border-l-pencil!'
						]}
						aria-pressed={step.key === inHand}
						onclick={() => onstep(step.key)}
					>
						<span class="figures">{i + 1}</span>
						{step.text}
						{#if isFirst(step)}<span class="soft ml-auto text-[0.8rem] whitespace-nowrap">always first</span>{/if}
						{#if step.sure === 'deduced'}<span class="soft ml-auto text-[0.8rem] whitespace-nowrap">deduced</span>{/if}
					</button>
					{#if !isFirst(step)}
						<span
							class="grid place-items-center w-11 h-11 cursor-grab text-ink-soft"
							use:dragHandle
							aria-label="Move step {i + 1}"><GripVertical size={18} aria-hidden="true" /></span
						>
						<button
							type="button"
							class="btn-icon"
							aria-label="Move step {i + 1} up"
							disabled={!sameStage(i, -1)}
							onclick={() => draft.change(withStepMoved(draft.body, step.key, i - 1))}
							><ArrowUp size={18} aria-hidden="true" /></button
						>
						<button
							type="button"
							class="btn-icon"
							aria-label="Move step {i + 1} down"
							disabled={!sameStage(i, 1)}
							onclick={() => draft.change(withStepMoved(draft.body, step.key, i + 1))}
							><ArrowDown size={18} aria-hidden="true" /></button
						>
					{/if}
				</li>
			{/each}
		</ol>
		<div class="grid grid-cols-[8rem_1fr] gap-2 mt-3">
			<Choose
				label="Stage"
				value={stage}
				options={stages.map((stage) => [stage, stageName[stage]] as const)}
				onchoose={(chosen) => (stage = chosen)}
			/>
			{#key steps.length}<TextEdit label="New step: what is done" value={undefined} optional onchange={add} />{/key}
		</div>
	</section>
	<section aria-label="Step in hand">
		{#if step}
			{#key step.key}<StepForm {draft} {step} ongone={() => onstep(undefined)} />{/key}
		{:else}<p class="soft">Touch a step to edit it.</p>{/if}
	</section>
</div>

<style>
	li.head {
		margin-top: 1.5rem;
		position: relative;
	}
	li.head::before {
		content: attr(data-stage);
		position: absolute;
		top: -1.35rem;
		font-weight: 650;
		color: var(--ink-soft);
	}
</style>
