import { requireThat } from '../number';
import type { SheetCharacteristic } from '../record';

/** A size as it was estimated, and its standard uncertainty, in its own unit. */
interface EstimatedSize {
	readonly value: number;
	readonly u: number;
}

/** One size of a part beside the same size at the other cylinders. */
export interface BesideOthers {
	/** How many others were measured. */
	readonly others: number;
	/** This part against the mean of the others, and the expanded uncertainty (k = 2) of that difference, in the unit of the size. */
	readonly difference: number;
	readonly U: number;
	/** Alike: the difference is not larger than its uncertainty. Without a side on which such a size wears it only differs. */
	readonly says: 'alike' | 'wornMore' | 'wornLess' | 'differs';
}

const K = 2;

/**
 * What the other cylinders of the same pump say of a size that has no limit of its own.
 *
 * They have run the same hours, so a part that has worn more than its mean stands out without a limit. New parts differ by their
 * tolerance, which is therefore part of the uncertainty: as a rectangular distribution over twice the tolerance at each part.
 * Undefined if no other cylinder was measured. Units: as the size. Source: JCGM 100:2008, 4.3.7 and 5.1.2.
 * Errors: PreconditionError for values that are not finite or a negative uncertainty or tolerance.
 * @example besideOthers({ value: 17.93, u: 0.005 }, [{ value: 17.99, u: 0.005 }], { tolerance: 0.01, min: 17.9 })?.says // 'wornMore'
 */
export function besideOthers(
	own: EstimatedSize,
	others: readonly EstimatedSize[],
	{ tolerance, min, max }: Pick<SheetCharacteristic, 'tolerance' | 'min' | 'max'>
): BesideOthers | undefined {
	requireThat(tolerance >= 0 && Number.isFinite(tolerance), 'besideOthers', 'tolerance', tolerance, 'at least 0');
	for (const { value, u } of [own, ...others]) {
		requireThat(Number.isFinite(value), 'besideOthers', 'value', value, 'a finite size');
		requireThat(u >= 0 && Number.isFinite(u), 'besideOthers', 'u', u, 'at least 0');
	}
	const n = others.length;
	if (n === 0) return undefined;
	const made = tolerance ** 2 / 3;
	const mean = others.reduce((sum, { value }) => sum + value / n, 0);
	const variance = own.u ** 2 + made + others.reduce((sum, { u }) => sum + (u ** 2 + made) / n ** 2, 0);
	const difference = own.value - mean;
	const U = K * Math.sqrt(variance);
	requireThat(
		Number.isFinite(difference) && Number.isFinite(U),
		'besideOthers',
		'value',
		own.value,
		'a finite difference'
	);
	return { others: n, difference, U, says: saidOf(difference, U, min, max) };
}

function saidOf(difference: number, U: number, min?: number, max?: number): BesideOthers['says'] {
	if (Math.abs(difference) <= U) return 'alike';
	if ((min === undefined) === (max === undefined)) return 'differs';
	const towardLimit = min === undefined ? difference > 0 : difference < 0;
	return towardLimit ? 'wornMore' : 'wornLess';
}
