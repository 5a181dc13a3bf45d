import { mean, requireThat } from '../number';

/** A diameter read at one point: row along the axis and column (angle) round the part, counted from 0. */
interface DiameterAt {
	readonly row: number;
	readonly column: number;
	readonly value: number;
}

export interface DiameterForm {
	/** Largest difference between the angles of one station, and which station; undefined where no station has two angles. */
	readonly ovality?: { readonly value: number; readonly row: number };
	/** Largest difference between the stations' mean diameters, from the thicker to the thinner; undefined with one station. */
	readonly taper?: { readonly value: number; readonly thickest: number; readonly thinnest: number };
}

/**
 * What shape a plunger, sleeve or bore has worn to, from diameters at stations × angles.
 *
 * Ovality is the spread of the diameters of one station (two-point measurement: it sees even lobes only, so a
 * three-lobed part can look round). Taper is the spread of the stations' mean diameters. Both in the diameters' unit,
 * at least 0. Shape: any order, at least one point; repeated points count with their mean.
 * Errors: PreconditionError for an empty list or a value that is not finite.
 * Source: ISO 14405-1:2016, two-point size and its range over a cross section and along a cylinder.
 *
 * @example diameterForm([{ row: 0, column: 0, value: 18 }, { row: 0, column: 1, value: 17.99 }]).ovality // 0.01 at 0
 */
export function diameterForm(diameters: readonly DiameterAt[]): DiameterForm {
	requireThat(
		diameters.length > 0 &&
			diameters.flatMap((diameter) => [diameter.row, diameter.column, diameter.value]).every(Number.isFinite),
		'diameterForm',
		'diameters',
		diameters.length,
		'finite diameters'
	);
	const sectionsByRow = new Map<number, Map<number, number[]>>();
	for (const { row, column, value } of diameters) {
		const angles = sectionsByRow.get(row) ?? new Map<number, number[]>();
		sectionsByRow.set(row, angles.set(column, [...(angles.get(column) ?? []), value]));
	}
	const sections = [...sectionsByRow].map(([row, angles]) => {
		const values = [...angles.values()].map(mean);
		return { row, values, mean: mean(values), spread: Math.max(...values) - Math.min(...values) };
	});
	return { ...ovalityOf(sections), ...taperOf(sections) };
}

interface Section {
	readonly row: number;
	readonly values: readonly number[];
	readonly mean: number;
	readonly spread: number;
}

function ovalityOf(sections: readonly Section[]): Pick<DiameterForm, 'ovality'> {
	const several = sections.filter(({ values }) => values.length > 1);
	if (several.length === 0) return {};
	const worst = several.reduce((a, b) => (b.spread > a.spread ? b : a));
	return { ovality: { value: worst.spread, row: worst.row } };
}

function taperOf(sections: readonly Section[]): Pick<DiameterForm, 'taper'> {
	if (sections.length < 2) return {};
	const thickest = sections.reduce((a, b) => (b.mean > a.mean ? b : a));
	const thinnest = sections.reduce((a, b) => (b.mean < a.mean ? b : a));
	return { taper: { value: thickest.mean - thinnest.mean, thickest: thickest.row, thinnest: thinnest.row } };
}
