import { cylinderClearance } from '../figures/packing';
import type { PartType } from '../partType';

/** Piston, piston spacer or retainer: the cup’s seat must be flat and smooth. */
export const piston: PartType = {
	key: 'piston',
	name: 'Piston',
	material: 'metal',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'worn', outFrom: 2, wearOf: ['diameter'] },
		{ pattern: 'touchingCylinder', outFrom: 2 },
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'crack', outFrom: 1 }
	],
	characteristics: [
		{ key: 'diameter', name: 'Diameter', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'faceFlatness', name: 'Face flatness', unit: 'mm', wears: 'up', instrument: 'feeler gauge' }
	],
	figures: cylinderClearance
};
