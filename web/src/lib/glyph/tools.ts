import type { ToolKind } from '@exetasis/core/record';

/** One line of a tool's picture. */
export interface ToolShape {
	readonly d: string;
	/** The part that is worked on, the tool, or the way it moves. */
	readonly as: 'part' | 'tool' | 'way';
}

/** Pictures stand in a box of this size, the part below and the tool coming from above unless it has to be otherwise. */
export const TOOL_BOX = { width: 64, height: 48 } as const;

export const part = (d: string): ToolShape => ({ d, as: 'part' });
export const tool = (d: string): ToolShape => ({ d, as: 'tool' });
export const way = (d: string): ToolShape => ({ d, as: 'way' });

// A ring in its bore, cut along the axis.
const WALLS = 'M8 18H16V46H8M56 18H48V46H56';
const RING = 'M16 30H25V40H16ZM48 30H39V40H48Z';
const ringInBore = part(WALLS + RING);

const up = (x: number, y: number) => way(`M${x} ${y}v-10m-3 4l3 -4l3 4`);
const down = (x: number, y: number) => way(`M${x} ${y}v10m-3 -4l3 4l3 -4`);
const right = (x: number, y: number) => way(`M${x} ${y}h10m-4 -3l4 3l-4 3`);
const left = (x: number, y: number) => way(`M${x} ${y}h-10m4 -3l-4 3l4 3`);
/** A turn about an upright axis. */
const twist = (x: number, y: number) => way(`M${x - 9} ${y}a9 3.5 0 0 0 18 0m-4 0l4 0l1 4`);
/** A turn in the plane of the picture. */
const turn = (x: number, y: number, r: number) => way(`M${x - r} ${y}a${r} ${r} 0 0 1 ${r} ${-r}m-4 -3l4 3l-4 3`);

const HEXAGON = 'M12 24L18 13.6H30L36 24L30 34.4H18Z';
const BLOCK = 'M8 30H56V44H8Z';

