import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { runningTimers, setTimers, timeLeft, type RunningTimer } from './timers';

const kept = new Map<string, string>();
beforeEach(() =>
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => kept.set(key, value)
	})
);
afterEach(() => {
	kept.clear();
	vi.unstubAllGlobals();
});
const timer = (job: string, until: number): RunningTimer => ({
	job,
	step: 'torqueCaps',
	pump: 'X-1',
	todo: 'Torque',
	until
});

describe('timers', () => {
	it('of one job are set again, those of others run on', () => {
		setTimers('a', [timer('a', 5000)], 0);
		setTimers('b', [timer('b', 6000)], 0);
		setTimers('a', [], 0);
		expect(runningTimers(0)).toEqual([timer('b', 6000)]);
	});
	it('are forgotten half a day after they ran out', () => {
		setTimers('a', [timer('a', 0)], 0);
		expect(runningTimers(11 * 3_600_000)).toHaveLength(1);
		expect(runningTimers(13 * 3_600_000)).toEqual([]);
	});
	it('bear whatever someone left in their place', () => {
		for (const rubbish of ['{', '7', '[1,null,{"job":3}]', '']) {
			kept.set('exetasis-timers', rubbish);
			expect(runningTimers(0)).toEqual([]);
		}
		vi.stubGlobal('localStorage', undefined);
		expect(runningTimers(0)).toEqual([]);
		expect(() => setTimers('a', [], 0)).not.toThrow();
	});
	it('say what is left, and how long they are over', () => {
		expect(timeLeft(245_000, 0)).toBe('4:05');
		expect(timeLeft(0, 70_000)).toBe('over by 1:10');
	});
});
