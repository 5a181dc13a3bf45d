import type { Fastening } from '@exetasis/core/record';

/** Usual ways in which bolts lie. */
export const arrangements = [
	['circle', 'Circle'],
	['rectangle', 'Two rows'],
	['line', 'One row'],
	['twoRings', 'Two rings']
] as const;
export type Arrangement = (typeof arrangements)[number][0];

type Bolts = Fastening['bolts'];

const tenth = (mm: number): number => Math.round(mm * 10) / 10 + 0; // no negative zero

const ring = (count: number, diameter: number): Bolts =>
	Array.from({ length: count }, (_, i) => {
		// From the top, clockwise, as one counts them.
		const angle = Math.PI / 2 - (2 * Math.PI * i) / count;
		return { xMm: tenth((diameter / 2) * Math.cos(angle)), yMm: tenth((diameter / 2) * Math.sin(angle)) };
	});

const row = (count: number, wide: number, yMm: number): Bolts =>
	Array.from({ length: count }, (_, i) => ({
		xMm: tenth(count === 1 ? 0 : -wide / 2 + (wide * i) / (count - 1)),
		yMm
	}));

/** So many bolts in this arrangement, mm from the middle, seen from outside. Two rows are half as far apart as they are wide. */
export function arranged(shape: Arrangement, count: number, wide: number): Bolts {
	switch (shape) {
		case 'circle':
			return ring(count, wide);
		case 'line':
			return row(count, wide, 0);
		case 'rectangle': {
			const above = Math.ceil(count / 2);
			return [...row(above, wide, tenth(wide / 4)), ...row(count - above, wide, tenth(-wide / 4))];
		}
		case 'twoRings': {
			const inner = Math.floor(count / 2);
			return [...ring(inner, wide / 2), ...ring(count - inner, wide)];
		}
	}
}
