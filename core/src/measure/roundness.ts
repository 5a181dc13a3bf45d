import { requireThat } from '../number';
import { deviationFrom, type FormDeviation } from './zone';

/** A radius, or a dial's deviation of it, at an angle round the part; `mm` is the height along the axis. */
interface RadiusAt {
	readonly angleDeg: number;
	readonly value: number;
}
interface RadiusOnCylinder extends RadiusAt {
	readonly mm: number;
}

const FEWEST_ROUND = 4;
const FEWEST_CYLINDER = 6;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * Roundness of one section from radii round it: least-squares circle and minimum zone.
 *
 * The part need not be centred: circles off the axis by e show as e·cos(θ − φ), and are fitted away. This limaçon form
 * neglects e²/2R, a nanometre for parts centred to 0.01 mm; the minimum zone is exact for it.
 * Shape: at least four angles that are not all alike, any order. Units: those of the values; degrees.
 * Errors: PreconditionError for fewer angles, angles on which no circle can be fitted, or values that are not finite.
 * Source: ISO 12181-1:2011, 3.3; ISO/TS 12181-2. A three-lobed part that a micrometer finds round shows here.
 *
 * @example roundness([0, 90, 180, 270].map((angleDeg, i) => ({ angleDeg, value: i % 2 }))).minimumZone // 1
 */
export function roundness(radii: readonly RadiusAt[]): FormDeviation {
	requireFinite('roundness', radii, FEWEST_ROUND);
	const rows = radii.map(({ angleDeg }) => [1, Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg))]);
	const found = deviationFrom(
		rows,
		radii.map(({ value }) => value)
	);
	requireThat(found !== undefined, 'roundness', 'radii', 'on too few angles', 'at least three different angles');
	return found;
}

/**
 * Cylindricity from radii at heights and angles: least-squares cylinder and minimum zone, axis free to shift and tilt.
 *
 * Shape: at least six points at two heights or more. Units: mm along the axis, degrees, values in their own unit.
 * Errors: PreconditionError for fewer points, points that leave the axis open, or values that are not finite.
 * Source: ISO 12180-1:2011, 3.3; linearised as for `roundness`.
 */
export function cylindricity(radii: readonly RadiusOnCylinder[]): FormDeviation {
	requireFinite('cylindricity', radii, FEWEST_CYLINDER);
	const heights = radii.map(({ mm }) => mm);
	const middle = (Math.max(...heights) + Math.min(...heights)) / 2;
	const half = (Math.max(...heights) - Math.min(...heights)) / 2;
	requireThat(half > 0, 'cylindricity', 'radii', 'at one height', 'at least two heights');
	const rows = radii.map(({ mm, angleDeg }) => {
		const [c, s, z] = [Math.cos(radians(angleDeg)), Math.sin(radians(angleDeg)), (mm - middle) / half];
		return [1, c, s, z * c, z * s];
	});
	const found = deviationFrom(
		rows,
		radii.map(({ value }) => value)
	);
	requireThat(found !== undefined, 'cylindricity', 'radii', 'on too few angles', 'three angles at two heights');
	return found;
}

function requireFinite(fn: string, radii: readonly RadiusAt[], fewest: number): void {
	requireThat(radii.length >= fewest, fn, 'radii', radii.length, `at least ${fewest} points`);
	for (const radiusAt of radii)
		for (const [name, value] of Object.entries(radiusAt))
			requireThat(Number.isFinite(value), fn, name, value, 'a finite number');
}
