// Torque, slots, shims and how square a ring sits: against figures worked out by hand, and properties.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clampLoad, jointsAt, nextSlot, readTorque, seating, shimPack, torqueWindow } from '.';

describe('torqueWindow', () => {
	it('is as close as a hand wrench holds, and reaches up to the sheet’s most at the whole torque', () => {
		expect(torqueWindow({ torqueNm: 50 }, 0.5)).toEqual({ targetNm: 25, leastNm: 24, mostNm: 26 });
		expect(torqueWindow({ torqueNm: 50, mostNm: 60 }, 1)).toEqual({ targetNm: 50, leastNm: 48, mostNm: 60 });
		expect(torqueWindow({ torqueNm: 50, mostNm: 60 }, 0.5)?.mostNm).toBe(26);
		expect(torqueWindow({ torqueNm: 8 }, 1)?.leastNm).toBeCloseTo(7.52, 12); // 6 % below 10 N·m
	});
	it('is none where no one has stated a torque', () => expect(torqueWindow({}, 1)).toBeUndefined());
	it('refuses a share that is none', () =>
		expect(() => torqueWindow({ torqueNm: 5 }, 1.2)).toThrow(expect.objectContaining({ argument: 'share' })));
});

describe('readTorque', () => {
	const window = torqueWindow({ torqueNm: 48 }, 1)!;
	it('suspects the unit in which the same digits would be right', () => {
		expect(readTorque(48, 'Nm', window)).toEqual({ against: 'within' });
		expect(readTorque(35.4, 'Nm', window)).toEqual({ against: 'below', suspect: 'ftlbf' }); // 35.4 ft·lbf = 48.0 N·m
		expect(readTorque(48 * 1.3558179483314, 'ftlbf', window)).toEqual({ against: 'beyond', suspect: 'Nm' });
		expect(readTorque(4.9, 'Nm', window)).toEqual({ against: 'below', suspect: 'kgfm' });
		expect(readTorque(425, 'Nm', window)).toEqual({ against: 'beyond', suspect: 'inlbf' });
		expect(readTorque(20, 'Nm', window)).toEqual({ against: 'below' });
	});
	it('takes the window’s own ends', () => {
		expect(readTorque(window.leastNm, 'Nm', window).against).toBe('within');
		expect(readTorque(window.mostNm, 'Nm', window).against).toBe('within');
	});
});

describe('clampLoad', () => {
	// M10 × 1.5, µ = 0.12: 1.5/2π + 0.12·9.026/(2 cos 30°) + 0.12·13/2 = 0.2387 + 0.6253 + 0.78 = 1.6441 mm (by hand).
	it('agrees with the sum written out by hand', () =>
		expect(clampLoad(46, { diameterMm: 10, friction: 0.12 }).loadN).toBeCloseTo(46_000 / 1.644072, 0));
	it('scatters about itself by the tightening factor', () => {
		const { loadN, leastN, mostN } = clampLoad(46, { diameterMm: 10, friction: 0.12 });
		expect((leastN + mostN) / 2).toBeCloseTo(loadN, 6);
		expect(mostN / leastN).toBeCloseTo(1.6, 12);
	});
	it('pulls harder the better a thread is oiled, and in proportion to the torque', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 3, max: 36, noNaN: true }),
				fc.double({ min: 0.05, max: 0.5, noNaN: true }),
				(diameterMm, friction) => {
					const usual = clampLoad(20, { diameterMm, friction }).loadN;
					expect(clampLoad(20, { diameterMm, friction: friction / 2 }).loadN).toBeGreaterThan(usual);
					expect(clampLoad(40, { diameterMm, friction }).loadN).toBeCloseTo(2 * usual, 6);
				}
			),
			{ seed: 7 }
		));
});

