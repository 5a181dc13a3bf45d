import { judge, wantedSizes, type LifeFacts, type Policy, type ShopGauge } from '@exetasis/core/decide';
import { LifeContext } from '@exetasis/core/life';
import { partType, type PatternKey, type Severity } from '@exetasis/core/part';
import {
	type Answer,
	type Ask,
	askedAt,
	openedCylinders,
	piecesInPump,
	discardLimit,
	fold,
	untouched,
	placesAsked,
	pointsToRead,
	type Entry,
	type ModelSheet,
	type Opening,
	type SheetCharacteristic,
	type Station,
	type Verdict,
	stepsInScope
} from '@exetasis/core/record';
import { toBase } from '@exetasis/core/quantity';
import type { Random } from './random';
import type { DemoPump } from './shop';
import { painted, storyMarks, type Mark } from './stories';
import { isDamaged, newPart, shareUsed, stationOf, type Population, type TruePart } from './wear';

/** A rebuild as the demo's technician meets it: the parts on the mat and their true condition. */
export interface Rebuild {
	readonly job: string;
	readonly by: string;
	readonly at: Date;
	readonly pump: DemoPump;
	readonly sheet: ModelSheet;
	readonly scope: string;
	readonly cells: readonly {
		part: string;
		station: string;
		cylinder: number;
		asFitted: Record<string, number>;
		truth: TruePart;
		/** What the application knows of its life, so that the technician sees its proposals. */
		life?: LifeFacts;
	}[];
	readonly population: Population;
	readonly gauges: readonly ShopGauge[];
	/** What each gauge, by its id, shows beyond the truth; left out: nothing. */
	readonly gaugeErrors?: ReadonlyMap<string, number>;
	readonly policy: Policy;
	/** Hours since the rebuild before. */
	readonly interval: number;
	/** Years since the demo began. */
	readonly years: number;
	/** Who put the pump together last, by name. */
	readonly refitBy?: string;
	/** How far the work got: everything, or half of the parts looked at and nothing decided. */
	readonly progress: 'whole' | 'half';
	readonly makeId: (at: Date) => string;
}

/** What an inspection writes into the bench log: looks, readings and decisions for every part on the mat. */
export function inspect(rebuild: Rebuild, random: Random): Entry[] {
	const entries = lookAndMeasure(rebuild, random);
	if (rebuild.progress === 'half') return entries;
	const add = writer(rebuild, entries, random);
	for (const { part, station, payload } of decisions(rebuild, entries)) {
		add({ kind: 'decision', part, payload });
		// New plungers are measured before they go in, so that their wear is counted from there.
		if (payload.verdict === 'replace' && station.type === 'plunger')
			for (const fitted of asFitted(station, rebuild, random)) add({ kind: 'fitted', part, payload: fitted });
	}
	return entries;
}

// Adds entries to a log, each some seconds after the last.
function writer(rebuild: Rebuild, entries: Entry[], random: Random): (entry: object) => void {
	let clock = entries.length > 0 ? Date.parse(entries.at(-1)!.at) : rebuild.at.getTime();
	return (entry) => {
		clock += Math.round(random.between(4, 25)) * 1000;
		const at = new Date(clock);
		entries.push({ id: rebuild.makeId(at), job: rebuild.job, by: rebuild.by, at: at.toISOString(), ...entry } as Entry);
	};
}

/** The steps, looks and readings of an inspection, before anything is decided. */
export function lookAndMeasure(rebuild: Rebuild, random: Random): Entry[] {
	const entries: Entry[] = [];
	const add = writer(rebuild, entries, random);
	for (const made of takeApart(rebuild.sheet, { scope: rebuild.scope, variants: rebuild.pump.variants })) add(made);
	const cells =
		rebuild.progress === 'half' ? rebuild.cells.slice(0, Math.ceil(rebuild.cells.length / 2)) : rebuild.cells;
	for (const cell of cells) {
		const station = stationOf(rebuild.sheet, cell.station);
		const marks = marksOn(rebuild, cell, station, random);
		if (marks.length === 0) add({ kind: 'clean', part: cell.part, payload: {} });
		for (const mark of marks) add({ kind: 'finding', part: cell.part, payload: mark });
		for (const payload of painted(rebuild, cell)) add({ kind: 'mark', part: cell.part, payload });
		const wanted = wantedSizes(station, recordOf(entries, cell.part), rebuild.policy);
		for (const payload of readingsOf(station, wanted, cell.truth, rebuild, random))
			add({ kind: 'reading', part: cell.part, payload });
	}
	return entries;
}

