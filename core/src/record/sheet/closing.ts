import type { ModelSheet, SubAssembly } from './schema';
import type { Station } from './station';
import type { Step } from './step';
import { allSteps, staysIn, stationsInScope, type Opening } from './opening';

/** A step by which a pump is put together again. Its `stations` name stations and sub-assemblies, in the order in which they go in. */
export interface BuildStep extends Step {
	/** True where the plan adds the step itself: it needs no sign-off, it is done once everything is in. */
	readonly mirrored: boolean;
	/** The sub-assembly that is joined on the bench at this step. */
	readonly joined?: SubAssembly;
}

/** What has to be in (a fastener: tightened, a step: signed off) before what. */
export interface OrderFact {
	readonly first: string;
	readonly then: string;
	/** Left out: the order in which a sub-assembly is joined, or the reverse of the strip. */
	readonly why?: string;
	readonly sure: 'stated' | 'deduced';
}

/** Key of the step that puts a station back where the sheet names none. */
export const mirroredKey = (station: string): string => `back.${station}`;
/** Key of the step that joins a sub-assembly where the sheet names none. */
export const joinKey = (subAssembly: string): string => `join.${subAssembly}`;

/** The steps by which a job proves the pump. */
export const proveSteps = (sheet: ModelSheet, opening: Opening): Step[] =>
	allSteps(sheet, opening).filter(({ stage }) => stage === 'prove');

/** The sub-assemblies that a job opens in whole or in part, with the parts that it opens. */
export function subAssembliesInScope(sheet: ModelSheet, opening: Opening): SubAssembly[] {
	const inScope = new Set(stationsInScope(sheet, opening).map(({ key }) => key));
	// Inner ones first: a sub-assembly counts once anything in it does.
	let open: SubAssembly[] = [];
	for (let found = -1; found !== open.length;) {
		found = open.length;
		const known = new Set([...inScope, ...open.map(({ key }) => key)]);
		open = sheet.subAssemblies.flatMap((subAssembly) => {
			if (subAssembly.scopes && !subAssembly.scopes.includes(opening.scope)) return [];
			const parts = subAssembly.parts.filter((part) => known.has(part));
			return parts.length > 0 ? [{ ...subAssembly, parts }] : [];
		});
	}
	return open;
}

/** The sub-assembly that a station or sub-assembly is part of. */
export const holderOf = (subAssemblies: readonly SubAssembly[], key: string): SubAssembly | undefined =>
	subAssemblies.find(({ parts }) => parts.includes(key));

/** The stations of a sub-assembly and of those within it, by key and in their order; a station's key answers with itself. */
export const stationKeysOf = (subAssemblies: readonly SubAssembly[], key: string): string[] =>
	subAssemblies
		.find((subAssembly) => subAssembly.key === key)
		?.parts.flatMap((part) => stationKeysOf(subAssemblies, part)) ?? [key];

/**
 * The steps by which a job puts the pump together: the sheet's own; before each sub-assembly goes in, a task that joins it on
 * the bench; and for every station that the sheet leaves out, its way back, last off first on.
 */
