import { get } from 'svelte/store';
import { superForm, type FormOptions, type SuperValidated } from 'sveltekit-superforms';
import { mergeAnswer } from './mergeAnswer';

/**
 * A form that keeps what was typed whatever the server answers and whenever, and asks before a half-filled one is left.
 * What was wrong is no longer said once it has been sent again.
 */
export function keptForm<T extends Record<string, unknown>, M = string>(
	form: SuperValidated<T, M>,
	options: Omit<FormOptions<T, M>, 'onSubmit' | 'onUpdate'> = {}
) {
	let sent = form.data;
	const kept = superForm<T, M>(form, {
		resetForm: false,
		clearOnSubmit: 'errors-and-message',
		taintedMessage: 'Your changes are not saved yet. Leave the page?',
		onSubmit: () => {
			sent = structuredClone(get(kept.form));
		},
		onUpdate: ({ form: answer }) => {
			answer.data = mergeAnswer(answer.data, sent, get(kept.form));
		},
		...options
	});
	return kept;
}

/** A form that begins without the server, so that it can be drawn off the network too. Its id is what the server answers to. */
export const begunWith = <T extends Record<string, unknown>>(id: string, data: T): SuperValidated<T> => ({
	id,
	valid: false,
	posted: false,
	errors: {},
	data
});
