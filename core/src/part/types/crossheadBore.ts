import type { PartType } from '../partType';

/** Crosshead bore of the drive end: scored, it puts the unit in question. */
export const crossheadBore: PartType = {
	key: 'crossheadBore',
	fixed: true,
	name: 'Crosshead bore',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 150_000, shape: 1.3 }, stopShare: 0.5 },
	expansionPerKelvin: 22e-6,
	patterns: [
		{ pattern: 'scoredBore', outFrom: 2, stopsUnitFrom: 2 },
		{ pattern: 'worn', outFrom: 3, stopsUnitFrom: 3, wearOf: ['bore'] },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'soiled', cleanFirst: true },
		{ pattern: 'metalInOil', outFrom: 1, stopsUnitFrom: 1 }
	],
	characteristics: [{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' }]
};
