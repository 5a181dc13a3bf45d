import type { PartType } from '../partType';

/** Washers, collars and keyhole washers of the rod stack. */
export const washer: PartType = {
	key: 'washer',
	name: 'Washer or collar',
	alsoCalled: ['keyhole washer', 'split washer'],
	material: 'metal',
	lasts: { hoursToLimit: 18_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	renewal: 'washer',
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
