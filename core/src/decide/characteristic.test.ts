import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { ASSUMED_GAUGE, judgeCharacteristic, type MeasureContext, type ShopGauge } from '.';
import { readSheet, type ModelSheet, type Reading } from '../record';

const text = readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
const diameter = sheet.stations.find(({ key }) => key === 'plunger')!.characteristics[0];
const lip = sheet.stations.find(({ key }) => key === 'packing')!.characteristics[0];

const gauge = (id: string, calibrationU: number): ShopGauge => ({
	id,
	name: `Micrometer ${id}`,
	kind: 'micrometer',
	facts: { ...ASSUMED_GAUGE, resolution: 0.001, calibrationU, repeatability: 0.001, reproducibility: 0.0005 }
});
const context = (change: Partial<MeasureContext> = {}): MeasureContext => ({
	gauges: [gauge('fine', 0.001), gauge('coarse', 0.02)],
	policy: { acceptBad: 0.05, scrapGood: 0.05 },
	asFitted: {},
	...change
});
let counter = 0;
const reading = (value: number, row = 0, column = 0, more: Partial<Reading['payload']> = {}): Reading => ({
	id: `r${++counter}`,
	job: 'j',
	part: 'p',
	by: 'ines',
	at: new Date(Date.UTC(2026, 0, 1) + counter * 1000).toISOString(),
	kind: 'reading',
	payload: {
		characteristic: 'diameter',
		row,
		column,
		value,
		typed: { text: String(value), unit: 'mm' },
		gauge: 'fine',
		...more
	}
});
const judged = (readings: Reading[], change?: Partial<MeasureContext>) =>
	judgeCharacteristic('plunger', diameter, readings, context(change))!;

describe('judgeCharacteristic', () => {
	it('takes the mean of repeated readings of a point, and the worst point', () => {
		const { worst, points, pointsLeft } = judged([reading(17.98), reading(17.984), reading(17.99, 1, 1)]);
		expect(worst.value).toBeCloseTo(17.982, 9);
		expect(points).toHaveLength(2);
		expect(pointsLeft).toBe(4);
	});
	it('worst is the largest where wear makes it grow', () => {
		const at = (value: number) => ({
			...reading(value),
			payload: { ...reading(value).payload, characteristic: 'insideDiameter' }
		});
		expect(judgeCharacteristic('vRing', lip, [at(17.7), at(17.7)], context())!.wear.worn).toBeCloseTo(0.1, 9);
	});
	it('brings a warm plunger back to 20 °C', () => {
		const { worst } = judged([reading(18, 0, 0, { partC: 70 })]);
		expect(worst.value).toBeCloseTo(18 / (1 + 8e-6 * 50), 9);
	});
	// 50 mm of steel gauge at 35 °C is 50 × 11.5e-6 × 15 = 8.6 µm longer than its certificate says.
	it('brings a gauge that lay on a hot bench back to 20 °C as well', () => {
		const { worst } = judged([reading(18, 0, 0, { partC: 35, gaugeC: 35 })]);
		expect(worst.value).toBeCloseTo((18 * (1 + 11.5e-6 * 15)) / (1 + 8e-6 * 15), 9);
	});
	it('takes a part without a temperature of its own to be as warm as its gauge', () =>
		expect(judged([reading(18, 0, 0, { gaugeC: 35 })]).worst.value).toBeCloseTo(
			judged([reading(18, 0, 0, { partC: 35, gaugeC: 35 })]).worst.value,
			12
		));
	it('covers the error where only the part’s temperature is known', () => {
		const [known, unknown] = [{ partC: 35, gaugeC: 35 }, { partC: 35 }].map(
			(warm) => judged([reading(18, 0, 0, warm)]).worst
		);
		const temperature = unknown.budget.contributions.find(({ source }) => source === 'temperature')!;
		// Rectangular: ±15 K of the gauge, ±2 K of the part.
		expect(temperature.u).toBeCloseTo((18 * Math.hypot(11.5e-6 * 15, 8e-6 * 2)) / Math.sqrt(3), 6);
		expect(Math.abs(known.value - unknown.value)).toBeLessThan(2 * temperature.u);
	});
	it('does not get surer by one gauge read at several temperatures: its zero is the same', () => {
		const u = (...warm: number[]) => judged(warm.map((partC) => reading(17.98, 0, 0, { partC, gaugeC: 20 }))).budget.u;
		const calibration = 0.001 / 2;
		expect(u(20, 21, 22)).toBeGreaterThan(calibration);
		expect(u(20, 21, 22)).toBeCloseTo(u(21, 21, 21), 7);
	});
	it('counts wear from the size as fitted where it was measured, else from nominal, and says which', () => {
		expect(judged([reading(17.98)]).wear.worn).toBeCloseTo(0.02, 9);
		const fitted = judged([reading(17.98)], { asFitted: { diameter: 17.99 } });
		expect(fitted.wear.worn).toBeCloseTo(0.01, 9);
		expect([judged([reading(17.98)]).startIsNominal, fitted.startIsNominal]).toEqual([true, false]);
	});
	it('assumes a shop caliper where no gauge is named, or one that is gone', () => {
		const named = judged([reading(17.98)]).budget.U;
		for (const gone of [undefined, 'sold']) {
			const { budget, gauge } = judged([reading(17.98, 0, 0, { gauge: gone })]);
			expect(gauge).toBeUndefined();
			expect(budget.U).toBeGreaterThan(3 * named);
		}
	});
	it('offers another gauge of the kind when it is too close to call, never the one in use', () => {
		const { conformity, settlement } = judged([reading(17.957, 0, 0, { gauge: 'coarse' })]);
		expect(conformity.zone).toBe('tooClose');
		expect(settlement!.gauges).toEqual([{ id: 'fine', readings: 1 }]);
	});
	it('points at a reading that does not fit its place', () => {
		const readings = [17.98, 17.981, 17.98, 17.979, 17.9].map((value) => reading(value));
		expect(judged(readings).worst.outlier).toBe(4);
	});
});
