import type { Material, PartTypeKey } from '@exetasis/core/part';

/** One outline of a section drawing; hatched by material, or left open (a bore, a groove, an edge behind the cut). */
export interface Shape {
	readonly d: string;
	readonly hatch?: Material | 'garter';
}

/**
 * Our own section drawings, one a part type, in a 48 × 48 box cut along the axis. The pressure side P lies to the left:
 * a lip, groove or dish that has to face P opens to the left. Adding a part type means adding its drawing here.
 */
export const shapes: Readonly<Record<PartTypeKey, readonly Shape[]>> = {
	plunger: [{ d: 'M5 15H38V19H43V29H38V33H5Z', hatch: 'ceramic' }, { d: 'M30 21H43V27H30Z' }, { d: 'M2 24H46' }],
	vRing: [
		{ d: 'M16 6 28 12 16 18 20 12Z', hatch: 'elastomer' },
		{ d: 'M24 6 36 12 24 18 28 12Z', hatch: 'elastomer' },
		{ d: 'M16 30 28 36 16 42 20 36Z', hatch: 'elastomer' },
		{ d: 'M24 30 36 36 24 42 28 36Z', hatch: 'elastomer' },
		{ d: 'M8 24H42' }
	],
	lipSeal: [
		{ d: 'M34 5V17H14L18 13H26V9H16L14 5Z', hatch: 'elastomer' },
		{ d: 'M34 43V31H14L18 35H26V39H16L14 43Z', hatch: 'elastomer' },
		{ d: 'M20 11m-2 0a2 2 0 1 0 4 0a2 2 0 1 0-4 0', hatch: 'garter' },
		{ d: 'M20 37m-2 0a2 2 0 1 0 4 0a2 2 0 1 0-4 0', hatch: 'garter' },
		{ d: 'M8 24H42' }
	],
	sealCase: [
		{ d: 'M9 5H39V15H31V18H15V12H9Z', hatch: 'metal' },
		{ d: 'M9 43H39V33H31V30H15V36H9Z', hatch: 'metal' },
		{ d: 'M12 5V9H18V5' },
		{ d: 'M12 43V39H18V43' },
		{ d: 'M4 24H44' }
	],
	oRing: [
		{ d: 'M24 12m-6 0a6 6 0 1 0 12 0a6 6 0 1 0-12 0', hatch: 'elastomer' },
		{ d: 'M24 36m-6 0a6 6 0 1 0 12 0a6 6 0 1 0-12 0', hatch: 'elastomer' },
		{ d: 'M10 24H38' }
	],
	backupRing: [
		{ d: 'M21 6H27V17H21Z', hatch: 'plastic' },
		{ d: 'M21 31H27V42H21Z', hatch: 'plastic' },
		{ d: 'M10 24H38' }
	],
	gasket: [{ d: 'M22 5H26V18H22Z', hatch: 'fibre' }, { d: 'M22 30H26V43H22Z', hatch: 'fibre' }, { d: 'M10 24H38' }],
	adapter: [
		{ d: 'M13 6H33V18H13L19 12Z', hatch: 'metal' },
		{ d: 'M13 42H33V30H13L19 36Z', hatch: 'metal' },
		{ d: 'M8 24H40' }
	],
	bore: [
		{ d: 'M3 3H45V10H33V13H3Z', hatch: 'metal' },
		{ d: 'M3 45H45V38H33V35H3Z', hatch: 'metal' },
		{ d: 'M3 24H45' }
	],
	manifold: [
		{ d: 'M7 4H41V44H7Z M17 10V16H41V10Z M17 21V27H41V21Z M17 32V38H41V32Z', hatch: 'metal' },
		{ d: 'M12 4V44' }
	],
	fastener: [
		{ d: 'M14 11H34L39 24 34 37H14L9 24Z', hatch: 'metal' },
		{ d: 'M24 24m-7 0a7 7 0 1 0 14 0a7 7 0 1 0-14 0' },
		{ d: 'M18 24a6 6 0 0 1 6-6' }
	],
	plungerRetainer: [
		{ d: 'M8 12H18V18H42V30H18V36H8Z', hatch: 'metal' },
		{ d: 'M24 18V30M29 18V30M34 18V30M39 18V30' },
		{ d: 'M8 21H14V27H8' }
	],
	sealRetainer: [
		{ d: 'M10 20A14 14 0 0 1 38 20V23H32A8 8 0 0 0 16 23H10Z', hatch: 'plastic' },
		{ d: 'M10 28A14 14 0 0 0 38 28V25.5H32A8 8 0 0 1 16 25.5H10Z', hatch: 'plastic' }
	],
	wick: [{ d: 'M12 10H36V18H28V44H22V18H12Z', hatch: 'fibre' }, { d: 'M12 40H20M30 40H38' }],
	washer: [{ d: 'M19 5H29V18H19Z', hatch: 'metal' }, { d: 'M19 30H29V43H19Z', hatch: 'metal' }, { d: 'M10 24H38' }],
	slinger: [
		{ d: 'M14 4 30 14V19H25V16L12 7Z', hatch: 'elastomer' },
		{ d: 'M14 44 30 34V29H25V32L12 41Z', hatch: 'elastomer' },
		{ d: 'M8 24H40' }
	],
	oilPan: [{ d: 'M5 16H9V36H39V16H43V40H5Z', hatch: 'plastic' }, { d: 'M10 25C15 22 19 28 24 25S33 22 38 25' }],
	spring: [
		{ d: 'M8 10 14 38 20 10 26 38 32 10 38 38' },
		{ d: 'M8 10m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' },
		{ d: 'M20 10m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' },
		{ d: 'M32 10m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' },
		{ d: 'M14 38m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' },
		{ d: 'M26 38m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' },
		{ d: 'M38 38m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0', hatch: 'metal' }
	],
	valve: [
		{ d: 'M18 6H26L31 12V36L26 42H18Z', hatch: 'metal' },
		{ d: 'M31 22H40V26H31', hatch: 'metal' }
	],
	valveSeat: [
		{ d: 'M12 5H34V14L28 19H12Z', hatch: 'metal' },
		{ d: 'M12 43H34V34L28 29H12Z', hatch: 'metal' },
		{ d: 'M18 5V9H23V5M18 43V39H23V43' },
		{ d: 'M6 24H40' }
	]
};
