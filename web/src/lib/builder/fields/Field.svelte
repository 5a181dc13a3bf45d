<!-- @component One statement of the sheet, drawn from its shape: a text, a quantity, a choice, a list, or a group of statements. -->
<script lang="ts">
	import { keyFor, type SheetDraft } from '@exetasis/core/draft';
	import { partType, type PartTypeKey } from '@exetasis/core/part';
	import type { Unit } from '@exetasis/core/quantity';
	import Choose from '$lib/ui/Choose.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextEdit from '$lib/ui/TextEdit.svelte';
	import { fieldLabel, fieldUnit, valueLabel } from '$lib/words/sheetFields';
	import Field from './Field.svelte';
	import { offersFor } from './references';
	import { chosenOf, choicesOf, emptyOf, type Shape } from './shape';

	/** What the form says is wrong, by place. */
	type Wrong = { readonly [place: string]: Wrong | undefined } | readonly string[] | undefined;
	interface Props {
		name: string;
		within: string;
		/** Where the label of a list or a group is said outside of it. */
		bare?: boolean;
		shape: Shape;
		optional?: boolean;
		value: unknown;
		wrong: Wrong;
		draft: SheetDraft;
		/** Of the part that the statement stands with. */
		type?: PartTypeKey;
		/** Of the size that the statement stands with. */
		unit?: Unit;
		onchange: (value: unknown) => void;
	}
	let {
		name,
		within,
		bare = false,
		shape,
		optional = false,
		value,
		wrong,
		draft,
		type,
		unit,
		onchange
	}: Props = $props();

	const label = $derived(fieldLabel(name, within));
	const said = $derived(
		wrong instanceof Array ? wrong : ((wrong as { _errors?: string[] } | undefined)?._errors ?? [])
	);
	const wrongAt = (place: string | number): Wrong =>
		wrong instanceof Array ? undefined : (wrong as Record<string, Wrong> | undefined)?.[place];
	const list = $derived(Array.isArray(value) ? (value as unknown[]) : []);
	const group = $derived((value ?? {}) as Record<string, unknown>);
	const sizes = ['nominal', 'min', 'max', 'tolerance', 'stopsAt', 'per1000h', 'difference'];
	const shown = $derived(sizes.includes(name) && unit ? { unit } : fieldUnit(name));
	const offers = $derived(
		shape.kind === 'list' && shape.of.kind === 'choice'
			? shape.of.values.map((value) => [value, valueLabel(name, value)] as const)
			: (offersFor(name, draft, type) ?? [])
	);
	const nameOf = (key: unknown) => offers.find(([offered]) => offered === key)?.[1] ?? String(key);
	const nothing = ['', 'not stated'] as const;

	const set = (field: string, next: unknown) => {
		const { [field]: _old, ...rest } = group;
		onchange(next === undefined ? rest : { ...group, [field]: next });
	};
	const keysIn = (items: readonly unknown[]) => items.map((item) => (item as { key?: string }).key ?? '');
	const add = (of: Shape) => onchange([...list, emptyOf(of, keyFor(name, keysIn(list)))]);
	const drop = (i: number) => onchange(list.toSpliced(i, 1));
	// Sizes are begun above, where the part type offers them.
	const mayAdd = $derived(name !== 'characteristics');
	// Moduli of materials lie far beyond what a bench measures.
	const ANY_DESIGN = { least: -1e9, most: 1e9 };
	const isNamed = (of: Shape) => of.kind === 'key' || of.kind === 'choice';
</script>