/** Each kind of tool at its work: where it grips, and the way it moves. Our own drawings, not to scale. */
export const toolShapes: Readonly<Record<ToolKind, readonly ToolShape[]>> = {
	fingers: [
		ringInBore,
		tool(
			'M12 4C14 16 20 22 24 31C26 34 29 32 28 28C27 20 24 12 24 4M52 4C50 16 44 22 40 31C38 34 35 32 36 28C37 20 40 12 40 4'
		),
		twist(32, 10)
	],
	blade: [ringInBore, tool('M12 2L17 2L33 39L28 42Z'), way('M20 2C28 2 36 6 40 14m-5 -2l5 2l1 -5')],
	twoBlades: [
		part('M14 8H50V23H14ZM14 25H50V42H14Z'),
		tool('M0 19L17 24L0 29ZM64 19L47 24L64 29Z'),
		up(24, 19),
		up(40, 19)
	],
	pick: [
		part('M4 22H22V34H38V22H60V46H4ZM30 28m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0'),
		tool('M56 4L36 18L35 30L32 33'),
		up(20, 16)
	],
	hook: [ringInBore, tool('M32 2V42C32 46 39 46 39 42'), up(22, 18)],
	expandingPliers: [
		ringInBore,
		tool('M24 2L28 12L28 33H25M40 2L36 12L36 33H39M28 12H36'),
		way('M30 38h-8m3 -3l-3 3l3 3M34 38h8m-3 -3l3 3l-3 3'),
		twist(32, 20)
	],
	collet: [ringInBore, tool('M26 2H38V30L42 42H36L32 32L28 42H22L26 30ZM32 2V32'), up(47, 15)],
	threadedExtractor: [
		ringInBore,
		tool('M22 2H42V7H22ZM28 7H36V40H28ZM26 32L38 29M26 36L38 33M26 40L38 37'),
		twist(32, 16)
	],
	puller: [
		part('M8 18H16V46H8M56 18H48V46H56M16 28H25V36H16ZM48 28H39V36H48Z'),
		tool('M10 12H54V17H10ZM30 3H34V38M30 3V38M22 38H42V42H22ZM26 3H38V7H26Z'),
		up(50, 11)
	],
	slideHammer: [
		part('M8 26H16V46H8M56 26H48V46H56M16 34H27V44H16ZM48 34H37V44H48Z'),
		tool('M26 1H38V4H26ZM30.5 4V42M33.5 4V42M24 16H40V26H24ZM27 42H37'),
		up(47, 20)
	],
	softHammer: [part('M40 14H60V44H40Z'), tool('M14 10H30V32H14ZM20 32V47M24 32V47M30 14H33V28H30'), right(27, 6)],
	punch: [
		part('M8 2H16V30H8M56 2H48V30H56M16 12H27V22H16ZM48 12H37V22H48Z'),
		tool('M28 22H36V42H28ZM25 42H39V46H25Z'),
		up(22, 40)
	],
	hexKey: [part(`${BLOCK}M20 20H44V30H20ZM27 20V26H37V20`), tool('M30 25V5H58V9H34V25Z'), twist(32, 14)],
	socket: [
		part('M8 38H56V46H8ZM22 28H42V38H22Z'),
		tool('M20 16H44V34H20ZM28 9H36V16H28ZM28 5H62V9H28Z'),
		twist(14, 22)
	],
	wrench: [part(HEXAGON), tool('M24 24m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0M38 19H62V29H38'), turn(24, 24, 20)],
	torqueWrench: [
		part(HEXAGON),
		tool('M24 24m-15 0a15 15 0 1 0 30 0a15 15 0 1 0 -30 0M38 20H50V17H63V31H50V28H38M53 20V24M56 20V24M59 20V24'),
		turn(24, 24, 20)
	],
	pinWrench: [
		part('M28 24m-18 0a18 18 0 1 0 36 0a18 18 0 1 0 -36 0M28 24m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0'),
		tool('M12 21H62V27H12ZM15 24m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M41 24m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0'),
		turn(28, 24, 22)
	],
	screwdriver: [part(`${BLOCK}M22 24H42V30H22ZM30 24V27H34V24`), tool('M30 26V14H28V2H36V14H34V26Z'), twist(32, 18)],
	pliers: [
		part('M8 26H16V46H8M56 26H48V46H56M24 24H40V46H24Z'),
		tool('M18 2L24 14L22 34L25 34M46 2L40 14L42 34L39 34M24 14H40'),
		up(32, 20)
	],
	needlePliers: [
		part('M8 26H16V46H8M56 26H48V46H56M27 32H37V46H27Z'),
		tool('M22 2L29 16L31 36M42 2L35 16L33 36M29 16H35'),
		up(47, 20)
	],
	cutters: [
		part('M46 24m-12 0a12 12 0 1 0 24 0a12 12 0 1 0 -24 0M46 24m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0'),
		tool('M2 10L22 20L37 23M2 38L22 28L37 25M22 20V28'),
		way('M12 7v7m-2 -3l2 3l2 -3M12 41v-7m-2 3l2 -3l2 3')
	],
	knife: [part(`${BLOCK}M16 25H48V30H16Z`), tool('M2 10H22L46 22L44 26L20 16H2Z'), right(48, 14)],
	scraper: [part(`${BLOCK}M34 27H54V30H34Z`), tool('M4 4L14 2L34 28L30 30Z'), right(38, 20)],
	brush: [
		part('M4 34H60V44H4Z'),
		tool('M14 14H44V22H14ZM16 22V33M22 22V33M28 22V33M34 22V33M40 22V33M44 18H60'),
		way('M18 8h24m-4 -3l4 3l-4 3M22 5l-4 3l4 3')
	],
	abrasive: [
		part('M4 34H60V44H4Z'),
		tool('M20 12H42V26H20ZM14 34C14 30 16 28 20 28H42C46 28 48 30 48 34M20 26V28M42 26V28'),
		way('M22 7h18m-4 -3l4 3l-4 3M26 4l-4 3l4 3')
	],
	cloth: [
		part(`${BLOCK}M32 22m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0`),
		tool('M10 24C16 10 24 12 32 11S50 10 54 24C48 20 42 15 32 15S16 20 10 24Z'),
		down(32, 0)
	],
	straightEdge: [part('M6 28Q32 36 58 28V46H6Z'), tool('M4 20H60V27H4ZM24 30L46 36L64 36'), left(62, 41)],
	guidePins: [part('M12 22H52V36H12Z'), tool('M18 10H23V46H18ZM41 10H46V46H41Z'), up(32, 18)],
	hoist: [
		part('M12 28H52V44H12Z'),
		tool('M32 0V10M32 10C38 10 38 18 32 18C29 18 28 16 28 14M16 28L32 18L48 28'),
		up(58, 24)
	],
	inserter: [
		part('M8 22H16V46H8M56 22H48V46H56M18 26C20 32 22 36 22 42H42C42 36 44 32 46 26'),
		tool('M14 4H50L46 22H18Z'),
		down(32, 26)
	],
	pusher: [
		part(WALLS + 'M16 34H25V42H16ZM48 34H39V42H48Z'),
		tool('M18 8H46V14H18ZM18 14V33H23V14M46 14V33H41V14'),
		down(32, 18)
	],
	vise: [
		part('M22 8H42V34H22Z'),
		tool('M4 12H16V44H4ZM48 12H60V44H48ZM16 14H21V34H16ZM43 14H48V34H43Z'),
		right(4, 6),
		left(60, 6)
	],
	blocks: [part('M8 12H26V30H8ZM38 12H56V30H38ZM8 12H56V22H8Z'), tool('M8 30H22V46H8ZM42 30H56V46H42Z'), down(32, 28)]
};
