import type { PartType } from '../partType';

/** A bore or land of a housing: not a loose part, but the gate that new seals must pass. */
export const bore: PartType = {
	key: 'bore',
	fixed: true,
	name: 'Housing bore',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 22_000, competingFailures: { scaleHours: 150_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 17e-6,
	patterns: [
		{ pattern: 'scoredBore', outFrom: 3 },
		{ pattern: 'pitted', outFrom: 3 },
		{ pattern: 'pryMark', outFrom: 3 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'residue', cleanFirst: true }
	],
	characteristics: [
		{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'roughness', name: 'Roughness Ra', unit: 'um', wears: 'up', instrument: 'roughness tester' },
		{ key: 'grooveWidth', name: 'O-ring groove, width', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'grooveDepth', name: 'O-ring groove, depth', unit: 'mm', wears: 'up', instrument: 'depth gauge' },
		{ key: 'pitDepth', name: 'Deepest pit', unit: 'mm', wears: 'up', instrument: 'dial indicator' }
	]
};
