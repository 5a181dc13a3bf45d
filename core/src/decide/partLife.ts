import {
	LifeContext,
	PartWear,
	QUANTILE_WEIGHTS,
	endsBefore,
	lifePriorOf,
	newPartFails,
	riskOfCompetingFailure,
	priorKnowledge,
	unknownClass,
	unknownPump,
	wearPriorOf,
	ageNodes,
	type Age,
	type LogRate,
	type Risk,
	type CompetingFailures,
	type WearHistory,
	type WearKnowledge
} from '../life';
import { partType } from '../part';
import type { SheetCharacteristic, Station } from '../record';
import type { JudgedCharacteristic } from './characteristic';

/** An earlier inspection at one size of the part: duty hours before now, the size as estimated then and its u. */
export interface EarlierInspection {
	readonly characteristic: string;
	readonly hoursAgo: number;
	readonly value: number;
	readonly u: number;
}

/** What is known of a part's life when its future is asked for. All hours are of running. */
export interface LifeFacts {
	readonly age: Age;
	/** Duty hours since its fitting, or since it was first seen. */
	readonly dutyHours: number;
	/** How fast parts wear in the duty to come against the ordinary one. */
	readonly wearFactor: number;
	/** How hard its pump is on its parts, as far as it is on record. */
	readonly pump: LogRate;
	/** What the fleet says, by characteristic, and of all other ends; left out: the priors alone. */
	readonly wear: Readonly<Partial<Record<string, WearKnowledge>>>;
	readonly ends?: CompetingFailures;
	readonly earlier: readonly EarlierInspection[];
}

/** A part of which nothing is known, in a pump of which nothing is known either. */
export function unknownLife(station: Station): LifeFacts {
	const { hoursToLimit, competingFailures } = partType(station.type).lasts;
	return {
		age: { kind: 'unknown', seenFor: 0, atMost: hoursToLimit ?? competingFailures.scaleHours },
		dutyHours: 0,
		wearFactor: 1,
		pump: unknownPump(unknownClass),
		wear: {},
		earlier: []
	};
}

// Priors rest on the sheet's own objects.
function knowledgeOf(
	station: Station,
	sheet: SheetCharacteristic,
	facts: LifeFacts,
	context: LifeContext
): WearKnowledge | undefined {
	return (
		facts.wear[sheet.key] ??
		context.kept(sheet, 'prior', [], () => {
			const prior = wearPriorOf(station.type, sheet);
			return prior && priorKnowledge(prior);
		})
	);
}
const endsOf = (station: Station, { ends }: LifeFacts, context: LifeContext): CompetingFailures =>
	ends ?? context.kept(station, 'ends', [], () => endsBefore(lifePriorOf(station)));

const NEW: WearHistory = { before: [{ hours: 0, weight: 1 }], inspections: [] };
// New parts of one kind in one pump are all alike; so are those of one age that were never measured.
function wearOfUnmeasured(
	knowledge: WearKnowledge,
	pump: LogRate,
	history: WearHistory,
	context: LifeContext
): PartWear {
	const key = [pump.mean, pump.sd, ...history.before.map(({ hours }) => hours), history.inspections.length].join('/');
	return context.kept(knowledge, `wear ${key}`, [], () => new PartWear(knowledge, pump, history, { context }));
}

interface SizeLife {
	readonly key: string;
	readonly always: boolean;
	readonly wear: PartWear;
	readonly fresh: PartWear;
	/** Duty hours since the last inspection that its wear was read at. */
	readonly since: number;
	/** Share of the allowance at which it stops the pump, where the sheet says so. */
	readonly stopsAt?: number;
}

/** Chances of one part, reused or a new one in its place: of passing a limit or being damaged, and of stopping the pump. */
export interface PartChances {
	readonly beyond: number;
	readonly stop: number;
	/** The same at each point of what is open about its pump, which all its parts share: by `QUANTILE_WEIGHTS` they come to those above. */
	readonly byPump: { readonly beyond: readonly number[]; readonly stop: readonly number[] };
}

/**
 * The future of one part and of a new one in its place.
 *
 * Every size that the sheet always measures counts for both alike, measured or not, so that measuring more never raises the
 * total by itself. A size that is measured on suspicion alone is damage: the other ends already allow for it, and its own
 * forecast counts where it is the worse. Sizes are taken as independent of each other.
 */
export class PartLife {
	readonly ends: CompetingFailures;
	readonly #sizes: readonly SizeLife[];
	readonly #facts: LifeFacts;
	readonly #stopShare: number;

