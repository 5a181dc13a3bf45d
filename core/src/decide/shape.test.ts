import { describe, expect, it } from 'vitest';
import { judge, wornShape } from '.';
import { clean, demoSheet, finding, inputFor, read, recordOf } from './testing';

const marram = demoSheet('marram');
const plates = demoSheet('comfrey');
const shapes = (input: Parameters<typeof judge>[0]) =>
	Object.fromEntries(judge(input).sizes.map((size) => [size.sheet.key, wornShape(size)]));
const degrees = (angle: number) => (angle * 45 * Math.PI) / 180;

describe('wornShape', () => {
	it('ovality and taper of diameters', () => {
		const readings = [17.99, 17.98, 17.96, 17.965, 17.985, 17.985].map((value, i) =>
			read('diameter', value, Math.floor(i / 2), i % 2)
		);
		const { diameter } = shapes(inputFor(marram, 'plunger', recordOf(clean(), ...readings)));
		expect(diameter.ovality).toEqual({ value: expect.closeTo(0.01, 9), row: 0 });
		expect(diameter.taper).toMatchObject({ thinnest: 1 });
	});
	it('takes the eccentricity out of the dial, and leaves the lobes', () => {
		// 0.02 off the axis, and three lobes of 0.004: runout shows both, roundness the lobes alone.
		const dial = (station: number) =>
			Array.from({ length: 8 }, (_, angle) =>
				read('runout', 0.02 * Math.cos(degrees(angle)) + 0.004 * Math.cos(3 * degrees(angle)), station, angle)
			);
		const input = inputFor(marram, 'plunger', recordOf(finding('oneSidedWear'), ...dial(0), ...dial(2)));
		const { runout } = shapes(input);
		expect(runout.roundness!.minimumZone).toBeLessThanOrEqual(0.008 + 1e-12);
		expect(runout.roundness!.minimumZone).toBeGreaterThan(0.006);
		expect(runout.cylindricity!.minimumZone).toBeCloseTo(runout.roundness!.minimumZone, 6);
		expect(judge(input).sizes.find(({ sheet }) => sheet.key === 'runout')!.value).toBeGreaterThan(0.04);
	});
	it('a face that lies tilted is flat; one high corner is half its height', () => {
		const heights = (corner: number) =>
			[0, 1, 2].flatMap((row) =>
				[0, 1, 2].map((column) =>
					read('faceHeights', 0.01 * row - 0.02 * column + (row === 2 && column === 2 ? corner : 0), row, column)
				)
			);
		const of = (corner: number) =>
			shapes(inputFor(plates, 'valvePlate', recordOf(clean(), ...heights(corner)))).faceHeights;
		expect(of(0).flatness!.minimumZone).toBeCloseTo(0, 12);
		expect(of(0.04).flatness!.minimumZone).toBeLessThanOrEqual(of(0.04).flatness!.leastSquares);
		expect(of(0.04).flatness!.minimumZone).toBeGreaterThan(0.01);
	});
	it('of heights along one line says nothing yet, and of one more beside it does', () => {
		const input = inputFor(plates, 'valvePlate', recordOf(clean()));
		const wide = {
			...input,
			station: {
				...input.station,
				characteristics: input.station.characteristics.map((characteristic) =>
					characteristic.key === 'faceHeights'
						? { ...characteristic, face: { rowsMm: [0, 10, 20, 30], columnsMm: [0, 10, 20, 30] } }
						: characteristic
				)
			}
		};
		const onDiagonal = [0, 1, 2, 3].map((i) => read('faceHeights', 0.01 * i, i, i));
		const value = (...entries: Parameters<typeof recordOf>) =>
			judge({ ...wide, record: recordOf(clean(), ...entries) }).sizes[0].value;
		expect(value(...onDiagonal)).toBeUndefined();
		expect(value(...onDiagonal, read('faceHeights', 0, 0, 3))).toBeDefined();
	});
	it('of one place, or of too few, says nothing', () => {
		const few = inputFor(marram, 'plunger', recordOf(clean(), read('runout', 0.01)));
		expect(shapes(few).runout).toEqual({});
		expect(shapes(inputFor(marram, 'collar', recordOf(finding('crushed'), read('thickness', 3)))).thickness).toEqual(
			{}
		);
	});
});
