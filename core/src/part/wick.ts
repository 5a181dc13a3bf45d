import type { PartType } from './types';

/** Felt wick that carries oil to the low-pressure seal. */
export const wick: PartType = {
	key: 'wick',
	name: 'Wick',
	material: 'fibre',
	patterns: [
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'soiled', outFrom: 2 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: []
};
