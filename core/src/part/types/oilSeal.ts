import type { PartType } from '../partType';

/** Oil seal of the drive end: it keeps the oil in, and the water out. */
export const oilSeal: PartType = {
	key: 'oilSeal',
	name: 'Oil seal',
	material: 'elastomer',
	lasts: { hoursToLimit: 25_000, competingFailures: { scaleHours: 40_000, shape: 1.4 }, stopShare: 0.2 },
	soft: true,
	pressedHome: true,
	patterns: [
		{ pattern: 'lipFlat', outFrom: 2 },
		{ pattern: 'hardened', outFrom: 2 },
		{ pattern: 'lipTorn', outFrom: 1 },
		{ pattern: 'weeping', outFrom: 2 },
		{ pattern: 'swollen', outFrom: 2 },
		{ pattern: 'springOut', outFrom: 1 },
		{ pattern: 'reversed', outFrom: 1 },
		{ pattern: 'metalInOil', outFrom: 1, stopsUnitFrom: 1 }
	],
	characteristics: [
		{ key: 'depth', name: 'Depth in its seat, unevenness', unit: 'mm', wears: 'up', instrument: 'depth gauge' },
		{ key: 'hardness', name: 'Hardness', unit: 'shoreA', wears: 'up', instrument: 'durometer' }
	]
};