/** What a technician writes in taking a pump apart where nothing is amiss: answers and sign-offs, step by step. */
export function takeApart(sheet: ModelSheet, opening: Opening): { kind: string; payload: object }[] {
	const opened = openedCylinders(sheet, opening);
	return stepsInScope(sheet, opening).flatMap(({ key: step, asks, ways: [way] }) => [
		...asks.flatMap((ask, i) =>
			askedAt(ask, opened).map((at) => ({
				kind: 'answer',
				payload: { step, ask: i, value: answerTo(ask, sheet, opening), ...(at ? { cylinder: at } : {}) }
			}))
		),
		{ kind: 'step', payload: { step, ...(way ? { way: way.key } : {}) } }
	]);
}

/** The choice from which nothing follows. */
export const harmless = ({ choices }: Extract<Ask, { kind: 'choice' }>): string =>
	(choices.find(({ means }) => means === 'harmless') ?? choices[0]).text;

/** Readings that are alike at every place. */
export const evenReadings = (
	ask: Extract<Ask, { kind: 'readings' }>,
	cylinders: readonly number[]
): Answer['payload']['value'] => ({
	readings: placesAsked(ask, cylinders).map(() => ({
		value: toBase(0.5, ask.unit),
		typed: { text: '0.5', unit: ask.unit }
	}))
});

// What is answered where nothing is amiss: all pieces are there, and everything is as it should be.
function answerTo(ask: Ask, sheet: ModelSheet, opening: Opening): Answer['payload']['value'] {
	switch (ask.kind) {
		case 'count':
			return piecesInPump(sheet, ask.station, opening);
		case 'choice':
			return harmless(ask);
		case 'tick':
			return true;
		case 'readings':
			return evenReadings(ask, openedCylinders(sheet, opening));
		case 'setting':
			return { value: sheet.ratedPressureMPa, typed: { text: `${sheet.ratedPressureMPa}`, unit: ask.unit } };
		default:
			return 'Nothing to note';
	}
}

const recordOf = (entries: readonly Entry[], part: string) =>
	fold(entries.filter((entry) => 'part' in entry && entry.part === part)).parts.get(part) ?? untouched;

function marksOn(rebuild: Rebuild, cell: Rebuild['cells'][number], station: Station, random: Random): Mark[] {
	const told = storyMarks(rebuild, cell, (p) => random.chance(p));
	if (told.length > 0) return told;
	if (isDamaged(cell.truth)) return damageOf(station);
	const used = shareUsed(cell.truth, station);
	const severity: Severity = used > 1 ? 3 : used > 0.7 ? 2 : 1;
	const service = (pattern: PatternKey, level: Severity = severity): Mark[] => [
		{ pattern, severity: level, onset: 'service' }
	];
	const wear: Partial<Record<string, PatternKey>> = {
		vRing: 'insideWear',
		lipSeal: 'lipFlat',
		oRing: 'flatSet',
		plunger: 'wearBand',
		valveSeat: 'faceWorn',
		valve: 'faceWorn',
		spring: 'short',
		cup: 'lipFlat',
		sleeve: 'wearBand',
		cage: 'postWorn',
		ropePacking: 'insideWear',
		diaphragm: 'stretched',
		regulatorSeat: 'rounded',
		regulatorStem: 'bevelled'
	};
	const pattern = wear[station.type];
	if (pattern && used > 0.45 && random.chance(0.75)) return service(pattern, station.type === 'plunger' ? 1 : severity);
	if (station.type === 'sealRetainer' || station.type === 'wick')
		return random.chance(0.04) ? service('soiled', 1) : [];
	if (station.type === 'oRing' && random.chance(0.006)) return [{ pattern: 'pinched', severity: 1, onset: 'assembly' }];
	if (station.type === 'plunger' && random.chance(0.02)) return service('axialScoring', 1);
	if (station.type === 'sealCase' && random.chance(0.02))
		return [{ pattern: 'pryMark', severity: 1, onset: 'handling' }];
	if (station.type === 'vRing' && random.chance(0.012)) return service('oneSidedWear', 1);
	if (station.type === 'valveSeat' && random.chance(0.03)) return service('pitted', 1);
	return [];
}

// The first of its type's patterns that ends a life and is not the look of a measured wear.
function damageOf({ type, characteristics }: Station): Mark[] {
	const rule = partType(type).patterns.find(
		({ outFrom, wearOf = [], stopsUnitFrom }) =>
			outFrom !== undefined && stopsUnitFrom === undefined && !characteristics.some(({ key }) => wearOf.includes(key))
	);
	return rule ? [{ pattern: rule.pattern, severity: rule.outFrom!, onset: 'service' }] : [];
}

