import { runout } from './formCharacteristics';
import type { PartType } from '../partType';

/** Ceramic plunger. Cracks and chips run on under pressure: out at the first sight. */
export const plunger: PartType = {
	key: 'plunger',
	name: 'Ceramic plunger',
	material: 'ceramic',
	lasts: { hoursToLimit: 8_000, competingFailures: { scaleHours: 60_000, shape: 1.2 }, stopShare: 0.3 },
	expansionPerKelvin: 8.0e-6,
	patterns: [
		{ pattern: 'axialScoring', outFrom: 2 },
		{ pattern: 'wearBand', outFrom: 3, wearOf: ['diameter'] },
		{ pattern: 'oneSidedWear', outFrom: 3 },
		{ pattern: 'heatChecks', outFrom: 2 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'chip', outFrom: 1 },
		{ pattern: 'pittedEnd', outFrom: 2 },
		{ pattern: 'deposit', cleanFirst: true },
		{ pattern: 'colourBand', outFrom: 3 }
	],
	characteristics: [
		{ key: 'diameter', name: 'Diameter', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'roughness', name: 'Roughness Ra', unit: 'um', wears: 'up', instrument: 'roughness tester' },
		{ key: 'scoreDepth', name: 'Deepest score', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		runout
	]
};
