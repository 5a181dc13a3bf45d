<!-- @component The builder of a model sheet: parts drawn in strip order, steps, kits, what is missing, and the text. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import {
		withJoined,
		withPart,
		withPartsCopied,
		withTakenApart,
		withoutParts,
		type Customs,
		type DraftFault
	} from '@exetasis/core/draft';
	import type { PartTypeKey } from '@exetasis/core/part';
	import { MOST_STATIONS } from '@exetasis/core/record';
	import Segments from '$lib/ui/Segments.svelte';
	import CheckList from './CheckList.svelte';
	import Conflict from './Conflict.svelte';
	import type { DraftState } from './draft.svelte';
	import KitsEditor from './KitsEditor.svelte';
	import Palette from './Palette.svelte';
	import PartForm from './PartForm.svelte';
	import PumpForm from './PumpForm.svelte';
	import Choose from '$lib/ui/Choose.svelte';
	import SheetText from './SheetText.svelte';
	import Stack from './Stack.svelte';
	import StepsEditor from './StepsEditor.svelte';

	interface Props {
		draft: DraftState;
		customs: Customs;
		/** Part types that usually come off first. */
		first: readonly PartTypeKey[];
		currency: string;
		mayEdit: boolean;
	}
	let { draft, customs, first, currency, mayEdit }: Props = $props();

	type View = 'parts' | 'pump' | 'steps' | 'kits' | 'check' | 'text';
	let view = $state<View>('parts');
	let several = $state(false);
	/** The choice of each variant that is drawn; left out: parts of all choices. */
	let drawnWith = $state<Record<string, string>>({});
	let step = $state<string>();
	// The drawing begins in the browser, because only there it can be edited.
	let alive = $state(false);
	onMount(() => {
		if (mayEdit) draft.takeUp();
		alive = true;
		const save = () => void draft.flush();
		addEventListener('online', save);
		return () => removeEventListener('online', save);
	});

	const views: readonly (readonly [View, string])[] = $derived([
		['parts', `Parts (${draft.body.stations.length})`],
		['pump', 'Pump'],
		['steps', `Steps (${draft.body.steps.length})`],
		['kits', 'Kits'],
		['check', draft.faults.length > 0 ? `Check (${draft.faults.length})` : 'Check'],
		['text', 'Text']
	]);
	const last = $derived(draft.part ?? (draft.selected.length === 0 ? draft.body.stations.at(-1) : undefined));

	const full = $derived(draft.body.stations.length >= MOST_STATIONS);

	function add(type: PartTypeKey) {
		if (full) return;
		const at = last ? draft.body.stations.findIndex(({ key }) => key === last.key) + 1 : draft.body.stations.length;
		const added = withPart(draft.body, at, { type }, customs[type]);
		draft.change(added.draft);
		draft.select([added.key]);
	}
	function go(subject: DraftFault['subject']) {
		if (subject.kind === 'part') {
			draft.select([subject.key]);
			several = false;
			view = 'parts';
		} else if (subject.kind === 'step') {
			step = subject.key;
			view = 'steps';
		}
	}
	function keys(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
		const { target } = event;
		if (target instanceof HTMLElement && target.closest('input, textarea, .editor')) return;
		event.preventDefault();
		if (event.shiftKey) draft.redo();
		else draft.undo();
	}
	const joined = $derived(
		draft.selected.length > 1 ? withJoined(draft.body, draft.selected, 'Sub-assembly') : undefined
	);
	const holders = $derived(
		draft.body.subAssemblies.filter(({ parts }) => draft.selected.some((key) => parts.includes(key)))
	);
	const saved = $derived(
		{
			saved: 'Saved',
			saving: 'Saving…',
			waiting: 'Not saved yet. It is kept in this browser.',
			conflict: 'Not saved: another person changed it.',
			refused: `Not saved: ${draft.refusal}`
		}[draft.state]
	);
</script>

<svelte:window onkeydown={keys} />

