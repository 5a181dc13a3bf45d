import type { PartType } from '../partType';

/** Seal case: its pressure face and its seal land must stay smooth. */
export const sealCase: PartType = {
	key: 'sealCase',
	name: 'Seal case',
	alsoCalled: ['rear guide', 'rear piston guide', 'packing retainer', 'brass piece'],
	material: 'metal',
	lasts: { hoursToLimit: 20_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 18e-6, // brass
	pressedHome: true,
	patterns: [
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'galled', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'pryMark', outFrom: 3 }
	],
	characteristics: [{ key: 'bore', name: 'Seal bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' }]
};
