// Flow, hold, and which valve a pressure trace tells of: against the book, and against pumps whose fault is known.
import fc from 'fast-check';
import { running, type Fault } from '../../../devices/src/pump';
import { describe, expect, it } from 'vitest';
import {
	displacementCm3,
	forwardSpeed,
	holdFinding,
	pressurePerKelvin,
	shaftOrders,
	temperatureRiseK,
	theoreticalFlowLmin,
	volumetricEfficiency,
	whichValve,
	type PressureTrace
} from '.';

const triplex = { strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240], boreMm: 18 };
const twin = { ...triplex, phasesDeg: [0, 180] };

describe('flow', () => {
	it('is displacement times speed', () => {
		expect(displacementCm3(triplex)).toBeCloseTo(18.32177, 5); // π/4 · 1.8² · 2.4 · 3 (by hand)
		expect(theoreticalFlowLmin(triplex, 1000)).toBeCloseTo(18.32177, 5);
	});
	it('draws in for the first half turn and delivers for the second', () => {
		expect(forwardSpeed(triplex, 90, 1)).toBeLessThan(0);
		expect(forwardSpeed(triplex, 270, 1)).toBeGreaterThan(0);
		expect(forwardSpeed(triplex, 0, 1)).toBeCloseTo(0, 12);
	});
	it('is measured as well as its parts are', () => {
		const measured = {
			flowLmin: { value: 17, u: 0.17 },
			speedRpm: { value: 1000, u: 5 },
			boreMm: { value: 18, u: 0.009 }
		};
		const efficiency = volumetricEfficiency(triplex, measured);
		expect(efficiency.value).toBeCloseTo(17 / 18.32177, 5);
		expect(efficiency.u / efficiency.value).toBeCloseTo(Math.sqrt(0.01 ** 2 + 0.005 ** 2 + 0.001 ** 2), 9);
	});
	it('warms the water by what is lost', () =>
		// 10 MPa at 80 %: 2.5 MJ/m³ over 4.174 MJ/(m³·K)
		expect(temperatureRiseK(10, 0.8)).toBeCloseTo(0.599, 3));
});

describe('holdFinding', () => {
	const allowed = { minutes: 5, mostFallMPa: 0.3 };
	it('sets another time in proportion, and says how sure it is', () => {
		const test = holdFinding({ fromMPa: 10, toMPa: 9.9, minutes: 2, u: 0.02 }, allowed);
		expect(test.fallOverSheetTimeMPa).toBeCloseTo(0.25, 12);
		expect(test.pWithin).toBeCloseTo(0.7602, 3); // 0.05 ÷ (√2 · 0.02 · 2.5) = 0.7071 standard deviations
		expect(holdFinding({ fromMPa: 10, toMPa: 9.75, minutes: 5, u: 0 }, allowed).pWithin).toBe(1);
	});
	it('follows the water’s expansion: none at 4 °C but the housing’s, more the warmer it is', () => {
		// Kell 1975, table: 2.07e-4 at 20 °C, 3.85e-4 at 40 °C, less 5.1e-5 of the housing, times 2,200 MPa.
		expect(pressurePerKelvin(20)).toBeCloseTo(2200 * (2.07e-4 - 5.1e-5), 2);
		expect(pressurePerKelvin(40)).toBeCloseTo(2200 * (3.85e-4 - 5.1e-5), 2);
		expect(pressurePerKelvin(4)).toBeLessThan(0);
		expect(() => pressurePerKelvin(-1)).toThrow('0 to 100');
	});
	it('turns a fall into a leak where the volume is known', () =>
		expect(
			holdFinding({ fromMPa: 10, toMPa: 9, minutes: 2, u: 0 }, allowed, { volumeMm3: 36_000, bulkModulusMPa: 1800 })
				.leakMlMin
		).toBeCloseTo(0.01, 12));
});

