import type { PartType } from '../partType';

/** Felt wick that carries oil to the low-pressure seal. */
export const wick: PartType = {
	key: 'wick',
	name: 'Wick',
	material: 'fibre',
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'soiled', outFrom: 2 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: []
};
