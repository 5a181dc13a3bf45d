<!-- @component The parts in strip order as a section through one cylinder, pressure side left, assemblies as boxes; below them the parts that exist once per pump. They are dragged, or moved by the keyboard. -->
<script lang="ts">
	import { dragHandleZone, dragHandle, type DndEvent } from 'svelte-dnd-action';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { applies, type Station } from '@exetasis/core/record';
	import Glyph from '$lib/glyph/Glyph.svelte';
	import type { DraftState } from './draft.svelte';
	import { withMates, withRows } from '@exetasis/core/draft';
	import Lasso from './Lasso.svelte';

	interface Props {
		draft: DraftState;
		/** Several parts are taken in hand, one touch each. */
		several: boolean;
		/** Whether parts may be moved. */
		mayEdit: boolean;
		/** By variant, the choice that is drawn: parts of other choices are pale. */
		drawnWith: Readonly<Record<string, string>>;
	}
	let { draft, several, mayEdit, drawnWith }: Props = $props();

	/** What is dragged; the place that is kept free for it has another id and the same key. */
	interface Item {
		readonly id: string;
		readonly key: string;
	}
	type Row = Station['per'];
	/** While a part is dragged, the rows that it has been in. */
	let dragged = $state.raw<Partial<Record<Row, readonly Item[]>>>({});
	// The rows change with the order of their parts, not with every edit: dragging sets up each of hundreds of parts.
	const keysIn = (row: Row) =>
		draft.body.stations
			.filter(({ per }) => per === row)
			.map(({ key }) => key)
			.join(' ');
	const itemsFrom = (keys: string): Item[] => (keys === '' ? [] : keys.split(' ').map((key) => ({ id: key, key })));
	const cylinderKeys = $derived(keysIn('cylinder'));
	const pumpKeys = $derived(keysIn('pump'));
	const cylinder = $derived(dragged.cylinder ?? itemsFrom(cylinderKeys));
	const pump = $derived(dragged.pump ?? itemsFrom(pumpKeys));
	const order = $derived(draft.body.stations.map(({ key }) => key).join(' '));
	const number = $derived(new Map(order.split(' ').map((key, i) => [key, i + 1])));
	const stations = $derived(new Map(draft.body.stations.map((station) => [station.key, station])));
	const flipDurationMs = matchMedia('(prefers-reduced-motion: reduce)').matches ? 0 : 150;
	const wrong = $derived(
		new Set(draft.faults.flatMap(({ subject }) => (subject.kind === 'part' ? [subject.key] : [])))
	);
	const assembly = (key: string) => draft.body.assemblies.find((assembly) => assembly.key === key)?.name ?? key;

	const consider = (row: Row, items: readonly Item[]) => (dragged = { ...dragged, [row]: items });
	// Of a part that goes to the other row, both rows tell one after the other.
	function finalize(row: Row, items: readonly Item[]) {
		dragged = { ...dragged, [row]: items };
		const [perCylinder, perPump] = [cylinder, pump].map((of) => of.map(({ key }) => key));
		if (perCylinder.length + perPump.length !== draft.body.stations.length) return;
		dragged = {};
		const next = withRows(draft.body, perCylinder, perPump);
		const changed = next.stations.some((station, i) => station !== draft.body.stations[i]);
		if (changed) draft.change(next);
	}
	const chosen = $derived(Object.fromEntries(Object.entries(drawnWith).filter(([, choice]) => choice !== '')));
	function take(key: string) {
		if (draft.mating !== undefined && key !== draft.mating)
			return draft.change(withMates(draft.body, draft.mating, key));
		if (!several) return draft.select([key]);
		const without = draft.selected.filter((selected) => selected !== key);
		draft.select(without.length < draft.selected.length ? without : [...draft.selected, key]);
	}
	const mates = $derived(stations.get(draft.mating ?? '')?.mates ?? []);
</script>

