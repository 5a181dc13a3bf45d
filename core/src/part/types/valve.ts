import type { PartType } from '../partType';

/** Valve, poppet or disc; it is mated with its seat. */
export const valve: PartType = {
	key: 'valve',
	name: 'Valve',
	alsoCalled: ['poppet'],
	material: 'metal',
	lasts: { hoursToLimit: 9_000, competingFailures: { scaleHours: 50_000, shape: 1.3 }, stopShare: 0.4 },
	expansionPerKelvin: 11.5e-6,
	valvePart: true,
	patterns: [
		{ pattern: 'faceWorn', outFrom: 2, wearOf: ['thickness', 'step'] },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'bent', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'wireDrawn', outFrom: 1 },
		{ pattern: 'guideWorn', outFrom: 2 },
		{ pattern: 'reversed' },
		{ pattern: 'deposit', cleanFirst: true }
	],
	characteristics: [
		{ key: 'thickness', name: 'Thickness', unit: 'mm', wears: 'down', instrument: 'micrometer' },
		{ key: 'step', name: 'Step worn in its face', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		{ key: 'faceFlatness', name: 'Face flatness', unit: 'mm', wears: 'up', instrument: 'feeler gauge' },
		{ key: 'lift', name: 'Valve lift', unit: 'mm', wears: 'up', instrument: 'depth gauge' },
		{ key: 'grooveDepth', name: 'Groove worn in it', unit: 'mm', wears: 'up', instrument: 'dial indicator' }
	]
};
