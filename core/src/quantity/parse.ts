import { dimensionOf, plausibleRange, toBase, unitNamed, type Unit } from './units';

/** A typed number, read; or what is wrong with it. */
type ParsedNumber =
	{ readonly kind: 'number'; readonly value: number } | { readonly kind: 'problem'; readonly problem: NumberProblem };

export type NumberProblem =
	| { readonly code: 'empty' }
	| { readonly code: 'notANumber'; readonly text: string }
	/** "12,450" may be twelve thousand four hundred and fifty, or twelve point four five: only the person knows. */
	| { readonly code: 'ambiguous'; readonly text: string; readonly grouped: number; readonly decimal: number }
	| { readonly code: 'outOfRange'; readonly value: number; readonly least: number; readonly most: number };

export interface NumberRange {
	readonly least: number;
	readonly most: number;
}

const SPACED = /[\s'’]/;
const GROUPED = (sign: string) => new RegExp(`^\\d{1,3}(?:${sign}\\d{3})+$`);

// The ways in which a text of digits and signs can be meant: one, two (a single comma before three digits), or none.
function meanings(text: string): { grouped?: number; decimal?: number } {
	const unspaced = text.replace(/[\s'’]/g, '');
	if (SPACED.test(text) && !/^\d{1,3}(?:[\s'’]\d{3})+(?:[.,]\d*)?$/.test(text)) return {};
	const last = Math.max(unspaced.lastIndexOf('.'), unspaced.lastIndexOf(','));
	if (last < 0) return { grouped: Number(unspaced) };
	const sign = unspaced[last];
	const [whole, fraction] = [unspaced.slice(0, last), unspaced.slice(last + 1)];
	const escaped = (mark: string) => (mark === '.' ? '\\.' : ',');
	const other = sign === '.' ? ',' : '.';
	const plain = (digits: string) => Number(digits.replaceAll(/[.,]/g, ''));
	if (whole.includes(sign)) return GROUPED(escaped(sign)).test(unspaced) ? { grouped: plain(unspaced) } : {};
	if (whole.includes(other)) {
		return GROUPED(escaped(other)).test(whole) ? { decimal: Number(`${plain(whole)}.${fraction}`) } : {};
	}
	const decimal = Number(`${whole || '0'}.${fraction}`);
	const maybeGrouped = sign === ',' && !SPACED.test(text) && /^[1-9]\d{0,2}$/.test(whole) && fraction.length === 3;
	return maybeGrouped ? { grouped: plain(unspaced), decimal } : { decimal };
}

const SIGNED_NUMBER = /^([+−-]?)\s*((?:\d|[.,](?=\d))[\d.,\s'’]*)$/;

/**
 * Reads a number as people type it: "4210", "4 210", "17.98", "17,98", ".708", "1,234.5", "1.234,5", "−3".
 *
 * A point is a decimal sign; so is a comma, unless it stands before groups of three. A single comma before three digits may
 * be either: where `isPossible` (by default: the range) leaves one meaning that one is taken, else the person is asked.
 * Errors: none; every text is a number or a problem. Numbers outside of the range, infinite ones included, are problems.
 */
export function parseNumber(
	text: string,
	range: NumberRange,
	isPossible: (value: number) => boolean = (value) => value >= range.least && value <= range.most
): ParsedNumber {
	const problem = (problem: NumberProblem): ParsedNumber => ({ kind: 'problem', problem });
	const trimmed = text.trim();
	if (trimmed === '') return problem({ code: 'empty' });
	const [, sign, digits] = SIGNED_NUMBER.exec(trimmed) ?? [];
	const { grouped, decimal } = digits ? meanings(digits.trim()) : {};
	const factor = sign === '-' || sign === '−' ? -1 : 1;
	const read = [grouped, decimal].flatMap((value) => (value === undefined ? [] : [factor * value]));
	if (read.length === 0) return problem({ code: 'notANumber', text: trimmed });
	const possible = read.length > 1 ? read.filter(isPossible) : read;
	if (read.length > 1 && possible.length !== 1)
		return problem({ code: 'ambiguous', text: trimmed, grouped: read[0], decimal: read[1] });
	const [value] = possible;
	return value >= range.least && value <= range.most
		? { kind: 'number', value }
		: problem({ code: 'outOfRange', value, ...range });
}

/** A typed quantity, read: in the base unit, with the unit in which it was typed; or what is wrong with it. */
type ParsedQuantity =
	| { readonly kind: 'quantity'; readonly base: number; readonly unit: Unit }
	| { readonly kind: 'problem'; readonly problem: QuantityProblem };

export type QuantityProblem =
	| Exclude<NumberProblem, { code: 'outOfRange' }>
	/** Value and range in the base unit; the unit is the one that was typed or meant. */
	| {
			readonly code: 'outOfRange';
			readonly value: number;
			readonly least: number;
			readonly most: number;
			readonly unit: Unit;
	  }
	| { readonly code: 'unknownUnit'; readonly text: string }
	| { readonly code: 'wrongDimension'; readonly unit: Unit; readonly expected: Unit };

const NUMBER_THEN_UNIT = /^([+−-]?\s*[\d.,][\d.,\s'’]*)(.*)$/;
const ANY_FINITE: NumberRange = { least: -1e15, most: 1e15 };

/**
 * Reads "17.98", "17,98 mm" or ".7080 in" into the base unit, as `parseNumber` reads numbers.
 * `assumed` is the unit meant where none is typed; a typed one must measure the same dimension. `isPossible` says which
 * values (in the base unit) can be meant where a comma leaves two; by default those within `range`, which is the dimension's
 * plausible one where none is given.
 *
 * @example parseQuantity('0.5 in', 'mm') // { kind: 'quantity', base: 12.7, unit: 'in' }
 */
export function parseQuantity(
	text: string,
	assumed: Unit,
	isPossible?: (base: number) => boolean,
	range: NumberRange = plausibleRange[dimensionOf(assumed)]
): ParsedQuantity {
	const problem = (problem: QuantityProblem): ParsedQuantity => ({ kind: 'problem', problem });
	const trimmed = text.trim();
	if (trimmed === '') return problem({ code: 'empty' });
	const [, digits, suffix] = NUMBER_THEN_UNIT.exec(trimmed) ?? [];
	if (digits === undefined) return problem({ code: 'notANumber', text: trimmed });
	const unit = suffix === '' ? assumed : unitNamed(suffix);
	if (!unit) {
		const looksLikeUnit = /^[a-zµμ°"·⋅%/³.\- ]+$/i.test(suffix);
		return problem({ code: looksLikeUnit ? 'unknownUnit' : 'notANumber', text: looksLikeUnit ? suffix : trimmed });
	}
	const dimension = dimensionOf(unit);
	if (dimension !== dimensionOf(assumed)) return problem({ code: 'wrongDimension', unit, expected: assumed });
	const possible = isPossible ?? ((base: number) => base >= range.least && base <= range.most);
	const parsed = parseNumber(digits, ANY_FINITE, (value) => possible(toBase(value, unit)));
	if (parsed.kind === 'problem') {
		if (parsed.problem.code !== 'outOfRange') return problem(parsed.problem);
		return problem({ ...parsed.problem, ...range, unit });
	}
	const base = toBase(parsed.value, unit);
	return base >= range.least && base <= range.most
		? { kind: 'quantity', base, unit }
		: problem({ code: 'outOfRange', value: base, ...range, unit });
}

const ROUNDING = 1e-9;
/** Whether a value in the base unit is what this text says in its unit; a comma of two meanings may have either. */
export function isAsTyped(value: number, { text, unit }: { readonly text: string; readonly unit: Unit }): boolean {
	const near = (base: number) => Math.abs(base - value) <= ROUNDING * Math.max(1, Math.abs(base), Math.abs(value));
	const parsed = parseQuantity(text, unit, near);
	return parsed.kind === 'quantity' && near(parsed.base);
}
