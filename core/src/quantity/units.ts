import { requireThat } from '../number';

/**
 * Units as they are typed and shown. Inside the core and in the database a quantity always stands in its base unit;
 * conversion happens at the edges, by the exact definitions of the international yard and pound (1959).
 */
const POUND_FORCE_N = 4.4482216152605; // 0.45359237 kg × 9.80665 m/s², exact
const FOOT_M = 0.3048; // exact
const STANDARD_GRAVITY = 9.80665; // m/s², exact (3rd CGPM, 1901)
const PSI_MPA = POUND_FORCE_N / 25.4 ** 2; // lbf/in² = N/mm² = MPa

interface UnitDefinition {
	readonly dimension: Dimension;
	readonly label: string;
	/** base = (shown + offset) × factor */
	readonly factor: number;
	readonly offset?: number;
	/** Other ways in which people type it, in lower case. */
	readonly aliases?: readonly string[];
}

export const dimensions = [
	'length',
	'torque',
	'pressure',
	'temperature',
	'time',
	'force',
	'hardness',
	'angle',
	'roughness',
	'stiffness',
	'share',
	'count',
	'flow',
	'volume',
	'mass',
	'speed'
] as const;
export type Dimension = (typeof dimensions)[number];

const definitions = {
	mm: { dimension: 'length', label: 'mm', factor: 1 },
	in: { dimension: 'length', label: 'in', factor: 25.4, aliases: ['"', 'inch', 'inches'] },
	um: { dimension: 'roughness', label: 'µm', factor: 1, aliases: ['µm', 'μm'] },
	cm: { dimension: 'length', label: 'cm', factor: 10 },
	m: { dimension: 'length', label: 'm', factor: 1000 },
	Nm: { dimension: 'torque', label: 'N·m', factor: 1, aliases: ['n·m'] },
	ftlbf: {
		dimension: 'torque',
		label: 'ft·lbf',
		factor: FOOT_M * POUND_FORCE_N,
		aliases: ['ft·lbf', 'ft·lb', 'ftlb']
	},
	inlbf: {
		dimension: 'torque',
		label: 'in·lbf',
		factor: (FOOT_M * POUND_FORCE_N) / 12,
		aliases: ['in·lbf', 'in·lb', 'inlb']
	},
	kgfm: { dimension: 'torque', label: 'kgf·m', factor: STANDARD_GRAVITY, aliases: ['kgf·m', 'kg·m', 'kgm'] },
	kgfcm: {
		dimension: 'torque',
		label: 'kgf·cm',
		factor: STANDARD_GRAVITY / 100,
		aliases: ['kgf·cm', 'kg·cm', 'kgcm']
	},
	MPa: { dimension: 'pressure', label: 'MPa', factor: 1, aliases: ['mpa'] },
	kPa: { dimension: 'pressure', label: 'kPa', factor: 0.001 },
	bar: { dimension: 'pressure', label: 'bar', factor: 0.1 },
	psi: { dimension: 'pressure', label: 'psi', factor: PSI_MPA },
	C: { dimension: 'temperature', label: '°C', factor: 1, aliases: ['c', '°c'] },
	F: { dimension: 'temperature', label: '°F', factor: 5 / 9, offset: -32, aliases: ['f', '°f'] },
	h: { dimension: 'time', label: 'h', factor: 1, aliases: ['hours', 'hrs', 'hr'] },
	N: { dimension: 'force', label: 'N', factor: 1, aliases: ['n'] },
	lbf: { dimension: 'force', label: 'lbf', factor: POUND_FORCE_N, aliases: ['lb'] },
	shoreA: { dimension: 'hardness', label: 'Shore A', factor: 1, aliases: ['shore a', 'sha'] },
	deg: { dimension: 'angle', label: '°', factor: 1, aliases: ['°'] },
	Npmm: { dimension: 'stiffness', label: 'N/mm', factor: 1, aliases: ['n/mm'] },
	lbfpin: { dimension: 'stiffness', label: 'lbf/in', factor: POUND_FORCE_N / 25.4, aliases: ['lbf/in', 'lb/in'] },
	percent: { dimension: 'share', label: '%', factor: 0.01, aliases: ['%'] },
	share: { dimension: 'share', label: 'of 1', factor: 1 },
	pieces: { dimension: 'count', label: '', factor: 1 },
	mLmin: { dimension: 'flow', label: 'mL/min', factor: 0.001, aliases: ['ml/min'] },
	Lmin: { dimension: 'flow', label: 'L/min', factor: 1, aliases: ['l/min'] },
	mm3: { dimension: 'volume', label: 'mm³', factor: 1 },
	mL: { dimension: 'volume', label: 'mL', factor: 1000, aliases: ['ml', 'cm3', 'cm³'] },
	L: { dimension: 'volume', label: 'L', factor: 1_000_000, aliases: ['l'] },
	g: { dimension: 'mass', label: 'g', factor: 1 },
	rpm: { dimension: 'speed', label: '1/min', factor: 1, aliases: ['1/min', 'r/min'] }
} satisfies Record<string, UnitDefinition>;

