import { superForm, type FormOptions, type SuperValidated } from 'sveltekit-superforms';

/** A form that keeps what was typed whatever the server answers, and asks before a half-filled one is left. */
export const keptForm = <T extends Record<string, unknown>, M = string>(
	form: SuperValidated<T, M>,
	options: FormOptions<T, M> = {}
) =>
	superForm(form, {
		resetForm: false,
		taintedMessage: 'What is typed here is not kept yet. Leave the page?',
		...options
	});
