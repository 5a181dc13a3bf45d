import { describe, expect, it } from 'vitest';
import { bySeason, spreadOverCylinders } from '.';

const counts = (...events: number[]) => events.map((event) => ({ events: event, exposure: 1000 }));

describe('spreadOverCylinders', () => {
	it('is the textbook factor for two cylinders', () => {
		// Jeffreys: a share of one half against any share, 8 of 8: 2⁸/9; both cylinders say the same of it.
		expect(spreadOverCylinders(counts(8, 0))!.pOne).toBeCloseTo(256 / 9 / (1 + 256 / 9), 12);
	});
	it('tells one cylinder from all alike, and leaves one event open', () => {
		expect(spreadOverCylinders(counts(0, 8, 0))).toMatchObject({ which: 1 });
		expect(spreadOverCylinders(counts(0, 8, 0))!.pOne).toBeGreaterThan(0.99);
		expect(spreadOverCylinders(counts(5, 5, 5))!.pOne).toBeLessThan(0.3);
		expect(spreadOverCylinders(counts(1, 0, 0))!.pOne).toBeLessThan(0.7);
	});
	it('has nothing to tell of one cylinder or no event', () => {
		expect(spreadOverCylinders(counts(3))).toBeUndefined();
		expect(spreadOverCylinders(counts(0, 0))).toBeUndefined();
	});
	it('refuses what is no count', () => expect(() => spreadOverCylinders(counts(1.5, 0))).toThrow('events'));
});

describe('bySeason', () => {
	const inspection = (month: number, found: boolean) => ({
		receivedAt: new Date(Date.UTC(2025, month, 10)),
		hours: 1000,
		found
	});
	it('finds what comes up in summer alone', () => {
		const inspections = [6, 7, 6, 7, 8]
			.map((month) => inspection(month, true))
			.concat([0, 1, 2, 11, 3].map((month) => inspection(month, false)));
		const season = bySeason(inspections)!;
		expect(season.p).toBeCloseTo(2 * 0.5 ** 5, 12);
		expect(season.ratio).toBeUndefined();
	});
	it('has no answer where one side has no hours', () => expect(bySeason([inspection(6, true)])).toBeUndefined());
});
