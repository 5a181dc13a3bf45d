import type { PartType } from './types';

/** Manifold or valve plate. A crack is out; warp is measured. */
export const manifold: PartType = {
	key: 'manifold',
	name: 'Manifold',
	material: 'metal',
	expansionPerKelvin: 17e-6,
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'warped', outFrom: 2 },
		{ pattern: 'erodedPort', outFrom: 3 },
		{ pattern: 'pitted', outFrom: 3 },
		{ pattern: 'pryMark', outFrom: 3 },
		{ pattern: 'corrosion', outFrom: 3 }
	],
	characteristics: [
		{ key: 'flatness', name: 'Flatness, worst gap', unit: 'mm', wears: 'up', instrument: 'feeler gauge' }
	]
};
