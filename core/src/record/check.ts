import { partType } from '../part/register';
import { dimensionOf } from '../quantity';
import type { Entry, Fitted, Mark, Reading } from './entry';
import {
	characteristicOf,
	placesToRead,
	stationsInScope,
	type ModelSheet,
	type Scope,
	type SheetCharacteristic,
	type Station
} from './sheet';

/** Why an entry that is well formed does not belong into this job. Sentences for the codes are the interface's. */
export type EntryProblem =
	| { readonly code: 'unknownPart' }
	| { readonly code: 'patternNotOfPart'; readonly pattern: string; readonly part: string }
	| { readonly code: 'characteristicNotOnSheet'; readonly characteristic: string; readonly part: string }
	| { readonly code: 'placeNotOnGrid'; readonly station: number; readonly angle: number }
	| { readonly code: 'wrongUnit'; readonly typed: string; readonly expected: string }
	| {
			readonly code: 'implausible';
			readonly value: number;
			readonly nominal: number;
			readonly unit: string;
			readonly suspect?: UnitSuspicion;
	  }
	| { readonly code: 'markOffSurface'; readonly part: string }
	| { readonly code: 'overruleWithoutReason' }
	| { readonly code: 'unknownStep'; readonly step: string };

/** A reading that is off by a factor that unit mistakes make: 25.4 (inches for millimetres), 10 or 1000 (a slipped point). */
export type UnitSuspicion = 'inch' | 'tenfold' | 'thousandfold';

const PLAUSIBLE = { least: 0.5, most: 1.5 }; // share of nominal: worn parts lie far inside, mistaken units far outside
const SUSPECTS: readonly [UnitSuspicion, number][] = [
	['inch', 25.4],
	['tenfold', 10],
	['thousandfold', 1000]
];

/** Whether a reading can be of this size at all, and which mistake of unit would explain it. */
export function checkPlausible(
	value: number,
	{ nominal, unit }: SheetCharacteristic,
	form?: 'runout' | 'flatness'
): EntryProblem | undefined {
	if (form) return Math.abs(value) <= DIAL_MOST_MM ? undefined : { code: 'implausible', value, nominal, unit };
	if (unit === 'share') return value >= 0 && value <= 1 ? undefined : { code: 'implausible', value, nominal, unit };
	const share = value / nominal;
	if (share >= PLAUSIBLE.least && share <= PLAUSIBLE.most) return undefined;
	if (nominal < SMALL_NOMINAL && value >= 0 && value <= nominal * SMALL_NOMINAL_MOST) return undefined;
	const explains = (factor: number) => [share * factor, share / factor].some((s) => s > 0.8 && s < 1.25);
	const suspect = SUSPECTS.find(([, factor]) => explains(factor))?.[0];
	return { code: 'implausible', value, nominal, unit, suspect };
}
const DIAL_MOST_MM = 10; // deviations from wherever the dial was set to zero
// Sizes that start from almost nothing (a pit depth, a gap, a roughness) may grow manyfold.
const SMALL_NOMINAL = 1;
const SMALL_NOMINAL_MOST = 60;

/** What the check of an entry has to know of its job. */
export interface JobFacts {
	readonly sheet: ModelSheet;
	readonly scope: Scope;
	/** Station key of each part on the mat, by part id. */
	readonly stationOfPart: ReadonlyMap<string, string>;
}

/** Whether an entry fits its job: the part is on the mat, the size is on the sheet, an overrule has its reason. */
export function checkEntry(entry: Entry, job: JobFacts): EntryProblem | undefined {
	if (entry.kind === 'step') {
		const known = job.sheet.steps.some((step) => step.key === entry.payload.step);
		return known ? undefined : { code: 'unknownStep', step: entry.payload.step };
	}
	if (!('part' in entry) || !entry.part) return undefined;
	const stationKey = job.stationOfPart.get(entry.part);
	const station = stationsInScope(job.sheet, job.scope).find((one) => one.key === stationKey);
	if (!station) return { code: 'unknownPart' };
	switch (entry.kind) {
		case 'finding':
			return checkPattern(entry.payload.pattern, station);
		case 'reading':
			return checkReading(entry, station);
		case 'fitted':
			return checkSize(entry, station);
		case 'mark':
			return checkMark(entry, station);
		case 'decision': {
			const { verdict, proposed, why } = entry.payload;
			return verdict !== proposed && !why ? { code: 'overruleWithoutReason' } : undefined;
		}
		default:
			return undefined;
	}
}

function checkPattern(pattern: string, station: Station): EntryProblem | undefined {
	const known = partType(station.type).patterns.some((rule) => rule.pattern === pattern);
	return known ? undefined : { code: 'patternNotOfPart', pattern, part: station.name };
}

function checkMark({ payload: { fromMm, toMm } }: Mark, { surface, name }: Station): EntryProblem | undefined {
	const onSurface = surface !== undefined && fromMm >= 0 && toMm <= surface.lengthMm && fromMm <= toMm;
	return onSurface ? undefined : { code: 'markOffSurface', part: name };
}

function checkReading(reading: Reading, station: Station): EntryProblem | undefined {
	const { payload } = reading;
	const measured = station.characteristics.find((one) => one.key === payload.characteristic);
	if (measured) {
		const { rows, columns } = placesToRead(measured);
		if (payload.station >= rows.length || payload.angle >= columns.length)
			return { code: 'placeNotOnGrid', station: payload.station, angle: payload.angle };
	}
	return checkSize(reading, station);
}

function checkSize({ payload }: Reading | Fitted, station: Station): EntryProblem | undefined {
	const measured = station.characteristics.find((one) => one.key === payload.characteristic);
	if (!measured)
		return { code: 'characteristicNotOnSheet', characteristic: payload.characteristic, part: station.name };
	if (dimensionOf(payload.typed.unit) !== dimensionOf(measured.unit)) {
		return { code: 'wrongUnit', typed: payload.typed.unit, expected: measured.unit };
	}
	return checkPlausible(payload.value, measured, characteristicOf(station, measured.key).form);
}
