import type { PartType } from '../partType';

/** Bolt or nut that holds the plunger on its rod. */
export const plungerRetainer: PartType = {
	key: 'plungerRetainer',
	name: 'Plunger retainer',
	material: 'metal',
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'galled', outFrom: 1 },
		{ pattern: 'stretched', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'bent', outFrom: 1 },
		{ pattern: 'loose', outFrom: 3 }
	],
	characteristics: []
};
