import type { PartType } from '../partType';

/** Barrier slinger: the last thing between water and the oil seal. */
export const slinger: PartType = {
	key: 'slinger',
	name: 'Barrier slinger',
	alsoCalled: ['slinger washer', 'slinging washer', 'water barrier'],
	material: 'elastomer',
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
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
