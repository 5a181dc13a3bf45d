import { ringFigures } from '../figures/ring';
import type { PartType } from '../partType';

/** O-ring. Cuts and pinches tell of fitting, set and hardness of service. */
export const oRing: PartType = {
	key: 'oRing',
	name: 'O-ring',
	material: 'elastomer',
	symmetric: true,
	lasts: { hoursToLimit: 5_000, competingFailures: { scaleHours: 40_000, shape: 1.2 }, stopShare: 0.5 },
	soft: true,
	renewal: 'ring',
	patterns: [
		{ pattern: 'cut', outFrom: 1 },
		{ pattern: 'nick', outFrom: 1 },
		{ pattern: 'pinched', outFrom: 1 },
		{ pattern: 'rolled', outFrom: 1 },
		{ pattern: 'flatSet', outFrom: 2, wearOf: ['section'] },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'blistered', outFrom: 1 },
		{ pattern: 'nibbled', outFrom: 1 },
		{ pattern: 'frayed', outFrom: 1 }
	],
	characteristics: [
		{ key: 'section', name: 'Section height', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'insideDiameter', name: 'Inside diameter', unit: 'mm', wears: 'up', instrument: 'caliper', limitless: true },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' },
		{ key: 'mass', name: 'Mass', unit: 'g', wears: 'up', instrument: 'scale', limitless: true }
	],
	design: [
		{ key: 'glandDepth', name: 'Gland depth', unit: 'mm' },
		{ key: 'glandWidth', name: 'Gland width', unit: 'mm' },
		{ key: 'grooveDiameter', name: 'Groove diameter', unit: 'mm' },
		{ key: 'mostSet', name: 'Maximum compression set', unit: 'share' }
	],
	figures: ringFigures
};
