import type { PartType } from './types';

/** Valve seat: its band widens as it is hammered, pits and channels leak. */
export const valveSeat: PartType = {
	key: 'valveSeat',
	name: 'Valve seat',
	material: 'metal',
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'faceWorn', outFrom: 3 },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'wireDrawn', outFrom: 1 },
		{ pattern: 'hammered', outFrom: 2 },
		{ pattern: 'loose', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 3 }
	],
	characteristics: [
		{ key: 'bandWidth', name: 'Contact band width', unit: 'mm', wears: 'up', instrument: 'loupe' },
		{ key: 'pitDepth', name: 'Deepest pit', unit: 'mm', wears: 'up', instrument: 'dial indicator' }
	]
};