describe('nextSlot', () => {
	it('goes on to the next slot, and says what torque that makes', () => {
		const nut = { slots: 6, aheadDeg: 22, torqueNm: 60, riseNmPerDeg: 0.5 };
		expect(nextSlot({ ...nut, mostNm: 75 })).toEqual({ turnDeg: 22, torqueNm: 71, mayTurn: true });
		expect(nextSlot({ ...nut, mostNm: 70 })).toEqual({ turnDeg: 22, torqueNm: 71, mayTurn: false });
	});
	it('does not turn where the pin goes through', () => {
		expect(nextSlot({ slots: 6, aheadDeg: 59.4, torqueNm: 60, mostNm: 61 })).toEqual({
			turnDeg: 0,
			torqueNm: 60,
			mayTurn: true
		});
		expect(nextSlot({ slots: 6, aheadDeg: 120.5, torqueNm: 60 }).turnDeg).toBe(0);
	});
	// The far end of the pin meets a land wherever the near end stands in a slot.
	it('knows no nut with an odd number of slots', () =>
		expect(() => nextSlot({ slots: 5, aheadDeg: 40, torqueNm: 60 })).toThrow('even, 4 to 12'));
	it('cannot tell the torque where its rise was not read', () =>
		expect(nextSlot({ slots: 6, aheadDeg: 20, torqueNm: 60, mostNm: 70 })).toEqual({ turnDeg: 20 }));
	it('never turns back, and never further than one pitch', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 2, max: 6 }).map((pairs) => 2 * pairs),
				fc.double({ min: -720, max: 720, noNaN: true }),
				(slots, aheadDeg) => {
					const { turnDeg } = nextSlot({ slots, aheadDeg, torqueNm: 10, riseNmPerDeg: 1 });
					expect(turnDeg).toBeGreaterThanOrEqual(0);
					expect(turnDeg).toBeLessThan(360 / slots);
				}
			),
			{ seed: 8 }
		));
});

describe('shimPack', () => {
	const stock = [
		{ thicknessMm: 0.5, count: 2 },
		{ thicknessMm: 0.3, count: 3 },
		{ thicknessMm: 0.1, count: 4 }
	];
	it('takes the fewest shims of the nearest pack', () => {
		expect(shimPack(0.8, stock).shimsMm).toEqual([0.5, 0.3]);
		expect(shimPack(0.9, stock)).toMatchObject({ shimsMm: [0.3, 0.3, 0.3] });
		expect(shimPack(0.83, stock).offMm).toBeCloseTo(-0.03, 12);
		expect(shimPack(0, stock).shimsMm).toEqual([]);
	});
	it('says how much the drawer falls short', () => {
		const all = shimPack(5, stock);
		expect(all.totalMm).toBeCloseTo(2.3, 12);
		expect(all.offMm).toBeCloseTo(-2.7, 12);
		expect(shimPack(1, [])).toMatchObject({ shimsMm: [], offMm: -1 });
	});
	it('misses no pack: as near as trying all of them', () => {
		const sizes = fc.array(
			fc.record({
				thicknessMm: fc.integer({ min: 1, max: 60 }).map((n) => n / 100),
				count: fc.integer({ min: 0, max: 3 })
			}),
			{ maxLength: 4 }
		);
		fc.assert(
			fc.property(sizes, fc.integer({ min: 0, max: 200 }), (drawer, hundredths) => {
				const totals = drawer.reduce(
					(sums, { thicknessMm, count }) =>
						sums.flatMap((sum) => Array.from({ length: count + 1 }, (_, n) => sum + n * Math.round(100 * thicknessMm))),
					[0]
				);
				const nearest = Math.min(...totals.map((total) => Math.abs(total - hundredths)));
				expect(Math.abs(shimPack(hundredths / 100, drawer).offMm)).toBeCloseTo(nearest / 100, 9);
			}),
			{ seed: 9 }
		);
	});
});

describe('seating', () => {
	const rim = (depth: number, tilt: number, deepest: number, n: number) =>
		Array.from({ length: n }, (_, i) => {
			const atDeg = (360 * i) / n;
			return { atDeg, depthMm: depth + (tilt / 2) * Math.cos(((atDeg - deepest) * Math.PI) / 180) };
		});
	it('finds depth, tilt and where it lies deepest again', () => {
		const seat = seating(rim(6.2, 0.3, 70, 4));
		expect(seat.depthMm).toBeCloseTo(6.2, 12);
		expect(seat.outOfSquareMm).toBeCloseTo(0.3, 12);
		expect(seat.deepestDeg).toBeCloseTo(70, 9);
		expect(seat.restMm).toBeCloseTo(0, 12);
	});
	it('says nothing of what is left with three readings', () =>
		expect(seating(rim(6.2, 0.3, 70, 3)).restMm).toBeUndefined());
	it('refuses readings at one side of the rim, and fewer than three', () => {
		const oneSide = [0, 1, 2].map((atDeg) => ({ atDeg, depthMm: 6 }));
		expect(() => seating(oneSide)).toThrow(expect.objectContaining({ argument: 'readings' }));
		expect(() => seating(rim(6, 0, 0, 2))).toThrow(expect.objectContaining({ argument: 'readings' }));
	});
});

describe('jointsAt', () => {
	it('turns each joint on from the last', () => {
		expect(jointsAt(3, 120)).toEqual([0, 120, 240]);
		expect(jointsAt(4, 120)).toEqual([0, 120, 240, 0]);
	});
});
