import { error } from '@sveltejs/kit';

/** What a form brought: its texts, and the texts of its files. */
export type Form = Partial<Record<string, string>>;

/**
 * The fields of a form as text. What is no form, a file where text is due, and characters that cannot be stored are
 * answered with 400 and a sentence; `files` names the fields in which a file may come, of which its text is taken.
 */
export async function readForm(request: Request, files: readonly string[] = []): Promise<Form> {
	return textsOf(await sentBy(request), files);
}

/** A form with one file that is no text: its fields as `readForm`, and the bytes of the file, none where none was chosen. */
export async function readUpload(request: Request, file: string): Promise<{ form: Form; bytes: Uint8Array }> {
	const sent = await sentBy(request);
	const upload = sent.get(file);
	sent.delete(file);
	const bytes = upload instanceof File ? new Uint8Array(await upload.arrayBuffer()) : new Uint8Array();
	return { form: await textsOf(sent, []), bytes };
}

const sentBy = (request: Request): Promise<FormData> =>
	request.formData().catch(() => error(400, 'The server could not read this form. Reload the page and send it again.'));

async function textsOf(sent: FormData, files: readonly string[]): Promise<Form> {
	const form: Form = Object.create(null) as Form;
	for (const [name, value] of sent) {
		if (name === '__proto__') continue; // no field of ours, and nothing that may be handed on
		if (typeof value === 'string') form[name] = value;
		else if (!files.includes(name)) error(400, `“${name.slice(0, 40)}” must be text, not a file.`);
		else if (value.size > 0) form[name] = await value.text();
	}
	for (const [name, text] of Object.entries(form)) {
		if (text!.includes('\0') || !text!.isWellFormed())
			error(400, `“${name.slice(0, 40)}” contains a character that cannot be stored. Type it again.`);
	}
	return form;
}
