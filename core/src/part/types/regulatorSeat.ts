import { edgeFigures } from '../figures/edge';
import type { PartType } from '../partType';

/** Regulator seat, pressed out to be seen: new it is flat-edged, worn it is rounded. */
export const regulatorSeat: PartType = {
	key: 'regulatorSeat',
	name: 'Regulator seat',
	material: 'metal',
	lasts: { hoursToLimit: 6_000, competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	expansionPerKelvin: 11.5e-6,
	pressedHome: true,
	patterns: [
		{ pattern: 'rounded', outFrom: 2, wearOf: ['edgeRadius'] },
		{ pattern: 'wireDrawn', outFrom: 1 },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'loose', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'stuck', outFrom: 2 }
	],
	characteristics: [{ key: 'edgeRadius', name: 'Edge radius', unit: 'mm', wears: 'up', instrument: 'radius gauge' }],
	design: [{ key: 'edgeDiameter', name: 'Diameter of the edge', unit: 'mm' }],
	figures: edgeFigures
};
