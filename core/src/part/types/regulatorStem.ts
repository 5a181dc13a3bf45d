import { edgeFigures } from '../figures/edge';
import type { PartType } from '../partType';

/** Regulator stem with its seat face: new it is flat-edged, worn it is bevelled. */
export const regulatorStem: PartType = {
	key: 'regulatorStem',
	name: 'Regulator stem',
	material: 'metal',
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 11.5e-6,
	patterns: [
		{ pattern: 'bevelled', outFrom: 2, wearOf: ['edgeRadius'] },
		{ pattern: 'wireDrawn', outFrom: 1 },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'bent', outFrom: 1 },
		{ pattern: 'stuck', outFrom: 2 },
		{ pattern: 'galled', outFrom: 2 }
	],
	characteristics: [{ key: 'edgeRadius', name: 'Edge radius', unit: 'mm', wears: 'up', instrument: 'radius gauge' }],
	design: [{ key: 'edgeDiameter', name: 'Diameter of the edge', unit: 'mm' }],
	figures: edgeFigures
};
