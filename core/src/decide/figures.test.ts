import { describe, expect, it } from 'vitest';
import { springFigures } from '../part/figures/spring';
import { defaultPolicy, judge, type JudgeInput } from '.';
import { clean, demoSheet, finding, inputFor, read, recordOf, stationOn } from './testing';

const marram = demoSheet('marram');
const pistons = demoSheet('thrift');
const diaphragms = demoSheet('comfrey');
const regulator = demoSheet('sedge');
const figure = (input: JudgeInput, key: string) => judge(input).figures.find((figure) => figure.key === key)!;
const codes = (input: JudgeInput) => judge(input).reasons.map(({ code }) => code);

// Expected values: the cited equations worked by hand with the sheet's design values.
describe('packing on its plunger', () => {
	const worn = recordOf(clean(), read('diameter', 17.96, 0, 0));
	const mates = [{ station: stationOn(marram, 'plunger'), record: worn }];
	const lip = (value: number) =>
		inputFor(marram, 'packing', recordOf(clean(), read('insideDiameter', value)), { mates });
	it('presses by the difference of two measured sizes', () => {
		const fit = figure(lip(17.7), 'interference');
		expect(fit.value).toBeCloseTo(0.26, 9);
		expect(fit.u).toBeGreaterThan(0.002);
		expect(fit.inputs.find(({ key }) => key === 'mateDiameter')).toMatchObject({ of: 'Ceramic plunger', value: 17.96 });
	});
	it('is out where it presses less than the sheet allows, though inside its own limit', () => {
		expect(codes(lip(17.89))).toContain('figureBeyond');
		expect(codes(lip(17.89))).toContain('insideLimit');
	});
	it('is too close where the measurement cannot say', () => {
		const kept = {
			...lip(17.88),
			policy: { ...defaultPolicy, renewalPolicy: 'onCondition' as const, intervalHours: 1 }
		};
		expect(judge(kept).verdict).toBe('lookAgain');
		expect(codes(kept)).toContain('figureTooClose');
	});
	it('is not worked out while the plunger is not measured', () => {
		const alone = inputFor(marram, 'packing', recordOf(clean(), read('insideDiameter', 17.7)));
		expect(figure(alone, 'interference')).toBeUndefined();
	});
	it('counts what is left for the gland to follow', () => {
		const low = inputFor(marram, 'packing', recordOf(clean(), read('stackHeight', 13.4)));
		expect(figure(low, 'stackLeft').value).toBeCloseTo(0.5, 9);
	});
});

describe('O-ring', () => {
	const ring = (...entries: Parameters<typeof recordOf>) =>
		inputFor(marram, 'caseORing', recordOf(finding('flatSet'), ...entries));
	it('set, squeeze and fill from its section', () => {
		const input = ring(read('section', 2.4));
		expect(figure(input, 'compressionSet').value).toBeCloseTo(0.22 / 0.52, 9);
		expect(figure(input, 'squeeze').value).toBeCloseTo(0.3 / 2.4, 9);
		expect(figure(input, 'glandFill').value).toBeCloseTo(((Math.PI / 4) * 2.4 ** 2) / (2.1 * 3.6), 9);
	});
	it('is out where it has set past what the sheet allows', () =>
		expect(codes(ring(read('section', 2.28)))).toContain('figureBeyond'));
	it('finds its size in the series', () =>
		expect(figure(ring(read('section', 2.5), read('insideDiameter', 23.5)), 'ringSize').nearest?.dash).toBe('119'));
});

