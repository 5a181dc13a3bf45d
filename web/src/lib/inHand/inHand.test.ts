import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { partTypeKeys, partType } from '@exetasis/core/part';
import { sheetCharacteristicSchema } from '@exetasis/core/record';
import { asDrawn, dimensions, spread } from './dimensions';
import { alongSide, markOnSide, spotOnSide } from './surfaceSide';
import { isAlong, PROFILE, wornProfile } from './wornProfile';

describe('the dimensions on the drawings', () => {
	it('name a place within its drawing for every size of every part type', () => {
		for (const type of partTypeKeys)
			for (const { key } of partType(type).characteristics) {
				// Heights over a face have a drawing of their own.
				if (key === 'faceHeights') continue;
				const at = dimensions[type]?.[key];
				expect(at, `${type} ${key}`).toBeDefined();
				for (const value of at!) expect(value >= 0 && value <= 48, `${type} ${key}`).toBe(true);
			}
	});
	it('name no size that its part type does not have', () => {
		for (const [type, places] of Object.entries(dimensions)) {
			const known = partType(type as keyof typeof dimensions).characteristics.map(({ key }) => key);
			for (const key of Object.keys(places!)) expect(known, `${type} ${key}`).toContain(key);
		}
	});
	it('turn with the part: what lies left lies above where the P side is up', () => {
		expect(asDrawn([4, 24, 10, 20], false, 'P')).toEqual([24, 4, 28, 10]);
		expect(asDrawn([4, 24, 10, 20], false, 'C')).toEqual([24, 44, 20, 38]);
		expect(asDrawn([4, 24, 10, 20], true, undefined)).toEqual([44, 24, 38, 20]);
	});
});

describe('labels beside a drawing', () => {
	it('stand where they are wanted if there is room', () => expect(spread([30, 10], 8, 4, 44)).toEqual([30, 10]));
	it('keep their order and never overlap', () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 48, noNaN: true }), { maxLength: 5 }), (wanted) => {
				const placed = spread(wanted, 8, 4, 44);
				const order = wanted.map((_, i) => i).sort((a, b) => wanted[a] - wanted[b]);
				order.slice(1).forEach((i, k) => expect(placed[i] - placed[order[k]]).toBeGreaterThanOrEqual(8 - 1e-9));
				for (const at of placed) expect(at >= 4 - 1e-9 && at <= 44 + 1e-9).toBe(true);
			})
		);
	});
});

