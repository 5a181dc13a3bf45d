import { groupTightened } from './bolts';
import { untouched, type JobState, type PartRecord } from './jobState';
import { unanswered } from './kinds/answer';
import type { Verdict } from './kinds/decision';
import type { UnitIn } from './kinds/unitIn';
import {
	buildSteps,
	holderOf,
	openedCylinders,
	orderFacts,
	stationsInScope,
	staysIn,
	subAssembliesInScope,
	type BuildStep,
	type ModelSheet,
	type Opening,
	type OrderFact,
	type Station,
	type SubAssembly
} from './sheet';

/** A part's place in the pump, and what the log says of it. */
export interface BuildPlace {
	readonly part: string;
	readonly station: Station;
	/** 0: the pump's own. */
	readonly cylinder: number;
	readonly record: PartRecord;
}

/** A sub-assembly at its place, by one word. */
export const unitPlace = (unit: string, cylinder: number): string => `${unit}/${cylinder}`;

/** A sub-assembly's place in the pump. */
export interface UnitPlace {
	readonly unit: SubAssembly;
	/** 0: the pump's own. */
	readonly cylinder: number;
	/** The entry that says it is in. */
	readonly putIn?: UnitIn;
}

/** A pump being put together: the plan, and how far it has come. */
export interface Together {
	readonly steps: readonly BuildStep[];
	/** What has to be in before what. */
	readonly facts: readonly OrderFact[];
	/** The places of the mat in the order of the sheet, without surfaces of the pump itself. */
	readonly places: ReadonlyMap<string, BuildPlace>;
	/** Sub-assemblies at their places, by `unitPlace`. */
	readonly units: ReadonlyMap<string, UnitPlace>;
	/** Stations that gate each station, judged at their places before a part goes in. */
	readonly gates: ReadonlyMap<string, readonly BuildPlace[]>;
	/** Steps that are signed off. */
	readonly signed: Keys;
}

interface Keys {
	has(key: string): boolean;
}
interface MatPlace {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
}

/**
 * The plan of a job and what is in, from its mat and its log.
 *
 * Shape: `cells` name the part of each place (cylinder 0: the pump's own); the log as `fold` gives it.
 */
export function together(
	sheet: ModelSheet,
	opening: Opening,
	cells: readonly MatPlace[],
	{ parts, unitsIn, steps: signed }: Pick<JobState, 'parts' | 'unitsIn'> & { readonly steps: Keys }
): Together {
	const stations = new Map(stationsInScope(sheet, opening).map((station) => [station.key, station]));
	const all = cells.flatMap(({ part, station: key, cylinder }): BuildPlace[] => {
		const station = stations.get(key);
		return station ? [{ part, station, cylinder, record: parts.get(part) ?? untouched }] : [];
	});
	const loose = all.filter(({ station }) => !staysIn(station));
	const gates = new Map(
		sheet.stations.map(({ key }) => [key, all.filter(({ station }) => station.gates.includes(key))] as const)
	);
	const steps = buildSteps(sheet, opening);
	const units = subAssembliesInScope(sheet, opening).flatMap((unit) =>
		(unit.per === 'pump' ? [0] : openedCylinders(sheet, opening)).map((cylinder): UnitPlace => {
			const putIn = unitsIn.get(unitPlace(unit.key, cylinder));
			return { unit, cylinder, ...(putIn ? { putIn } : {}) };
		})
	);
	return {
		steps,
		facts: orderFacts(sheet, opening, steps),
		places: new Map(loose.map((place) => [place.part, place])),
		units: new Map(units.map((unit) => [unitPlace(unit.unit.key, unit.cylinder), unit])),
		gates,
		signed
	};
}

type Filled = Pick<BuildStep, 'stations'> & Partial<Pick<BuildStep, 'walk'>>;
/** A bore at a time where the sheet walks so; what belongs to the pump as a whole keeps its place in the list. */
function walked<P extends { readonly cylinder: number }>(items: readonly P[], { walk }: Filled): P[] {
	if (walk !== 'bore') return [...items];
	const cylinders = [...new Set(items.map(({ cylinder }) => cylinder).filter((value) => value > 0))].sort(
		(a, b) => a - b
	);
	const begun = items.findIndex(({ cylinder }) => cylinder > 0);
	if (begun < 0) return [...items];
	const last = items.findLastIndex(({ cylinder }) => cylinder > 0);
	const within = items.slice(begun, last + 1);
	return [
		...items.slice(0, begun),
		...cylinders.flatMap((cylinder) => within.filter((candidate) => candidate.cylinder === cylinder)),
		...within.filter(({ cylinder }) => cylinder === 0),
		...items.slice(last + 1)
	];
}

/** What goes in at a step, in its order: parts' places, and sub-assemblies at theirs. */
export type BuildItem = { readonly kind: 'part'; readonly cylinder: number; readonly place: BuildPlace } | UnitItem;
interface UnitItem {
	readonly kind: 'unit';
	readonly cylinder: number;
	readonly place: UnitPlace;
}

