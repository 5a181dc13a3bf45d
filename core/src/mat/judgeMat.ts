import { judge, leadersOf, withinSet, type JudgeInput, type Judgement, type LifeFacts } from '../decide';
import { LifeContext } from '../life';
import { untouched, type PartRecord, type Station } from '../record';
import type { MatCell, MatFacts } from './facts';
import { placeKey } from './place';

/** One part on the mat with what was recorded of it. */
export interface LaidPart {
	readonly cell: MatCell;
	readonly station: Station;
	readonly record: PartRecord;
}

export interface JudgedPart extends LaidPart {
	readonly judgement: Judgement;
}

/** The mat with what was recorded of each part, by place. */
export function layMat(
	{ sheet, cells }: Pick<MatFacts, 'sheet' | 'cells'>,
	records: ReadonlyMap<string, PartRecord>
): ReadonlyMap<string, LaidPart> {
	const stations = new Map(sheet.stations.map((station) => [station.key, station]));
	return new Map(
		cells.map((cell) => [
			placeKey(cell.station, cell.cylinder),
			{ cell, station: stations.get(cell.station)!, record: records.get(cell.part) ?? untouched }
		])
	);
}

/** By place, the places of the parts that one runs with: those that its sheet names, and those that name it, of the same cylinder. */
export function matePlaces({
	sheet,
	cells
}: Pick<MatFacts, 'sheet' | 'cells'>): ReadonlyMap<string, readonly string[]> {
	const matesOf = new Map(sheet.stations.map(({ key, mates }) => [key, mates]));
	return new Map(
		cells.map((cell) => [
			placeKey(cell.station, cell.cylinder),
			cells
				.filter(
					({ station, cylinder }) =>
						(cylinder === cell.cylinder || cylinder === 0 || cell.cylinder === 0) &&
						(matesOf.get(cell.station)?.includes(station) || matesOf.get(station)?.includes(cell.station))
				)
				.map(({ station, cylinder }) => placeKey(station, cylinder))
		])
	);
}

/** The parts that the one at this place runs with. */
export const matesAt = <P extends LaidPart>(
	mates: ReadonlyMap<string, readonly string[]>,
	{ station, cylinder }: Pick<MatCell, 'station' | 'cylinder'>,
	mat: ReadonlyMap<string, P>
): P[] => mates.get(placeKey(station, cylinder))!.map((place) => mat.get(place)!);

/** What is known of the life of the part in one cell; the same object while nothing of it has changed. */
export const lifeOf = (
	fleet: MatFacts['fleet'],
	station: Station,
	cell: MatCell,
	context = new LifeContext()
): LifeFacts =>
	context.kept(cell, 'life', [fleet, station], () => {
		const wear = station.characteristics.flatMap(({ key }) => {
			const fitted = fleet.wear[`${station.key}/${key}`];
			return fitted ? [[key, fitted] as const] : [];
		});
		const { age, dutyHours, earlier } = cell;
		const { wearFactor, pump, ends } = fleet;
		return { age, dutyHours, earlier, wearFactor, pump, wear: Object.fromEntries(wear), ends: ends[station.key] };
	});

/** What is known of one part on the mat, as the core judges it. */
export const judgeInput = (
	{ gauges, policy, fleet, sheet, forecasts }: Omit<MatFacts, 'cells'>,
	{ cell, station, record }: LaidPart,
	mates: readonly LaidPart[],
	context?: LifeContext
): JudgeInput => ({
	station,
	record,
	asFitted: cell.asFitted,
	gauges,
	policy,
	life: lifeOf(fleet, station, cell, context),
	context,
	forecast: forecasts?.[cell.part],
	mates: mates.map((mate) => ({ station: mate.station, record: mate.record })),
	stations: sheet.stations,
	ratedPressure: sheet.ratedPressureMPa
});

// By itself and its mates, sharing what the parts have in common.
function judgesIn(facts: MatFacts): (part: LaidPart, mates: readonly LaidPart[]) => Judgement {
	const context = new LifeContext();
	return (part, mates) => judge(judgeInput(facts, part, mates, context));
}

/**
 * Judges every part on the mat: each by itself and its mates, then within its set.
 * `judgeOne` may remember what it said while nothing that it rests on has changed.
 */
export function judgeMat(
	facts: MatFacts,
	records: ReadonlyMap<string, PartRecord>,
	mates = matePlaces(facts),
	judgeOne = judgesIn(facts)
): JudgedPart[] {
	const mat = layMat(facts, records);
	const judged = [...mat.values()].map((part) => {
		const judgement = judgeOne(part, matesAt(mates, part.cell, mat));
		return { ...part, cylinder: part.cell.cylinder, judgement };
	});
	const leaders = leadersOf(judged, facts.policy);
	return judged.map((part) => ({ ...part, judgement: withinSet(part, leaders, facts.policy) }));
}
