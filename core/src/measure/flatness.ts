import { requireThat } from '../number';
import { deviationFrom, type FormDeviation } from './zone';

/** A height over a face: position in mm, height in its own unit. */
export interface FacePoint {
	readonly x: number;
	readonly y: number;
	readonly z: number;
}

const FEWEST = 4;

/**
 * Flatness of a face from dial heights over it: least-squares plane and exact minimum zone.
 *
 * The face may lie tilted under the dial. Heights across a plane are taken along z; for the small slopes of a face on a
 * surface plate the cosine is 1 to 1e-8. Exact minimum zone by linear programming, so it is the least that any plane allows.
 * Shape: at least four points that do not lie on one line, any order.
 * Errors: PreconditionError for fewer points, points on one line, or numbers that are not finite.
 * Source: ISO 12781-1:2011, 3.3 (minimum zone reference planes).
 *
 * @example flatness([{ x: 0, y: 0, z: 0 }, { x: 1, y: 0, z: 0 }, { x: 0, y: 1, z: 0 }, { x: 1, y: 1, z: 0.02 }]).minimumZone // 0.01
 */
export function flatness(points: readonly FacePoint[]): FormDeviation {
	requireThat(points.length >= FEWEST, 'flatness', 'points', points.length, `at least ${FEWEST} points`);
	for (const { x, y, z } of points) {
		for (const value of [x, y, z]) requireThat(Number.isFinite(value), 'flatness', 'points', value, 'finite numbers');
	}
	const across = (values: number[]) => {
		const [low, high] = [Math.min(...values), Math.max(...values)];
		return { middle: (low + high) / 2, half: (high - low) / 2 || 1 };
	};
	const [x, y] = [across(points.map((point) => point.x)), across(points.map((point) => point.y))];
	const rows = points.map((point) => [1, (point.x - x.middle) / x.half, (point.y - y.middle) / y.half]);
	const found = deviationFrom(
		rows,
		points.map(({ z }) => z)
	);
	requireThat(found !== undefined, 'flatness', 'points', 'on one line', 'points over a face');
	return found;
}
