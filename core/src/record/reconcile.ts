import { untouched, type PartRecord } from './jobState';
import { askKey, type Answer } from './kinds/answer';
import { brokenUp, foundWrong } from './kinds/asFound';
import type { Unproved } from './proved';
import {
	applies,
	openedCylinders,
	piecesInPump,
	staysIn,
	stationsInScope,
	stepsInScope,
	type ModelSheet,
	type Opening,
	type Station
} from './sheet';

/** The pieces of one station, out of the pump and on the bench. */
interface PiecesOut {
	readonly station: Station;
	/** As many as the pump has, by its sheet and variants; those that were not there when it was opened are left out. */
	readonly expected: number;
	/** As many as have been counted or laid out; undefined while they have not come out. */
	readonly out?: number;
	/** Assemblies in which what is short may have stayed. */
	readonly inspectionIn: readonly string[];
	/** Cylinders (0: the pump's own) where a part came out in pieces, not all of which were found. */
	readonly fragmentsLostAt: readonly number[];
}

interface Log {
	readonly steps: { has(key: string): boolean };
	readonly answers: ReadonlyMap<string, Answer>;
	readonly parts: ReadonlyMap<string, PartRecord>;
}

/**
 * Parts out against parts that the pump has, station by station in the order of the sheet: what is counted goes by its
 * count, the rest by the step that takes it out. A part found missing was not there; one found doubled came twice.
 *
 * Shape: `partAt` names the part of a place of this job, station and cylinder (0: the pump's own).
 */
export function reconcile(
	sheet: ModelSheet,
	job: Opening,
	log: Log,
	partAt: (station: string, cylinder: number) => string | undefined
): PiecesOut[] {
	const steps = stepsInScope(sheet, job).filter(({ stage }) => stage === 'strip');
	// What is judged where it is does not come out.
	const pieces = stationsInScope(sheet, job).filter((station) => !staysIn(station));
	return pieces.map((station) => {
		const places = station.per === 'pump' ? [0] : openedCylinders(sheet, job);
		const there = places.filter((cylinder) => applies(station.onlyWith, job.variants, cylinder));
		const recordAt = (cylinder: number) => log.parts.get(partAt(station.key, cylinder) ?? '') ?? untouched;
		const wrong = there.flatMap((cylinder) => foundWrong(recordAt(cylinder)));
		const missing = wrong.filter((fault) => fault === 'missing').length * station.pieces;
		const doubled = wrong.filter((fault) => fault === 'doubled').length * station.pieces;
		const expected = piecesInPump(sheet, station.key, job) - missing;
		const takenOut = steps.some(({ key, stations }) => stations.includes(station.key) && log.steps.has(key));
		const counted = steps.flatMap(({ key, asks }) =>
			asks.flatMap((ask, i) => {
				const value = log.answers.get(askKey(key, i))?.payload.value;
				return ask.kind === 'count' && ask.station === station.key && typeof value === 'number' ? [value] : [];
			})
		);
		const out = counted.at(-1) ?? (takenOut ? expected + doubled : undefined);
		const fragmentsLostAt = there.filter((cylinder) => brokenUp(recordAt(cylinder)) === 'oneLost');
		const inspectionIn = [station.in, ...station.mayStayIn];
		return { station, expected, ...(out === undefined ? {} : { out }), inspectionIn, fragmentsLostAt };
	});
}

/** Stations whose pieces are out, and not as many as there should be, or a fragment of one is lost. */
export const unaccounted = (pieces: readonly PiecesOut[]): PiecesOut[] =>
	pieces.filter(
		({ expected, out, fragmentsLostAt }) => (out !== undefined && out !== expected) || fragmentsLostAt.length > 0
	);

/** Fragments that no one has found, place by place: what keeps a pump from being closed in good faith. */
export const lostFragments = (pieces: readonly PiecesOut[]): Unproved[] =>
	pieces.flatMap(({ station, fragmentsLostAt }) =>
		fragmentsLostAt.map((cylinder): Unproved => ({ what: 'fragmentLost', part: station.name, cylinder }))
	);
