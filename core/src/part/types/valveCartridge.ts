import type { PartType } from '../partType';

/** A valve with its seat and spring in one plastic cage, drawn and renewed in one piece. */
export const valveCartridge: PartType = {
	key: 'valveCartridge',
	name: 'Caged valve',
	alsoCalled: ['valve', 'poppet'],
	material: 'plastic',
	lasts: { hoursToLimit: 5_000, competingFailures: { scaleHours: 30_000, shape: 1.3 }, stopShare: 0.5 },
	soft: true,
	valvePart: true,
	patterns: [
		{ pattern: 'faceWorn', outFrom: 2 },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'broken', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'stuck', outFrom: 2 },
		{ pattern: 'weak', outFrom: 2 },
		{ pattern: 'deposit', cleanFirst: true },
		{ pattern: 'wrongPart', outFrom: 1 }
	],
	characteristics: [
		{ key: 'lift', name: 'Valve lift', unit: 'mm', wears: 'up', instrument: 'depth gauge', limitless: true },
		{ key: 'load', name: 'Spring load at a set height', unit: 'N', wears: 'down', instrument: 'spring tester' }
	]
};
