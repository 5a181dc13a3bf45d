import { describe, expect, it } from 'vitest';
import { fileNamed, found, idFrom, pageFrom, textFrom, userOf } from './request';

const url = (query: string) => new URL(`http://localhost/pumps${query}`);
const statusOf = (work: () => unknown) => {
	try {
		work();
	} catch (cause) {
		return (cause as { status: number }).status;
	}
	return undefined;
};

describe('what a request asks for', () => {
	it('is a thing of its shop, or there is no such page', () => {
		expect(idFrom('01a21a72-d49a-71ad-8274-c92d2160b969')).toBe('01a21a72-d49a-71ad-8274-c92d2160b969');
		for (const none of ['', '7', '../..', '01a21a72-d49a-71ad-8274-c92d2160b96', 'x'.repeat(10_000)])
			expect(statusOf(() => idFrom(none))).toBe(404);
		expect(found(0)).toBe(0);
		expect(statusOf(() => found(undefined))).toBe(404);
	});
	it('is asked by someone who is signed in', () => {
		expect(statusOf(() => userOf({} as App.Locals))).toBe(401);
		const user = { id: 'u', shopId: 's' } as never;
		expect(userOf({ user } as App.Locals)).toBe(user);
	});
	it('is looked for by a text that a database can look for', () => {
		expect(textFrom(url('?q=%20MAR%00-02%20'), 'q')).toBe('MAR-02');
		expect(textFrom(url(''), 'q')).toBe('');
		expect(textFrom(url(`?q=${'x'.repeat(5000)}`), 'q')).toHaveLength(100);
		expect(textFrom(url('?q=%ED%A0%80'), 'q').isWellFormed()).toBe(true);
	});
	it.each([
		['', 0],
		['?page=1', 0],
		['?page=3', 2],
		['?page=0', 0],
		['?page=-4', 0],
		['?page=2.5', 0],
		['?page=NaN', 0],
		['?page=1e309', 0],
		['?page=999999999', 0]
	])('is on a page that there can be: %s', (query, page) => {
		expect(pageFrom(url(query))).toBe(page);
	});
});

describe('fileNamed', () => {
	it('hands a file out under a name that no header can be broken with', async () => {
		const file = fileNamed('MAR "0256"\r\nX: 1 / ü', 'csv', 'text/csv', 'a,b');
		expect(file.headers.get('content-disposition')).toBe('attachment; filename="MAR__0256___X__1____.csv"');
		expect(file.headers.get('cache-control')).toBe('no-store');
		expect(await file.text()).toBe('a,b');
	});
});
