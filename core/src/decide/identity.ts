import { whichSpring, type SpringIdentity } from '../mechanics';
import { partType, type Sizes } from '../part';
import type { Station } from '../record';
import type { Reason } from './reason';

const CERTAIN = 0.95; // probability from which a part counts as told apart
const NO_FIT = 1e-4; // chance below which no sound one measures so far off

/**
 * Which of the sheet's parts that look alike this one is, by the sizes that tell them apart.
 *
 * Candidates are all stations of its type that state those sizes. Undefined where the type has none, nothing is measured, or
 * only one station could be meant. Where the sheet gives no tolerance, one per cent of the size is taken.
 */
export function identify(
	station: Station,
	sizes: Sizes,
	stations: readonly Station[]
): (SpringIdentity & { readonly own: number }) | undefined {
	const keys = (partType(station.type).toldApartBy ?? []).filter((key) => sizes[key]);
	if (keys.length === 0) return undefined;
	const candidates = stations.flatMap((other) => {
		const known = keys.map((key) => other.characteristics.find((sheet) => sheet.key === key));
		if (other.type !== station.type || known.includes(undefined)) return [];
		const sheetSizes = known.map((sheet) => [
			sheet!.key,
			{ size: sheet!.nominal, tolerance: sheet!.tolerance || sheet!.nominal * ASSUMED_TOLERANCE }
		]);
		return [
			{ id: other.key, sizes: Object.fromEntries(sheetSizes) as Record<string, { size: number; tolerance: number }> }
		];
	});
	if (!candidates.some(({ id }) => id === station.key)) return undefined;
	const measured = Object.fromEntries(keys.map((key) => [key, sizes[key]!]));
	const found = whichSpring(measured, candidates);
	return { ...found, own: found.probabilities.find(({ id }) => id === station.key)!.probability };
}
const ASSUMED_TOLERANCE = 0.01;

/** What an identity says about keeping the part here. */
export function identityReasons(station: Station, sizes: Sizes, stations: readonly Station[]): Reason[] {
	const found = identify(station, sizes, stations);
	if (!found) return [];
	if (found.fits < NO_FIT) return [{ code: 'noneOfThem', fits: found.fits }];
	const likeliest = found.probabilities.reduce((a, b) => (b.probability > a.probability ? b : a));
	const name = stations.find(({ key }) => key === likeliest.id)!.name;
	if (found.own < 1 - CERTAIN) return [{ code: 'mixedUp', likeliest: name, probability: likeliest.probability }];
	return found.own < CERTAIN ? [{ code: 'cannotTell', likeliest: name, probability: likeliest.probability }] : [];
}
