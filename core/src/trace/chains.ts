import { requireThat } from '../number';
import {
	componentsOf,
	independent,
	marginalsOf,
	MOST_JOINT,
	passAlong,
	requireFinding,
	type Component,
	type Group,
	type Joints,
	type Observed
} from './jointStates';
import { impossible, weighAll } from './weighFindings';

/** A cause as the arithmetic needs it: a chain of two states. */
export interface Chain {
	/** P(at work at the first rebuild). */
	readonly prior: number;
	/** How often it arises where it is not at work, per hour. */
	readonly perHour: number;
}

/** One rebuild: hours since the one before, what was looked for, and what was done about which chain after it. */
export interface Visit {
	readonly hours: number;
	readonly observed: readonly Observed[];
	/** P(the action switches the chain off). */
	readonly actions: readonly { readonly chain: number; readonly effectiveness: number }[];
}

export type Followed =
	| {
			readonly kind: 'followed';
			readonly logEvidence: number;
			/** By visit and chain: P(at work), given what was seen up to that visit, and given everything. */
			readonly filtered: readonly (readonly number[])[];
			readonly smoothed: readonly (readonly number[])[];
			/** False where cylinders were approximated given the pump's chains. */
			readonly exact: boolean;
			readonly last: LastVisit;
	  }
	/** At this visit the observations cannot all be, whatever is at work: each of them alone, or only together. */
	| { readonly kind: 'contradicts'; readonly visit: number; readonly observed: readonly number[] };

/** Beliefs at the last visit, for what is asked of them further. */
export interface LastVisit {
	readonly components: readonly Component[];
	/** By component and group: joint probabilities before and after the last visit's observations. */
	readonly before: readonly Joints[];
	readonly after: readonly Joints[];
	readonly chains: number;
}
/**
 * Which causes were at work at each rebuild: exact forward–backward over the joint states of the chains.
 *
 * A finding is present with 1 − (1 − backgroundRate)·Π(1 − link) over the chains at work (noisy-OR). After a visit an action switches its
 * chain off with its effectiveness; over the hours to the next an idle chain arises with 1 − e^(−rate·h), one at work stays.
 * An absent finding speaks of each of its chains by itself; only present ones tie chains together, so that chains fall into
 * components that are followed apart without loss. Up to 16 chains of one are held jointly. Beyond that `own` says to which cylinder
 * a chain belongs (0: the pump); the pump's stay joint, those of each cylinder are held with the pump's and taken as independent of
 * other cylinders' given these (assumed density, projected at each step); a finding of several cylinders speaks to each of them with the
 * others at their odds before it. The gap is measured in chains.test.ts.
 *
 * Errors: PreconditionError for probabilities or hours that cannot be, a chain that is not there, or more than 16 to be held jointly.
 * Source: Z. Ghahramani, M. Jordan, Machine Learning 29 (1997) 245–273 (factorial chains); J. Pearl (1988), 4.3 (noisy-OR);
 * X. Boyen, D. Koller, UAI (1998) 33–42 (projection).
 */
export function followChains(
	chains: readonly Chain[],
	visits: readonly Visit[],
	own: readonly number[] = chains.map(() => 0),
	mostJoint = MOST_JOINT
): Followed {
	requireInput(chains, visits, own);
	const present = visits.flatMap(({ observed }) => observed.filter((life) => life.present));
	const components = componentsOf(present, own, mostJoint);
	const states = visits.map((): State => ({ before: [], after: [] }));
	let logEvidence = 0;
	for (const [t, visit] of visits.entries()) {
		const before = components.map((groups, c) =>
			t === 0
				? groups.map(({ chains: held }) => independent(held.map((k) => chains[k].prior)))
				: moved(groups, states[t - 1].after[c], chains, visits[t - 1], visit.hours)
		);
		const seen = weighAll(components, before, visit.observed);
		if (!seen) return { kind: 'contradicts', visit: t, observed: impossible(components, before, visit.observed) };
		logEvidence += seen.logEvidence;
		states[t] = { before, after: seen.after };
	}
	const smoothed = smoothedFrom(components, states, chains, visits);
	const atWork = (joints: readonly Joints[]) => marginalsOf(components, joints, chains.length).map(({ work }) => work);
	return {
		kind: 'followed',
		logEvidence,
		filtered: states.map(({ after }) => atWork(after)),
		smoothed: smoothed.map(atWork),
		exact: components.every((groups) => groups.length === 1),
		last: {
			components,
			before: states.at(-1)?.before ?? [],
			after: states.at(-1)?.after ?? [],
			chains: chains.length
		}
	};
}