/** What a rig records of a pump whose fault is known; it shares no code with what analyses it. */
function rig(
	drive: typeof triplex,
	fault: Fault,
	{ seconds = 8, hz = 4000, rpm = 900, noise = 0.01, drift = 0, index = true, seed = 1, startDeg = 40, lag = 0 } = {}
): PressureTrace {
	const run = { sampleHz: hz, rpm, noise, driftAMinute: (60 * drift) / seconds, startDeg, seed };
	const source = running({ ...drive, meanMPa: 10, lag }, fault, run);
	if (lag > 0) for (let i = 0; i < 2 * hz; i++) source.next(); // until the line is full
	const pressureMPa: number[] = [];
	const indexS: number[] = [];
	for (let i = 0; i < seconds * hz; i++) {
		const { pressureMPa: p, markAt } = source.next().value;
		pressureMPa.push(p);
		if (markAt !== undefined) indexS.push((i + markAt) / hz);
	}
	return { sampleHz: hz, pressureMPa, indexS: index ? indexS : [], speedRpm: rpm };
}
const told = (drive: typeof triplex, fault: Fault, options = {}) => {
	const orders = shaftOrders(rig(drive, fault, options));
	if (orders.kind === 'problem') throw new Error(orders.code);
	return whichValve(drive, orders);
};

describe('shaftOrders', () => {
	it('holds nothing at once a turn in a healthy pump of three, and its ripple at three and six', () => {
		const found = shaftOrders(rig(triplex, {}, { noise: 0 }));
		if (found.kind !== 'orders') throw new Error(found.code);
		const amplitude = (order: number) => Math.hypot(found.orders[order - 1].cos, found.orders[order - 1].sin);
		for (const order of [1, 2, 4, 5, 7]) expect(amplitude(order)).toBeLessThan(1e-4);
		expect(amplitude(6)).toBeCloseTo(2 / 35, 2); // of |sin| thirds: 2/(36 − 1)
		expect(found.speedRpm).toBeCloseTo(900, 3);
	});
	it('finds amplitude and phase of a cosine again, in the cosine convention from the pulse', () => {
		const hz = 6000;
		const speed = 600;
		const pressureMPa = Array.from({ length: 60_000 }, (_, i) => {
			const turn = (i / hz) * (speed / 60);
			return (1 + 0.05 * Math.cos(2 * Math.PI * turn - 0.7)) ** 2;
		});
		const indexS = Array.from({ length: 100 }, (_, i) => i / 10);
		const found = shaftOrders({ sampleHz: hz, pressureMPa, indexS, speedRpm: speed });
		if (found.kind !== 'orders') throw new Error(found.code);
		expect(found.orders[0].cos).toBeCloseTo(0.05 * Math.cos(0.7), 4);
		expect(found.orders[0].sin).toBeCloseTo(0.05 * Math.sin(0.7), 4);
	});
	it.each([
		['silent', { pressureMPa: Array(40_000).fill(0) }],
		['silent', { pressureMPa: [] }],
		['notNumbers', { pressureMPa: [1, NaN, 2] }],
		['tooShort', { pressureMPa: Array(2000).fill(5), indexS: [0, 0.06, 0.12] }],
		['tooLong', { pressureMPa: new Float32Array(6_000_001) as unknown as number[] }],
		['tooCoarse', { sampleHz: 200 }],
		['pulsesMissing', { indexS: [0, 0.066, 0.133, 0.266, 0.333] }]
	])('says %s of a trace that tells nothing', (code, wrong) => {
		const trace = rig(triplex, {}, { seconds: 4 });
		expect(shaftOrders({ ...trace, ...wrong })).toMatchObject({ kind: 'problem', code });
	});
	it('says that the speed drifts where no pulse tells the angle, and bears it where one does', () => {
		expect(shaftOrders(rig(triplex, {}, { drift: 0.2, index: false }))).toMatchObject({ code: 'speedDrifts' });
		expect(shaftOrders(rig(triplex, {}, { drift: 0.2 }))).toMatchObject({ kind: 'orders' });
	});
	it('finds the speed by itself, within a tenth of what it is said to be', () => {
		const trace = { ...rig(triplex, { inlet: [2, 0.2] }, { index: false, rpm: 870 }), speedRpm: 900 };
		const found = shaftOrders(trace);
		if (found.kind !== 'orders') throw new Error(found.code);
		expect(found.speedRpm).toBeCloseTo(870, 1);
		expect(found.marked).toBe(false);
	});
});

