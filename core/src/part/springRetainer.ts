import type { PartType } from './types';

/** Spring retainer, of metal or plastic; its legs have a direction. */
export const springRetainer: PartType = {
	key: 'springRetainer',
	name: 'Spring retainer',
	material: 'plastic',
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
