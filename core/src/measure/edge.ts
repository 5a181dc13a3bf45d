import { finiteAnswer, leastSquares, requireThat } from '../number';

export interface Point {
	readonly x: number;
	readonly y: number;
}

interface EdgeFit {
	readonly radius: number;
	readonly centre: Point;
	/** Root mean square distance of the points from the circle. */
	readonly scatter: number;
}

const MOST_STEPS = 50;

/**
 * Radius to which an edge has been rounded, from points of its profile: the circle of least squared distances.
 *
 * Starts from the algebraic fit (Kåsa) and ends with Gauss–Newton steps on the true distances, since the algebraic fit
 * finds short arcs too small. Shape: at least three points, not on one line. Units: as the points.
 * Errors: PreconditionError for fewer points, numbers that are not finite, or points on one line (an edge that is a chamfer).
 * Source: I. Kåsa, IEEE Trans. Instrum. Meas. 25 (1976) 8–14; N. Chernov, Circular and Linear Regression (2010), 4.3.
 */
export function edgeRadius(points: readonly Point[]): EdgeFit {
	requireThat(points.length >= 3, 'edgeRadius', 'points', points.length, 'at least 3 points');
	for (const point of points)
		for (const [name, value] of Object.entries(point))
			requireThat(Number.isFinite(value), 'edgeRadius', name, value, 'a finite number');
	const mid = { x: average(points.map(({ x }) => x)), y: average(points.map(({ y }) => y)) };
	const size = Math.sqrt(average(points.map(({ x, y }) => (x - mid.x) ** 2 + (y - mid.y) ** 2)));
	const scaled = points.map(({ x, y }) => ({ x: (x - mid.x) / size, y: (y - mid.y) / size }));
	const start = size > 0 ? algebraicCircle(scaled) : undefined;
	requireThat(start !== undefined, 'edgeRadius', 'points', 'on one line', 'points round an edge');
	const { a, b, r } = refine(scaled, start);
	const scatter = Math.sqrt(average(scaled.map(({ x, y }) => (Math.hypot(x - a, y - b) - r) ** 2)));
	return { radius: r * size, centre: { x: mid.x + a * size, y: mid.y + b * size }, scatter: scatter * size };
}

interface Circle {
	readonly a: number;
	readonly b: number;
	readonly r: number;
}

const average = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

function algebraicCircle(points: readonly Point[]): Circle | undefined {
	const found = leastSquares(
		points.map(({ x, y }) => [x, y, 1]),
		points.map(({ x, y }) => x * x + y * y)
	);
	if (!found) return undefined;
	const [a, b] = [found[0] / 2, found[1] / 2];
	const r = Math.sqrt(found[2] + a * a + b * b);
	return r < 1e6 ? { a, b, r } : undefined;
}

function refine(points: readonly Point[], start: Circle): Circle {
	let circle = start;
	for (let step = 0; step < MOST_STEPS; step++) {
		const { a, b, r } = circle;
		const rows = points.map(({ x, y }) => {
			const d = Math.hypot(x - a, y - b);
			return [(x - a) / d, (y - b) / d, 1];
		});
		const change = leastSquares(
			rows,
			points.map(({ x, y }) => Math.hypot(x - a, y - b) - r)
		);
		if (!change) return circle;
		circle = { a: a + change[0], b: b + change[1], r: r + change[2] };
		if (Math.hypot(...change) < 1e-13 * circle.r) return circle;
	}
	return circle;
}

/**
 * Volume lost where a ring-shaped edge has been rounded: the corner's missing section carried once round.
 *
 * A corner of angle φ rounded to radius r has lost r²·(cot(φ/2) − (π − φ)/2) of its section.
 * Units: mm in, mm³ out; degrees. Errors: PreconditionError for a radius below 0, a diameter not above 0, an angle outside (0°, 180°).
 * Source: geometry of the fillet; Pappus, with the section taken to lie at the edge.
 *
 * @example lostVolume(0.5, 8) // 1.348 mm³ of a square edge of 8 mm
 */
export function lostVolume(radius: number, edgeDiameter: number, cornerDeg = 90): number {
	requireThat(radius >= 0 && Number.isFinite(radius), 'lostVolume', 'radius', radius, 'at least 0');
	requireThat(edgeDiameter > 0 && Number.isFinite(edgeDiameter), 'lostVolume', 'edgeDiameter', edgeDiameter, 'above 0');
	requireThat(cornerDeg > 0 && cornerDeg < 180, 'lostVolume', 'cornerDeg', cornerDeg, 'between 0 and 180');
	const angle = (cornerDeg * Math.PI) / 180;
	const section = radius ** 2 * (1 / Math.tan(angle / 2) - (Math.PI - angle) / 2);
	return finiteAnswer('lostVolume', section * Math.PI * edgeDiameter);
}
