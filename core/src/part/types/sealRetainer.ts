import type { PartType } from '../partType';

/** Seal retainer with its oiling wick. */
export const sealRetainer: PartType = {
	key: 'sealRetainer',
	name: 'Seal retainer',
	material: 'plastic',
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'soiled', cleanFirst: true },
		{ pattern: 'lostShape', outFrom: 2 }
	],
	characteristics: []
};
