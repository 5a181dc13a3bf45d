import { requireThat } from '../number';
import { baseUnit, differenceFromBase, fromBase, unitLabel, type Dimension, type Unit } from './units';

/** Which unit a person wants to see for each dimension that has more than one. */
export interface UnitPreference {
	readonly length: 'mm' | 'in';
	readonly torque: 'Nm' | 'ftlbf' | 'inlbf';
	readonly pressure: 'MPa' | 'bar' | 'psi';
	readonly temperature: 'C' | 'F';
}

export const metric: UnitPreference = { length: 'mm', torque: 'Nm', pressure: 'bar', temperature: 'C' };

/** The unit in which this person sees a dimension. */
export function shownUnit(dimension: Dimension, preference: UnitPreference): Unit {
	switch (dimension) {
		case 'length':
		case 'torque':
		case 'pressure':
		case 'temperature':
			return preference[dimension];
		case 'force':
			return preference.length === 'in' ? 'lbf' : 'N';
		case 'stiffness':
			return preference.length === 'in' ? 'lbfpin' : 'Npmm';
		case 'share':
			return 'percent';
		case 'flow':
			return 'mLmin';
		default:
			return baseUnit[dimension];
	}
}

const DEFAULT_DECIMALS: Readonly<Record<Unit, number>> = {
	mm: 3,
	mL: 0,
	L: 2,
	in: 4,
	um: 2,
	cm: 2,
	m: 3,
	Nm: 1,
	ftlbf: 1,
	inlbf: 0,
	kgfm: 2,
	kgfcm: 0,
	MPa: 2,
	kPa: 0,
	bar: 0,
	psi: 0,
	C: 1,
	F: 1,
	h: 0,
	N: 1,
	lbf: 2,
	shoreA: 0,
	deg: 0,
	Npmm: 2,
	lbfpin: 2,
	percent: 1,
	share: 3,
	pieces: 1,
	mLmin: 1,
	Lmin: 3,
	mm3: 2,
	g: 2,
	rpm: 0
};

const MOST_DECIMALS = 20;
// Groups of three digits with a thin space; a proper minus; no "-0".
function digits(value: number, decimals: number): string {
	requireThat(
		decimals >= 0 && decimals <= MOST_DECIMALS,
		'formatNumber',
		'decimals',
		decimals,
		`0 to ${MOST_DECIMALS}`
	);
	const text = value.toFixed(decimals);
	const [whole, fraction] = text.replace('-', '').split('.');
	const grouped = whole.replace(/\B(?=(\d{3})+$)/g, '\u202f');
	const negative = text.startsWith('-') && Number(text) !== 0;
	return `${negative ? '−' : ''}${grouped}${fraction ? `.${fraction}` : ''}`;
}

/** A plain number for the screen, with that many decimals. */
export const formatNumber = (value: number, decimals = 0): string => digits(value, decimals);

/** A value in the base unit, shown in `unit` with its label: "17.982 mm". */
export function formatQuantity(base: number, unit: Unit, decimals = DEFAULT_DECIMALS[unit]): string {
	return `${digits(fromBase(base, unit), decimals)}${unit === 'deg' ? '' : '\u00a0'}${unitLabel(unit)}`;
}

/** A difference in the base unit (wear, allowance, uncertainty), shown in `unit` with its label. */
export function formatDifference(base: number, unit: Unit, decimals = DEFAULT_DECIMALS[unit]): string {
	return `${digits(differenceFromBase(base, unit), decimals)}\u00a0${unitLabel(unit)}`;
}

// Decimals that show two significant digits of the uncertainty (JCGM 100, 7.2.6).
function decimalsFor(uncertainty: number): number {
	if (!(uncertainty > 0)) return 3;
	return Math.max(0, Math.min(6, 1 - Math.floor(Math.log10(uncertainty))));
}

/** A value with its expanded uncertainty, both in the base unit: "17.9820 ± 0.0041 mm", two digits of the uncertainty. */
export function formatWithUncertainty(base: number, expanded: number, unit: Unit): string {
	const spread = differenceFromBase(expanded, unit);
	const decimals = decimalsFor(spread);
	return `${digits(fromBase(base, unit), decimals)} ± ${digits(spread, decimals)}\u00a0${unitLabel(unit)}`;
}

/** A probability as people say it: "12 %", "0.4 %", "< 0.1 %", "> 99 %". */
export function formatProbability(p: number): string {
	const percent = p * 100;
	if (percent < 0.1) return '<\u00a00.1\u00a0%';
	if (percent > 99) return '>\u00a099\u00a0%';
	return `${digits(percent, percent < 1 ? 1 : 0)}\u00a0%`;
}
