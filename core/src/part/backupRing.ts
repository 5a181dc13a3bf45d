import type { PartType } from './types';

/** Backup ring: keeps the O-ring out of the gap. */
export const backupRing: PartType = {
	key: 'backupRing',
	name: 'Backup ring',
	material: 'plastic',
	soft: true,
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'frayed', outFrom: 1 },
		{ pattern: 'nibbled', outFrom: 1 },
		{ pattern: 'crushed', outFrom: 1 },
		{ pattern: 'worn', outFrom: 2 }
	],
	characteristics: []
};
