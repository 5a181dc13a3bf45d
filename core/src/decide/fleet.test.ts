import { describe, expect, it } from 'vitest';
import { QUANTILE_WEIGHTS } from '../life';
import { knowledgeOfPump, learnFleet, pastOf, PartLife, sizeAtInspection, stretchesOf, unknownLife } from '.';
import type { FleetRecord, JobOnRecord, LifeOnRecord, SizeOnRecord } from '.';
import { demoSheet, fineGauge, ran, stationOn } from './testing';

const sheet = demoSheet('marram');
const plunger = stationOn(sheet, 'plunger');
const packing = stationOn(sheet, 'packing');
const diameter = plunger.characteristics[0];
const gauges = [fineGauge];

const job = (pump: string, pumpHours: number, pressureMPa = 6): JobOnRecord => ({
	pump,
	pumpHours,
	duty: { pressureMPa }
});
const life = (part: string, change: Partial<LifeOnRecord> = {}): LifeOnRecord => ({
	part,
	pump: 'p',
	station: 'packing',
	fittedHours: 0,
	firstSeenHours: 0,
	removedHours: 1500,
	endReason: 'worn',
	inspectedHours: [1500],
	asFitted: {},
	...change
});
const size = (part: string, pumpHours: number, value: number, change: Partial<SizeOnRecord> = {}): SizeOnRecord => ({
	part,
	pump: 'p',
	characteristic: 'insideDiameter',
	pumpHours,
	readings: [{ row: 0, column: 0, value, gauge: 'fine' }],
	...change
});
const record = (change: Partial<FleetRecord> = {}): FleetRecord => ({
	jobs: [job('p', 1500), job('p', 3000)],
	lives: [],
	sizes: [],
	...change
});
const meanOf = (known: { shapes: readonly { weight: number; mean: number }[] }) =>
	known.shapes.reduce((sum, { weight, mean }) => sum + weight * mean, 0);

describe('sizeAtInspection', () => {
	const places = (values: readonly number[]) => ({
		readings: values.map((value, row) => ({ row, column: 0, value, gauge: 'fine' }))
	});
	it('reads all places together', () => {
		const { value, u } = sizeAtInspection(plunger, diameter, places([17.98, 17.982, 17.981]), gauges)!;
		expect(value).toBeGreaterThan(17.979);
		expect(value).toBeLessThan(17.982);
		expect(u).toBeGreaterThan(0.0005);
		expect(u).toBeLessThan(0.004);
	});
	it('is wide where no gauge is named', () => {
		const bare = { readings: [{ row: 0, column: 0, value: 17.98 }] };
		expect(sizeAtInspection(plunger, diameter, bare, [])!.u).toBeGreaterThan(0.01);
	});
});