export const itemsOf = ({ places, units }: Pick<Together, 'places' | 'units'>, step: Filled): BuildItem[] =>
	walked(
		step.stations.flatMap((key): BuildItem[] => [
			...[...places.values()]
				.filter(({ station }) => station.key === key)
				.map((place) => ({ kind: 'part' as const, cylinder: place.cylinder, place })),
			...[...units.values()]
				.filter(({ unit }) => unit.key === key)
				.map((place) => ({ kind: 'unit' as const, cylinder: place.cylinder, place }))
		]),
		step
	);

/** The parts' places that a step fills, in the order in which they go in. */
export const placesFilled = (build: Pick<Together, 'places' | 'units'>, step: Filled): BuildPlace[] =>
	itemsOf(build, step).flatMap((item) => (item.kind === 'part' ? [item.place] : []));

/** The sub-assemblies that a step puts in, place by place. */
export const unitsFilled = (build: Pick<Together, 'places' | 'units'>, step: Filled): UnitPlace[] =>
	itemsOf(build, step).flatMap((item) => (item.kind === 'unit' ? [item.place] : []));

const matches = (a: number, b: number) => a === 0 || b === 0 || a === b;

/** Something that is not in yet, and why that is asked for. */
export interface Missing {
	/** Name of the part, sub-assembly or step. */
	readonly name: string;
	readonly cylinder: number;
	readonly fact: OrderFact;
	/** True where it is in, and not tightened. */
	readonly loose?: true;
}

const partIn = ({ record }: BuildPlace): boolean => record.putIn !== undefined;

/**
 * What has to be in before something and is not, at its cylinder, or at every cylinder for what belongs to the pump as a whole:
 * a part in its place (a fastener tightened), a sub-assembly in its place, a step signed off. Undefined where nothing is missing.
 *
 * Shape: `key` of a station, sub-assembly or build step; cylinder 0: the pump's own.
 */
export function firstMissing(build: Together, key: string, cylinder: number): Missing | undefined {
	for (const fact of build.facts) {
		if (fact.then !== key) continue;
		const missing = missingOf(build, fact, cylinder);
		if (missing) return missing;
	}
	return undefined;
}

function missingOf(build: Together, fact: OrderFact, cylinder: number): Missing | undefined {
	const joined = [...new Set([...build.units.values()].map(({ unit }) => unit))];
	const { first, then } = fact;
	// What is joined to the same sub-assembly need not be in the pump.
	const holder = holderOf(joined, first);
	const apart = holder && holder !== holderOf(joined, then) && !holds(joined, holder, then);
	if (apart) {
		const left = missingOf(build, { ...fact, first: holder.key }, cylinder);
		if (left) return left;
	}
	for (const place of build.places.values()) {
		if (place.station.key !== first || !matches(place.cylinder, cylinder)) continue;
		const at = { name: place.station.name, cylinder: place.cylinder, fact };
		if (!partIn(place)) return at;
		// On the bench nothing is tightened: that is done once the sub-assembly is in.
		const onTheBench = holder !== undefined && !apart;
		if (!onTheBench && !groupTightened(place.station, place.record)) return { ...at, loose: true };
	}
	for (const place of build.units.values())
		if (place.unit.key === first && matches(place.cylinder, cylinder) && !place.putIn)
			return { name: place.unit.name, cylinder: place.cylinder, fact };
	const step = build.steps.find((buildStep) => buildStep.key === first && !buildStep.mirrored);
	return step && !build.signed.has(first) ? { name: step.text, cylinder: 0, fact } : undefined;
}

// Whether a key lies anywhere within a sub-assembly.
const holds = (joined: readonly SubAssembly[], holder: SubAssembly, key: string): boolean =>
	holder.parts.includes(key) ||
	holder.parts.some((part) => {
		const inner = joined.find((unit) => unit.key === part);
		return inner !== undefined && holds(joined, inner, key);
	});

/** The part or sub-assembly that is not joined yet to a sub-assembly; undefined once it is whole. */
export function notJoined(build: Together, { unit, cylinder }: UnitPlace): { readonly name: string } | undefined {
	const here = (other: number) => matches(other, cylinder);
	for (const key of unit.parts) {
		const part = [...build.places.values()].find(
			(place) => place.station.key === key && here(place.cylinder) && !partIn(place)
		);
		if (part) return part.station;
		const inner = [...build.units.values()].find(
			(unitPlace) => unitPlace.unit.key === key && here(unitPlace.cylinder) && !unitPlace.putIn
		);
		if (inner) return inner.unit;
	}
	return undefined;
}

/** What gates a part (a bore, a land) and is not judged fit yet at its place. */
export const gateOpen = (build: Together, part: string): BuildPlace | undefined => {
	const place = build.places.get(part);
	const gates = place ? (build.gates.get(place.station.key) ?? []) : [];
	return gates.find((gate) => matches(place!.cylinder, gate.cylinder) && verdictOn(gate) === undefined);
};

/** What was decided of a place's part, where that is final. */
export function verdictOn({ record }: BuildPlace): Exclude<Verdict, 'lookAgain'> | undefined {
	const verdict = record.decisions.at(-1)?.payload.verdict;
	return verdict === 'lookAgain' ? undefined : verdict;
}

