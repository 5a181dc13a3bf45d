import type { PartType } from '../partType';

/** Caps and plugs that close a valve pocket, on a thread or on their ring. */
export const plug: PartType = {
	key: 'plug',
	name: 'Valve cap or plug',
	alsoCalled: ['valve cap', 'valve plug'],
	material: 'metal',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 150_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'galled', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'soiled' },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'residue', cleanFirst: true },
		{ pattern: 'stuck' }
	],
	characteristics: []
};
