<!--
  @component All that the sheet can state of a part, a step or the pump, field by field from the schema that guards the server.
  What does not hold stays in its field with what is wrong, and is not taken over yet.
-->
<script lang="ts">
	import type { SheetDraft } from '@exetasis/core/draft';
	import type { PartTypeKey } from '@exetasis/core/part';
	import { fieldLabel } from '$lib/words/sheetFields';
	import Field from './Field.svelte';
	import { shapeOf, type Group } from './shape';
	import type { StatementForm } from './statementForm.svelte';

	interface Props {
		form: StatementForm;
		/** The statements that are shown, by name. */
		names: readonly string[];
		draft: SheetDraft;
		type?: PartTypeKey;
	}
	let { form, names, draft, type }: Props = $props();
	const fields = $derived((shapeOf(form.schema) as Group).fields.filter(({ name }) => names.includes(name)));

	const count = (name: string): string => {
		const stated = form.now[name];
		if (Array.isArray(stated)) return stated.length > 0 ? ` (${stated.length})` : '';
		return stated === undefined ? ' (not stated)' : '';
	};
	const isFolded = (kind: string) => ['list', 'group', 'either', 'figures'].includes(kind);
	let open = $state<readonly string[]>([]);
</script>

{#each fields as { name, within, shape, optional, fallback } (name)}
	{@const field = {
		name,
		within,
		shape,
		optional,
		draft,
		type,
		value: form.now[name] ?? fallback,
		wrong: form.wrong(name)
	}}
	{#if isFolded(shape.kind)}
		<details
			ontoggle={({ currentTarget }) =>
				(open = currentTarget.open ? [...open, name] : open.filter((opened) => opened !== name))}
		>
			<summary class="py-2.5 cursor-pointer">{fieldLabel(name, within)}{count(name)}</summary>
			{#if open.includes(name)}<Field {...field} bare onchange={(next) => form.take(name, next)} />{/if}
		</details>
	{:else}<Field {...field} onchange={(next) => form.take(name, next)} />{/if}
{/each}
