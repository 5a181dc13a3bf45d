import { holdFinding, type HoldFinding } from '../prove';
import type { Proof } from './kinds/proof';
import type { ModelSheet } from './sheet';

type Of<T extends Proof['payload']['test']> = Extract<Proof['payload'], { test: T }>;

/** A class 1 pressure gauge of the test's own range: 1 % of it either way, evenly spread (EN 837-1). */
const GAUGE_CLASS = 0.01;

/** The last of each test that stands; of drips the last at each place. */
export interface Proofs {
	readonly hold?: Of<'hold'>;
	readonly flow?: Of<'flow'>;
	readonly temperature?: Of<'temperature'>;
	readonly trace?: Of<'trace'>;
	readonly drips: ReadonlyMap<string, Of<'drips'>>;
}

/** Shape: the proofs of one job in the order of the log. */
export function lastProofs(proofs: readonly Proof[]): Proofs {
	const last = <T extends Proof['payload']['test']>(test: T) =>
		proofs.findLast(({ payload }) => payload.test === test)?.payload as Of<T> | undefined;
	const drips = new Map(
		proofs.flatMap(({ payload }) => (payload.test === 'drips' ? [[payload.place, payload] as const] : []))
	);
	return { hold: last('hold'), flow: last('flow'), temperature: last('temperature'), trace: last('trace'), drips };
}

/** What a hold test says against the sheet; undefined where nothing was held, or the sheet has no such test. */
export function holdOn({ proof }: Pick<ModelSheet, 'proof'>, { hold }: Pick<Proofs, 'hold'>): HoldFinding | undefined {
	if (!hold || !proof) return undefined;
	const u = (GAUGE_CLASS * hold.from.value) / Math.sqrt(3);
	return holdFinding({ fromMPa: hold.from.value, toMPa: hold.to.value, minutes: hold.minutes, u }, proof);
}

/** What keeps a pump from being called proved. */
export type Unproved =
	| { readonly what: 'notHeld' | 'holdFails' | 'holdTooClose' }
	| { readonly what: 'notLookedAt' | 'drips'; readonly place: string };

/**
 * What the sheet's test still lacks, in its order. The hold counts as good where the fall lies within what is allowed but for
 * the risk that the shop takes of a bad one; a steady drip is a leak.
 */
export function unproved(
	sheet: Pick<ModelSheet, 'proof'>,
	proofs: Proofs,
	risks: { readonly acceptBad: number; readonly scrapGood: number }
): Unproved[] {
	if (!sheet.proof) return [];
	const places = sheet.proof.places.flatMap((place): Unproved[] => {
		const seen = proofs.drips.get(place)?.seen;
		if (seen === undefined) return [{ what: 'notLookedAt', place }];
		return seen === 'steady' ? [{ what: 'drips', place }] : [];
	});
	const held = holdOn(sheet, proofs);
	if (!held) return [{ what: 'notHeld' }, ...places];
	if (held.pWithin >= 1 - risks.acceptBad) return places;
	return [{ what: held.pWithin <= risks.scrapGood ? 'holdFails' : 'holdTooClose' }, ...places];
}
