import type { ModelSheet } from './schema';
import type { Station } from './station';
import type { Step } from './step';
import { allSteps, stationsInScope, type Opening } from './opening';

/** A step by which a pump is put together again. */
export interface BuildStep extends Step {
	/** True where the sheet is silent and the part goes back as it came off, in the reverse order. */
	readonly mirrored: boolean;
}

/** Key of the step that puts a station back where the sheet names none. */
export const mirroredKey = (station: string): string => `back.${station}`;

/** The steps by which a job proves the pump. */
export const proveSteps = (sheet: ModelSheet, opening: Opening): Step[] =>
	allSteps(sheet, opening).filter(({ stage }) => stage === 'prove');

/**
 * The steps by which a job puts the pump together: the sheet's own, and between them the mirror of the strip for every
 * station that they leave out, last off first on.
 *
 * Order that is held: what a step names; of one assembly, each part after those that lie deeper; and nothing that belongs to
 * the pump as a whole (a head, its bolts) before everything that comes earlier is in, so that nothing is shut in without.
 */
export function buildSteps(sheet: ModelSheet, opening: Opening): BuildStep[] {
	const stations = stationsInScope(sheet, opening).toReversed();
	const own = allSteps(sheet, opening).filter(({ stage }) => stage === 'build');
	const handled = new Set(own.flatMap((step) => step.stations));
	const depth = new Map(stations.map(({ key }, i) => [key, i]));
	const byKey = new Map(stations.map((station) => [station.key, station]));
	// How far out a step reaches: what lies deeper than that goes in before it. One that handles nothing goes with the next.
	const reaches = own.map((step) => Math.max(-1, ...step.stations.map((key) => depth.get(key) ?? -1)));
	const reach = (i: number): number => (i >= own.length ? -1 : reaches[i] >= 0 ? reaches[i] : reach(i + 1));
	const left = stations.filter(({ key }) => !handled.has(key));
	const plan: BuildStep[] = [];
	const backTo = (depthReached: number) => {
		while (left.length > 0 && depth.get(left[0].key)! < depthReached) plan.push(mirrored(left.shift()!, opening.scope));
	};
	for (const [i, step] of own.entries()) {
		backTo(reach(i));
		plan.push({ ...step, stations: step.stations.filter((key) => byKey.has(key)), mirrored: false });
	}
	backTo(Infinity);
	return plan.map((step, i) => ({
		...step,
		after: [...new Set([...step.after, ...waitsFor(step, plan.slice(0, i))])]
	}));

	function waitsFor(step: BuildStep, earlier: readonly BuildStep[]): string[] {
		const mine = step.stations.flatMap((key) => byKey.get(key) ?? []);
		if (mine.some(({ per }) => per === 'pump')) return earlier.map(({ key }) => key);
		const assemblies = new Set(mine.map((station) => station.in));
		const touches = (other: BuildStep) => other.stations.some((key) => assemblies.has(byKey.get(key)?.in ?? ''));
		return earlier.filter(touches).map(({ key }) => key);
	}
}

const mirrored = ({ key, name, per }: Station, scope: string): BuildStep => ({
	key: mirroredKey(key),
	text: name,
	stage: 'build',
	scopes: [scope],
	after: [],
	blocking: false,
	stations: [key],
	per,
	tools: [],
	cautions: [],
	asks: [],
	ways: [],
	mirrored: true
});
