import type { PartType } from '../partType';

/** Plunger rod or crosshead pin: the track on which the oil seal runs, the land of the low-pressure seal, its play. */
export const rod: PartType = {
	key: 'rod',
	fixed: true,
	name: 'Rod',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 150_000, shape: 1.3 }, stopShare: 0.5 },
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'grooveWorn', outFrom: 2, wearOf: ['grooveDepth'] },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'axialScoring', outFrom: 2, stopsUnitFrom: 3 },
		{ pattern: 'bent', outFrom: 1, stopsUnitFrom: 1 },
		{ pattern: 'galled', outFrom: 1 },
		{ pattern: 'loose', outFrom: 2, stopsUnitFrom: 2 }
	],
	characteristics: [
		{ key: 'trackDiameter', name: 'Track diameter', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'grooveDepth', name: 'Groove under the seal', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		{ key: 'play', name: 'Play', unit: 'mm', wears: 'up', instrument: 'dial indicator' }
	]
};
