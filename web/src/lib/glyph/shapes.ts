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
	],
	cage: [
		{ d: 'M10 8H38V13H34V35H38V40H10V35H14V13H10Z M18 13V35H30V13Z', hatch: 'plastic' },
		{ d: 'M22 13V35M26 13V35' }
	],
	conicalWasher: [
		{ d: 'M16 5H22L30 18H24Z', hatch: 'metal' },
		{ d: 'M16 43H22L30 30H24Z', hatch: 'metal' },
		{ d: 'M8 24H40' }
	],
	cotterPin: [{ d: 'M6 24A6 6 0 1 1 16 20H42V23.5H15A3.6 3.6 0 1 0 15 24.5H38V28H16A6 6 0 0 1 6 24Z', hatch: 'metal' }],
	crossheadBore: [
		{ d: 'M3 4H45V12H3Z', hatch: 'metal' },
		{ d: 'M3 44H45V36H3Z', hatch: 'metal' },
		{ d: 'M14 15H32V33H14Z' },
		{ d: 'M3 24H45' }
	],
	cup: [
		{ d: 'M10 5 15 8V20H34V14H26L21 5Z', hatch: 'elastomer' },
		{ d: 'M10 43 15 40V28H34V34H26L21 43Z', hatch: 'elastomer' },
		{ d: 'M6 24H42' }
	],
	cylinder: [
		{ d: 'M5 8H12V5H18V8H40V14H5Z', hatch: 'ceramic' },
		{ d: 'M5 40H12V43H18V40H40V34H5Z', hatch: 'ceramic' },
		{ d: 'M2 24H45' }
	],
	diaphragm: [{ d: 'M22 4H27V12C16 16 16 32 27 36V44H22V38C8 32 8 16 22 10Z', hatch: 'elastomer' }, { d: 'M8 24H42' }],
	flatSeal: [
		{ d: 'M20 8H28V16H20Z', hatch: 'elastomer' },
		{ d: 'M20 32H28V40H20Z', hatch: 'elastomer' },
		{ d: 'M10 24H38' }
	],
	guide: [
		{ d: 'M10 6H38V12H34V18H10Z', hatch: 'plastic' },
		{ d: 'M10 42H38V36H34V30H10Z', hatch: 'plastic' },
		{ d: 'M24 6V9H29V6M24 42V39H29V42' },
		{ d: 'M5 24H43' }
	],
	oilSeal: [
		{ d: 'M34 4V17H29V9H20L15 18 12 16 18 4Z', hatch: 'elastomer' },
		{ d: 'M34 44V31H29V39H20L15 30 12 32 18 44Z', hatch: 'elastomer' },
		{ d: 'M19 14m-1.8 0a1.8 1.8 0 1 0 3.6 0a1.8 1.8 0 1 0-3.6 0', hatch: 'garter' },
		{ d: 'M19 34m-1.8 0a1.8 1.8 0 1 0 3.6 0a1.8 1.8 0 1 0-3.6 0', hatch: 'garter' },
		{ d: 'M8 24H42' }
	],
	piston: [
		{ d: 'M13 6H30V16H37V20H13Z', hatch: 'metal' },
		{ d: 'M13 42H30V32H37V28H13Z', hatch: 'metal' },
		{ d: 'M8 24H42' }
	],
	regulatorPacking: [
		{ d: 'M16 8H24V18H16ZM26 8H34V18H26Z', hatch: 'fibre' },
		{ d: 'M16 30H24V40H16ZM26 30H34V40H26Z', hatch: 'fibre' },
		{ d: 'M6 21H42M6 27H42' }
	],
	regulatorSeat: [
		{ d: 'M16 6H34V20H28V16H16Z', hatch: 'metal' },
		{ d: 'M16 42H34V28H28V32H16Z', hatch: 'metal' },
		{ d: 'M8 24H40' }
	],
	regulatorStem: [{ d: 'M5 19H12V15H20V21H43V27H20V33H12V29H5Z', hatch: 'metal' }, { d: 'M34 21V27M38 21V27' }],
	rod: [{ d: 'M4 20H30V15H43V33H30V28H4Z', hatch: 'metal' }, { d: 'M9 20V28M13 20V28' }, { d: 'M2 24H46' }],
	ropePacking: [
		{ d: 'M11 7H19V17H11ZM20 7H28V17H20ZM29 7H37V17H29Z', hatch: 'fibre' },
		{ d: 'M11 31H19V41H11ZM20 31H28V41H20ZM29 31H37V41H29Z', hatch: 'fibre' },
		{ d: 'M13 7 17 17M26 31 22 41' },
		{ d: 'M6 24H42' }
	],
	sealingWasher: [
		{ d: 'M21 8C24 5 27 8 27 8V18C24 20 21 18 21 18Z', hatch: 'metal' },
		{ d: 'M21 30C24 28 27 30 27 30V40C24 43 21 40 21 40Z', hatch: 'metal' },
		{ d: 'M10 24H38' }
	],
	shim: [
		{ d: 'M20 6H22V18H20ZM24 6H26V18H24ZM28 6H30V18H28Z', hatch: 'metal' },
		{ d: 'M20 30H22V42H20ZM24 30H26V42H24ZM28 30H30V42H28Z', hatch: 'metal' },
		{ d: 'M10 24H40' }
	],
	sleeve: [
		{ d: 'M5 11H43V16H38V18H5Z', hatch: 'ceramic' },
		{ d: 'M5 37H43V32H38V30H5Z', hatch: 'ceramic' },
		{ d: 'M2 24H46' }
	],
	spacer: [
		{ d: 'M9 8H28V12H40V18H9Z', hatch: 'metal' },
		{ d: 'M9 40H28V36H40V30H9Z', hatch: 'metal' },
		{ d: 'M4 24H44' }
	],
	springRetainer: [
		{ d: 'M10 7H16V20H36V28H16V41H10Z', hatch: 'plastic' },
		{ d: 'M16 12H34M16 36H34' },
		{ d: 'M5 24H43' }
	],
	valvePlate: [
		{ d: 'M18 3H30V9H18ZM18 17H30V31H18ZM18 39H30V45H18Z', hatch: 'metal' },
		{ d: 'M18 9V17M30 9V17M18 31V39M30 31V39' }
	],
	cover: [{ d: 'M20 4H28V12H26V36H28V44H20V36H22V12H20Z', hatch: 'metal' }, { d: 'M16 8H32' }, { d: 'M16 40H32' }],
	plug: [
		{ d: 'M10 14H26V6H40V42H26V34H10Z', hatch: 'metal' },
		{ d: 'M14 14V34' },
		{ d: 'M18 14V34' },
		{ d: 'M22 14V34' },
		{ d: 'M4 24H44' }
	],
	valveCartridge: [
		{ d: 'M8 10H14V16H34V10H40V38H34V32H14V38H8Z', hatch: 'plastic' },
		{ d: 'M17 20H21V28H17Z', hatch: 'metal' },
		{ d: 'M21 21 24 27 27 21 30 27 33 21' },
		{ d: 'M4 24H44' }
	],
	hose: [
		{ d: 'M4 12H34V17H4Z', hatch: 'elastomer' },
		{ d: 'M4 31H34V36H4Z', hatch: 'elastomer' },
		{ d: 'M28 9H44V13H28Z', hatch: 'metal' },
		{ d: 'M28 35H44V39H28Z', hatch: 'metal' },
		{ d: 'M4 24H44' }
	]
};
