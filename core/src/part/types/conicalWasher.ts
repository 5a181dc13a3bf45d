import type { PartType } from '../partType';

/** Conical washer: its dish is a spring, and it has a direction. */
export const conicalWasher: PartType = {
	key: 'conicalWasher',
	name: 'Conical washer',
	material: 'metal',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	renewal: 'washer',
	patterns: [
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'reversed' },
		{ pattern: 'missing', outFrom: 1 }
	],
	characteristics: [
		{ key: 'height', name: 'Height', unit: 'mm', wears: 'down', instrument: 'depth gauge' },
		{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'micrometer' }
	]
};
