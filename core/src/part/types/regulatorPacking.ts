import type { PartType } from '../partType';

/** Packing of the regulator stem: hand-tight and at most a part of a turn, or it is crushed and leaks. */
export const regulatorPacking: PartType = {
	key: 'regulatorPacking',
	name: 'Stem packing',
	material: 'fibre',
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	soft: true,
	pressedHome: true,
	patterns: [
		{ pattern: 'crushed', outFrom: 1 },
		{ pattern: 'glazed', outFrom: 2 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 }
	],
	characteristics: [{ key: 'height', name: 'Height', unit: 'mm', wears: 'down', instrument: 'depth gauge' }]
};
