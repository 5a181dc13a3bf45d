import type { PartType } from '../partType';

/** Hoses and their connections, which go back where each was. */
export const hose: PartType = {
	key: 'hose',
	name: 'Hose or connection',
	material: 'elastomer',
	symmetric: true,
	lasts: { hoursToLimit: 10_000, competingFailures: { scaleHours: 60_000, shape: 1.3 }, stopShare: 0.3 },
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 1 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'weeping', outFrom: 2 },
		{ pattern: 'blocked', cleanFirst: true }
	],
	characteristics: []
};
