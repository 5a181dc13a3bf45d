import type { PartType } from '../partType';

/** Cotter pin or lock tab: bent once, then gone. */
export const cotterPin: PartType = {
	key: 'cotterPin',
	name: 'Cotter pin',
	material: 'metal',
	symmetric: true,
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	singleUse: true,
	patterns: [{ pattern: 'missing' }, { pattern: 'broken' }],
	characteristics: []
};
