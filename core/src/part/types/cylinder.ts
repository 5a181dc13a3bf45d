import { shimFigures } from '../figures/shim';
import type { PartType } from '../partType';

/** Cylinder of a cup-piston pump; it must not move once the pump is closed: else it is shimmed. */
export const cylinder: PartType = {
	key: 'cylinder',
	name: 'Cylinder',
	material: 'ceramic',
	lasts: { hoursToLimit: 12_000, competingFailures: { scaleHours: 80_000, shape: 1.2 }, stopShare: 0.3 },
	expansionPerKelvin: 8.0e-6,
	patterns: [
		{ pattern: 'scoredBore', outFrom: 2 },
		{ pattern: 'washed', outFrom: 2 },
		{ pattern: 'grooveWorn', outFrom: 2, wearOf: ['grooveWidth'] },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'chip', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'deposit', cleanFirst: true }
	],
	characteristics: [
		{ key: 'bore', name: 'Bore', unit: 'mm', wears: 'up', instrument: 'bore gauge' },
		{ key: 'grooveWidth', name: 'O-ring groove, width', unit: 'mm', wears: 'up', instrument: 'caliper' },
		{ key: 'roughness', name: 'Roughness Ra', unit: 'um', wears: 'up', instrument: 'roughness tester' },
		{ key: 'endGap', name: 'End gap when built', unit: 'mm', wears: 'up', instrument: 'feeler gauge', limitless: true },
		{
			key: 'movement',
			name: 'Movement when the crank is turned',
			unit: 'mm',
			wears: 'up',
			instrument: 'dial indicator'
		},
		{ key: 'scoreDepth', name: 'Deepest score', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		{ key: 'grooveDepth', name: 'O-ring groove, depth', unit: 'mm', wears: 'up', instrument: 'depth gauge' }
	],
	design: [
		{ key: 'endPress', name: 'Press that the shims are to give', unit: 'mm' },
		{ key: 'shimThickness', name: 'Thickness of one shim', unit: 'mm' }
	],
	figures: shimFigures
};
