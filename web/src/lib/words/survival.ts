import { isTold, recordNeeded, type RatioEstimate } from '@exetasis/core/number';
import type { NoWeibullFit, RepairTrend, WeibullComparison, WeibullFit } from '@exetasis/core/survival';
import { formatNumber, formatProbability } from '../ui/numbers';

/** Why no distribution is the most likely one, and what can be said all the same. */
export const noMaximumWords: Readonly<Record<NoWeibullFit['reason'], string>> = {
	noEnds: 'Nothing has ended yet: how long they last is not known, only that they have lasted so long.',
	endedTogether: 'All that ended may have ended at one and the same age: the record does not say how they are spread.',
	oneInspection: 'All were looked at once, at one age: only the share that had ended by then is known.',
	shapeRunsUp: 'The more alike their ages at the end are taken to be, the better it fits: no spread can be named.',
	shapeRunsDown: 'No single Weibull distribution fits these lives. Read the survival curve, which assumes no shape.'
};

/** What the limits of the shape allow to say of how such parts end. */
export const phaseWords: Readonly<Record<WeibullFit['phase'], string>> = {
	early: 'they fail early: look at how they are fitted',
	random: 'they fail at any age alike: renewing them by hours gains nothing',
	wearOut: 'they wear out: hours tell',
	open: 'early, random or worn out: the record does not tell yet'
};

type Limits = { readonly value: number; readonly low?: number; readonly high?: number };
export const limitsWords = ({ value, low, high }: Limits, digits = 0): string =>
	`${formatNumber(value, digits)} (${low === undefined ? 'no limit' : formatNumber(low, digits)}–${high === undefined ? 'no limit' : formatNumber(high, digits)})`;

/** How much more has to be on record until it can be told, should it stay as it is. */
function moreNeeded(estimate: RatioEstimate): string {
	const times = recordNeeded(estimate);
	if (times === undefined) return 'No difference to be expected shows so far.';
	return `If it stays so, about ${formatNumber(Math.max(1.1, times), 1)} times the present record would tell.`;
}

/** Two groups of lives, as a sentence. */
export function comparisonSentence(
	compared: WeibullComparison,
	[first, second]: readonly string[],
	logRankP: number | undefined
): string {
	if (compared.kind === 'noMaximum')
		return `${first} and ${second} cannot be compared. ${noMaximumWords[compared.reason]}`;
	const { ratio, pScale, pShape } = compared;
	return [
		isTold(ratio)
			? `${second} lasts ${limitsWords(ratio, 2)} times as long as ${first}; by chance alone they would be as far apart with ${formatProbability(pScale)}.`
			: `${first} and ${second} cannot be told apart yet: as far apart by chance with ${formatProbability(pScale)}; the ratio of their lives is ${limitsWords(ratio, 2)}. ${moreNeeded(ratio)}`,
		pShape !== undefined && pShape <= 0.05
			? 'They also differ in how they end, so that no single ratio says it all.'
			: '',
		logRankP === undefined ? '' : `Log-rank, at the hours at which they were found: ${formatProbability(logRankP)}.`
	]
		.filter(Boolean)
		.join(' ');
}

/** Whether pumps get better or worse, as a sentence. */
export function trendSentence({ events, exponent, pSteady }: RepairTrend, pumps: number): string {
	if (!exponent || pSteady === undefined)
		return `${events} replacements on ${pumps} pumps: too few for a trend. It takes three pumps with two intervals each.`;
	const figures = `exponent ${limitsWords(exponent, 2)} of ${events} replacements on ${pumps} pumps, counted from rebuild to rebuild; a steady rate would look so with ${formatProbability(pSteady)}.`;
	return isTold(exponent)
		? `As they run, pumps get ${exponent.value > 1 ? 'worse' : 'better'}: ${figures}`
		: `Whether pumps get better or worse as they run cannot be told yet: ${figures} ${moreNeeded(exponent)}`;
}
