import { partType } from '../part';
import type { Station } from '../record';
import type { Judgement } from './judge';
import type { ReasonCode } from './reason';

/** Why a replaced part's life ended: the tracing counts only the first two as failures. */
export type EndReason = 'worn' | 'damaged' | 'hurtAtStrip' | 'renewedGood';

const WORN: readonly ReasonCode[] = ['beyondLimit', 'figureBeyond', 'wearsOut', 'longerThanNew'];

/**
 * How the end of a replaced part's life is to be counted.
 *
 * Worn: its limit was passed, or would be before the next service, or it shows the very wear that the sheet measures, so
 * that one end never counts both as wear and as damage. Damaged: any other pattern ended it in service or by its fitting.
 * Hurt at strip: the only such pattern was made while stripping. Otherwise it was renewed although good, which says
 * nothing against it (right-censored).
 */
export function endReason({ reasons }: Judgement, station: Station): EndReason {
	const out = reasons.filter((reason) => reason.code === 'patternOut');
	const inService = out.filter(({ onset }) => onset !== 'handling');
	if (inService.some(({ pattern }) => !isMeasuredWear(station, pattern))) return 'damaged';
	// A size that is measured on suspicion alone is a measure of damage.
	const sizes = reasons.flatMap((reason) =>
		(reason.code === 'beyondLimit' || reason.code === 'wearsOut') && !isAlways(station, reason.characteristic)
			? [reason]
			: []
	);
	if (sizes.some(({ code }) => code === 'beyondLimit')) return 'damaged';
	const worn = reasons.some((reason) => WORN.includes(reason.code) && !sizes.some((size) => size === reason));
	if (inService.length > 0 || worn) return 'worn';
	return out.length > 0 ? 'hurtAtStrip' : 'renewedGood';
}

const isAlways = ({ characteristics }: Station, key: string): boolean =>
	characteristics.some((sheet) => sheet.key === key && sheet.when === 'always');

function isMeasuredWear({ type, characteristics }: Station, pattern: string): boolean {
	const wearOf = partType(type).patterns.find((rule) => rule.pattern === pattern)?.wearOf ?? [];
	return characteristics.some(({ key }) => wearOf.includes(key));
}
