import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

let kept: Map<string, string>;
const freshClock = async () => {
	vi.resetModules();
	return (await import('./clock')).clock;
};

beforeEach(() => {
	vi.useFakeTimers({ now: new Date('2026-03-01T08:00:00Z') });
	kept = new Map();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => void kept.set(key, value)
	});
});
afterEach(() => {
	vi.unstubAllGlobals();
	vi.useRealTimers();
});

describe('the tablet’s clock', () => {
	it('says nothing of an offset before the server has told its time', async () => {
		const [stamp] = (await freshClock()).stamps(1);
		expect(stamp).toEqual({ at: '2026-03-01T08:00:00.000Z', seq: 1 });
	});
	it('takes half of what the asking took for the way back', async () => {
		const clock = await freshClock();
		clock.compare(Date.now() - 600_000, 80);
		expect(clock.stamps(1)[0].offsetMs).toBe(-599_960);
	});
	it('stamps one act with one moment, and counts its entries', async () => {
		const clock = await freshClock();
		const stamps = clock.stamps(3);
		expect(new Set(stamps.map(({ at }) => at)).size).toBe(1);
		expect(stamps.map(({ seq }) => seq)).toEqual([1, 2, 3]);
	});
	it('counts on where another tab, or this one before, has stopped', async () => {
		(await freshClock()).stamps(4);
		expect((await freshClock()).stamps(1)[0].seq).toBe(5);
		kept.set('exetasis-count', 'no number');
		expect((await freshClock()).stamps(1)[0].seq).toBe(1);
	});
	it('counts by itself where the browser keeps nothing', async () => {
		vi.stubGlobal('localStorage', {
			getItem: () => {
				throw new Error('denied');
			}
		});
		const clock = await freshClock();
		expect(clock.stamps(2).map(({ seq }) => seq)).toEqual([1, 2]);
		expect(clock.stamps(1)[0].seq).toBe(3);
	});
});
