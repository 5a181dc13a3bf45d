<!-- @component The parts in strip order as a section through one cylinder: pressure side left, crank side right. They are dragged, or moved by the keyboard. -->
<script lang="ts">
	import { dragHandleZone, dragHandle, type DndEvent } from 'svelte-dnd-action';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import type { Station } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { DraftState } from './draft.svelte';
	import { withOrder } from '@exetasis/core/draft';

	interface Props {
		draft: DraftState;
		/** Several parts are taken in hand, one touch each. */
		several: boolean;
		/** Whether parts may be moved. */
		mayEdit: boolean;
	}
	let { draft, several, mayEdit }: Props = $props();

	type Item = Station & { readonly id: string };
	const asItems = (stations: readonly Station[]): Item[] => stations.map((one) => ({ ...one, id: one.key }));
	let dragged = $state.raw<Item[]>();
	const items = $derived(dragged ?? asItems(draft.body.stations));
	const wrong = $derived(new Set(draft.faults.flatMap(({ place }) => (place.kind === 'part' ? [place.key] : []))));
	const assembly = (key: string) => draft.body.assemblies.find((one) => one.key === key)?.name ?? key;

	function consider({ detail }: CustomEvent<DndEvent<Item>>) {
		dragged = detail.items;
	}
	function finalize({ detail }: CustomEvent<DndEvent<Item>>) {
		dragged = undefined;
		draft.change(
			withOrder(
				draft.body,
				detail.items.map(({ key }) => key)
			)
		);
	}
	const take = (key: string) =>
		several
			? draft.select(
					draft.selected.includes(key) ? draft.selected.filter((one) => one !== key) : [...draft.selected, key]
				)
			: draft.select([key]);
</script>

<div
	class="stack"
	aria-label="Parts in strip order, pressure side to the left"
	use:dragHandleZone={{
		items,
		flipDurationMs: matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150,
		dropTargetStyle: {},
		dragDisabled: !mayEdit
	}}
	onconsider={consider}
	onfinalize={finalize}
>
	{#each items as item, i (item.id)}
		<div class="place" class:once={item.per === 'pump'} class:begins={i === 0 || items[i - 1].in !== item.in}>
			<span class="in">{i === 0 || items[i - 1].in !== item.in ? assembly(item.in) : ' '}</span>
			<button
				type="button"
				class="part"
				class:wrong={wrong.has(item.key)}
				aria-pressed={draft.selected.includes(item.key)}
				aria-label="{i + 1}. {item.name}{item.pieces > 1 ? `, ${item.pieces} pieces` : ''}{item.per === 'pump'
					? ', once in the pump'
					: ''}{wrong.has(item.key) ? ', has a problem' : ''}"
				onclick={() => take(item.key)}
			>
				<Glyph type={item.type} face={item.face} size={40} />
				<span class="name">{item.short}{item.pieces > 1 ? ` ×${item.pieces}` : ''}</span>
			</button>
			{#if mayEdit}<span class="grip" use:dragHandle aria-label="Move {item.name}"
					><GripVertical size={16} aria-hidden="true" /></span
				>{/if}
		</div>
	{/each}
</div>
{#if items.length === 0}<p class="soft empty">
		No parts yet. Touch a part type for each part, in the order in which the parts come off.
	</p>{/if}

<style>
	.stack {
		display: flex;
		flex-wrap: wrap;
		align-content: flex-start;
		gap: 6px 0;
		padding: 4px;
		outline-offset: -2px;
	}
	.place {
		position: relative;
		display: grid;
		width: 86px;
	}
	.in {
		font-size: 0.7rem;
		line-height: 1.1rem;
		height: 1.1rem;
		white-space: nowrap;
		color: var(--ink-soft);
		border-top: 2px solid var(--ink-soft);
		overflow: visible;
	}
	.begins .in {
		padding-left: 4px;
		border-left: 2px solid var(--ink-soft);
	}
	.part {
		display: grid;
		justify-items: center;
		align-content: start;
		gap: 2px;
		min-height: 84px;
		margin: 0 2px;
		padding: 6px 2px 4px;
		border: 1px solid transparent;
		background: var(--sheet);
		cursor: pointer;
	}
	.once .part {
		border: 1px dashed var(--line);
	}
	.part:hover {
		border-color: var(--mark);
	}
	.part[aria-pressed='true'] {
		border: 2px solid var(--mark);
		background: color-mix(in oklab, var(--mark) 12%, var(--sheet));
	}
	.part.wrong .name {
		border-bottom: 2px solid var(--pencil);
	}
	.name {
		font-size: 0.74rem;
		line-height: 1.1;
		text-align: center;
		overflow-wrap: anywhere;
	}
	.grip {
		position: absolute;
		right: 2px;
		top: 1.1rem;
		display: grid;
		place-items: center;
		width: 24px;
		height: 32px;
		color: var(--ink-soft);
		cursor: grab;
		touch-action: none;
	}
	.empty {
		padding: 24px;
		max-width: 30rem;
	}
</style>