export function buildSteps(sheet: ModelSheet, opening: Opening): BuildStep[] {
	const joined = subAssembliesInScope(sheet, opening);
	const stations = stationsInScope(sheet, opening).toReversed();
	const known = new Set([...stations, ...joined].map(({ key }) => key));
	const byKey = new Map(joined.map((unit) => [unit.key, unit]));
	const own = allSteps(sheet, opening).filter(({ stage }) => stage === 'build');
	const plan: BuildStep[] = [];
	const left = stations.filter(
		(station) =>
			!own.some((step) => step.stations.includes(station.key)) && !holderOf(joined, station.key) && !staysIn(station)
	);
	const depth = new Map(stations.map(({ key }, i) => [key, i]));
	// How far out a step reaches: what lies deeper than that goes in before it. One that handles nothing goes with the next.
	const reaches = own.map((step) => Math.max(-1, ...step.stations.map((key) => depth.get(key) ?? -1)));
	const reach = (i: number): number => (i >= own.length ? -1 : reaches[i] >= 0 ? reaches[i] : reach(i + 1));
	const backTo = (depthReached: number) => {
		while (left.length > 0 && depth.get(left[0].key)! < depthReached) plan.push(mirrored(left.shift()!, opening.scope));
	};
	const isJoined = (key: string) => plan.some((step) => step.joined?.key === key);
	const join = (key: string) => {
		const unit = byKey.get(key);
		if (!unit || isJoined(key) || own.some(({ joins }) => joins === key)) return;
		for (const part of unit.parts) join(part);
		plan.push(joinStep(unit, opening.scope));
	};
	for (const [i, step] of own.entries()) {
		backTo(reach(i));
		const joins = step.joins === undefined ? undefined : byKey.get(step.joins);
		const keys = joins ? joins.parts : step.stations.filter((key) => known.has(key));
		for (const key of keys) join(key);
		plan.push({ ...step, stations: keys, mirrored: false, ...(joins ? { joined: joins } : {}) });
	}
	backTo(Infinity);
	return plan;
}

const added = (scope: string, rest: Pick<BuildStep, 'key' | 'text' | 'stations' | 'per' | 'walk'>): BuildStep => ({
	stage: 'build',
	sure: 'deduced',
	scopes: [scope],
	after: [],
	blocking: false,
	tools: [],
	cautions: [],
	asks: [],
	recalls: [],
	ways: [],
	mirrored: true,
	...rest
});

const mirrored = ({ key, name, per }: Station, scope: string): BuildStep =>
	added(scope, { key: mirroredKey(key), text: name, stations: [key], per, walk: 'station' });

const joinStep = (joined: SubAssembly, scope: string): BuildStep => ({
	...added(scope, {
		key: joinKey(joined.key),
		text: joined.name,
		stations: joined.parts,
		per: joined.per,
		walk: 'bore'
	}),
	sure: joined.sure,
	joined
});

/**
 * What a job's parts wait for: the sheet's rules between what this job opens, and the order in which each sub-assembly is
 * joined. A sheet without rules: of one assembly each part after those that lie deeper, and what belongs to the pump as a
 * whole after everything before it in the plan; this is deduced.
 */
export function orderFacts(sheet: ModelSheet, opening: Opening, plan: readonly BuildStep[]): OrderFact[] {
	const joined = subAssembliesInScope(sheet, opening);
	const inner = joined.flatMap(({ parts, sure }) => pairs(parts).map((pair): OrderFact => ({ ...pair, sure })));
	if (sheet.order.length === 0) return [...inner, ...deduced(sheet, plan)];
	const known = new Set([...stationsInScope(sheet, opening), ...joined, ...plan].map(({ key }) => key));
	const stated = sheet.order
		.filter(({ scopes }) => scopes?.includes(opening.scope) ?? true)
		.flatMap(({ first, why, sure }) =>
			pairs(first.filter((key) => known.has(key))).map((pair): OrderFact => ({ ...pair, why, sure }))
		);
	return [...inner, ...stated];
}

const pairs = (keys: readonly string[]): { first: string; then: string }[] =>
	keys.slice(1).map((then, i) => ({ first: keys[i], then }));

function deduced({ stations }: ModelSheet, plan: readonly BuildStep[]): OrderFact[] {
	const byKey = new Map(stations.map((station) => [station.key, station]));
	const items = plan.flatMap((step) => step.stations.map((key) => ({ key, step, station: byKey.get(key) })));
	return items.flatMap(({ key: then, step, station }, i) => {
		const ofPump = station?.per === 'pump';
		return items
			.slice(0, i)
			.filter((item) => ofPump || (item.step !== step && item.station?.in === station?.in))
			.map(({ key: first }): OrderFact => ({ first, then, sure: 'deduced' }));
	});
}
