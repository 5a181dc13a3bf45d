<!--
  @component All that the sheet can state of a part, a step or the pump, field by field from the schema that guards the server.
  What does not hold stays in its field with what is wrong, and is not taken over yet.
-->
<script lang="ts" generics="Stated extends Record<string, unknown>">
	import type { SheetDraft } from '@exetasis/core/draft';
	import type { PartTypeKey } from '@exetasis/core/part';
	import { superForm } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { z } from 'zod';
	import { fieldLabel, statementProblem } from '$lib/words/sheetFields';
	import Field from './Field.svelte';
	import { shapeOf, type Group } from './shape';

	interface Props {
		schema: z.ZodObject;
		value: Stated;
		/** The statements that are shown, by name. */
		names: readonly string[];
		draft: SheetDraft;
		type?: PartTypeKey;
		onchange: (value: Stated) => void;
	}
	let { schema, value, names, draft, type, onchange }: Props = $props();
	const fields = $derived((shapeOf(schema) as Group).fields.filter(({ name }) => names.includes(name)));

	// svelte-ignore state_referenced_locally
	const validators = zod4Client(schema, { error: statementProblem });
	const stated = (of: Stated) =>
		Object.fromEntries(Object.keys(schema.shape).map((name) => [name, of[name]])) as Stated;
	// svelte-ignore state_referenced_locally
	const form = superForm(stated(value) as Record<string, unknown>, {
		SPA: true,
		dataType: 'json',
		validators: validators as never,
		resetForm: false,
		taintedMessage: null
	});
	const { form: typed, errors } = form;
	const now = $derived($typed as Record<string, unknown>);

	// What was changed elsewhere is taken over; what is typed here and does not hold yet stays.
	// svelte-ignore state_referenced_locally
	let known = value;
	$effect(() => {
		if (value === known) return;
		const changed = Object.keys(schema.shape).filter((name) => known[name] !== value[name]);
		known = value;
		typed.update((one) => ({ ...one, ...Object.fromEntries(changed.map((name) => [name, value[name]])) }) as never);
	});

	// Read at once, because another part may be in hand by the time that the form has said what is wrong; and by itself, because what
	// does not hold yet elsewhere in the form does not concern it.
	function take(name: string, next: unknown) {
		typed.update((all) => ({ ...all, [name]: next }) as never);
		void form.validateForm({ update: true });
		const read = z.safeParse(schema.shape[name], next);
		if (!read.success) return;
		known = { ...value, [name]: read.data };
		onchange(known);
	}
	const count = (name: string): string => {
		const one = now[name];
		if (Array.isArray(one)) return one.length > 0 ? ` (${one.length})` : '';
		return one === undefined ? ' (not stated)' : '';
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
		value: now[name] ?? fallback,
		wrong: ($errors as Record<string, never>)[name]
	}}
	{#if isFolded(shape.kind)}
		<details
			ontoggle={({ currentTarget }) =>
				(open = currentTarget.open ? [...open, name] : open.filter((one) => one !== name))}
		>
			<summary>{fieldLabel(name, within)}{count(name)}</summary>
			{#if open.includes(name)}<Field {...field} bare onchange={(next) => take(name, next)} />{/if}
		</details>
	{:else}<Field {...field} onchange={(next) => take(name, next)} />{/if}
{/each}

<style>
	summary {
		padding-block: 10px;
		cursor: pointer;
	}
</style>
