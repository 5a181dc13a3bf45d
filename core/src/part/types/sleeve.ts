import { runout } from './formCharacteristics';
import { rodFit } from '../figures/packing';
import type { PartType } from '../partType';

/** Rod or packing sleeve: its surface sets the life of the seal that runs on it. */
export const sleeve: PartType = {
	key: 'sleeve',
	name: 'Sleeve',
	material: 'ceramic',
	lasts: { hoursToLimit: 9_000, competingFailures: { scaleHours: 60_000, shape: 1.2 }, stopShare: 0.3 },
	expansionPerKelvin: 8.0e-6,
	patterns: [
		{ pattern: 'axialScoring', outFrom: 2 },
		{ pattern: 'wearBand', outFrom: 3, wearOf: ['diameter'] },
		{ pattern: 'oneSidedWear', outFrom: 3 },
		{ pattern: 'heatChecks', outFrom: 2 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'chip', outFrom: 1 },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'deposit', cleanFirst: true },
		{ pattern: 'stuck', outFrom: 2 }
	],
	characteristics: [
		{ key: 'diameter', name: 'Outside diameter', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'roughness', name: 'Roughness Ra', unit: 'um', wears: 'up', instrument: 'roughness tester' },
		{ key: 'scoreDepth', name: 'Deepest score', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		{ key: 'bore', name: 'Bore on the rod', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'rodDiameter', name: 'Rod under it, diameter', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		runout
	],
	figures: rodFit
};
