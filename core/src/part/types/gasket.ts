import type { PartType } from '../partType';

/** Flat gasket between faces; scraped off completely before the new one. */
export const gasket: PartType = {
	key: 'gasket',
	name: 'Gasket',
	material: 'fibre',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 40_000, shape: 1.2 }, stopShare: 0.5 },
	soft: true,
	renewal: 'ring',
	patterns: [
		{ pattern: 'nick', outFrom: 1 },
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'blownAcross', outFrom: 1 },
		{ pattern: 'residue', cleanFirst: true }
	],
	characteristics: [{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'caliper' }]
};