export type Unit = keyof typeof definitions;
export const units = Object.keys(definitions) as Unit[];
function definitionOf(unit: Unit): UnitDefinition {
	requireThat(Object.hasOwn(definitions, unit), 'definitionOf', 'unit', unit, 'a unit that is known here');
	return definitions[unit];
}

/** The unit in which a dimension is computed and stored. */
export const baseUnit: Readonly<Record<Dimension, Unit>> = {
	length: 'mm',
	torque: 'Nm',
	pressure: 'MPa',
	temperature: 'C',
	time: 'h',
	force: 'N',
	hardness: 'shoreA',
	angle: 'deg',
	roughness: 'um',
	stiffness: 'Npmm',
	share: 'share',
	count: 'pieces',
	flow: 'Lmin',
	volume: 'mm3',
	mass: 'g',
	speed: 'rpm'
};

/**
 * What can be typed for each dimension at all, in its base unit: wide enough for any pump and its bench, narrow enough to
 * catch a slip (a negative pressure, a temperature below what any shop or liquid has).
 */
export const plausibleRange: Readonly<Record<Dimension, { readonly least: number; readonly most: number }>> = {
	length: { least: -10_000, most: 10_000 },
	torque: { least: 0, most: 50_000 },
	pressure: { least: 0, most: 1000 },
	temperature: { least: -60, most: 400 },
	time: { least: 0, most: 1_000_000 },
	force: { least: 0, most: 1_000_000 },
	hardness: { least: 0, most: 100 },
	angle: { least: -720, most: 720 },
	roughness: { least: 0, most: 10_000 },
	stiffness: { least: 0, most: 100_000 },
	share: { least: 0, most: 1 },
	count: { least: 0, most: 1_000_000 },
	flow: { least: 0, most: 100_000 },
	volume: { least: 0, most: 1e9 },
	mass: { least: 0, most: 1e6 },
	speed: { least: 0, most: 10_000 }
};

/** The units in which a dimension can be typed. */
export const unitsOf = (dimension: Dimension): Unit[] => units.filter((unit) => dimensionOf(unit) === dimension);

/** What the unit measures, and how it is written on the screen. */
export const dimensionOf = (unit: Unit): Dimension => definitionOf(unit).dimension;
export const unitLabel = (unit: Unit): string => definitionOf(unit).label;

const finite = (fn: string, value: number) =>
	requireThat(Number.isFinite(value), fn, 'value', value, 'a finite number');

/** A value in `unit` expressed in the base unit of its dimension. Exact up to rounding. Errors: PreconditionError where it is not finite. */
export function toBase(value: number, unit: Unit): number {
	finite('toBase', value);
	const { factor, offset = 0 } = definitionOf(unit);
	return (value + offset) * factor;
}

/** A value in the base unit expressed in `unit`. Exact up to rounding. Errors: as `toBase`. */
export function fromBase(value: number, unit: Unit): number {
	finite('fromBase', value);
	const { factor, offset = 0 } = definitionOf(unit);
	return value / factor - offset;
}

/** A difference (an uncertainty, a wear) in the base unit expressed in `unit`: the same scale, no offset. Errors: as `toBase`. */
export function differenceFromBase(value: number, unit: Unit): number {
	finite('differenceFromBase', value);
	return value / definitionOf(unit).factor;
}

// "ft-lb", "ft.lb", "ft lb" and "ft⋅lb" are one and the same.
const joined = (name: string): string => name.replaceAll(/(?<=[a-z])[\s·⋅∙.-]+(?=[a-z])/gi, '·').toLowerCase();

/** The unit that a typed suffix names, or undefined. `mm`, `"`, `ft-lb` and the like. */
export function unitNamed(text: string): Unit | undefined {
	const name = text.trim();
	const exact = units.find((unit) => unit === name);
	const lower = name.toLowerCase();
	const known = (unit: Unit) =>
		unit.toLowerCase() === lower ||
		unitLabel(unit).toLowerCase() === lower ||
		(definitionOf(unit).aliases?.some((alias) => alias === lower || alias === joined(name)) ?? false);
	return exact ?? units.find(known);
}
