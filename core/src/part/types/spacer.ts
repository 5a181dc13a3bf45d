import type { PartType } from '../partType';

/** Spacer between seals, manifolds or on the piston rod; its faces seal. */
export const spacer: PartType = {
	key: 'spacer',
	name: 'Spacer',
	material: 'metal',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'flatWorn', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: [
		{ key: 'length', name: 'Length', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'faceFlatness', name: 'Face flatness', unit: 'mm', wears: 'up', instrument: 'feeler gauge' }
	]
};
