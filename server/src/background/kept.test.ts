import { describe, expect, it } from 'vitest';
import { Kept, keyOf } from './kept';

describe('answers kept by what they rest on', () => {
	it('have one key for equal data, another for any difference', () => {
		expect(keyOf({ a: [1, 2], b: 'x' })).toBe(keyOf({ a: [1, 2], b: 'x' }));
		expect(keyOf({ a: [1, 2], b: 'x' })).not.toBe(keyOf({ a: [1, 2.0000001], b: 'x' }));
		expect(keyOf(new Map([['a', 1]]))).not.toBe(keyOf(new Map([['a', 2]])));
		expect(keyOf({ a: Infinity })).not.toBe(keyOf({ a: null }));
	});
	it('go when they were not asked for longest', async () => {
		const kept = new Kept<number>(2);
		void kept.keep('one', Promise.resolve(1));
		void kept.keep('two', Promise.resolve(2));
		expect(await kept.get('one')).toBe(1);
		void kept.keep('three', Promise.resolve(3));
		expect(kept.get('two')).toBeUndefined();
		expect(await kept.get('one')).toBe(1);
	});
	it('are forgotten where they failed, and worked out again', async () => {
		const kept = new Kept<number>(2);
		await expect(kept.keep('one', Promise.reject(new Error('a thread ended')))).rejects.toThrow('a thread ended');
		expect(kept.get('one')).toBeUndefined();
	});
});
