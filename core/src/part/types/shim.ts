import type { PartType } from '../partType';

/** Shim or shim pack behind a cylinder; its thickness goes into the pump’s record. */
export const shim: PartType = {
	key: 'shim',
	name: 'Shim',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'missing', outFrom: 1 }
	],
	characteristics: [
		{ key: 'thickness', name: 'Thickness of the pack', unit: 'mm', wears: 'down', instrument: 'micrometer' }
	]
};
