import { budgetOf, type GaugeFacts } from '../measure';
import { holdFinding, type HoldFinding } from '../prove';
import type { GaugeKind } from '../part';
import { consequences } from './kinds/answer';
import type { Proof } from './kinds/proof';
import type { ModelSheet } from './sheet';

type Of<T extends Proof['payload']['test']> = Extract<Proof['payload'], { test: T }>;

/** Where no one said which gauge: a class 1 one of the test's own range, 1 % of it either way, evenly spread (EN 837-1). */
const GAUGE_CLASS = 0.01;
/** The kind of gauge that a hold is read by. */
export const PRESSURE_GAUGE: GaugeKind = 'pressure gauge';

/** A shop thermometer on a housing, K; the most that the water may have changed by where that was not noted, K, and the temperature that is assumed then, °C. */
const THERMOMETER_U_K = 0.1;
const UNNOTED_K = 0.5;
const UNNOTED_AT_C = 20;
const betweenOf = (a: number, b: number): number => Math.min(100, Math.max(0, (a + b) / 2));

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

/** A gauge of the shop, as far as a hold asks of it. */
export interface PressureGauge {
	readonly id: string;
	readonly name: string;
	readonly kind: string;
	readonly facts: GaugeFacts;
}

export interface Held<G> extends HoldFinding {
	/** The gauge by which it was held; left out where a class 1 gauge was assumed. */
	readonly gauge?: G;
	/** False where the water's temperature was not noted: it is taken to have changed by less than half a kelvin. */
	readonly noted: boolean;
}

/**
 * What a hold test says against the sheet; undefined where nothing was held, or the sheet has no such test. Both pressures are
 * read with the uncertainty of the gauge's own budget, as if each had its own calibration, which is on the safe side. What the
 * water cooled by is no leak.
 * Units: MPa, minutes. Errors: PreconditionError of `holdFinding` and `budgetOf`. Source: JCGM 100:2008, 5.1; JCGM 106:2012, 7.
 */
export function holdOn<G extends PressureGauge>(
	{ proof }: Pick<ModelSheet, 'proof'>,
	{ hold }: Pick<Proofs, 'hold'>,
	gauges: readonly G[]
): Held<G> | undefined {
	if (!hold || !proof) return undefined;
	const { from, to, minutes, fromC, toC } = hold;
	const gauge = gauges.find(({ id, kind }) => id === hold.gauge && kind === PRESSURE_GAUGE);
	const u = gauge
		? budgetOf({ readings: [from.value], gauge: gauge.facts }).u
		: (GAUGE_CLASS * from.value) / Math.sqrt(3);
	const noted = fromC !== undefined && toC !== undefined;
	const cooled = noted
		? { byK: fromC.value - toC.value, uK: Math.SQRT2 * THERMOMETER_U_K, atC: betweenOf(fromC.value, toC.value) }
		: { byK: 0, uK: UNNOTED_K / Math.sqrt(3), atC: UNNOTED_AT_C };
	const finding = holdFinding({ fromMPa: from.value, toMPa: to.value, minutes, u, cooled }, proof);
	return { ...finding, noted, ...(gauge ? { gauge } : {}) };
}

/** What keeps a pump from being called proved. */
export type Unproved =
	| { readonly what: 'notHeld' | 'holdFails' | 'holdTooClose' }
	| { readonly what: 'notLookedAt' | 'drips'; readonly place: string }
	/** An answer keeps it back. */
	| { readonly what: 'held'; readonly answer: string; readonly why: string; readonly cylinder: number }
	/** Something of a broken part is still in the pump, for all that anyone knows. */
	| { readonly what: 'fragmentLost'; readonly part: string; readonly cylinder: number };

/** What the answers of a job keep it back for: a hold, or a pump that is in question as a whole. */
export const heldByAnswers = (
	steps: Parameters<typeof consequences>[0],
	answers: Parameters<typeof consequences>[1]
): Unproved[] =>
	consequences(steps, answers).flatMap(({ question, answer, cylinder = 0, means }): Unproved[] => {
		const why = 'hold' in means ? means.hold : 'unit' in means ? means.unit : undefined;
		return why === undefined ? [] : [{ what: 'held', answer: `${question}: ${answer}`, why, cylinder }];
	});

/**
 * What the sheet's test still lacks, in its order. The hold counts as good where the fall lies within what is allowed but for
 * the risk that the shop takes of a bad one; a steady drip is a leak.
 */
export function unproved(
	sheet: Pick<ModelSheet, 'proof'>,
	proofs: Proofs,
	gauges: readonly PressureGauge[],
	risks: { readonly acceptBad: number; readonly scrapGood: number }
): Unproved[] {
	if (!sheet.proof) return [];
	const places = sheet.proof.places.flatMap((place): Unproved[] => {
		const seen = proofs.drips.get(place)?.seen;
		if (seen === undefined) return [{ what: 'notLookedAt', place }];
		return seen === 'steady' ? [{ what: 'drips', place }] : [];
	});
	const held = holdOn(sheet, proofs, gauges);
	if (!held) return [{ what: 'notHeld' }, ...places];
	if (held.pWithin >= 1 - risks.acceptBad) return places;
	return [{ what: held.pWithin <= risks.scrapGood ? 'holdFails' : 'holdTooClose' }, ...places];
}
