import type { PartType } from '../partType';

/** Spring retainer, of metal or plastic; its legs have a direction. */
export const springRetainer: PartType = {
	key: 'springRetainer',
	name: 'Spring retainer',
	material: 'plastic',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	valvePart: true,
	patterns: [
		{ pattern: 'worn', outFrom: 2, wearOf: ['thickness'] },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'tabBroken', outFrom: 1 },
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'reversed' }
	],
	characteristics: [{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'caliper' }]
};
