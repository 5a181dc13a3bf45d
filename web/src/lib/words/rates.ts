import { formatNumber } from '../ui/numbers';

/** How many times as often, with its limits: "4.0 (1.1–15.1)"; where the others never had it, from where on. */
export function timesWords({
	ratio,
	low,
	high
}: {
	readonly ratio?: number;
	readonly low: number;
	readonly high?: number;
}): string {
	if (ratio === undefined) return `from ${formatNumber(low, 1)}`;
	return `${formatNumber(ratio, 1)} (${formatNumber(low, 1)}–${high === undefined ? 'no limit' : formatNumber(high, 1)})`;
}

/** A pump that damages its parts more often than the others of its model, all its parts together, in one sentence. */
export const harshWords = (one: {
	readonly model: string;
	readonly events: number;
	readonly expected: number;
	readonly ratio: number;
	readonly low: number;
	readonly high: number;
}): string =>
	`damages its parts ${timesWords(one)} times as often as the other ${one.model} pumps: ` +
	`${formatNumber(one.events)} findings, ${formatNumber(one.expected, 1)} expected. ` +
	'Check the whole pump: duty, liquid, speed and installation.';
