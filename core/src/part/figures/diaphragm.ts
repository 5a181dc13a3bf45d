import type { Figure, PartContext } from '../partType';

/**
 * Permanent stretch of a diaphragm from its sag at rest: a spherical cap of sag s over a free diameter D has an arc longer
 * than D by the share (R·2·asin(D/2R) − D)/D, with R = (D²/4 + s²)/(2s).
 */
export function diaphragmFigures({ sizes, design }: PartContext): readonly Figure[] {
	const { sag } = sizes;
	const free = design.freeDiameter;
	if (!sag || !(sag.value > 0) || !(free! > 0)) return [];
	const [s, d] = [sag.value, free!];
	const radius = (d * d) / 4 / (2 * s) + s / 2;
	const angle = 2 * Math.atan2(2 * s, d); // half the cap's angle; exact also for a cap deeper than a hemisphere
	const stretched = (2 * radius * angle - d) / d;
	return [
		{
			key: 'permanentStretch',
			value: stretched,
			u: (2 * stretched * sag.u) / s,
			unit: 'share',
			...(design.mostStretch === undefined ? {} : { limit: { max: design.mostStretch } }),
			inputs: [
				{ key: 'sagAtRest', value: s, unit: 'mm' },
				{ key: 'freeDiameter', value: d, unit: 'mm' }
			]
		}
	];
}
