import { judgeMat, type JudgedPart } from '@exetasis/core/mat';
import { patternName } from '@exetasis/core/part';
import { fold, standingDecision, type JobState, type PartRecord, type Verdict } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Format } from '$lib/format/numbers';
import { placesName } from '../words/report';
import { reasonSentence } from '../words/reasons';
import { inSentence } from '../words/place';

/** What a report says of one part. */
export interface ReportedPart extends JudgedPart {
	/** The decision; undefined if there is none. */
	readonly verdict?: Verdict;
	/** Patterns found on it, for the middle of a sentence; empty: nothing. */
	readonly found: string;
	/** Why: as it was typed, else the judgement's first reason. */
	readonly because: string;
}

/** A job as it is reported: its state and its parts, in the order of the sheet. */
export interface Reported {
	readonly bench: Bench;
	readonly state: JobState;
	readonly parts: readonly ReportedPart[];
	readonly format: Format;
}

/** The bench as it is reported, as its reader reads figures. */
export function reported(bench: Bench, format: Format): Reported {
	const state = fold(bench.entries);
	const parts = judgeMat(bench, state.parts).map((part): ReportedPart => {
		const decided = standingDecision(part.record)?.payload;
		const [reason] = part.judgement.reasons;
		return {
			...part,
			verdict: decided?.verdict,
			found: foundOn(part.record),
			because: decided?.why ?? (reason ? reasonSentence(reason, part.station, format) : '')
		};
	});
	return { bench, state, parts, format };
}

/** Patterns found on a part, for the middle of a sentence; empty: nothing. */
export const foundOn = ({ findings }: Pick<PartRecord, 'findings'>): string =>
	findings.map(({ payload }) => inSentence(patternName(payload.pattern))).join(', ');

/** Parts with the same text, in their order. */
export interface Alike {
	readonly says: string;
	readonly parts: readonly ReportedPart[];
}

/** Groups parts by their text, so that no text is printed twice. */
export function alike(parts: readonly ReportedPart[], sayOf: (part: ReportedPart) => string): Alike[] {
	const by = new Map<string, ReportedPart[]>();
	for (const part of parts) {
		const says = sayOf(part);
		by.set(says, [...(by.get(says) ?? []), part]);
	}
	return [...by].map(([says, all]) => ({ says, parts: all }));
}

/** The names of parts, those of one station together: "Plunger, cylinders 1 and 3; inlet seat, cylinder 2". */
export function namesOf(parts: readonly ReportedPart[]): string {
	const by = new Map<string, { name: string; cylinders: number[] }>();
	for (const { station, cell } of parts) {
		const row = by.get(station.key) ?? { name: station.name, cylinders: [] };
		by.set(station.key, row);
		row.cylinders.push(cell.cylinder);
	}
	return [...by.values()]
		.map(({ name, cylinders }, i) => placesName(i === 0 ? name : inSentence(name), cylinders))
		.join('; ');
}

/** By station in the order of the sheet. */
export function byStation(parts: readonly ReportedPart[]): (readonly ReportedPart[])[] {
	const by = new Map<string, ReportedPart[]>();
	for (const part of parts) by.set(part.station.key, [...(by.get(part.station.key) ?? []), part]);
	return [...by.values()];
}