describe('learnFleet', () => {
	it('moves a kind by lives that wore fast, and leaves the others at their priors', () => {
		const lives = Array.from({ length: 12 }, (_, i) => life(`a${i}`));
		const sizes = lives.map(({ part }, i) => size(part, 1500, 17.85 + 0.01 * (i % 3)));
		const learnt = learnFleet(sheet, record({ lives, sizes }), gauges);
		expect(Object.keys(learnt.wear)).toEqual(['packing/insideDiameter']);
		expect(learnt.wear['packing/insideDiameter'].parts).toBe(12);
		expect(meanOf(learnt.wear['packing/insideDiameter']) + learnt.pumps.p.mean).toBeGreaterThan(0.3);
		expect(learnt.settled).toBe(true);
	});
	// A plunger of 22 mm that was typed as 20 is 33 allowances worn, which no path of the wear explains.
	it.each([1, 3, 12])('stays finite, and believes the others, where one of %i parts has a slip', (count) => {
		const bracken = demoSheet('bracken');
		const names = Array.from({ length: count }, (_, i) => `p${i}`);
		const hours = [1000, 2000, 3000];
		const withSlip = (slip: number | undefined) =>
			learnFleet(
				bracken,
				{
					jobs: names.flatMap((pump) => hours.map((at) => job(pump, at))),
					lives: names.map((pump) =>
						life(pump, { pump, station: 'plunger', removedHours: null, endReason: null, inspectedHours: hours })
					),
					sizes: names.flatMap((pump, i) =>
						hours.map((at) =>
							size(pump, at, i === 0 && at === 3000 && slip ? slip : 22 - 8e-6 * at, {
								pump,
								characteristic: 'diameter'
							})
						)
					)
				},
				gauges
			);
		const clean = withSlip(undefined).wear['plunger/diameter'];
		const learnt = withSlip(20);
		const numbers = JSON.stringify(learnt, (_, value: unknown) =>
			typeof value === 'number' && !Number.isFinite(value) ? 'not finite' : value
		);
		expect(numbers).not.toContain('not finite');
		if (count > 1) expect(Math.abs(meanOf(learnt.wear['plunger/diameter']) - meanOf(clean))).toBeLessThan(0.3);
		expect(learnt.setAside).toEqual([
			{ pump: 'p0', station: 'plunger', characteristic: 'diameter', pumpHours: 3000, value: 20, ran: 3000 }
		]);
	});
	it('counts a damaged part since the inspection before, and one that runs to its last inspection', () => {
		const lives = [
			life('a', { endReason: 'damaged', removedHours: 3000, inspectedHours: [1500, 3000] }),
			life('b', { removedHours: null, endReason: null, inspectedHours: [1500] })
		];
		const { ends } = learnFleet(sheet, record({ lives }), gauges);
		expect([ends.packing.events, ends.packing.lives]).toEqual([1, 2]);
	});
	it('leaves a size as fitted aside that is no start', () => {
		const beyond = life('a', { asFitted: { insideDiameter: 17.95 } });
		const learn = (life: LifeOnRecord) =>
			meanOf(
				learnFleet(sheet, record({ lives: [life], sizes: [size('a', 1500, 17.7)] }), gauges).wear[
					'packing/insideDiameter'
				]
			);
		expect(learn(beyond)).toBeCloseTo(learn(life('a')), 12);
	});
	it('counts hours by their duty: the same wear in a harder duty says less of the kind', () => {
		const lives = Array.from({ length: 6 }, (_, i) => life(`a${i}`));
		const sizes = lives.map(({ part }) => size(part, 1500, 17.85));
		const at = (pressureMPa: number) =>
			learnFleet(sheet, record({ jobs: [job('p', 1500, pressureMPa)], lives, sizes }), gauges);
		expect(meanOf(at(11).wear['packing/insideDiameter'])).toBeLessThan(meanOf(at(6).wear['packing/insideDiameter']));
	});
});

describe('pastOf', () => {
	const jobs = [job('p', 1500), job('p', 3000)];
	it('knows hours since the fitting, and earlier sizes by the duty run since', () => {
		const sizes = [size('a', 1500, 17.7), size('b', 1500, 17.7), size('a', 3000, 17.8)];
		const past = pastOf({ part: 'a', fromHours: 0, hours: 3000, asFitted: {} }, packing, sheet, jobs, sizes, gauges);
		expect(past.age).toEqual({ kind: 'known', hours: 3000 });
		expect(past.dutyHours).toBe(3000);
		expect(past.earlier).toEqual([
			{ characteristic: 'insideDiameter', hoursAgo: 1500, value: 17.7, u: expect.any(Number) as number }
		]);
	});
	it('leaves a size out that wear cannot have made, and names it', () => {
		const sizes = [size('a', 1500, 17.7), size('a', 2000, 25), size('a', 2500, 11)];
		const all = [job('p', 1500), job('p', 2000), job('p', 2500), job('p', 3000)];
		const past = pastOf({ part: 'a', fromHours: 1000, hours: 2000, asFitted: {} }, packing, sheet, all, sizes, gauges);
		expect(past.earlier.map(({ value }) => value)).toEqual([17.7]);
		expect(past.setAside).toEqual([
			{ pump: 'p', station: 'packing', characteristic: 'insideDiameter', pumpHours: 2000, value: 25, ran: 1000 },
			{ pump: 'p', station: 'packing', characteristic: 'insideDiameter', pumpHours: 2500, value: 11, ran: 1500 }
		]);
	});
	it('leaves an age open that no one knows', () => {
		const past = pastOf({ part: 'a', fromHours: 1500, hours: null, asFitted: {} }, packing, sheet, jobs, [], gauges);
		expect(past.age).toEqual({ kind: 'unknown', seenFor: 1500, atMost: 3000 });
	});
	it('takes the duty declared at a rebuild for the hours before it', () => {
		const hard = [job('p', 1500, 6), job('p', 3000, 11)];
		expect(stretchesOf(hard, sheet).map(({ wearFactor }) => wearFactor)).toEqual([1, 1.25]);
		const past = pastOf({ part: 'a', fromHours: 0, hours: 3000, asFitted: {} }, packing, sheet, hard, [], gauges);
		expect(past.dutyHours).toBe(1500 + 1500 * 1.25);
	});
});

