import { annularGap } from '../figures/packing';
import type { PartType } from '../partType';

/** Male or female packing adapter. */
export const adapter: PartType = {
	key: 'adapter',
	name: 'Packing adapter',
	alsoCalled: ['head ring', 'support ring', 'packing retainer', 'packing support ring'],
	material: 'metal',
	lasts: { hoursToLimit: 16_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 18e-6,
	patterns: [
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'ovalBore', outFrom: 2, wearOf: ['bore'] },
		{ pattern: 'flatWorn', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: [
		{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'length', name: 'Length', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'faceFlatness', name: 'Face flatness', unit: 'mm', wears: 'up', instrument: 'feeler gauge' }
	],
	design: [
		{ key: 'land', name: 'Length of the bore along the plunger', unit: 'mm' },
		{ key: 'viscosity', name: 'Viscosity of the fluid, mPa·s', unit: 'pieces' }
	],
	figures: annularGap
};
