import { flatSealFigures } from '../figures/ring';
import type { PartType } from '../partType';

/** Flat seal ring under a seat or retainer. */
export const flatSeal: PartType = {
	key: 'flatSeal',
	name: 'Flat seal',
	material: 'elastomer',
	symmetric: true,
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 40_000, shape: 1.2 }, stopShare: 0.5 },
	soft: true,
	renewal: 'ring',
	pressedHome: true,
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'nick', outFrom: 1 },
		{ pattern: 'flatSet', outFrom: 2, wearOf: ['thickness'] },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'crushed', outFrom: 2 }
	],
	characteristics: [
		{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' }
	],
	design: [
		{ key: 'glandDepth', name: 'Thickness when clamped', unit: 'mm' },
		{ key: 'mostSet', name: 'Maximum compression set', unit: 'share' }
	],
	figures: flatSealFigures
};
