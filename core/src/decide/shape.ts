import { cylindricity, diameterForm, flatness, roundness, type DiameterForm } from '../measure';
import { facePoints, type MeasuredCharacteristic, type Point } from './characteristic';

/** How far a form strays: by least squares, and the least that any ideal figure allows (minimum zone). */
interface FormWidth {
	readonly leastSquares: number;
	readonly minimumZone: number;
}

/** The shape that a part has worn to, as far as its readings let it be worked out. All in the unit of the readings. */
interface WornShape extends DiameterForm {
	/** Of the station that is furthest out of round. */
	readonly roundness?: FormWidth & { readonly row: number };
	readonly cylindricity?: FormWidth;
	readonly flatness?: FormWidth;
}

const FEWEST_ROUND = 4;
const width = ({ leastSquares, minimumZone }: FormWidth): FormWidth => ({ leastSquares, minimumZone });

/**
 * Shape of one measured size: ovality and taper of diameters over a grid, roundness and cylindricity of dial readings round
 * a part, flatness of heights over a face. Empty where it has one point only, or too few for its form.
 *
 * Errors: PreconditionError from the form functions for values that are not finite.
 * Source: ISO 14405-1, ISO 12181, ISO 12180, ISO 12781, as in `diameterForm`, `roundness`, `cylindricity`, `flatness`.
 */
export function wornShape({ characteristic, sheet, points, value }: MeasuredCharacteristic): WornShape {
	if (characteristic.form === 'flatness')
		return value === undefined ? {} : { flatness: width(flatness(facePoints(sheet, points))) };
	if (!sheet.grid || sheet.unit !== 'mm') return {};
	if (characteristic.form !== 'runout') return sheet.grid.anglesDeg.length > 1 ? diameterForm(points) : {};
	const round = roundnessOf(points, sheet.grid.anglesDeg);
	const cylinder = cylindricityOf(points, sheet.grid.anglesDeg, sheet.grid.stationsMm);
	return { ...(round ? { roundness: round } : {}), ...(cylinder ? { cylindricity: cylinder } : {}) };
}

function roundnessOf(points: readonly Point[], anglesDeg: readonly number[]): WornShape['roundness'] {
	const found = [...new Set(points.map(({ row }) => row))].flatMap((row) => {
		const radii = points
			.filter((point) => point.row === row)
			.map(({ column, value }) => ({ angleDeg: anglesDeg[column], value }));
		return radii.length >= FEWEST_ROUND ? [{ ...width(roundness(radii)), row }] : [];
	});
	return found.length > 0 ? found.reduce((a, b) => (b.minimumZone > a.minimumZone ? b : a)) : undefined;
}

function cylindricityOf(
	points: readonly Point[],
	anglesDeg: readonly number[],
	stationsMm: readonly number[] | undefined
): FormWidth | undefined {
	if (!stationsMm) return undefined;
	const full = stationsMm.flatMap((_, row) => {
		const round = points.filter((point) => point.row === row);
		return round.length >= FEWEST_ROUND ? [round] : [];
	});
	if (full.length < 2) return undefined;
	const radii = full
		.flat()
		.map(({ row, column, value }) => ({ mm: stationsMm[row], angleDeg: anglesDeg[column], value }));
	return width(cylindricity(radii));
}
