import type { PartType } from './types';

/** Washers, collars and keyhole washers of the rod stack. */
export const washer: PartType = {
	key: 'washer',
	name: 'Washer or collar',
	material: 'metal',
	patterns: [
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'worn', outFrom: 3 },
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: [{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'micrometer' }]
};
