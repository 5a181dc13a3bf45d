import type { PartType } from '../partType';

/** Plates, covers, end caps, pipes and handles: they close or hold something, and nothing of them is sized. */
export const cover: PartType = {
	key: 'cover',
	name: 'Cover or plate',
	material: 'metal',
	lasts: { hoursToLimit: 30_000, competingFailures: { scaleHours: 200_000, shape: 1.2 }, stopShare: 0.1 },
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'warped', outFrom: 2 },
		{ pattern: 'bent', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'galled', outFrom: 2 },
		{ pattern: 'missing', outFrom: 1 }
	],
	characteristics: []
};
