import { fromStore } from 'svelte/store';
import { superForm } from 'sveltekit-superforms';
import { zod4Client } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { statementProblem } from '$lib/words/sheetFields';

/** The statements of a part, a step or the pump as a form. The schema that guards the server says what holds. */
export interface StatementForm {
	readonly schema: z.ZodObject;
	/** What is typed, by the name of the statement. */
	readonly now: Readonly<Record<string, unknown>>;
	/** What is wrong with a statement, in the shape of its value. */
	wrong: (name: string) => never;
	/** Types a statement; what is wrong with it, as a sentence. What does not hold stays typed and is not taken over. */
	type: (name: string, next: unknown) => string | undefined;
	/** Types a statement and takes it over if it holds. */
	take: (name: string, next: unknown) => void;
}

/** Call while the component is made. What is changed elsewhere is taken over; what is typed here and does not hold yet stays. */
export function statementForm<Stated extends Record<string, unknown>>(
	schema: z.ZodObject,
	value: () => Stated,
	onchange: (value: Stated) => void
): StatementForm {
	const names = Object.keys(schema.shape);
	const stated = Object.fromEntries(names.map((name) => [name, value()[name]]));
	const form = superForm(stated, {
		SPA: true,
		dataType: 'json',
		validators: zod4Client(schema, { error: statementProblem }) as never,
		resetForm: false,
		taintedMessage: null
	});
	const typed = fromStore(form.form);
	const errors = fromStore(form.errors);
	const put = (some: Record<string, unknown>) => form.form.update((all) => ({ ...all, ...some }));

	let known = value();
	$effect(() => {
		const next = value();
		if (next === known) return;
		const changed = names.filter((name) => known[name] !== next[name]);
		known = next;
		put(Object.fromEntries(changed.map((name) => [name, next[name]])));
	});

	// Read at once and by itself: another part may be in hand by the time that the form has said what is wrong, and what does not
	// hold elsewhere in the form does not concern it.
	function read(name: string, next: unknown) {
		put({ [name]: next });
		void form.validateForm({ update: true });
		return z.safeParse(schema.shape[name], next, { error: statementProblem });
	}
	return {
		schema,
		get now() {
			return typed.current;
		},
		wrong: (name) => (errors.current as Record<string, never>)[name],
		type: (name, next) => read(name, next).error?.issues[0].message,
		take(name, next) {
			const { success, data } = read(name, next);
			if (!success) return;
			known = { ...value(), [name]: data };
			onchange(known);
		}
	};
}
