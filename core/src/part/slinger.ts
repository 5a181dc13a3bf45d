import type { PartType } from './types';

/** Barrier slinger: the last thing between water and the oil seal. */
export const slinger: PartType = {
	key: 'slinger',
	name: 'Barrier slinger',
	material: 'elastomer',
	patterns: [
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'split', outFrom: 1 },
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'reversed' }
	],
	characteristics: []
};
