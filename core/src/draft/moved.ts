import {
	allSteps,
	chosenProblem,
	scopeOf,
	stationsInScope,
	withdrawnIds,
	type Entry,
	type ModelSheet,
	type Opening,
	type SheetCharacteristic,
	type Station,
	type Step
} from '../record';

/** What was recorded in a job and would have no place on another revision of its sheet. */
export interface Lost {
	readonly what: 'scope' | 'part' | 'size' | 'marks' | 'bolts' | 'step' | 'subAssembly';
	readonly name: string;
}

/** A part of a job, where it lies. */
export interface LaidPart {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const placesOf = ({ unit, grid, face }: SheetCharacteristic) => ({ unit, grid, face });

/**
 * What a job would lose by going on with another revision of its sheet: its scope, parts that lie on its mat, places of sizes that
 * were read, painted surfaces, bolts that were tightened, steps that were signed off or answered. What was withdrawn is no loss. Empty: nothing is lost.
 *
 * Shape: entries of one job in log order.
 */
export function lostByMove(
	before: ModelSheet,
	after: ModelSheet,
	opening: Opening,
	laid: readonly LaidPart[],
	entries: readonly Entry[]
): Lost[] {
	if (!scopeOf(after, opening) || chosenProblem(after, opening.variants ?? {}))
		return [{ what: 'scope', name: scopeOf(before, opening)?.name ?? opening.scope }];
	const stations = new Map(stationsInScope(after, opening).map((station) => [station.key, station]));
	const old = new Map(before.stations.map((station) => [station.key, station]));
	const stationOf = new Map(laid.map(({ part, station }) => [part, station]));
	const steps = new Map(allSteps(after, opening).map((step) => [step.key, step]));
	const lost = new Map<string, Lost>();
	const lose = (what: Lost['what'], name: string) => lost.set(`${what} ${name}`, { what, name });
	const opened = new Set(stationsInScope(before, opening).map(({ key }) => key));
	for (const { station: key, cylinder } of laid) {
		if (!opened.has(key)) continue;
		const [was, now] = [old.get(key), stations.get(key)];
		const fits = now && now.type === was?.type && now.per === was.per && cylinder <= after.cylinders;
		if (!fits) lose('part', was?.name ?? key);
	}
	const withdrawn = withdrawnIds(entries);
	for (const entry of entries.filter(({ id }) => !withdrawn.has(id))) {
		const key = 'part' in entry && typeof entry.part === 'string' ? stationOf.get(entry.part) : undefined;
		const [was, now] = key === undefined ? [] : [old.get(key), stations.get(key)];
		const found = was && now ? lostOfPart(entry, was, now) : lostOfPump(entry, before, after, steps);
		if (found) lose(found.what, found.name);
	}
	return [...lost.values()];
}

function lostOfPart(entry: Entry, was: Station, now: Station): Lost | undefined {
	if (entry.kind === 'reading') {
		const size = ({ characteristics }: Station) =>
			characteristics.find(({ key }) => key === entry.payload.characteristic);
		const [old, next] = [size(was), size(now)];
		if (old && (!next || !same(placesOf(old), placesOf(next)))) return { what: 'size', name: was.name };
	}
	if (entry.kind === 'mark' && !same(was.surface, now.surface)) return { what: 'marks', name: was.name };
	const tightening = ({ fastening }: Station) => fastening && { bolts: fastening.bolts, stages: fastening.stages };
	if (entry.kind === 'tightened' && !same(tightening(was), tightening(now))) return { what: 'bolts', name: was.name };
	return undefined;
}

function lostOfPump(
	entry: Entry,
	before: ModelSheet,
	after: ModelSheet,
	steps: ReadonlyMap<string, Step>
): Lost | undefined {
	if (entry.kind === 'unitIn') {
		const unit = ({ subAssemblies }: ModelSheet) => subAssemblies.find(({ key }) => key === entry.payload.unit);
		const [old, next] = [unit(before), unit(after)];
		return same(old?.parts, next?.parts) ? undefined : { what: 'subAssembly', name: old?.name ?? entry.payload.unit };
	}
	if (entry.kind !== 'step' && entry.kind !== 'answer' && entry.kind !== 'cylinderDone') return undefined;
	const was = before.steps.find(({ key }) => key === entry.payload.step);
	const now = steps.get(entry.payload.step);
	if (was && now && was.per === now.per && (entry.kind !== 'answer' || same(was.asks, now.asks))) return undefined;
	return was && { what: 'step', name: was.text };
}
