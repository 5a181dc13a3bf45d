import type { PartType } from './types';

/** Cotter pin or lock tab: bent once, then gone. */
export const cotterPin: PartType = {
	key: 'cotterPin',
	name: 'Cotter pin',
	material: 'metal',
	singleUse: true,
	patterns: [{ pattern: 'missing' }, { pattern: 'broken' }],
	characteristics: []
};
