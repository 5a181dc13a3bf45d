import type { PartType } from './types';

/** O-ring. Cuts and pinches tell of fitting, set and hardness of service. */
export const oRing: PartType = {
	key: 'oRing',
	name: 'O-ring',
	material: 'elastomer',
	soft: true,
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'nick', outFrom: 1 },
		{ pattern: 'pinched', outFrom: 1 },
		{ pattern: 'rolled', outFrom: 1 },
		{ pattern: 'flatSet', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'blistered', outFrom: 1 },
		{ pattern: 'nibbled', outFrom: 1 }
	],
	characteristics: [
		{ key: 'section', name: 'Section height', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' }
	]
};
