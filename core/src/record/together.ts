import { partType } from '../part';
import { groupTightened } from './kinds/tightened';
import { untouched, type PartRecord } from './fold';
import { unanswered } from './kinds/answer';
import type { Verdict } from './kinds/decision';
import { buildSteps, stationsInScope, type BuildStep, type ModelSheet, type Opening, type Station } from './sheet';

/** A part's place in the pump, and what the log says of it. */
export interface BuildPlace {
	readonly part: string;
	readonly station: Station;
	/** 0: the pump's own. */
	readonly cylinder: number;
	readonly record: PartRecord;
}

/** A pump being put together: the plan, and how far it has come. */
export interface Together {
	readonly steps: readonly BuildStep[];
	/** The places of the mat in the order of the plan, without surfaces of the pump itself. */
	readonly places: ReadonlyMap<string, BuildPlace>;
	/** Stations that gate each station, judged at their places before a part goes in. */
	readonly gates: ReadonlyMap<string, readonly BuildPlace[]>;
}

interface MatPlace {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
}

/**
 * The plan of a job and what is in, from its mat and the log's word on each part.
 *
 * Shape: `cells` name the part of each place (cylinder 0: the pump's own); `records` as `fold` gives them.
 */
export function together(
	sheet: ModelSheet,
	opening: Opening,
	cells: readonly MatPlace[],
	records: ReadonlyMap<string, PartRecord>
): Together {
	const stations = new Map(stationsInScope(sheet, opening).map((station) => [station.key, station]));
	const all = cells.flatMap(({ part, station: key, cylinder }): BuildPlace[] => {
		const station = stations.get(key);
		return station ? [{ part, station, cylinder, record: records.get(part) ?? untouched }] : [];
	});
	const loose = all.filter(({ station }) => !partType(station.type).fixed);
	const gates = new Map(
		sheet.stations.map(({ key }) => [key, all.filter(({ station }) => station.gates.includes(key))] as const)
	);
	return {
		steps: buildSteps(sheet, opening),
		places: new Map(loose.map((place) => [place.part, place])),
		gates
	};
}

/** The places that a step fills, those of the cylinders before the pump's own: what closes a cylinder comes last. */
export const placesFilled = ({ places }: Together, step: Pick<BuildStep, 'stations'>): BuildPlace[] => {
	const mine = step.stations.flatMap((key) => [...places.values()].filter(({ station }) => station.key === key));
	const rank = ({ cylinder, station }: BuildPlace) => (cylinder > 0 ? 0 : station.type === 'fastener' ? 2 : 1);
	return mine.toSorted((a, b) => rank(a) - rank(b));
};

const isIn = ({ record }: BuildPlace): boolean => record.putIn !== undefined;
const atOnePlace = (a: BuildPlace, b: BuildPlace) => a.cylinder === 0 || b.cylinder === 0 || a.cylinder === b.cylinder;

/**
 * What has to be in before a part and is not: of the steps that its own comes after, at its cylinder, or at every cylinder
 * for what belongs to the pump as a whole. Undefined where nothing is missing, or the part has no place here.
 */
export function firstMissing(build: Together, part: string): BuildPlace | undefined {
	const place = build.places.get(part);
	const step = place && build.steps.find(({ stations }) => stations.includes(place.station.key));
	if (!step) return undefined;
	const earlier = build.steps.filter(({ key }) => step.after.includes(key)).flatMap((one) => placesFilled(build, one));
	const mine = placesFilled(build, step);
	const before = place.cylinder > 0 ? [] : mine.slice(0, mine.indexOf(place));
	return [...earlier, ...before].find((other) => atOnePlace(place, other) && !isIn(other));
}

/** What gates a part (a bore, a land) and is not judged fit yet at its place. */
export const gateOpen = (build: Together, part: string): BuildPlace | undefined => {
	const place = build.places.get(part);
	const gates = place ? (build.gates.get(place.station.key) ?? []) : [];
	return gates.find((gate) => atOnePlace(place!, gate) && verdictOn(gate) === undefined);
};

/** What was decided of a place's part, where that is final. */
export function verdictOn({ record }: BuildPlace): Exclude<Verdict, 'lookAgain'> | undefined {
	const verdict = record.decisions.at(-1)?.payload.verdict;
	return verdict === 'lookAgain' ? undefined : verdict;
}

/** What still keeps a build step from being done, in the order in which it is seen to. */
export interface StepLeft {
	readonly notIn: readonly BuildPlace[];
	readonly notTightened: readonly BuildPlace[];
	/** How many questions are open. */
	readonly questions: number;
}

export function leftOf(build: Together, step: BuildStep, answers: { has(key: string): boolean }): StepLeft {
	const places = placesFilled(build, step);
	return {
		notIn: places.filter((place) => !isIn(place)),
		notTightened: places.filter(({ station, record }) => !groupTightened(station, record)),
		questions: unanswered(step, answers).length
	};
}

/** Keys of the build steps that are done: nothing is left of them, and those of the sheet are signed off. */
export function builtSteps(
	build: Together,
	signed: { has(key: string): boolean },
	answers: { has(key: string): boolean }
): Set<string> {
	const done = build.steps.filter((step) => {
		const { notIn, notTightened, questions } = leftOf(build, step, answers);
		return (
			notIn.length === 0 && notTightened.length === 0 && questions === 0 && (step.mirrored || signed.has(step.key))
		);
	});
	return new Set(done.map(({ key }) => key));
}

/** Pieces in against pieces that belong in, and how many of those in are new. */
export function piecesIn({ places }: Together): { in: number; of: number; fresh: number } {
	const all = [...places.values()];
	const pieces = (some: readonly BuildPlace[]) => some.reduce((sum, { station }) => sum + station.pieces, 0);
	return {
		in: pieces(all.filter(isIn)),
		of: pieces(all),
		fresh: pieces(all.filter(({ record }) => record.putIn?.payload.piece === 'new'))
	};
}