describe('whichValve', () => {
	it('finds a healthy pump healthy', () => {
		const { verdicts } = told(triplex, {});
		expect(verdicts[0]).toMatchObject({ what: 'healthy' });
		expect(verdicts[0].probability).toBeGreaterThan(0.9);
	});
	it.each([1, 2, 3])('names the valve of cylinder %i that leaks, and how much', (cylinder) => {
		for (const what of ['inlet', 'discharge'] as const) {
			const { verdicts, lost } = told(triplex, { [what]: [cylinder, 0.15] });
			expect(verdicts[0]).toMatchObject({ what, cylinder });
			expect(verdicts[0].probability).toBeGreaterThan(0.95);
			expect(Math.abs(lost.share - 0.15 / 2)).toBeLessThan(0.02); // half of the turn it loses
		}
	});
	// 33 cm³ of water before the nozzle at 17 L/min, 10 MPa and 900 rpm: Ω·τ = 94.2 · 2 · (33e-6/2.2e9) · 10e6/(17e-3/60) = 0.1.
	it.each([0.03, 0.1, 0.3, 1])('blames no healthy pump behind a line that lags by %s, and names what leaks', (lag) => {
		const sound = told(triplex, {}, { lag });
		expect(sound.verdicts[0].what).toBe('healthy');
		expect(Math.abs(sound.lag / lag - 1)).toBeLessThan(0.05);
		for (const what of ['inlet', 'discharge'] as const)
			expect(told(triplex, { [what]: [2, 0.05] }, { lag }).verdicts[0]).toMatchObject({ what, cylinder: 2 });
	});
	it('says that it cannot tell where a damper hides a leak of 3 %, and where two cylinders have no mark', () => {
		expect(told(triplex, {}, { lag: 5, seconds: 4 }).hidden).toBe('lag');
		expect(told(twin, {}, { index: false }).hidden).toBe('noMark');
		expect(told(triplex, {}).hidden).toBeUndefined();
	});
	it('tells air in the suction from any valve', () =>
		expect(told(triplex, { airDeg: 25 }).verdicts[0]).toMatchObject({ what: 'air' }));
	it('bears a speed that drifts by a fifth', () =>
		expect(told(triplex, { inlet: [3, 0.2] }, { drift: 0.2 }).verdicts[0]).toMatchObject({
			what: 'inlet',
			cylinder: 3
		}));
	it('names one valve, and no cylinder, where nothing marks the shaft', () => {
		const { verdicts } = told(triplex, { discharge: [2, 0.2] }, { index: false });
		expect(verdicts[0]).toEqual({ what: 'oneValve', probability: expect.any(Number) });
		expect(verdicts.every((verdict) => !('cylinder' in verdict))).toBe(true);
	});
	it('names both where two cylinders at 180° cannot be told apart', () => {
		const { verdicts } = told(twin, { inlet: [1, 0.3] });
		const pair = verdicts.filter(
			(verdict) =>
				(verdict.what === 'inlet' && verdict.cylinder === 1) || (verdict.what === 'discharge' && verdict.cylinder === 2)
		);
		expect(pair.reduce((sum, traceVerdict) => sum + traceVerdict.probability, 0)).toBeGreaterThan(0.98);
		for (const { probability } of pair) expect(probability).toBeCloseTo(0.5, 2);
	});
	it('what it calls likely comes true as often, at leaks that the noise nearly hides', () => {
		const said: number[] = [];
		const came: number[] = [];
		for (let run = 0; run < 120; run++) {
			const kind =
				run % 2 === 0 ? {} : { [run % 4 === 1 ? 'inlet' : 'discharge']: [1 + (run % 3), 0.01 + (run % 7) / 150] };
			const { verdicts } = told(triplex, kind as Fault, { noise: 0.15, seconds: 2, hz: 2000, seed: 1000 + run });
			const [first] = verdicts;
			const [what, where] = Object.entries(kind)[0] ?? ['healthy', [0]];
			said.push(first.probability);
			came.push(first.what === what && ('cylinder' in first ? first.cylinder : 0) === (where as number[])[0] ? 1 : 0);
		}
		const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
		// 120 runs: the standard error of how often it came true is below 0.045.
		expect(Math.abs(mean(said) - mean(came))).toBeLessThan(0.1);
	});
	it('its probabilities always add up to one', () =>
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 3 }), fc.double({ min: 0, max: 0.5, noNaN: true }), (cylinder, leak) => {
				const { verdicts } = told(triplex, { inlet: [cylinder, leak] }, { seconds: 1, hz: 2000 });
				expect(verdicts.reduce((sum, traceVerdict) => sum + traceVerdict.probability, 0)).toBeCloseTo(1, 9);
			}),
			{ seed: 4, numRuns: 8 }
		));
});