describe('a part worn along its length', () => {
	const grid = { stations: ['valve end', 'middle', 'crank end'], anglesDeg: [0, 90], stationsMm: [34, 46, 58] };
	const plunger = sheetCharacteristicSchema.parse({
		key: 'diameter',
		unit: 'mm',
		nominal: 18,
		min: 17.95,
		grid,
		limitFrom: 'maker'
	});
	const surface = { lengthMm: 100, diameterMm: 18, track: { fromMm: 30, toMm: 62 } };
	const point = (row: number, column: number, value: number) => ({ row, column, value });
	const of = (sheet: typeof plunger, values: readonly [number, number, number][]) => {
		const points = values.map(([row, column, value]) => point(row, column, value));
		return wornProfile({ sheet, points, worst: points[0] }, surface);
	};
	const { middle, radius, depth } = PROFILE;

	it('puts each reading at its distance and angle, and as deep as it is worn', () => {
		const { edges } = of(plunger, [
			[0, 0, 17.975],
			[2, 1, 18]
		])!;
		const [upper, lower] = edges.map(({ points }) => points);
		expect(upper[0].y).toBeCloseTo(middle - radius + depth / 2, 9);
		expect(upper[0].worst).toBe(true);
		expect(lower[0].y).toBeCloseTo(middle + radius, 9);
		expect(lower[0].x - upper[0].x).toBeCloseTo(((58 - 34) / 100) * (PROFILE.right - PROFILE.left), 9);
		expect(edges[0].limitY).toBeCloseTo(middle - radius + depth, 9);
	});
	it('wears a bore outward', () => {
		const bore = sheetCharacteristicSchema.parse({
			key: 'bore',
			unit: 'mm',
			nominal: 20,
			max: 20.1,
			grid,
			limitFrom: 'maker'
		});
		const worn = of(bore, [[1, 0, 20.05]])!;
		expect(worn.bore).toBe(true);
		expect(worn.edges[0].points[0].y).toBeCloseTo(middle - radius - depth / 2, 9);
	});
	it('says how much the wear is enlarged, against the scale of the length', () => {
		// 100 mm are drawn 260 wide; 0.05 mm of diameter are 13 deep on each of two sides.
		expect(of(plunger, [[0, 0, 17.99]])!.enlarged).toBeCloseTo(13 / (0.05 / 2) / (260 / 100), 9);
	});
	it('keeps wear far beyond the limit, and sizes without one, on the drawing', () => {
		expect(of(plunger, [[0, 0, 10]])!.edges[0].points[0].y).toBeLessThan(middle);
		const open = sheetCharacteristicSchema.parse({
			key: 'diameter',
			unit: 'mm',
			nominal: 18,
			grid,
			limitFrom: 'maker'
		});
		const worn = of(open, [[0, 0, 17.9]])!;
		expect(worn.edges[0].limitY).toBeUndefined();
		expect(worn.edges[0].points[0].y).toBeCloseTo(middle - radius + depth, 9);
	});
	it('draws nothing without a reading, and only what is read along the part', () => {
		expect(of(plunger, [])).toBeUndefined();
		expect(isAlong(plunger)).toBe(true);
		expect(isAlong({ ...plunger, grid: undefined })).toBe(false);
	});
	it('shows a mark on the side that it lies on', () => {
		const { xOf } = of(plunger, [[0, 0, 18]])!;
		const score = { shape: 'line', fromMm: 10, toMm: 60, fromDeg: 90, toDeg: 90 } as const;
		expect(markOnSide(score, xOf)).toMatchObject({ behind: false, height: 0 });
		expect(markOnSide(score, xOf).y).toBeCloseTo(middle, 9);
		expect(markOnSide({ ...score, fromDeg: 270, toDeg: 270 }, xOf).behind).toBe(true);
		const band = { shape: 'band', fromMm: 10, toMm: 20, fromDeg: 0, toDeg: 360 } as const;
		expect(markOnSide(band, xOf).height).toBeCloseTo(2 * radius, 9);
	});
	it('turned over, shows the other side, top and bottom exchanged', () => {
		const { xOf } = of(plunger, [[0, 0, 18]])!;
		const score = { shape: 'line', fromMm: 10, toMm: 60, fromDeg: 30, toDeg: 30 } as const;
		const [front, back] = [markOnSide(score, xOf), markOnSide(score, xOf, true)];
		expect([front.behind, back.behind]).toEqual([false, true]);
		expect(front.y + back.y).toBeCloseTo(2 * middle, 9);
	});
});

describe('a place touched on the side of a part', () => {
	const { left, right, middle, radius } = PROFILE;
	const xOf = alongSide(90);
	it('is where a mark at it is drawn, on both sides', () => {
		for (const turned of [false, true])
			for (const deg of [0, 30, 90, 145, 180])
				for (const mm of [0, 12, 90]) {
					const spot = { mm, deg: turned ? deg + 180 : deg };
					const ends = { fromMm: mm, toMm: mm, fromDeg: spot.deg, toDeg: spot.deg };
					const { x, y, behind } = markOnSide({ shape: 'point', ...ends }, xOf, turned);
					expect(behind).toBe(false);
					expect(spotOnSide({ x, y }, 90, turned)).toEqual(spot);
				}
	});
	it('beside the part is at its edge', () => {
		expect(spotOnSide({ x: left - 40, y: middle - 3 * radius }, 90, false)).toEqual({ mm: 0, deg: 0 });
		expect(spotOnSide({ x: right + 40, y: middle + 3 * radius }, 90, true)).toEqual({ mm: 90, deg: 360 });
	});
});
