import type { Judgement } from './judge';

/** Why a replaced part's life ended: the tracing counts only the first two as failures. */
export type EndReason = 'worn' | 'damaged' | 'hurtAtStrip' | 'renewedGood';

/**
 * How the end of a replaced part's life is to be counted.
 *
 * Worn: its limit was passed, or would be before the next service. Damaged: a pattern ended it in service or by its
 * fitting. Hurt at strip: the only such pattern was made while stripping. Otherwise it was renewed although good, which
 * says nothing against it (right-censored).
 */
export function endReason({ reasons }: Judgement): EndReason {
	const out = reasons.filter((reason) => reason.code === 'patternOut');
	if (out.some((reason) => reason.onset !== 'handling')) return 'damaged';
	if (reasons.some(({ code }) => code === 'beyondLimit' || code === 'wearsOut' || code === 'longerThanNew'))
		return 'worn';
	return out.length > 0 ? 'hurtAtStrip' : 'renewedGood';
}
