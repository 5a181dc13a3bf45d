import type { PartType } from './types';

/** Male or female packing adapter. */
export const adapter: PartType = {
	key: 'adapter',
	name: 'Packing adapter',
	material: 'metal',
	expansionPerKelvin: 18e-6, // brass
	patterns: [
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'ovalBore', outFrom: 2 },
		{ pattern: 'flatWorn', outFrom: 2 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 1 },
		{ pattern: 'reversed' }
	],
	characteristics: [{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' }]
};
