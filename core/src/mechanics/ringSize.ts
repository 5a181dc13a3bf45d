import { requireThat } from '../number';

/** A ring of the standard series: dash number, inside diameter and section in mm. */
export interface RingSize {
	readonly dash: string;
	readonly insideDiameter: number;
	readonly section: number;
}

// AS568 / ISO 3601-1: inside diameters in inches of the three small sections, those that pumps of this size use.
const series: readonly { first: number; section: number; inside: readonly number[] }[] = [
	{
		first: 6,
		section: 0.07,
		inside: [
			0.114, 0.145, 0.176, 0.208, 0.239, 0.301, 0.364, 0.426, 0.489, 0.551, 0.614, 0.676, 0.739, 0.801, 0.864, 0.926,
			0.989, 1.051, 1.114, 1.176, 1.239, 1.301, 1.364
		]
	},
	{
		first: 102,
		section: 0.103,
		inside: [
			0.049, 0.081, 0.112, 0.143, 0.174, 0.206, 0.237, 0.299, 0.362, 0.424, 0.487, 0.549, 0.612, 0.674, 0.737, 0.799,
			0.862, 0.924, 0.987, 1.049, 1.112, 1.174, 1.237, 1.299, 1.362, 1.424, 1.487
		]
	},
	{
		first: 201,
		section: 0.139,
		inside: [
			0.171, 0.234, 0.296, 0.359, 0.421, 0.484, 0.546, 0.609, 0.671, 0.734, 0.796, 0.859, 0.921, 0.984, 1.046, 1.109,
			1.171, 1.234, 1.296, 1.359, 1.421, 1.484
		]
	}
];
const INCH = 25.4;

export const ringSizes: readonly RingSize[] = series.flatMap(({ first, section, inside }) =>
	inside.map((diameter, i) => ({
		dash: String(first + i).padStart(3, '0'),
		insideDiameter: diameter * INCH,
		section: section * INCH
	}))
);

// Tolerances of industrial rings: inside diameter ±(0.009·d^0.95 + 0.11) mm, section ±0.08 to 0.10 mm.
const insideTolerance = (d: number) => 0.009 * d ** 0.95 + 0.11;
const sectionTolerance = (section: number) => (section < 2 ? 0.08 : section < 3 ? 0.09 : 0.1);

/**
 * Which ring of the standard series a measured one is, likeliest first, at most three.
 *
 * A ring that has run has set: its section may have lost up to a fifth, its inside diameter grown a little; how far off it
 * lies is counted in tolerances, with that allowed for. `off` is 0 on size and up to 1 within tolerance; above 2 the ring
 * is not of the series. Units: mm. Errors: PreconditionError for sizes not above 0.
 * Source: AS568F (facts of the size table); ISO 3601-1:2012, class B tolerances.
 *
 * @example whichRing(20.3, 2.6)[0] // dash 117, 20.29 × 2.62
 */
export function whichRing(insideDiameter: number, section: number): readonly (RingSize & { readonly off: number })[] {
	requireThat(
		insideDiameter > 0 && Number.isFinite(insideDiameter),
		'whichRing',
		'insideDiameter',
		insideDiameter,
		'above 0'
	);
	requireThat(section > 0 && Number.isFinite(section), 'whichRing', 'section', section, 'above 0');
	const ranked = ringSizes.map((ring) => {
		const lost = ring.section - section;
		const thin = lost > 0 ? Math.max(0, lost - SET_SHARE * ring.section) : -lost;
		const d = Math.abs(insideDiameter - ring.insideDiameter) / insideTolerance(ring.insideDiameter);
		return { ...ring, off: Math.hypot(d, thin / sectionTolerance(ring.section)), nearer: Math.abs(lost) };
	});
	ranked.sort((a, b) => a.off + 0.2 * a.nearer - (b.off + 0.2 * b.nearer));
	return ranked.slice(0, 3).map(({ nearer: _, ...ring }) => ring);
}
const SET_SHARE = 0.2;
