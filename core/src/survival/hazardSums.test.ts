import { describe, expect, it } from 'vitest';
import { hazardSums } from './hazardSums';

const spread = (count: number, from: number, to: number) =>
	Float64Array.from({ length: count }, (_, i) => from + ((to - from) * ((i * 7919) % count)) / count);
const byHand = (logs: Float64Array, shape: number, mu: number) =>
	logs.reduce(
		([h, zh, zzh], log) => {
			const z = shape * (log - mu);
			return [h + Math.exp(z), zh + z * Math.exp(z), zzh + z * z * Math.exp(z)];
		},
		[0, 0, 0]
	);

describe('hazardSums', () => {
	it.each([
		[0.05, 7],
		[1, 8],
		[2.5, 8.5],
		[9, 9],
		[60, 9.2] // steeper than the bins are narrow
	])('gives the sums of many lives at shape %d, μ %d', (shape, mu) => {
		const logs = spread(20_000, 2, 9.5);
		const { h, zh, zzh } = hazardSums([{ logs, sign: 1 }])(shape, mu);
		const [eh, ezh, ezzh] = byHand(logs, shape, mu);
		expect(Math.abs(h / eh - 1)).toBeLessThan(1e-10);
		expect(Math.abs(zh / ezh - 1)).toBeLessThan(1e-8);
		expect(Math.abs(zzh / ezzh - 1)).toBeLessThan(1e-9);
	});
	it('subtracts the ages before which lives were not watched', () => {
		const [logs, entered] = [spread(9000, 6, 9), spread(3000, 5, 8)];
		const { h } = hazardSums([
			{ logs, sign: 1 },
			{ logs: entered, sign: -1 }
		])(1.5, 8);
		expect(Math.abs(h / (byHand(logs, 1.5, 8)[0] - byHand(entered, 1.5, 8)[0]) - 1)).toBeLessThan(1e-10);
	});
	it('takes lives that all end at one age, few lives, and none', () => {
		const same = new Float64Array(5000).fill(8);
		expect(hazardSums([{ logs: same, sign: 1 }])(2, 8).h).toBeCloseTo(5000, 6);
		expect(hazardSums([{ logs: Float64Array.of(8), sign: 1 }])(2, 8)).toEqual({ h: 1, zh: 0, zzh: 0 });
		expect(hazardSums([])(2, 8)).toEqual({ h: 0, zh: 0, zzh: 0 });
	});
});
