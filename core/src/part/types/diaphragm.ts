import { diaphragmFigures } from '../figures/diaphragm';
import type { PartType } from '../partType';

/** Diaphragm: a fatigue crack shows first at the clamp and at the piston’s edge. Renewed a set at a time. */
export const diaphragm: PartType = {
	key: 'diaphragm',
	name: 'Diaphragm',
	material: 'elastomer',
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 25_000, shape: 1.6 }, stopShare: 0.7 },
	soft: true,
	renewedAsSet: true,
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'hole', outFrom: 1 },
		{ pattern: 'blistered', outFrom: 1 },
		{ pattern: 'stretched', outFrom: 2, wearOf: ['sag'] },
		{ pattern: 'chafed', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 }
	],
	characteristics: [
		{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'sag', name: 'Sag at rest', unit: 'mm', wears: 'up', instrument: 'depth gauge' }
	],
	design: [
		{ key: 'freeDiameter', name: 'Free diameter inside the clamp', unit: 'mm' },
		{ key: 'mostStretch', name: 'Most stretch allowed', unit: 'share' }
	],
	figures: diaphragmFigures
};