<div class="head flex flex-wrap items-center gap-2 mb-2">
	<Segments label="View" options={views} value={view} onchoose={(chosen) => (view = chosen)} />
	{#if mayEdit}
		<button type="button" class="btn" disabled={!draft.mayUndo} onclick={() => draft.undo()}
			><Undo2 size={18} aria-hidden="true" /> Undo</button
		>
		<button type="button" class="btn" disabled={!draft.mayRedo} onclick={() => draft.redo()}
			><Redo2 size={18} aria-hidden="true" /> Redo</button
		>
	{/if}
	<span class="soft" role="status">{saved}</span>
</div>
<Conflict {draft} />
{#if !alive}<p class="soft">Loading the drawing…</p>
{:else}
	<fieldset disabled={!mayEdit} class="contents">
		{#if view === 'parts'}
			<div class="columns grid grid-cols-[13rem_minmax(0,1fr)_25rem] gap-3 h-[calc(100dvh_-_175px)] min-h-[420px]">
				{#if mayEdit && full}<p class="soft">
						A sheet holds at most {MOST_STATIONS} parts. This one is full.
					</p>
				{:else if mayEdit}<Palette {customs} {first} after={last?.type} afterName={last?.name} onadd={add} />{/if}
				<section aria-label="Section through one cylinder" class="drawing overflow-y-auto min-h-0 border border-line">
					<div class="ends">
						<span>P pressure side</span>
						{#if mayEdit}<button type="button" class="btn" aria-pressed={several} onclick={() => (several = !several)}
								>Choose several</button
							>{/if}
						<span>crank side C</span>
					</div>
					{#if draft.body.variants.length > 0}
						<div class="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2 px-1.5 py-1">
							{#each draft.body.variants as { key, name, choices } (key)}
								<Choose
									label={name}
									value={drawnWith[key] ?? ''}
									options={[['', 'all'], ...choices.map((choice) => [choice.key, choice.name] as const)]}
									onchoose={(choice) => (drawnWith[key] = choice)}
								/>
							{/each}
						</div>
					{/if}
					<Stack {draft} {several} {mayEdit} {drawnWith} />
				</section>
				<section aria-label="Part in hand" class="form grid gap-2 content-start px-1 pb-4 overflow-y-auto min-h-0">
					{#if draft.part}
						{#key draft.part.key}<PartForm {draft} part={draft.part} {customs} {currency} />{/key}
					{:else if draft.selected.length > 1}
						<h2>{draft.selected.length} parts chosen</h2>
						<div class="flex flex-wrap gap-1.5">
							<button type="button" class="btn" onclick={() => draft.change(joined)}>Join on the bench</button>
							<button
								type="button"
								class="btn"
								onclick={() => draft.change(withPartsCopied(draft.body, draft.selected))}>Copy</button
							>
							<button type="button" class="btn" onclick={() => draft.change(withoutParts(draft.body, draft.selected))}
								>Delete</button
							>
						</div>
						<p class="soft">“Join on the bench” makes a sub-assembly: its parts go in as one.</p>
						{#each holders as holder (holder.key)}
							<p>
								{holder.name}: {holder.parts.length} parts
								<button type="button" class="btn" onclick={() => draft.change(withTakenApart(draft.body, holder.key))}
									>Take apart</button
								>
							</p>
						{/each}
					{:else if several}<p class="soft">Touch each part, or draw a line around several.</p>
					{:else}<p class="soft">Touch a part to edit it. Drag a part by its handle to move it.</p>{/if}
				</section>
			</div>
		{:else if view === 'pump'}<PumpForm {draft} {currency} />
		{:else if view === 'steps'}<StepsEditor {draft} {step} onstep={(key) => (step = key)} />
		{:else if view === 'kits'}<KitsEditor {draft} {currency} />
		{:else if view === 'check'}<CheckList {draft} {mayEdit} ongo={go} />
		{:else}<SheetText {draft} {mayEdit} />{/if}
	</fieldset>
{/if}

<style>
	.head :global(.segmented) {
		max-width: 100%;
		overflow-x: auto;
	}
	.head :global(.segment) {
		white-space: nowrap;
		padding-inline: 0.7rem;
	}
	.columns:not(:has(> :nth-child(3))) {
		grid-template-columns: minmax(0, 1fr) 25rem;
	}
	.ends {
		position: sticky;
		top: 0;
		z-index: 1;
		display: flex;
		justify-content: space-between;
		align-items: center;
		padding: 0 6px;
		background: var(--paper);
		font-size: 0.8rem;
	}
	@media (max-width: 1000px) {
		.columns,
		.columns:not(:has(> :nth-child(3))) {
			grid-template-columns: minmax(0, 1fr);
			height: auto;
		}
		.drawing,
		.form {
			overflow: visible;
		}
	}
</style>