{#if value === undefined && optional && ['group', 'list', 'either'].includes(shape.kind)}
	<div>
		<button type="button" class="btn" onclick={() => onchange(emptyOf(shape, name))}>+ {label}</button>
	</div>
{:else if shape.kind === 'text'}
	<TextEdit {label} value={value as string | undefined} {optional} onchange={(text) => onchange(text)} />
{:else if shape.kind === 'number'}
	<QuantityField {label} value={value as number | undefined} {...shown} {optional} {onchange} />
{:else if shape.kind === 'flag'}
	<div>
		<button
			type="button"
			class="btn"
			aria-pressed={value === true}
			onclick={() => onchange(value === true ? (optional ? undefined : false) : true)}>{label}</button
		>
	</div>
{:else if shape.kind === 'choice'}
	{#if shape.values.length > 1}
		<Choose
			{label}
			value={String(value ?? '')}
			options={[
				...(optional ? [nothing] : []),
				...shape.values.map((value) => [value, valueLabel(name, value)] as const)
			]}
			onchoose={(chosen) => onchange(chosen === '' ? undefined : chosen)}
		/>
	{/if}
{:else if shape.kind === 'key'}
	<Choose
		{label}
		value={String(value ?? '')}
		options={[nothing, ...offers]}
		onchoose={(chosen) => onchange(chosen === '' && optional ? undefined : chosen)}
	/>
{:else if shape.kind === 'figures'}
	{#each type && name === 'design' ? (partType(type).design ?? []) : [] as designFigure (designFigure.key)}
		<QuantityField
			label={designFigure.name}
			value={group[designFigure.key] as number | undefined}
			unit={designFigure.unit}
			range={ANY_DESIGN}
			optional
			onchange={(figure) => set(designFigure.key, figure)}
		/>
	{/each}
{:else if shape.kind === 'list'}
	{@const of = shape.of}
	<div class="list grid gap-1.5" role="group" aria-label={label}>
		{#if !bare}<p><b>{label}</b></p>{/if}
		{#if isNamed(of)}
			<div class="flex flex-wrap gap-1.5">
				{#each list as item, i (i)}
					<button type="button" class="btn" aria-label="Remove {nameOf(item)}" onclick={() => drop(i)}
						>{nameOf(item)} ×</button
					>
				{/each}
			</div>
			<Choose
				label="Add to: {label.toLowerCase()}"
				value=""
				options={[['', 'Choose'], ...offers.filter(([key]) => !list.includes(key))]}
				onchoose={(chosen) => chosen !== '' && onchange([...list, chosen])}
			/>
		{:else}
			{#each list as item, i (i)}
				<div class="item flex gap-1 items-start" role="group" aria-label="{label} {i + 1}">
					<Field
						{name}
						{within}
						bare
						shape={of}
						value={item}
						wrong={wrongAt(i)}
						{draft}
						{type}
						{unit}
						onchange={(next) => onchange(list.with(i, next))}
					/>
					<button type="button" class="btn-icon" aria-label="Delete {label} {i + 1}" onclick={() => drop(i)}>×</button>
				</div>
			{/each}
			{#if mayAdd}<div><button type="button" class="btn" onclick={() => add(of)}>+ {label}</button></div>{/if}
		{/if}
	</div>
{:else if shape.kind === 'either'}
	{@const chosen = chosenOf(shape.of, value)}
	<Choose
		{label}
		value={chosen.name}
		options={shape.of.flatMap(choicesOf).map((choice) => [choice, valueLabel(name, choice)] as const)}
		onchoose={(next) => {
			const of = shape.of.find((alternative) => choicesOf(alternative).includes(next))!;
			onchange(of.kind === 'choice' ? next : of.kind === 'number' ? 1 : emptyOf(of, name));
		}}
	/>
	{#if chosen.shape.kind !== 'choice'}
		<Field {name} {within} bare shape={chosen.shape} {value} {wrong} {draft} {type} {unit} {onchange} />
	{/if}
{:else if shape.kind === 'group'}
	<div
		class="group grid gap-1.5 grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] items-end border-l-2 border-l-line pl-2 flex-1"
		role="group"
		aria-label={label}
	>
		{#if !bare}<p>
				<b>{label}</b>
				{#if optional}<button type="button" class="btn" onclick={() => onchange(undefined)}>Delete</button>{/if}
			</p>{/if}
		{#each shape.fields as field (field.name)}
			<Field
				name={field.name}
				within={field.within}
				shape={field.shape}
				optional={field.optional}
				value={group[field.name] ?? field.fallback}
				wrong={wrongAt(field.name)}
				{draft}
				{type}
				unit={(group.unit as Unit | undefined) ?? unit}
				onchange={(next) => set(field.name, next)}
			/>
		{/each}
	</div>
{/if}
{#each said as sentence (sentence)}<p class="wrong" role="alert">{sentence}</p>{/each}

<style>
	.group > :global(:is(p, .list, .group)) {
		grid-column: 1 / -1;
	}
	.item > :global(:first-child) {
		flex: 1;
	}
</style>
