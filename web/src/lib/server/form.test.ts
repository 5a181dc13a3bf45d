import { describe, expect, it } from 'vitest';
import { readForm, readUpload } from './form';

const post = (body: BodyInit, type?: string) =>
	new Request('http://localhost/', { method: 'POST', body, ...(type ? { headers: { 'content-type': type } } : {}) });
const filled = (fields: Readonly<Record<string, string | Blob>>) => {
	const form = new FormData();
	for (const [name, value] of Object.entries(fields)) form.append(name, value);
	return post(form);
};
const refused = async (request: Request, files: readonly string[] = []) => {
	try {
		await readForm(request, files);
	} catch (cause) {
		return cause as { status: number; body: { message: string } };
	}
	throw new Error('it was taken');
};

describe('readForm', () => {
	it('takes the fields as text, the last of two', async () => {
		const form = new FormData();
		form.append('serial', 'MAR-0256');
		form.append('serial', 'MAR-0257');
		form.append('note', 'rod 2 – bent');
		expect({ ...(await readForm(post(form))) }).toEqual({ serial: 'MAR-0257', note: 'rod 2 – bent' });
	});
	it('takes the text of a file where one may come, and nothing where none was chosen', async () => {
		const request = filled({ sheet: new File(['{"a":1}'], 'sheet.json'), empty: new File([], 'empty.json') });
		expect({ ...(await readForm(request, ['sheet', 'empty'])) }).toEqual({ sheet: '{"a":1}' });
	});
	it.each([
		['a file where text is due', filled({ serial: new File(['x'], 'x.txt') }), '“serial” must be text, not a file.'],
		['a character that no database takes', filled({ serial: 'MAR\0' }), '“serial” contains a character'],
		['half a character', filled({ serial: new File(['x'], 'x') }), 'must be text'],
		['text that is no form', post('hello', 'text/plain'), 'The server could not read this form.'],
		[
			'a form that breaks off',
			post('--x\r\nnonsense', 'multipart/form-data; boundary=x'),
			'The server could not read this form.'
		],
		['no content type', post(new Uint8Array([1, 2])), 'The server could not read this form.']
	])('refuses %s with a sentence', async (_, request, sentence) => {
		const { status, body } = await refused(request);
		expect(status).toBe(400);
		expect(body.message).toContain(sentence);
	});
	it('names a field that is too long no longer than one reads', async () => {
		const { body } = await refused(filled({ ['x'.repeat(5000)]: 'a\0' }));
		expect(body.message.length).toBeLessThan(120);
	});
	it('lets no field reach the prototype of anything', async () => {
		const form = await readForm(post('__proto__=1&constructor=2', 'application/x-www-form-urlencoded'));
		expect(Object.keys(form)).toEqual(['constructor']);
		expect(Object.getPrototypeOf(form)).toBeNull();
		expect(({} as { polluted?: string }).polluted).toBeUndefined();
	});
});

describe('readUpload', () => {
	it('takes the bytes of its file beside the fields', async () => {
		const { form, bytes } = await readUpload(
			filled({ title: 'Torque', file: new File([new Uint8Array([137, 80])], 'a') }),
			'file'
		);
		expect({ ...form }).toEqual({ title: 'Torque' });
		expect([...bytes]).toEqual([137, 80]);
	});
	it('takes a text in the file’s place as no file', async () => {
		expect((await readUpload(filled({ file: 'not a file' }), 'file')).bytes).toHaveLength(0);
		expect((await readUpload(filled({ title: 'x' }), 'file')).bytes).toHaveLength(0);
	});
});
