import { seatFigures } from '../figures/seat';
import type { PartType } from '../partType';

/** Valve seat: its band widens as it is hammered, pits and channels leak; it may be lapped within its allowance. */
export const valveSeat: PartType = {
	key: 'valveSeat',
	name: 'Valve seat',
	material: 'metal',
	lasts: { hoursToLimit: 8_000, competingFailures: { scaleHours: 60_000, shape: 1.3 }, stopShare: 0.4 },
	expansionPerKelvin: 11.5e-6,
	renewal: 'seat',
	valvePart: true,
	pressedHome: true,
	patterns: [
		{ pattern: 'faceWorn', outFrom: 3, wearOf: ['bandWidth', 'height'] },
		{ pattern: 'pitted', outFrom: 2 },
		{ pattern: 'wireDrawn', outFrom: 1 },
		{ pattern: 'hammered', outFrom: 2 },
		{ pattern: 'loose', outFrom: 1 },
		{ pattern: 'crack', outFrom: 1 },
		{ pattern: 'corrosion', outFrom: 3 },
		{ pattern: 'nick', outFrom: 2 },
		{ pattern: 'deposit', cleanFirst: true }
	],
	characteristics: [
		{ key: 'bandWidth', name: 'Contact band width', unit: 'mm', wears: 'up', instrument: 'loupe' },
		{
			key: 'bandBroken',
			name: 'Share of the band that is broken',
			unit: 'share',
			wears: 'up',
			instrument: 'comparison chart'
		},
		{ key: 'pitDepth', name: 'Deepest pit', unit: 'mm', wears: 'up', instrument: 'dial indicator' },
		{
			key: 'pitShare',
			name: 'Share of the band that is pitted',
			unit: 'share',
			wears: 'up',
			instrument: 'comparison chart'
		},
		{
			key: 'grooveWidth',
			name: 'Wire-drawn groove, width',
			unit: 'mm',
			wears: 'up',
			instrument: 'loupe',
			limitless: true
		},
		{
			key: 'grooveDepth',
			name: 'Wire-drawn groove, depth',
			unit: 'mm',
			wears: 'up',
			instrument: 'dial indicator',
			limitless: true
		},
		{ key: 'height', name: 'Height', unit: 'mm', wears: 'down', instrument: 'depth gauge' },
		{ key: 'seatAngle', name: 'Seat angle', unit: 'deg', wears: 'up', instrument: 'protractor', limitless: true },
		{
			key: 'pressureFall',
			name: 'Hold test: fall of pressure in a minute',
			unit: 'MPa',
			wears: 'up',
			instrument: 'leak tester',
			limitless: true
		},
		{ key: 'edgeRadius', name: 'Edge rounded, radius', unit: 'mm', wears: 'up', instrument: 'radius gauge' }
	],
	design: [
		{ key: 'leastHeight', name: 'Least height after lapping', unit: 'mm' },
		{ key: 'finishing', name: 'Finishing cut after the deepest mark', unit: 'mm' },
		{ key: 'trappedVolume', name: 'Trapped volume of the hold test, mm³', unit: 'mm3' },
		{ key: 'bulkModulus', name: 'Effective bulk modulus of the hold test', unit: 'MPa' },
		{ key: 'mostLeak', name: 'Maximum leakage', unit: 'Lmin' }
	],
	figures: seatFigures
};
