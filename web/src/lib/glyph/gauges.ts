import type { GaugeKind } from '@exetasis/core/part';
import { part, tool, way, type ToolShape } from './tools';

const DIAL = 'm-10 0a10 10 0 1 0 20 0a10 10 0 1 0 -20 0m10 0l5 -6';

/** Each kind of gauge at what it measures, in the box of a tool. Our own drawings, not to scale. */
export const gaugeShapes: Readonly<Record<GaugeKind, readonly ToolShape[]>> = {
	micrometer: [
		part('M22 16H32V34H22Z'),
		tool('M22 22H16V28H22M16 20C8 20 8 42 22 42H34V37H24C16 37 18 30 16 30M32 22H40V28H32M40 19H60V31H40ZM46 19V31')
	],
	caliper: [
		part('M18 22H36V42H18Z'),
		tool('M4 8H62V15H4ZM8 15L18 40V24L14 15M36 15H48V21H42L36 40ZM24 8V11M30 8V11M36 8V11M42 8V11M48 8V11')
	],
	'depth gauge': [part('M6 24H24V44H40V24H58V46H6Z'), tool('M16 18H48V24H16ZM29 4H35V44H29ZM35 8H40M35 12H40')],
	'pin gauge': [part('M4 14H60V22H4ZM4 30H60V38H4Z'), tool('M10 22.5H44V29.5H10ZM44 20H62V32H44ZM50 20V32')],
	'bore gauge': [
		part('M10 20H18V46H10ZM46 20H54V46H46Z'),
		tool('M18 36H24M40 36H46M24 31H40V41H24ZM30 22H34V31H30Z M32 12' + DIAL)
	],
	durometer: [part('M6 38H58V46H6Z'), tool('M22 26H42V32H22ZM31 32H33V38H31Z M32 15' + DIAL)],
	loupe: [
		part('M8 40H56V46H8ZM26 40L30 36L34 40'),
		tool('M20 24a12 9 0 1 0 24 0a12 9 0 1 0 -24 0M44 20L60 8'),
		way('M28 32l4 4l4 -4')
	],
	'spring tester': [
		part('M24 40L40 36L24 31L40 27L24 22L40 18'),
		tool('M12 42H52V46H12ZM16 12H48V16H16ZM29 2H35V12H29Z'),
		way('M56 10v12m-3 -4l3 4l3 -4')
	],
	'roughness tester': [
		part('M4 36L8 33L12 37L16 34L20 37L24 33L28 37L32 34L36 37L40 33L44 37L48 34L52 37L56 33L60 36V46H4Z'),
		tool('M8 12H40V24H8ZM40 18H50L44 33'),
		way('M46 8h12m-4 -3l4 3l-4 3')
	],
	'feeler gauge': [
		part('M4 8H60V20H4ZM4 28H60V40H4Z'),
		tool('M22 22.5H62V25.5H22ZM10 20a6 6 0 1 0 12 4a6 6 0 1 0 -12 -4M20 26L58 34L57 36L19 29')
	],
	'dial indicator': [part('M6 38H58V46H6Z'), tool('M30 26H34V34L32 38L30 34ZM28 4H36V6H28Z M32 16' + DIAL)],
	'radius gauge': [
		part('M4 46V24C4 36 16 40 30 40H60V46Z'),
		tool('M8 6H40V36H28C16 36 8 30 8 20Z'),
		way('M48 18l-6 6m0 -5v5h5')
	],
	protractor: [part('M6 44H58L40 14Z'), tool('M8 44A26 26 0 0 1 58 38M34 44L46 20M20 26l2 2M32 19v3M44 23l-2 2')],
	scale: [part('M22 12H42V24H22Z'), tool('M12 24H52V28H12ZM29 28H35V34H29ZM8 34H56V46H8ZM22 37H42V43H22Z')],
	'leak tester': [
		part('M14 6H26V42H14ZM14 24H8'),
		tool('M26 22H40V26H26Z M50 24m-8 0a8 8 0 1 0 16 0a8 8 0 1 0 -16 0m8 0l4 -5'),
		way('M6 18c-4 4 -4 8 0 12')
	],
	'pressure gauge': [
		part('M4 38H60V46H4Z'),
		tool('M29 31H35V38H29Z M32 18m-13 0a13 13 0 1 0 26 0a13 13 0 1 0 -26 0m13 0l7 -6M22 24l3 -2M42 24l-3 -2')
	],
	'torque wrench': [
		part('M12 24L17 15.3H27L32 24L27 32.7H17Z'),
		tool('M22 24m-14 0a14 14 0 1 0 28 0a14 14 0 1 0 -28 0M35 20H62V28H35M44 20V28M48 20V28'),
		way('M10 8a18 18 0 0 1 20 -3m-4 -2l4 2l-2 4')
	],
	'comparison chart': [
		part('M38 14H60V40H38Z'),
		tool('M4 6H32V42H4ZM4 18H32M4 30H32M9 12H12M22 12H25M8 24h6M20 24h8M7 36H29'),
		way('M33 24h5')
	],
	'count by eye': [
		part(
			'M10 36m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M26 36m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M42 36m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M56 36m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0'
		),
		tool('M8 16C18 4 46 4 56 16C46 26 18 26 8 16ZM32 15m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0')
	]
};
