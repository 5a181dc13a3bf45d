import { extrusion, lipFit, stackLeft } from '../figures/packing';
import type { PartType } from '../partType';

/** V-packing ring set. Inside and outside wear are told apart: they point to different causes. */
export const vRing: PartType = {
	key: 'vRing',
	name: 'V-packing',
	alsoCalled: ['high-pressure seal', 'chevron'],
	material: 'elastomer',
	lasts: { hoursToLimit: 4_000, competingFailures: { scaleHours: 30_000, shape: 1.3 }, stopShare: 0.4 },
	soft: true,
	patterns: [
		{ pattern: 'insideWear', outFrom: 2, wearOf: ['insideDiameter'] },
		{ pattern: 'outsideWear', outFrom: 2, wearOf: ['outsideDiameter'] },
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
		{ key: 'stackHeight', name: 'Stack height', unit: 'mm', wears: 'down', instrument: 'depth gauge' },
		{ key: 'wearLand', name: 'Lip wear land', unit: 'mm', wears: 'up', instrument: 'loupe' },
		{ key: 'heel', name: 'Extruded heel', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' },
		{ key: 'outsideDiameter', name: 'Outside diameter', unit: 'mm', wears: 'down', instrument: 'caliper' },
		{ key: 'section', name: 'Section', unit: 'mm', wears: 'down', instrument: 'caliper' }
	],
	design: [
		{ key: 'glandFollow', name: 'Stack height at which the gland has no follow left', unit: 'mm' },
		{ key: 'leastInterference', name: 'Minimum interference on the plunger', unit: 'mm' },
		{ key: 'clearanceGap', name: 'Clearance gap behind the heel', unit: 'mm' }
	],
	figures: (context) => [...lipFit(context), ...stackLeft(context), ...extrusion(context)]
};
