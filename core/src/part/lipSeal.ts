import type { PartType } from './types';

/** Lip seal with an energiser: the low-pressure seal, or a high-pressure lip seal. */
export const lipSeal: PartType = {
	key: 'lipSeal',
	name: 'Lip seal',
	material: 'elastomer',
	soft: true,
	patterns: [
		{ pattern: 'lipFlat', outFrom: 2 },
		{ pattern: 'outsideWear', outFrom: 2 },
		{ pattern: 'oneSidedWear', outFrom: 2 },
		{ pattern: 'lipTorn', outFrom: 1 },
		{ pattern: 'springOut', outFrom: 1 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'glazed', outFrom: 1 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'reversed', outFrom: 1 }
	],
	characteristics: [
		{ key: 'insideDiameter', name: 'Lip inside diameter', unit: 'mm', wears: 'up', instrument: 'pin gauge' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' }
	]
};
