import type { PartType } from './types';

/** Seal retainer with its oiling wick. */
export const sealRetainer: PartType = {
	key: 'sealRetainer',
	name: 'Seal retainer',
	material: 'plastic',
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'soiled', cleanFirst: true },
		{ pattern: 'lostShape', outFrom: 2 }
	],
	characteristics: []
};
