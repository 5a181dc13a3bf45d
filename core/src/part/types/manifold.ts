import { faceFlatness } from './formCharacteristics';
import type { PartType } from '../partType';

/** Manifold. A crack is out; warp is measured by straight edge or dial. */
export const manifold: PartType = {
	key: 'manifold',
	name: 'Manifold',
	alsoCalled: ['head', 'fluid end', 'spray head'],
	material: 'metal',
	lasts: { hoursToLimit: 30_000, competingFailures: { scaleHours: 150_000, shape: 1.2 }, stopShare: 0.3 },
	expansionPerKelvin: 17e-6,
	patterns: [
		{ pattern: 'crack', outFrom: 1, stopsUnitFrom: 1 },
		{ pattern: 'warped', outFrom: 2, wearOf: ['flatness', 'faceHeights'] },
		{ pattern: 'erodedPort', outFrom: 3, wearOf: ['portWear'] },
		{ pattern: 'pitted', outFrom: 3 },
		{ pattern: 'pryMark', outFrom: 3 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'blocked', cleanFirst: true }
	],
	characteristics: [
		...faceFlatness,
		{ key: 'portWear', name: 'Port worn, widest', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'packingBore', name: 'Packing bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'pitDepth', name: 'Deepest pit', unit: 'mm', wears: 'up', instrument: 'dial indicator' }
	]
};
