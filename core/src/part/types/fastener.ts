import type { PartType } from '../partType';

/** Nuts, studs, screws and rod threads, counted as a set. */
export const fastener: PartType = {
	key: 'fastener',
	name: 'Fasteners',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 150_000, shape: 1.2 }, stopShare: 0.3 },
	patterns: [
		{ pattern: 'stretched', outFrom: 1 },
		{ pattern: 'galled', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'missing', outFrom: 1 }
	],
	characteristics: [{ key: 'length', name: 'Length', unit: 'mm', wears: 'up', instrument: 'caliper' }]
};
