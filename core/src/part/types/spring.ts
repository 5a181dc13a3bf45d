import { springFigures } from '../figures/spring';
import type { PartType } from '../partType';

/** Valve or packing spring. Shorter than its limit: out. Longer than new: someone has stretched it, and it will not hold: out. */
export const spring: PartType = {
	key: 'spring',
	name: 'Spring',
	material: 'metal',
	symmetric: true,
	lasts: { hoursToLimit: 11_000, competingFailures: { scaleHours: 60_000, shape: 1.3 }, stopShare: 0.4 },
	expansionPerKelvin: 11.5e-6,
	renewal: 'spring',
	valvePart: true,
	inspectedBy: { length: 'freeLength', load: 'load' },
	patterns: [
		{ pattern: 'short', outFrom: 2, wearOf: ['freeLength'] },
		{ pattern: 'stretched', outFrom: 1 },
		{ pattern: 'broken', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 2 },
		{ pattern: 'sideWornCoils', outFrom: 2 },
		{ pattern: 'weak', outFrom: 2, wearOf: ['load'] },
		{ pattern: 'wrongPart', outFrom: 1 }
	],
	characteristics: [
		{
			key: 'freeLength',
			name: 'Free length',
			unit: 'mm',
			wears: 'down',
			instrument: 'caliper',
			beyondNewIsFault: true
		},
		{ key: 'load', name: 'Load at working length', unit: 'N', wears: 'down', instrument: 'spring tester' },
		{
			key: 'loadShort',
			name: 'Load at the shorter length',
			unit: 'N',
			wears: 'down',
			instrument: 'spring tester',
			limitless: true
		},
		{ key: 'wire', name: 'Wire', unit: 'mm', wears: 'down', instrument: 'micrometer', limitless: true },
		{
			key: 'outsideDiameter',
			name: 'Outside diameter',
			unit: 'mm',
			wears: 'down',
			instrument: 'caliper',
			limitless: true
		},
		{ key: 'coils', name: 'Total coils', unit: 'pieces', wears: 'down', instrument: 'count by eye', limitless: true },
		{ key: 'outOfSquare', name: 'Out of square', unit: 'mm', wears: 'up', instrument: 'feeler gauge' }
	],
	design: [
		{ key: 'workingLength', name: 'Working length', unit: 'mm' },
		{ key: 'shortLength', name: 'Shorter length of the load test', unit: 'mm' },
		{ key: 'shearModulus', name: 'Shear modulus', unit: 'MPa' }
	],
	toldApartBy: ['wire', 'outsideDiameter', 'coils'],
	figures: springFigures
};