// The technician measures what the look calls for.
function* readingsOf(
	station: Station,
	wanted: readonly SheetCharacteristic[],
	truth: TruePart,
	{ gauges, gaugeErrors }: Pick<Rebuild, 'gauges' | 'gaugeErrors'>,
	random: Random
) {
	for (const characteristic of wanted) {
		const { instrument, form } = partType(station.type).characteristics.find(({ key }) => key === characteristic.key)!;
		const gauge = gauges.find(({ kind }) => kind === instrument)!;
		const { rows, columns } = pointsToRead(characteristic);
		const shape = { rows: rows.length, columns: columns.length };
		for (let row = 0; row < shape.rows; row++) {
			for (let column = 0; column < shape.columns; column++) {
				const at = { row, column, ...shape };
				const shown = form
					? dialAt(characteristic, truth, gauge, at, random)
					: readingAt(characteristic, truth, gauge, at, random);
				const value = shown + (gaugeErrors?.get(gauge.id) ?? 0);
				const text = value.toFixed(gauge.facts.resolution < 0.01 ? 3 : 2);
				const typed = { text, unit: characteristic.unit };
				yield {
					characteristic: characteristic.key,
					row,
					column,
					value: Number(text),
					typed,
					gauge: gauge.id
				};
			}
		}
	}
}

interface At {
	readonly row: number;
	readonly column: number;
	readonly rows: number;
	readonly columns: number;
}

// The seal track wears most in its middle; a reading adds the gauge's own scatter and its display's step.
function readingAt(
	characteristic: SheetCharacteristic,
	truth: TruePart,
	{ facts }: ShopGauge,
	at: At,
	random: Random
): number {
	const share = at.rows === 3 ? [0.7, 1, 0.6][at.row] * (at.column === 0 ? 1 : 0.93) : 1;
	const { key, nominal } = characteristic;
	const towards = discardLimit(characteristic)?.side === 'min' ? -1 : 1;
	const scatter = Math.hypot(facts.repeatability, facts.reproducibility);
	const value = nominal + towards * truth.wear.get(key)! * share + random.normal(0, scatter);
	return Math.max(facts.resolution, Math.round(value / facts.resolution) * facts.resolution);
}

// A dial round a part or over a face: the form's deviation, on top of how the part happens to lie.
function dialAt(
	{ key, nominal }: SheetCharacteristic,
	truth: TruePart,
	{ facts }: ShopGauge,
	{ row, column, rows, columns }: At,
	random: Random
): number {
	const deviation = (nominal + truth.wear.get(key)!) / 2;
	const turn = (2 * Math.PI * column) / columns;
	const value =
		deviation * Math.cos(turn) * Math.cos((2 * Math.PI * row) / rows) + random.normal(0, facts.repeatability);
	return Math.round(value / facts.resolution) * facts.resolution;
}

function asFitted(station: Station, rebuild: Rebuild, random: Random) {
	const fresh = newPart(station, rebuild.population, random);
	return [...readingsOf(station, [station.characteristics[0]], fresh, rebuild, random)]
		.slice(0, 1)
		.map(({ characteristic, value, typed }) => ({ characteristic, value, typed }));
}

// The technician follows the proposal, but for the story of the scored plunger that is kept again and again; what is
// still too close, unmeasured or dirty is looked at a second time and then kept.
function* decisions({ cells, sheet, gauges, policy, pump }: Rebuild, entries: readonly Entry[]) {
	const { parts } = fold(entries);
	const context = new LifeContext();
	for (const { part, station: key, cylinder, asFitted, life } of cells) {
		const station = stationOf(sheet, key);
		const record = parts.get(part) ?? untouched;
		const { verdict: proposed } = judge({
			station,
			record,
			asFitted,
			context,
			life,
			gauges,
			policy,
			stations: sheet.stations,
			ratedPressure: sheet.ratedPressureMPa
		});
		const keptPlunger = pump.story === 'scoredPlungerKept' && key === 'plunger' && cylinder === 1;
		const verdict: Verdict = keptPlunger || proposed === 'lookAgain' || proposed === 'open' ? 'reuse' : proposed;
		const why = keptPlunger
			? 'Scratches are light, it will do with new packing'
			: 'Looked at again, good enough to the eye';
		yield { part, station, payload: verdict === proposed ? { verdict, proposed } : { verdict, proposed, why } };
	}
}