{#snippet row(of: Row, items: readonly Item[], label: string)}
	<div
		class="stack"
		class:empty={items.length === 0}
		aria-label={label}
		use:dragHandleZone={{
			items: [...items],
			type: 'parts',
			flipDurationMs,
			dropTargetStyle: {},
			dragDisabled: !mayEdit
		}}
		onconsider={({ detail }: CustomEvent<DndEvent<Item>>) => consider(of, detail.items)}
		onfinalize={({ detail }: CustomEvent<DndEvent<Item>>) => finalize(of, detail.items)}
	>
		{#each items as { id, key }, i (id)}
			{@const item = stations.get(key)!}
			{@const begins = i === 0 || stations.get(items[i - 1].key)?.in !== item.in}
			{@const ends = stations.get(items[i + 1]?.key)?.in !== item.in}
			{@const absent = !applies(item.onlyWith, chosen)}
			<div class="place relative grid grid-cols-[minmax(0,1fr)] w-[86px]" class:begins class:ends>
				<span class="in" class:truncate={begins && ends} title={begins ? assembly(item.in) : undefined}
					>{begins ? assembly(item.in) : '\u00a0'}</span
				>
				<button
					type="button"
					class="part"
					class:wrong={wrong.has(item.key)}
					class:absent
					class:mate={mates.includes(item.key)}
					data-part={item.key}
					aria-pressed={draft.selected.includes(item.key)}
					aria-label="{number.get(item.key)}. {item.name}{item.pieces > 1 ? `, ${item.pieces} pieces` : ''}{item.per ===
					'pump'
						? ', once in the pump'
						: ''}{wrong.has(item.key) ? ', has a problem' : ''}{mates.includes(item.key) ? ', runs with it' : ''}{absent
						? ', not in the drawn variant'
						: ''}"
					onclick={() => take(item.key)}
				>
					<Glyph type={item.type} face={item.face} size={40} />
					<span class="name text-[0.74rem] leading-[1.1] text-center wrap-anywhere"
						><span class="figures soft">{number.get(item.key)}</span>
						{item.short}{item.pieces > 1 ? ` ×${item.pieces}` : ''}</span
					>
				</button>
				{#if mayEdit}<span class="grip" use:dragHandle aria-label="Move {item.name}"
						><GripVertical size={16} aria-hidden="true" /></span
					>{/if}
			</div>
		{/each}
	</div>
{/snippet}

{#if draft.body.stations.length > 0}
	<Lasso on={several && mayEdit} onchoose={(keys) => draft.select(keys, true)}>
		{@render row('cylinder', cylinder, 'Parts of each cylinder in strip order, pressure side to the left')}
		<h3 class="px-1.5 pt-2.5 pb-0.5 font-semibold text-[0.9rem]">
			Once per pump <span class="soft"
				>Drag a part here if the pump has one of it. The numbers give the strip order.</span
			>
		</h3>
		{@render row('pump', pump, 'Parts once per pump in strip order')}
	</Lasso>
{:else}<p class="soft p-[24px] max-w-120">
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
	/* Parts of one assembly that come off one after the other stand in one box. */
	.place {
		border-block: 1.5px solid var(--ink-soft);
	}
	.begins {
		border-left: 1.5px solid var(--ink-soft);
		border-start-start-radius: 4px;
		border-end-start-radius: 4px;
	}
	.ends {
		border-right: 1.5px solid var(--ink-soft);
		border-start-end-radius: 4px;
		border-end-end-radius: 4px;
		margin-right: 4px;
	}
	.in {
		font-size: 0.7rem;
		line-height: 1.1rem;
		height: 1.1rem;
		padding-left: 4px;
		white-space: nowrap;
		color: var(--ink-soft);
	}
	h3 .soft {
		margin-left: 0.5rem;
		font-weight: 400;
		font-size: 0.8rem;
	}
	.stack.empty {
		min-height: 90px;
		border: 1px dashed var(--line);
	}
	.part {
		/* Of hundreds of parts only those in sight are painted. */
		content-visibility: auto;
		contain-intrinsic-size: auto 84px;
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
	.part:hover {
		border-color: var(--mark);
	}
	.part[aria-pressed='true'] {
		border: 2px solid var(--mark);
		background: color-mix(in oklab, var(--mark) 12%, var(--sheet));
	}
	.part.mate {
		border: 2px dashed var(--mark);
	}
	.part.absent :global(svg) {
		opacity: 0.3;
	}
	.part.absent .name {
		text-decoration: line-through;
	}
	.part.wrong .name {
		border-bottom: 2px solid var(--pencil);
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
</style>