	constructor(
		station: Station,
		facts: LifeFacts,
		measured: readonly JudgedCharacteristic[],
		asFitted: Readonly<Partial<Record<string, number>>>,
		context = new LifeContext()
	) {
		this.#facts = facts;
		this.#stopShare = partType(station.type).lasts.stopShare;
		this.ends = endsOf(station, facts, context);
		const before = beforeOf(facts);
		this.#sizes = station.characteristics.flatMap((sheet): SizeLife[] => {
			const now = measured.find((judgedCharacteristic) => judgedCharacteristic.sheet.key === sheet.key);
			const always = sheet.when === 'always';
			const knowledge = always || now ? knowledgeOf(station, sheet, facts, context) : undefined;
			if (!knowledge) return [];
			const start = now?.startIsNominal === false ? asFitted[sheet.key]! : sheet.nominal;
			const history = historyOf(sheet, start, before, facts, now);
			const wear =
				history.inspections.length > 0
					? new PartWear(knowledge, facts.pump, history, { context })
					: wearOfUnmeasured(knowledge, facts.pump, history, context);
			const fresh = wearOfUnmeasured(knowledge, facts.pump, NEW, context);
			const allowance = Math.abs((sheet.min ?? sheet.max!) - start);
			const stopsAt = sheet.stopsAt === undefined ? undefined : Math.abs(sheet.stopsAt - start) / allowance;
			const since = history.inspections.length > 0 ? facts.dutyHours - history.inspections.at(-1)!.hours : 0;
			return [{ key: sheet.key, always, wear, fresh, since, ...(stopsAt ? { stopsAt } : {}) }];
		});
	}

	/** The wear of one size, where it is known how such sizes wear. */
	wearOf = (key: string): PartWear | undefined => this.#sizes.find((size) => size.key === key)?.wear;

	/** Duty hours in so many hours to come. */
	duty = (hours: number): number => hours * this.#facts.wearFactor;

	/** The chance that something else ends it. */
	other = forHours((hours): Risk => riskOfCompetingFailure(this.ends, this.#facts.age, hours));
	freshOther = forHours((hours): number => newPartFails(this.ends, hours));

	reused(hours: number): PartChances {
		return this.#chances(this.other(hours).probability, true, (size, limit) => ({
			wear: size.wear,
			hours: this.duty(hours) + size.since,
			limit
		}));
	}
	fresh(hours: number): PartChances {
		return this.#chances(this.freshOther(hours), false, (size, limit) => ({
			wear: size.fresh,
			hours: this.duty(hours),
			limit
		}));
	}

	#chances(other: number, suspected: boolean, asked: (size: SizeLife, limit?: number) => Asked): PartChances {
		const all = this.#together(other, suspected, (size, limit) => {
			const { wear, hours, limit: at } = asked(size, limit);
			return wear.chance(hours, at);
		});
		const points = QUANTILE_WEIGHTS.map((_, q) =>
			this.#together(other, suspected, (size, limit) => {
				const { wear, hours, limit: at } = asked(size, limit);
				return wear.byPump(hours, at)[q];
			})
		);
		const about = (chance: 'beyond' | 'stop') =>
			withMean(
				points.map((point) => point[chance]),
				all[chance]
			);
		return { ...all, byPump: { beyond: about('beyond'), stop: about('stop') } };
	}

	#together(other: number, suspected: boolean, chanceOf: (size: SizeLife, limit?: number) => number) {
		let holds = 1;
		let runs = 1;
		let damaged = other;
		for (const size of this.#sizes) {
			if (!size.always && !suspected) continue;
			const beyond = chanceOf(size);
			if (!size.always) {
				damaged = Math.max(damaged, beyond);
				continue;
			}
			holds *= 1 - beyond;
			runs *= 1 - (size.stopsAt ? chanceOf(size, size.stopsAt) : this.#stopShare * beyond);
		}
		return { beyond: 1 - holds * (1 - damaged), stop: 1 - runs * (1 - this.#stopShare * damaged) };
	}
}

/** What is asked of the wear of one size: the chance of passing a limit after so many hours. */
interface Asked {
	readonly wear: PartWear;
	readonly hours: number;
	readonly limit?: number;
}

// Chances at the points, moved so that together they are the chance that is said: what a part's own inspections say of its pump is
// in that, and not in the weights of the points.
function withMean(points: readonly number[], said: number): number[] {
	const mean = points.reduce((sum, point, q) => sum + QUANTILE_WEIGHTS[q] * point, 0);
	if (said <= 0.5) return points.map((point) => (mean > 0 ? Math.min(1, (point * said) / mean) : said));
	return points.map((point) => (mean < 1 ? Math.max(0, 1 - ((1 - point) * (1 - said)) / (1 - mean)) : said));
}

// The hours asked for last are asked for again: by the forecast, and by what it is added up to.
function forHours<T>(work: (hours: number) => T): (hours: number) => T {
	let last: { readonly hours: number; readonly said: T } | undefined;
	return (hours) => (last?.hours === hours ? last : (last = { hours, said: work(hours) })).said;
}

// What may lie before the record of the part: nothing where its fitting is known, else the ages that the record allows, in
// duty hours as the duty is now.
function beforeOf({ age, wearFactor }: LifeFacts): WearHistory['before'] {
	if (age.kind === 'known') return NEW.before;
	return ageNodes(age).map(({ hours, weight }) => ({ hours: (hours - age.seenFor) * wearFactor, weight }));
}

function historyOf(
	sheet: SheetCharacteristic,
	start: number,
	before: WearHistory['before'],
	{ dutyHours, earlier }: LifeFacts,
	now: JudgedCharacteristic | undefined
): WearHistory {
	const limit = sheet.min ?? sheet.max!;
	const allowance = Math.abs(limit - start);
	const inspections = earlier
		.filter((inspection) => inspection.characteristic === sheet.key && inspection.hoursAgo < dutyHours)
		.map((inspection) => ({
			hours: dutyHours - inspection.hoursAgo,
			worn: ((inspection.value - start) * Math.sign(limit - start)) / allowance,
			u: inspection.u / allowance
		}))
		.sort((a, b) => a.hours - b.hours);
	if (now) inspections.push({ hours: dutyHours, worn: now.wear.share, u: now.estimate!.u / allowance });
	if (inspections.length === 0)
		return { before: before.map(({ hours, weight }) => ({ hours: hours + dutyHours, weight })), inspections };
	return { before, inspections };
}
