import { annularGap } from '../figures/packing';
import type { PartType } from '../partType';

/** Front, rear or intermediate guide of a plunger; each style takes its own seal and ring. */
export const guide: PartType = {
	key: 'guide',
	name: 'Plunger guide',
	material: 'plastic',
	lasts: { hoursToLimit: 12_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	pressedHome: true,
	patterns: [
		{ pattern: 'ovalBore', outFrom: 2, wearOf: ['bore'] },
		{ pattern: 'sideWorn', outFrom: 2 },
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'glazed', outFrom: 2 },
		{ pattern: 'wrongPart', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: [{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' }],
	design: [
		{ key: 'land', name: 'Length of the bore along the plunger', unit: 'mm' },
		{ key: 'viscosity', name: 'Viscosity of the fluid, mPa·s', unit: 'pieces' }
	],
	figures: annularGap
};
