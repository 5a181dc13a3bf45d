import { describe, expect, it } from 'vitest';
import { SharedReads } from './sharedReads';

const ines = { shop: 'harrow', user: 'ines' };
const odd = { shop: 'harrow', user: 'odd' };

const change = (shared: SharedReads, who: typeof ines) => shared.changing(who, async () => undefined);

function reads() {
	let now = 0;
	let worked = 0;
	const shared = new SharedReads(() => now);
	return {
		shared,
		pass: (ms: number) => (now += ms),
		read: (who = ines, name = 'floor') => shared.read(who, name, async () => ++worked)
	};
}

describe('a page that many look at', () => {
	it('is computed once for all who ask, and kept while nothing changes', async () => {
		const { read, pass } = reads();
		expect(await Promise.all([read(), read(odd), read()])).toEqual([1, 1, 1]);
		pass(4000);
		expect(await read()).toBe(1);
		pass(2000);
		expect(await read()).toBe(2);
	});
	it('is of its own shop and its own name', async () => {
		const { read } = reads();
		expect(await read()).toBe(1);
		expect(await read(ines, 'trace')).toBe(2);
		expect(await read({ shop: 'skerry', user: 'una' })).toBe(3);
	});
	it('shows everybody their own change at once, and others’ within two', async () => {
		const { read, pass, shared } = reads();
		expect(await read()).toBe(1);
		pass(10);
		await change(shared, ines);
		pass(10);
		expect(await read(odd)).toBe(1);
		expect(await read(ines)).toBe(2);
		pass(10);
		await change(shared, ines);
		pass(2500);
		expect(await read(odd)).toBe(3);
	});
	it('is not shared with a person who changed data after its computation began', async () => {
		const { shared, pass } = reads();
		let finish!: (value: number) => void;
		const first = shared.read(odd, 'floor', () => new Promise<number>((done) => (finish = done)));
		pass(5);
		await change(shared, ines);
		pass(5);
		const second = shared.read(ines, 'floor', async () => 2);
		finish(1);
		expect(await Promise.all([first, second])).toEqual([1, 2]);
	});
	it('waits for a save that is under way, but only for a moment', async () => {
		const { shared, read } = reads();
		await read(odd);
		const told: string[] = [];
		let end!: () => void;
		const save = shared.changing(ines, () => new Promise<void>((done) => (end = done))).then(() => told.push('saved'));
		const page = read(odd).then(() => told.push('page'));
		end();
		await Promise.all([save, page]);
		expect(told).toEqual(['saved', 'page']);
		void shared.changing(ines, () => new Promise<void>(() => undefined));
		expect(await read(odd)).toBe(1);
	});
	it('counts a change that failed as a change', async () => {
		const { shared, read, pass } = reads();
		expect(await read()).toBe(1);
		pass(10);
		await expect(shared.changing(ines, () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
		pass(10);
		expect(await read()).toBe(2);
	});
	it('is tried again where it failed', async () => {
		const { shared } = reads();
		await expect(shared.read(ines, 'floor', () => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
		expect(await shared.read(ines, 'floor', async () => 7)).toBe(7);
	});
	it('is worked out two at a time', async () => {
		const { shared } = reads();
		let now = 0;
		let most = 0;
		const work = async () => {
			most = Math.max(most, ++now);
			await new Promise((done) => setTimeout(done, 5));
			now--;
		};
		await Promise.all(Array.from({ length: 8 }, (_, i) => shared.read({ shop: `s${i}`, user: 'u' }, 'floor', work)));
		expect(most).toBe(2);
	});
});
