import type { PumpHarshness } from '@exetasis/core/trace';
import type { Format } from '../format/numbers';

/** How many times as often, with its limits: "4.0 (1.1–15.1)"; where the others never had it, from where on. */
export function timesWords(
	{ ratio, low, high }: { readonly ratio?: number; readonly low: number; readonly high?: number },
	format: Format
): string {
	if (ratio === undefined) return `from ${format.number(low, 1)}`;
	return `${format.number(ratio, 1)} (${format.number(low, 1)}–${high === undefined ? 'no limit' : format.number(high, 1)})`;
}

/** A pump that damages its parts more often than the others of its model, all its parts together, in one sentence. */
export const harshWords = (pump: Omit<PumpHarshness, 'pump' | 'p'>, format: Format): string =>
	`damages its parts ${timesWords(pump, format)} times as often as the other ${pump.model} pumps: ` +
	`${format.number(pump.events)} findings, ${format.number(pump.expected, 1)} expected. ` +
	'Check the whole pump: duty, liquid, speed and installation.';
