import type { PartType } from '../partType';

/** Copper or fibre sealing washer: it seals by being crushed once. */
export const sealingWasher: PartType = {
	key: 'sealingWasher',
	name: 'Sealing washer',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	renewal: 'washer',
	patterns: [
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'nick', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'missing', outFrom: 1 }
	],
	characteristics: [{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'caliper' }]
};
