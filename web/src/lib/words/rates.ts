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
