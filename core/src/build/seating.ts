import { finiteAnswer, requireThat } from '../number';

/** Where a ring was measured: degrees by the clock from the top, and how deep it lies below the face, mm. */
interface DepthReading {
	readonly atDeg: number;
	readonly depthMm: number;
}

interface Seating {
	readonly depthMm: number;
	/** How much deeper its deepest side lies than the shallowest, mm, over the circle on which it was read. */
	readonly outOfSquareMm: number;
	/** Degrees by the clock at which it lies deepest. */
	readonly deepestDeg: number;
	/** What the readings leave beside a flat ring: root mean square, mm. Nothing to say with three. */
	readonly restMm?: number;
}

const RAD = Math.PI / 180;

/**
 * How deep and how square a pressed-in ring or seal sits, or how even a gap is all round: the plane through depths read round
 * the rim, by least squares.
 *
 * Shape: three readings or more, not all at one side. Units: degrees, mm. Errors: PreconditionError for fewer, for readings
 * that no plane is told from, for what is no number. Source: least squares on 1, cos, sin (normal equations).
 */
export function seating(readings: readonly DepthReading[]): Seating {
	const n = readings.length;
	requireThat(n >= 3 && n <= 360, 'seating', 'readings', n, '3 to 360 readings');
	for (const { atDeg, depthMm } of readings) {
		requireThat(Math.abs(atDeg) <= 1e6, 'seating', 'atDeg', atDeg, 'a finite angle');
		requireThat(Math.abs(depthMm) <= 1e4, 'seating', 'depthMm', depthMm, 'a depth in mm');
	}
	const rows = readings.map(({ atDeg }) => [1, Math.cos(atDeg * RAD), Math.sin(atDeg * RAD)]);
	const matrix = [0, 1, 2].map((i) => [0, 1, 2].map((j) => rows.reduce((sum, row) => sum + row[i] * row[j], 0)));
	const right = [0, 1, 2].map((i) => rows.reduce((sum, row, k) => sum + row[i] * readings[k].depthMm, 0));
	const whole = determinant(matrix);
	requireThat(whole > 1e-6 * n ** 3, 'seating', 'readings', whole, 'readings round the whole rim');
	const [mean, c, s] = [0, 1, 2].map(
		(column) => determinant(matrix.map((row, i) => row.map((cell, j) => (j === column ? right[i] : cell)))) / whole
	);
	const square = readings.reduce(
		(sum, { depthMm }, k) => sum + (depthMm - mean - c * rows[k][1] - s * rows[k][2]) ** 2,
		0
	);
	return {
		depthMm: finiteAnswer('seating', mean),
		outOfSquareMm: finiteAnswer('seating', 2 * Math.hypot(c, s)),
		deepestDeg: (Math.atan2(s, c) / RAD + 360) % 360,
		...(n > 3 ? { restMm: Math.sqrt(square / (n - 3)) } : {})
	};
}

const determinant = ([[a, b, c], [d, e, f], [g, h, i]]: number[][]): number =>
	a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);

/** Where the joint of each of `rings` split rings is turned to, degrees, each so far on from the last. Errors: PreconditionError. */
export function jointsAt(rings: number, apartDeg: number): number[] {
	requireThat(Number.isInteger(rings) && rings >= 0 && rings <= 40, 'jointsAt', 'rings', rings, '0 to 40');
	requireThat(apartDeg > 0 && apartDeg < 360, 'jointsAt', 'apartDeg', apartDeg, 'between 0 and 360');
	return Array.from({ length: rings }, (_, i) => (i * apartDeg) % 360);
}
