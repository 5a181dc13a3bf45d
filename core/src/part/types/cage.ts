import type { PartType } from '../partType';

/** Valve cage: its posts guide the poppet. Out if cracked; it may leave its seat behind. */
export const cage: PartType = {
	key: 'cage',
	name: 'Valve cage',
	material: 'plastic',
	lasts: { hoursToLimit: 12_000, competingFailures: { scaleHours: 60_000, shape: 1.3 }, stopShare: 0.5 },
	valvePart: true,
	patterns: [
		{ pattern: 'postWorn', outFrom: 2, wearOf: ['postThickness'] },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'broken', outFrom: 1 },
		{ pattern: 'guideWorn', outFrom: 2 },
		{ pattern: 'tabBroken', outFrom: 1 },
		{ pattern: 'lostShape', outFrom: 2 }
	],
	characteristics: [
		{ key: 'postThickness', name: 'Post thickness', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'guideBore', name: 'Guide bore', unit: 'mm', wears: 'up', instrument: 'pin gauge' }
	]
};
