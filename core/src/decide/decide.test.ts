import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultPolicy, endReason, judge, sizesByEye, type JudgeInput } from '.';
import { untouched, type Entry, type PartRecord } from '../record';
import { clean, demoSheet, finding, fineGauge, ran, read, recordOf, stationOn } from './testing';

const sheet = demoSheet('marram');
const station = (key: string) => stationOn(sheet, key);
const readings = (characteristic: string, values: number[], angles = 2) =>
	values.map((value, i) => read(characteristic, value, Math.floor(i / angles), i % angles));

const inputOf = (key: string, record: PartRecord, more: Partial<JudgeInput> = {}): JudgeInput => ({
	station: station(key),
	record,
	asFitted: {},
	gauges: [fineGauge],
	policy: defaultPolicy,
	...more
});
const judged = (...of: Parameters<typeof inputOf>) => judge(inputOf(...of));
const codes = (key: string, record: PartRecord, more?: Partial<JudgeInput>) =>
	judged(key, record, more).reasons.map(({ code }) => code);
const sound = [17.995, 17.995, 17.994, 17.995, 17.996, 17.995];

describe('judge', () => {
	it('leaves a part open until someone has looked', () => expect(judged('collar', untouched).verdict).toBe('open'));
	it('reuses what was looked at and shows nothing', () =>
		expect(judged('collar', recordOf(clean())).verdict).toBe('reuse'));
	it('never reuses what the sheet says is always new', () =>
		expect(judged('retainerGasket', recordOf(clean())).verdict).toBe('replace'));
	it('renews soft parts by policy, and judges them by condition under the other one', () => {
		expect(judged('caseORing', recordOf(clean())).verdict).toBe('replace');
		const onCondition = { policy: { ...defaultPolicy, renewalPolicy: 'onCondition' as const } };
		expect(judged('caseORing', recordOf(clean()), onCondition).verdict).toBe('reuse');
		expect(judged('caseORing', recordOf(finding('cut')), onCondition).verdict).toBe('replace');
	});
	it('puts a crack out whatever the plunger measures', () => {
		const result = judged('plunger', recordOf(finding('crack'), ...readings('diameter', sound)), {
			life: ran(station('plunger'), 1500)
		});
		expect(result.verdict).toBe('replace');
		expect(result.reasons[0]).toMatchObject({ code: 'patternOut', pattern: 'crack' });
	});
	it('asks for cleaning before it judges residue', () =>
		expect(judged('plunger', recordOf(finding('deposit'), ...readings('diameter', sound))).verdict).toBe('lookAgain'));
	it('weighs a slight mark and goes by the size', () =>
		expect(
			judged('plunger', recordOf(finding('colourBand'), ...readings('diameter', sound)), {
				life: ran(station('plunger'), 1500)
			}).verdict
		).toBe('reuse'));
	it('judges the worst place of the grid', () => {
		const values = [...sound];
		values[3] = 17.93;
		const { verdict, measured } = judged('plunger', recordOf(clean(), ...readings('diameter', values)));
		expect(verdict).toBe('replace');
		expect(measured[0].worst).toMatchObject({ row: 1, column: 1 });
	});
	it('says that it is too close to call and how to settle it', () => {
		const { verdict, reasons, measured } = judged(
			'plunger',
			recordOf(
				clean(),
				...readings(
					'diameter',
					sound.map(() => 17.951)
				)
			),
			{ policy: { ...defaultPolicy, intervalHours: 1 } }
		);
		expect(verdict).toBe('lookAgain');
		expect(reasons[0].code).toBe('tooClose');
		expect(measured[0].settlement).toBeDefined();
	});
	it('replaces what is inside today and will not be at the next service, whether or not its hours are known', () => {
		const worn = sound.map(() => 17.957);
		const record = recordOf(clean(), ...readings('diameter', worn));
		for (const life of [ran(station('plunger'), 3000), undefined]) {
			const { verdict, reasons } = judged('plunger', record, life ? { life } : {});
			expect(reasons.map(({ code }) => code)).toContain('wearsOut');
			expect(verdict).toBe('replace');
		}
	});
	it('expects less of a part that took long to wear as far', () => {
		const record = () =>
			recordOf(
				clean(),
				...readings(
					'diameter',
					sound.map(() => 17.97)
				)
			);
		const after = (hours: number) =>
			judged('plunger', record(), { life: ran(station('plunger'), hours) }).outlook.diameter.risk.probability;
		expect(after(1000)).toBeGreaterThan(3 * after(12_000));
	});
	it('gives a part of unknown age, and a new one in its place, a risk above 0', () => {
		const { reused, fresh } = judged('plunger', recordOf(clean()));
		expect(reused.beyond).toBeGreaterThan(fresh.beyond);
		expect(fresh.beyond).toBeGreaterThan(0.001);
		expect(fresh.stop).toBeLessThan(fresh.beyond);
	});
	it('gives a new part the same risk whatever was measured on the old one', () => {
		const of = (value: number) =>
			judged(
				'plunger',
				recordOf(
					clean(),
					...readings(
						'diameter',
						sound.map(() => value)
					)
				)
			).fresh;
		expect(of(17.96)).toEqual(of(17.999));
	});
	it('says not inside while one place is read coarsely near its limit, whatever is read last', () => {
		const coarse = {
			...fineGauge,
			id: 'coarse',
			facts: { ...fineGauge.facts, resolution: 0.01, repeatability: 0.008 }
		};
		const near = read('diameter', 17.955, 0, 0);
		const far = read('diameter', 17.99, 1, 0);
		const byCoarse = { ...near, payload: { ...near.payload, gauge: 'coarse' } } as Entry;
		const { measured } = judged('plunger', recordOf(byCoarse, far), { gauges: [fineGauge, coarse] });
		expect(measured[0].conformity.zone).toBe('tooClose');
		expect(measured[0].gauge?.id).toBe('coarse');
	});
	it('asks for the places that are missing', () => {
		const { verdict, reasons } = judged('plunger', recordOf(clean(), ...readings('diameter', sound.slice(0, 4))));
		expect(verdict).toBe('lookAgain');
		expect(reasons).toContainEqual({ code: 'unmeasured', characteristic: 'diameter', pointsLeft: 2 });
	});
	it('may be accepted by eye where sizes alone are missing', () => {
		const byEye = (...entries: Entry[]) => sizesByEye(judged('plunger', recordOf(...entries)).reasons);
		expect(byEye(clean())).toContain('diameter');
		expect(byEye(clean(), ...readings('diameter', [17.9, 17.9, 17.9, 17.9]))).toEqual([]); // beyond its limit
		expect(byEye(finding('crack'))).toEqual([]);
		expect(byEye()).toEqual([]); // not inspected
	});
	it('asks for a size on suspicion only where something was found', () => {
		expect(codes('maleAdapter', recordOf(clean()))).not.toContain('unmeasured');
		expect(codes('maleAdapter', recordOf(finding('ovalBore')))).toContain('unmeasured');
	});
	it('rejects a spring longer than new: someone has stretched it', () => {
		const longer = judged('inletSpring', recordOf(clean(), ...readings('freeLength', [22.6])));
		expect(longer.verdict).toBe('replace');
		expect(longer.reasons[0].code).toBe('longerThanNew');
		expect(codes('inletSpring', recordOf(clean(), ...readings('freeLength', [22.01])))).not.toContain('longerThanNew');
	});
	it('has a reason for every verdict, whatever the readings', () =>
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 17.8, max: 18.1, noNaN: true }), { minLength: 1, maxLength: 12 }),
				fc.integer({ min: 1, max: 9000 }),
				(values, hours) => {
					const record = recordOf(
						clean(),
						...values.map(
							(value, i) => readings('diameter', [value])[0] && { ...readings('diameter', [value])[0], id: `r${i}` }
						)
					);
					const { verdict, reasons, outlook } = judged('plunger', record, { life: ran(station('plunger'), hours) });
					expect(reasons.length).toBeGreaterThan(0);
					expect(['reuse', 'replace', 'lookAgain']).toContain(verdict);
					// What is probably a slip is asked about, and no risk is given until it is settled.
					const asked = reasons.some(({ code }) => code === 'questioned');
					if (asked) return void expect(outlook.diameter).toBeUndefined();
					expect(outlook.diameter.risk.probability).toBeGreaterThanOrEqual(0);
					expect(outlook.diameter.risk.probability).toBeLessThanOrEqual(1);
				}
			),
			{ seed: 13, numRuns: 60 }
		));
});

describe('endReason', () => {
	const of = (key: string, ...entries: Entry[]) =>
		endReason(judged(key, recordOf(...entries), { life: ran(station(key), 1000) }), station(key));
	it('tells failures from parts that were renewed although good', () => {
		expect(of('retainerGasket', clean())).toBe('renewedGood');
		expect(of('plunger', finding('crack'))).toBe('damaged');
		expect(of('plunger', finding('crack', 1, 'handling'))).toBe('hurtAtStrip');
		expect(
			of(
				'plunger',
				clean(),
				...readings(
					'diameter',
					sound.map(() => 17.93)
				)
			)
		).toBe('worn');
	});
	it('counts the look of a measured wear as wear, not a second time as damage', () => {
		expect(of('packing', finding('insideWear', 2))).toBe('worn');
		expect(of('packing', finding('insideWear', 2), finding('oneSidedWear', 2))).toBe('damaged');
	});
});
