/** Form sizes that several part types share. */
import type { Characteristic } from '../partType';

/** Of round, sliding surfaces: a dial round the part. */
export const runout: Characteristic = {
	key: 'runout',
	name: 'Runout and roundness (dial)',
	unit: 'mm',
	wears: 'up',
	instrument: 'dial indicator',
	form: 'runout'
};

/** Of sealing faces: a straight edge with feelers, or a dial over a surface plate. */
export const faceFlatness: readonly Characteristic[] = [
	{
		key: 'flatness',
		name: 'Flatness: largest feeler gap under the straight edge',
		unit: 'mm',
		wears: 'up',
		instrument: 'feeler gauge'
	},
	{
		key: 'faceHeights',
		name: 'Flatness by dial heights',
		unit: 'mm',
		wears: 'up',
		instrument: 'dial indicator',
		form: 'flatness'
	}
];