describe('knowledgeOfPump', () => {
	it('is the pump’s own where it is on record, else its class’s, wider', () => {
		const learnt = { pumps: { p: { mean: 0.2, sd: 0.1 } }, classes: { hard: { mean: 0.3, sd: 0.1 } } };
		expect(knowledgeOfPump(learnt, job('p', 1500), sheet).pump).toEqual({ mean: 0.2, sd: 0.1 });
		const stranger = knowledgeOfPump(learnt, job('new', 1500, 11), sheet);
		expect(stranger.wearFactor).toBe(1.25);
		expect(stranger.pump.mean).toBe(0.3);
		expect(stranger.pump.sd).toBeGreaterThan(0.1);
	});
});

describe('PartLife', () => {
	it('gives a part of unknown age, and a new one, chances that are not nought', () => {
		const part = new PartLife(plunger, unknownLife(plunger), [], {});
		expect(part.reused(2000).beyond).toBeGreaterThan(part.fresh(2000).beyond);
		expect(part.fresh(2000).beyond).toBeGreaterThan(0.005);
	});
	it('stops the pump less often than it is found beyond, and more with the hours', () => {
		const part = new PartLife(packing, ran(packing, 1500), [], {});
		const chances = [0, 500, 1500, 4000].map((hours) => part.reused(hours));
		for (const { beyond, stop } of chances) expect(stop).toBeLessThanOrEqual(beyond);
		for (let i = 1; i < chances.length; i++) expect(chances[i].beyond).toBeGreaterThan(chances[i - 1].beyond);
	});
	it('gives chances by pump that rise from a mild pump to a harsh one and average to the chance itself', () => {
		const inPump = { ...ran(packing, 1500), pump: { mean: 0, sd: 0.4 } };
		const part = new PartLife(packing, inPump, [], {});
		for (const { beyond, stop, byPump } of [part.reused(1500), part.fresh(1500)])
			for (const [chance, points] of [
				[beyond, byPump.beyond],
				[stop, byPump.stop]
			] as const) {
				const mean = points.reduce((sum, point, q) => sum + QUANTILE_WEIGHTS[q] * point, 0);
				expect(mean).toBeCloseTo(chance, 9);
				expect([...points].sort((a, b) => a - b)).toEqual(points);
				expect(points.at(-1)).toBeGreaterThan(1.1 * points[0]);
			}
	});
	it('stops it by the sheet’s own limit where there is one', () => {
		const stopping = { ...plunger, characteristics: [{ ...diameter, stopsAt: 17.9 }] };
		const early = { ...plunger, characteristics: [{ ...diameter, stopsAt: 17.949 }] };
		const stop = (station: typeof plunger) => new PartLife(station, ran(station, 3000), [], {}).reused(3000).stop;
		expect(stop(stopping)).toBeLessThan(stop(early));
	});
	it('weighs coming hours by the duty declared', () => {
		const at = (wearFactor: number) =>
			new PartLife(packing, { ...ran(packing, 1500), wearFactor }, [], {}).reused(1500).beyond;
		expect(at(1.4)).toBeGreaterThan(at(1));
	});
});
