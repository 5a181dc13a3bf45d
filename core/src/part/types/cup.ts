import { cupFit, extrusion } from '../figures/packing';
import type { PartType } from '../partType';

/** Piston cup. A worn cup lets the piston touch the cylinder, which then spoils the next cup. */
export const cup: PartType = {
	key: 'cup',
	name: 'Piston cup',
	material: 'elastomer',
	lasts: { hoursToLimit: 4_500, competingFailures: { scaleHours: 30_000, shape: 1.3 }, stopShare: 0.4 },
	soft: true,
	patterns: [
		{ pattern: 'lipFlat', outFrom: 2, wearOf: ['lipDiameter'] },
		{ pattern: 'oneSidedWear', outFrom: 2 },
		{ pattern: 'lipTorn', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'extrudedHeel', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'embeddedGrit', outFrom: 1 },
		{ pattern: 'split', outFrom: 1 },
		{ pattern: 'parted', outFrom: 1 }
	],
	characteristics: [
		{ key: 'lipDiameter', name: 'Lip outside diameter', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'heel', name: 'Extruded heel', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' }
	],
	design: [
		{ key: 'leastInterference', name: 'Minimum interference in the cylinder', unit: 'mm' },
		{ key: 'clearanceGap', name: 'Clearance gap behind the heel', unit: 'mm' }
	],
	figures: (context) => [...cupFit(context), ...extrusion(context)]
};
