import type { PartType } from '../partType';

/** Oil pan or tray under the seal retainers, with the look at what is in it. */
export const oilPan: PartType = {
	key: 'oilPan',
	name: 'Oil pan',
	material: 'plastic',
	symmetric: true,
	lasts: { competingFailures: { scaleHours: 100_000, shape: 1.2 }, stopShare: 0.2 },
	patterns: [
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'soiled', cleanFirst: true },
		{ pattern: 'lostShape', outFrom: 2 },
		{ pattern: 'missing', outFrom: 1 },
		{ pattern: 'milkyOil' },
		{ pattern: 'metalInOil', outFrom: 3, stopsUnitFrom: 1 }
	],
	characteristics: []
};
