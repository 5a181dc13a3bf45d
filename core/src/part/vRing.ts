import type { PartType } from './types';

/** V-packing ring set. Inside and outside wear are told apart: they point to different causes. */
export const vRing: PartType = {
	key: 'vRing',
	name: 'V-packing',
	material: 'elastomer',
	soft: true,
	patterns: [
		{ pattern: 'insideWear', outFrom: 2 },
		{ pattern: 'outsideWear', outFrom: 2 },
		{ pattern: 'oneSidedWear', outFrom: 2 },
		{ pattern: 'lipTorn', outFrom: 1 },
		{ pattern: 'extrudedHeel', outFrom: 2 },
		{ pattern: 'glazed', outFrom: 1 },
		{ pattern: 'embeddedGrit', outFrom: 1 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'reversed', outFrom: 1 }
	],
	characteristics: [
		{ key: 'insideDiameter', name: 'Lip inside diameter', unit: 'mm', wears: 'up', instrument: 'pin gauge' },
		{ key: 'stackHeight', name: 'Stack height', unit: 'mm', wears: 'down', instrument: 'depth gauge' }
	]
};
