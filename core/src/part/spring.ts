import type { PartType } from './types';

/** Valve spring. Shorter than its limit: out. Longer than new: someone has stretched it, and it will not hold: out. */
export const spring: PartType = {
	key: 'spring',
	name: 'Spring',
	material: 'metal',
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'short', outFrom: 2 },
		{ pattern: 'stretched', outFrom: 1 },
		{ pattern: 'broken', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'sideWornCoils', outFrom: 2 },
		{ pattern: 'weak', outFrom: 2 },
		{ pattern: 'wrongPart', outFrom: 1 }
	],
	characteristics: [
		{
			key: 'freeLength',
			name: 'Free length',
			unit: 'mm',
			wears: 'down',
			instrument: 'caliper',
			beyondNewIsFault: true
		},
		{ key: 'load', name: 'Load at working length', unit: 'N', wears: 'down', instrument: 'spring tester' }
	]
};
