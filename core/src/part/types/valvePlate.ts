import { faceFlatness } from './formCharacteristics';
import type { PartType } from '../partType';

/** Valve plate; plastic ones crack, so look twice. */
export const valvePlate: PartType = {
	key: 'valvePlate',
	name: 'Valve plate',
	alsoCalled: ['head', 'fluid end'],
	material: 'metal',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 120_000, shape: 1.2 }, stopShare: 0.3 },
	expansionPerKelvin: 17e-6,
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'warped', outFrom: 2, wearOf: ['flatness', 'faceHeights'] },
		{ pattern: 'erodedPort', outFrom: 3, wearOf: ['portWear'] },
		{ pattern: 'pitted', outFrom: 3 },
		{ pattern: 'pryMark', outFrom: 3 },
		{ pattern: 'corrosion', outFrom: 3 }
	],
	characteristics: [
		...faceFlatness,
		{ key: 'portWear', name: 'Port worn, widest', unit: 'mm', wears: 'up', instrument: 'caliper' }
	]
};
