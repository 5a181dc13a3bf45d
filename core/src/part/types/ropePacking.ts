import type { PartType } from '../partType';

/** Split rope ring, its gap staggered against its neighbours’. */
export const ropePacking: PartType = {
	key: 'ropePacking',
	name: 'Rope packing',
	alsoCalled: ['high-pressure seal', 'rope seals'],
	material: 'fibre',
	lasts: { hoursToLimit: 3_000, competingFailures: { scaleHours: 25_000, shape: 1.3 }, stopShare: 0.4 },
	soft: true,
	patterns: [
		{ pattern: 'insideWear', outFrom: 2, wearOf: ['section'] },
		{ pattern: 'oneSidedWear', outFrom: 2 },
		{ pattern: 'glazed', outFrom: 1 },
		{ pattern: 'frayed', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 2 },
		{ pattern: 'embeddedGrit', outFrom: 1 },
		{ pattern: 'jointsAligned' }
	],
	characteristics: [{ key: 'section', name: 'Section', unit: 'mm', wears: 'down', instrument: 'caliper' }]
};
