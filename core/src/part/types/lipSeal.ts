import { extrusion, lipFit } from '../figures/packing';
import type { PartType } from '../partType';

/** Lip seal with an energiser: the low-pressure seal, or a high-pressure lip seal. */
export const lipSeal: PartType = {
	key: 'lipSeal',
	name: 'Lip seal',
	alsoCalled: ['water seal', 'rear seal', 'low-pressure seal'],
	material: 'elastomer',
	lasts: { hoursToLimit: 4_500, competingFailures: { scaleHours: 30_000, shape: 1.3 }, stopShare: 0.4 },
	soft: true,
	pressedHome: true,
	patterns: [
		{ pattern: 'lipFlat', outFrom: 2, wearOf: ['insideDiameter'] },
		{ pattern: 'outsideWear', outFrom: 2, wearOf: ['outsideDiameter'] },
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
		{ key: 'wearLand', name: 'Lip wear land', unit: 'mm', wears: 'up', instrument: 'loupe' },
		{ key: 'heel', name: 'Extruded heel', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' },
		{ key: 'outsideDiameter', name: 'Outside diameter', unit: 'mm', wears: 'down', instrument: 'caliper' }
	],
	design: [
		{ key: 'leastInterference', name: 'Minimum interference on the plunger', unit: 'mm' },
		{ key: 'clearanceGap', name: 'Clearance gap behind the heel', unit: 'mm' }
	],
	figures: (context) => [...lipFit(context), ...extrusion(context)]
};
