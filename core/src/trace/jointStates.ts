// Chains held jointly: a probability for each of their states at work or idle, bit by bit.
import { requireThat } from '../number';

/** A finding that was looked for. What was not looked for is not given. */
export interface Observed {
	readonly present: boolean;
	readonly backgroundRate: number;
	/** Chains that bring it about, each alone with this probability. */
	readonly links: readonly { readonly chain: number; readonly strength: number }[];
}

/** Chains that are held jointly: those that all groups of a component share come first. */
export interface Group {
	readonly chains: readonly number[];
	/** How many of them, from the first, are shared. */
	readonly shared: number;
}

/** Chains that present findings tie together; independent of all others. One group, unless there are too many of them. */
export type Component = readonly Group[];
export type Joints = readonly Float64Array[];

/** Most chains held jointly. */
export const MOST_JOINT = 16;

export function requireFinding(
	fn: string,
	{ backgroundRate, links }: Pick<Observed, 'backgroundRate' | 'links'>,
	chains: number
): void {
	requireThat(backgroundRate >= 0 && backgroundRate <= 1, fn, 'backgroundRate', backgroundRate, 'from 0 to 1');
	for (const { chain, strength } of links) {
		requireThat(Number.isInteger(chain) && chain >= 0 && chain < chains, fn, 'chain', chain, 'one of the chains');
		requireThat(strength >= 0 && strength <= 1, fn, 'strength', strength, 'from 0 to 1');
	}
}

export function componentsOf(present: readonly Observed[], own: readonly number[], mostJoint: number): Component[] {
	const leader = own.map((_, k) => k);
	const find = (k: number): number => (leader[k] === k ? k : (leader[k] = find(leader[k])));
	for (const { links } of present) for (const { chain } of links) leader[find(chain)] = find(links[0].chain);
	const members = new Map<number, number[]>();
	for (const k of own.keys()) members.set(find(k), [...(members.get(find(k)) ?? []), k]);
	return [...members.values()].map((chains) => groupsOf(chains, own, mostJoint));
}

function groupsOf(chains: readonly number[], own: readonly number[], mostJoint: number): Group[] {
	const shared = chains.filter((k) => own[k] === 0);
	const rest = chains.filter((k) => own[k] !== 0);
	const cylinders = [...new Set(rest.map((k) => own[k]))];
	if (chains.length <= mostJoint || cylinders.length < 2) {
		requireThat(
			chains.length <= mostJoint,
			'followChains',
			'chains held jointly',
			chains.length,
			`at most ${mostJoint}`
		);
		return [{ chains, shared: chains.length }];
	}
	const groups = cylinders.map((cylinder) => ({
		chains: [...shared, ...rest.filter((k) => own[k] === cylinder)],
		shared: shared.length
	}));
	const largest = Math.max(...groups.map((group) => group.chains.length));
	requireThat(largest <= mostJoint, 'followChains', 'chains held jointly', largest, `at most ${mostJoint}`);
	return groups;
}

export function independent(priors: readonly number[]): Float64Array {
	let joint = Float64Array.of(1);
	for (const prior of priors) {
		const next = new Float64Array(joint.length * 2);
		for (let s = 0; s < joint.length; s++) {
			next[s] = joint[s] * (1 - prior);
			next[s + joint.length] = joint[s] * prior;
		}
		joint = next;
	}
	return joint;
}

// P(absent) of one finding for every joint state of a group, by those of its links that the group holds.
export function absentIn(
	{ chains }: Group,
	{ backgroundRate, links }: Pick<Observed, 'backgroundRate' | 'links'>
): Float64Array {
	const kept = new Float64Array(chains.length).fill(1);
	for (const { chain, strength } of links) {
		const i = chains.indexOf(chain);
		if (i >= 0) kept[i] *= 1 - strength;
	}
	const absent = new Float64Array(1 << chains.length);
	absent[0] = 1 - backgroundRate;
	for (let i = 0; i < chains.length; i++) {
		const size = 1 << i;
		const factor = kept[i];
		for (let s = 0; s < size; s++) absent[size + s] = absent[s] * factor;
	}
	return absent;
}

export function sharedOf(joint: Float64Array, size: number): Float64Array {
	if (joint.length === size) return joint;
	const sums = new Float64Array(size);
	for (let s = 0; s < joint.length; s++) sums[s & (size - 1)] += joint[s];
	return sums;
}

/** P(at work) and P(idle) of one chain, each summed by itself: near certainty their ratio keeps its digits. */
interface Marginal {
	readonly work: number;
	readonly idle: number;
}

// Of each chain of a joint: both halves summed, then folded into one, from the last chain down.
export function marginals(joint: Float64Array, count: number): Marginal[] {
	const out = new Array<Marginal>(count).fill({ work: 0, idle: 1 });
	const folded = Float64Array.from(joint);
	for (let i = count - 1; i >= 0; i--) {
		const size = 1 << i;
		let work = 0;
		let idle = 0;
		for (let s = 0; s < size; s++) {
			work += folded[s + size];
			idle += folded[s];
			folded[s] += folded[s + size];
		}
		out[i] = { work: Math.min(1, work), idle };
	}
	return out;
}

export function marginalsOf(components: readonly Component[], joints: readonly Joints[], chains: number): Marginal[] {
	const out = new Array<Marginal>(chains).fill({ work: 0, idle: 1 });
	for (const [c, groups] of components.entries())
		for (const [g, { chains: held, shared }] of groups.entries())
			for (const [i, p] of marginals(joints[c][g], held.length).entries()) if (g === 0 || i >= shared) out[held[i]] = p;
	return out;
}

// A matrix of two by two along one chain's axis, in place: idle' = a·idle + b·work, work' = c·idle + d·work.
export function passAlong(
	joint: Float64Array,
	i: number,
	[a, b, c, d]: readonly [number, number, number, number]
): void {
	const size = 1 << i;
	for (let from = 0; from < joint.length; from += 2 * size)
		for (let s = from; s < from + size; s++) {
			const idle = joint[s];
			const work = joint[s + size];
			joint[s] = a * idle + b * work;
			joint[s + size] = c * idle + d * work;
		}
}