/** What still keeps a build step from being done, in the order in which it is seen to. */
interface StepLeft {
	readonly notIn: readonly { readonly name: string; readonly cylinder: number }[];
	readonly notTightened: readonly BuildPlace[];
	/** How many questions are open. */
	readonly questions: number;
}

export function leftOf(build: Together, step: BuildStep, answers: Keys): StepLeft {
	const places = placesFilled(build, step);
	const parts = places
		.filter((place) => !partIn(place))
		.map(({ station, cylinder }) => ({ name: station.name, cylinder }));
	const units = unitsFilled(build, step)
		.filter(({ putIn }) => !putIn)
		.map(({ unit, cylinder }) => ({ name: unit.name, cylinder }));
	return {
		notIn: [...parts, ...units],
		notTightened: fastenersAt(build, step).filter(({ station, record }) => !groupTightened(station, record)),
		questions: unanswered(step, answers, openAt(build)).length
	};
}

/** The fasteners that are tightened at a step: its own, and those of the sub-assemblies that it puts in for good. */
export function fastenersAt(build: Together, step: BuildStep): BuildPlace[] {
	if (step.joined) return [];
	const own = placesFilled(build, step);
	const units = unitsFilled(build, step).flatMap((at) => partsOf(build, at));
	return [...own, ...units].filter(({ station }) => station.fastening);
}

/** The parts of a sub-assembly and of those within it, at its place. */
export function partsOf(build: Together, { unit, cylinder }: UnitPlace): BuildPlace[] {
	const here = (where: { readonly cylinder: number }) => matches(where.cylinder, cylinder);
	return unit.parts.flatMap((key) => [
		...[...build.places.values()].filter((place) => place.station.key === key && here(place)),
		...[...build.units.values()]
			.filter((unitPlace) => unitPlace.unit.key === key && here(unitPlace))
			.flatMap((unitPlace) => partsOf(build, unitPlace))
	]);
}

// The cylinders of this job, as its places have them.
const openAt = ({ places }: Together): number[] =>
	[...new Set([...places.values()].map(({ cylinder }) => cylinder))].filter((value) => value > 0);

/** Keys of the build steps that are done: nothing is left of them, and those of the sheet are signed off. */
export function builtSteps(build: Together, answers: Keys): Set<string> {
	const done = build.steps.filter((step) => {
		const { notIn, notTightened, questions } = leftOf(build, step, answers);
		return (
			notIn.length === 0 &&
			notTightened.length === 0 &&
			questions === 0 &&
			(step.mirrored || build.signed.has(step.key))
		);
	});
	return new Set(done.map(({ key }) => key));
}

/** Whether a part is in the pump: in its place, and so is every sub-assembly that it is part of. */
export function inPump(build: Together, place: BuildPlace): boolean {
	const joined = [...new Set([...build.units.values()].map(({ unit }) => unit))];
	const held = (key: string): boolean => {
		const holder = holderOf(joined, key);
		if (!holder) return true;
		const at = build.units.get(unitPlace(holder.key, holder.per === 'pump' ? 0 : place.cylinder));
		return at?.putIn !== undefined && held(holder.key);
	};
	return partIn(place) && held(place.station.key);
}

/** Pieces in against pieces that belong in, and how many of those in are new. */
export function piecesIn(build: Together): { in: number; of: number; fresh: number } {
	const all = [...build.places.values()];
	const pieces = (some: readonly BuildPlace[]) => some.reduce((sum, { station }) => sum + station.pieces, 0);
	const here = all.filter((place) => inPump(build, place));
	return {
		in: pieces(here),
		of: pieces(all),
		fresh: pieces(here.filter(({ record }) => record.putIn?.payload.piece === 'new'))
	};
}

/** Something put in or signed off against the order, with the reason that was given. */
interface OutOfOrder {
	readonly name: string;
	readonly cylinder: number;
	readonly reason: string;
	readonly by: string;
}

/** What was put in or signed off against the stated order, with its reasons, part by part and then step by step. */
export function doneDespite(
	build: Pick<Together, 'places' | 'units'>,
	steps: readonly { readonly key: string; readonly text: string }[],
	signed: JobState['steps']
): OutOfOrder[] {
	const parts = [...build.places.values()].flatMap(({ station, cylinder, record }) =>
		record.putIn?.payload.despite
			? [{ name: station.name, cylinder, reason: record.putIn.payload.despite, by: record.putIn.by }]
			: []
	);
	const units = [...build.units.values()].flatMap(({ unit, cylinder, putIn }) =>
		putIn?.payload.despite ? [{ name: unit.name, cylinder, reason: putIn.payload.despite, by: putIn.by }] : []
	);
	const done = steps.flatMap(({ key, text }) => {
		const entry = signed.get(key);
		return entry?.payload.despite ? [{ name: text, cylinder: 0, reason: entry.payload.despite, by: entry.by }] : [];
	});
	return [...parts, ...units, ...done];
}
