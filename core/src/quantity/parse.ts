import { dimensionOf, toBase, unitNamed, type Unit } from './units';

/** A typed quantity, read: in the base unit, with the unit in which it was typed; or what is wrong with it. */
export type ParsedQuantity =
	| { readonly kind: 'quantity'; readonly base: number; readonly unit: Unit }
	| { readonly kind: 'problem'; readonly problem: QuantityProblem };

export type QuantityProblem =
	| { readonly code: 'empty' }
	| { readonly code: 'notANumber'; readonly text: string }
	| { readonly code: 'unknownUnit'; readonly text: string }
	| { readonly code: 'wrongDimension'; readonly unit: Unit; readonly expected: Unit };

const NUMBER_WITH_UNIT = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(.*)$/;

/**
 * Reads "17.98", "17,98 mm" or ".7080 in" into the base unit.
 * `assumed` is the unit meant where none is typed; a typed one must measure the same dimension.
 *
 * @example parseQuantity('0.5 in', 'mm') // { kind: 'quantity', base: 12.7, unit: 'in' }
 */
export function parseQuantity(text: string, assumed: Unit): ParsedQuantity {
	const problem = (problem: QuantityProblem): ParsedQuantity => ({ kind: 'problem', problem });
	const trimmed = text.trim();
	if (trimmed === '') return problem({ code: 'empty' });
	const match = NUMBER_WITH_UNIT.exec(trimmed);
	if (!match) return problem({ code: 'notANumber', text: trimmed });
	const [, digits, suffix] = match;
	const unit = suffix === '' ? assumed : unitNamed(suffix);
	if (!unit) {
		const looksLikeUnit = /^[a-zµμ°"·.\- ]+$/i.test(suffix);
		return problem({ code: looksLikeUnit ? 'unknownUnit' : 'notANumber', text: looksLikeUnit ? suffix : trimmed });
	}
	if (dimensionOf(unit) !== dimensionOf(assumed)) return problem({ code: 'wrongDimension', unit, expected: assumed });
	return { kind: 'quantity', base: toBase(Number(digits.replace(',', '.')), unit), unit };
}