interface State {
	readonly before: readonly Joints[];
	readonly after: readonly Joints[];
}

function requireInput(chains: readonly Chain[], visits: readonly Visit[], own: readonly number[]): void {
	const fn = 'followChains';
	const probability = (name: string, value: number) =>
		requireThat(value >= 0 && value <= 1, fn, name, value, 'from 0 to 1');
	const known = (chain: number) =>
		requireThat(
			Number.isInteger(chain) && chain >= 0 && chain < chains.length,
			fn,
			'chain',
			chain,
			'one of the chains'
		);
	requireThat(own.length === chains.length, fn, 'own', own.length, 'one cylinder a chain');
	for (const { prior, perHour } of chains) {
		probability('prior', prior);
		requireThat(perHour >= 0 && Number.isFinite(perHour), fn, 'perHour', perHour, 'at least 0');
	}
	for (const { hours, observed, actions } of visits) {
		requireThat(hours >= 0 && Number.isFinite(hours), fn, 'hours', hours, 'at least 0');
		for (const life of observed) requireFinding(fn, life, chains.length);
		for (const { chain, effectiveness } of actions) {
			known(chain);
			probability('effectiveness', effectiveness);
		}
	}
}

// P(at work after so many hours), from idle and from at work, an action in between.
function passing(chain: Chain, k: number, { actions }: Visit, hours: number): { fromIdle: number; fromWork: number } {
	const arises = -Math.expm1(-chain.perHour * hours);
	const still = actions.reduce((p, action) => (action.chain === k ? p * (1 - action.effectiveness) : p), 1);
	return { fromIdle: arises, fromWork: still + (1 - still) * arises };
}

function moved(
	groups: readonly Group[],
	joints: readonly Float64Array[],
	chains: readonly Chain[],
	from: Visit,
	hours: number
): Float64Array[] {
	return groups.map(({ chains: held }, g) => {
		const joint = Float64Array.from(joints[g]);
		for (const [i, k] of held.entries()) {
			const { fromIdle, fromWork } = passing(chains[k], k, from, hours);
			passAlong(joint, i, [1 - fromIdle, 1 - fromWork, fromIdle, fromWork]);
		}
		return joint;
	});
}

// Backwards: what each state passes on to those of the next visit, weighed by how they turned out.
function smoothedFrom(
	components: readonly Component[],
	states: readonly State[],
	chains: readonly Chain[],
	visits: readonly Visit[]
): Joints[][] {
	const smoothed: Joints[][] = states.map(({ after }) => [...after]);
	for (let t = states.length - 2; t >= 0; t--)
		smoothed[t] = components.map((groups, c) =>
			groups.map(({ chains: held }, g) => {
				const before = states[t + 1].before[c][g];
				const ratio = Float64Array.from(smoothed[t + 1][c][g]);
				for (let s = 0; s < ratio.length; s++) ratio[s] = before[s] > 0 ? ratio[s] / before[s] : 0;
				for (const [i, k] of held.entries()) {
					const { fromIdle, fromWork } = passing(chains[k], k, visits[t], visits[t + 1].hours);
					passAlong(ratio, i, [1 - fromIdle, fromIdle, 1 - fromWork, fromWork]);
				}
				const after = states[t].after[c][g];
				for (let s = 0; s < ratio.length; s++) ratio[s] *= after[s];
				return ratio;
			})
		);
	return smoothed;
}
