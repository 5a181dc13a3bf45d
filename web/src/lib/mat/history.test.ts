import { afterEach, describe, expect, it, vi } from 'vitest';
import { byPlace, fetchHistory } from './history';

const inspection = (station: string, cylinder: number, pumpHours: number) => ({
	station,
	cylinder,
	pumpHours,
	verdict: 'reuse' as const,
	worst: 1
});
afterEach(() => vi.unstubAllGlobals());
const answering = (answer: () => Promise<Response>) => vi.stubGlobal('fetch', vi.fn(answer));

describe('the last rebuilds of each place', () => {
	it('stand by place, in the order in which they came', () => {
		const places = byPlace([
			inspection('plunger', 1, 4000),
			inspection('plunger', 2, 4000),
			inspection('plunger', 1, 2000)
		]);
		expect(places.size).toBe(2);
		expect([...places.values()][0].map(({ pumpHours }) => pumpHours)).toEqual([4000, 2000]);
	});
	it('come from the server', async () => {
		answering(() => Promise.resolve(Response.json([inspection('plunger', 1, 4000)])));
		expect((await fetchHistory('j'))?.size).toBe(1);
		expect(fetch).toHaveBeenCalledWith('/jobs/j/history');
	});
	it.each<[string, () => Promise<Response>]>([
		['no connection', () => Promise.reject(new TypeError('failed'))],
		['a refusal', () => Promise.resolve(new Response('', { status: 503 }))],
		['a page in its place', () => Promise.resolve(new Response('<html>'))],
		['another shape', () => Promise.resolve(Response.json([{ station: 'plunger', worst: 17 }]))]
	])('are left out at %s', async (_, answer) => {
		answering(answer);
		expect(await fetchHistory('j')).toBeUndefined();
	});
});