describe('spring', () => {
	const spring = (...entries: Parameters<typeof recordOf>) =>
		inputFor(marram, 'inletSpring', recordOf(clean(), ...entries));
	it('loss of length and load against new', () => {
		const input = spring(read('freeLength', 21.56), read('load', 11.4));
		expect(figure(input, 'lengthLoss').value).toBeCloseTo(0.02, 9);
		expect(figure(input, 'loadLoss').value).toBeCloseTo(0.05, 9);
	});
	it('rate by test and by geometry agree for a sound one', () => {
		const input = spring(
			read('load', 12),
			read('loadShort', 20.7),
			read('wire', 1.2),
			read('outsideDiameter', 13),
			read('coils', 7)
		);
		expect(figure(input, 'testedRate').value).toBeCloseTo(8.7 / 3.8, 9);
		expect(figure(input, 'rate').value / figure(input, 'testedRate').value).toBeCloseTo(1, 1);
		expect(figure(input, 'travelToSolid').value).toBeCloseTo(16.8 - 8.4, 9);
		expect(figure(input, 'stress').value).toBeGreaterThan(150);
	});
	it('rate by geometry is as uncertain as its wire and outside diameter make it, both errors of the wire together', () => {
		const sizes = {
			wire: { value: 1.2, u: 0.01, dof: 50 },
			outsideDiameter: { value: 13, u: 0.02, dof: 50 },
			coils: { value: 7, u: 0, dof: 50 }
		};
		const { u } = springFigures({ sizes, asNew: {}, design: {}, mates: [] }).find(({ key }) => key === 'rate')!;
		const rate = (wire: number, outside: number) => (81_500 * wire ** 4) / (8 * (outside - wire) ** 3 * 5);
		const by = (wire: number, outside: number) => (rate(1.2 + wire, 13 + outside) - rate(1.2 - wire, 13 - outside)) / 2;
		expect(u! / Math.hypot(by(0.01, 0), by(0, 0.02))).toBeCloseTo(1, 3);
	});
});

describe('valve seat', () => {
	const seat = (...entries: Parameters<typeof recordOf>) =>
		inputFor(marram, 'inletSeat', recordOf(finding('pitted'), ...entries));
	it('may be lapped while height is left', () => {
		expect(figure(seat(read('height', 8), read('pitDepth', 0.1)), 'lappingReserve').value).toBeCloseTo(0.18, 9);
		expect(codes(seat(read('height', 7.75), read('pitDepth', 0.1)))).toContain('figureBeyond');
	});
	it('leaks through a groove by its section, and by the hold test', () => {
		const groove = figure(seat(read('grooveWidth', 0.2), read('grooveDepth', 0.1)), 'grooveLeak');
		expect(groove.value).toBeCloseTo(0.61 * (Math.PI / 4) * 0.02 * Math.sqrt((2 * 12e6) / 1000) * 0.06, 6);
		expect(figure(seat(read('pressureFall', 1)), 'holdTestLeak').value).toBeCloseTo(
			(5 * 1) / (1800 * 60) / (1000 / 60),
			12
		);
	});
});

describe('other types', () => {
	it('a cup presses in the bore as measured', () => {
		const mates = [{ station: stationOn(pistons, 'cylinder'), record: recordOf(clean(), read('bore', 25.05)) }];
		const cup = inputFor(pistons, 'cup', recordOf(clean(), read('lipDiameter', 25.5)), { mates });
		expect(figure(cup, 'interference').value).toBeCloseTo(0.45, 9);
	});
	it('a cylinder says how many shims it wants', () =>
		expect(figure(inputFor(pistons, 'cylinder', recordOf(clean(), read('endGap', 0.15))), 'shimPack').value).toBe(3));
	it('a diaphragm’s sag is its stretch', () => {
		const found = figure(inputFor(diaphragms, 'diaphragm', recordOf(clean(), read('sag', 2))), 'permanentStretch');
		expect(found.value).toBeCloseTo((8 / 3) * (2 / 70) ** 2, 5); // the parabola's arc, which the cap's nears
	});
	it('a rounded edge has lost metal', () =>
		expect(
			figure(inputFor(regulator, 'regSeat', recordOf(clean(), read('edgeRadius', 0.2))), 'lostVolume').value
		).toBeCloseTo(0.04 * (1 - Math.PI / 4) * Math.PI * 5, 9));
	it('a worn adapter opens a gap to the plunger', () => {
		const plunger = { station: stationOn(marram, 'plunger'), record: recordOf(clean(), read('diameter', 18)) };
		const input = inputFor(marram, 'maleAdapter', recordOf(clean(), read('bore', 18.1)), { mates: [plunger] });
		expect(figure(input, 'clearance').value).toBeCloseTo(0.1, 9);
		expect(figure(input, 'gapLeak').inputs.find(({ key }) => key === 'reynoldsNumber')!.value).toBeGreaterThan(1000);
	});
});
