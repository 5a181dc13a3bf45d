import { requireThat } from '../number';

/** A cause as the arithmetic needs it: a chain of two states. */
export interface Chain {
	/** P(at work at the first rebuild). */
	readonly prior: number;
	/** How often it arises where it is not at work, per hour. */
	readonly perHour: number;
}

/** A finding that was looked for. What was not looked for is not given. */
export interface Observed {
	readonly present: boolean;
	readonly leak: number;
	/** Chains that bring it about, each alone with this probability. */
	readonly links: readonly { readonly chain: number; readonly strength: number }[];
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

/** Chains that are held jointly: those that all groups of a component share come first. */
interface Group {
	readonly chains: readonly number[];
	/** How many of them, from the first, are shared. */
	readonly shared: number;
}

/** Chains that present findings tie together; independent of all others. One group, unless there are too many of them. */
type Component = readonly Group[];

/** Beliefs at the last visit, for what is asked of them further. */
export interface LastVisit {
	readonly components: readonly Component[];
	/** By component and group: joint probabilities before and after the last visit's observations. */
	readonly before: readonly Joints[];
	readonly after: readonly Joints[];
	readonly chains: number;
}
type Joints = readonly Float64Array[];

/** Most chains held jointly. */
export const MOST_JOINT = 16;

/**
 * Which causes were at work at each rebuild: exact forward–backward over the joint states of the chains.
 *
 * A finding is present with 1 − (1 − leak)·Π(1 − link) over the chains at work (noisy-OR). After a visit an action switches its
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
	const present = visits.flatMap(({ observed }) => observed.filter((one) => one.present));
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

function requireFinding(fn: string, { leak, links }: Pick<Observed, 'leak' | 'links'>, chains: number): void {
	requireThat(leak >= 0 && leak <= 1, fn, 'leak', leak, 'from 0 to 1');
	for (const { chain, strength } of links) {
		requireThat(Number.isInteger(chain) && chain >= 0 && chain < chains, fn, 'chain', chain, 'one of the chains');
		requireThat(strength >= 0 && strength <= 1, fn, 'strength', strength, 'from 0 to 1');
	}
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
		for (const one of observed) requireFinding(fn, one, chains.length);
		for (const { chain, effectiveness } of actions) {
			known(chain);
			probability('effectiveness', effectiveness);
		}
	}
}

function componentsOf(present: readonly Observed[], own: readonly number[], mostJoint: number): Component[] {
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

function independent(priors: readonly number[]): Float64Array {
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

// P(absent) of one finding for every joint state of a group, by those of its links that the group holds.
function absentIn({ chains }: Group, { leak, links }: Pick<Observed, 'leak' | 'links'>): Float64Array {
	const kept = new Float64Array(chains.length).fill(1);
	for (const { chain, strength } of links) {
		const i = chains.indexOf(chain);
		if (i >= 0) kept[i] *= 1 - strength;
	}
	const absent = new Float64Array(1 << chains.length);
	absent[0] = 1 - leak;
	for (let i = 0; i < chains.length; i++) {
		const size = 1 << i;
		const factor = kept[i];
		for (let s = 0; s < size; s++) absent[size + s] = absent[s] * factor;
	}
	return absent;
}

// All absent findings together are one product over the chains at work; their leaks are reckoned once, outside.
function likelihoodIn(group: Group, present: readonly Observed[], absent: readonly Observed[]): Float64Array {
	const likelihood = absentIn(group, { leak: 0, links: absent.flatMap(({ links }) => links) });
	for (const one of present) {
		const missing = absentIn(group, one);
		for (let s = 0; s < likelihood.length; s++) likelihood[s] *= 1 - missing[s];
	}
	return likelihood;
}

const holds = ({ chains }: Group, { links }: Pick<Observed, 'links'>): boolean =>
	links.every(({ chain }) => chains.includes(chain));

/**
 * What a finding that no group holds alone says: the first group hears of it with every cylinder's chains at their odds, and each
 * group by how much its own cylinder's states make it likelier than that.
 */
function acrossGroups(groups: Component, before: Joints, one: Observed): Float64Array[] {
	const odds = new Map(
		groups.flatMap(({ chains, shared }, g) =>
			marginals(before[g], chains.length).flatMap(({ work }, i) => (i >= shared ? [[chains[i], work] as const] : []))
		)
	);
	const expected = (but: readonly number[]): Observed => {
		const loose = one.links.filter(({ chain }) => odds.has(chain) && !but.includes(chain));
		return {
			...one,
			leak: 1 - loose.reduce((absent, { chain, strength }) => absent * (1 - strength * odds.get(chain)!), 1 - one.leak),
			links: one.links.filter((link) => !loose.includes(link))
		};
	};
	const all = expected([]);
	return groups.map((group, g) => {
		const own = absentIn(group, expected(group.chains));
		const whole = absentIn(group, all);
		return own.map((absent, s) => (1 - absent) / (g === 0 ? 1 : 1 - whole[s]));
	});
}

function weighAll(
	components: readonly Component[],
	before: readonly Joints[],
	observed: readonly Observed[]
): { after: Joints[]; logEvidence: number } | undefined {
	let logEvidence = 0;
	for (const { present, leak, links } of observed)
		if (!present) logEvidence += Math.log1p(-leak);
		else if (links.length === 0) logEvidence += Math.log(leak);
	const after = components.map((groups, c) => {
		const seen = weighed(groups, before[c], observed);
		logEvidence += seen ? seen.logEvidence : -Infinity;
		return seen?.after ?? [];
	});
	return logEvidence > -Infinity ? { after, logEvidence } : undefined;
}

const touches = (groups: Component, { links }: Observed): boolean =>
	groups.some(({ chains }) => links.some(({ chain }) => chains.includes(chain)));

function weighed(
	groups: Component,
	before: Joints,
	observed: readonly Observed[]
): { after: Float64Array[]; logEvidence: number } | undefined {
	const present = observed.filter((one) => one.present && one.links.length > 0);
	const across = present.filter((one) => touches(groups, one) && !groups.some((group) => holds(group, one)));
	const heard = across.map((one) => acrossGroups(groups, before, one));
	const joints = groups.map((group, g) => {
		// A present finding counts in the first group that holds it; an absent one by its own links, shared ones in the first group.
		const here = present.filter((one) => groups.findIndex((other) => holds(other, one)) === g);
		const likelihood = likelihoodIn(
			group,
			here,
			observed
				.filter((one) => !one.present)
				.map((one) => ({
					...one,
					links: one.links.filter(({ chain }) => g === 0 || group.chains.indexOf(chain) >= group.shared)
				}))
		);
		for (const said of heard) for (let s = 0; s < likelihood.length; s++) likelihood[s] *= said[g][s];
		for (let s = 0; s < likelihood.length; s++) likelihood[s] *= before[g][s];
		return likelihood;
	});
	if (joints.length === 1) {
		const [joint] = joints;
		let total = 0;
		for (const p of joint) total += p;
		if (!(total > 0)) return undefined;
		for (let s = 0; s < joint.length; s++) joint[s] /= total;
		return { after: joints, logEvidence: Math.log(total) };
	}
	// Groups meet in what they share: each passes on what it says of it.
	const size = 1 << groups[0].shared;
	const prior = sharedOf(before[0], size);
	const said = joints.map((joint) => sharedOf(joint, size));
	const shared = prior.map((p, s) => (p > 0 ? said.reduce((product, one) => product * (one[s] / p), p) : 0));
	const total = shared.reduce((sum, p) => sum + p, 0);
	if (!(total > 0)) return undefined;
	const after = joints.map((joint, g) =>
		joint.map((p, s) => {
			const at = s & (size - 1);
			return said[g][at] > 0 ? (p / said[g][at]) * (shared[at] / total) : 0;
		})
	);
	return { after, logEvidence: Math.log(total) };
}

function sharedOf(joint: Float64Array, size: number): Float64Array {
	if (joint.length === size) return joint;
	const sums = new Float64Array(size);
	for (let s = 0; s < joint.length; s++) sums[s & (size - 1)] += joint[s];
	return sums;
}

// Findings that no state with any probability allows; where only all together are impossible, all that are present.
function impossible(
	components: readonly Component[],
	before: readonly Joints[],
	observed: readonly Observed[]
): number[] {
	const alone = observed.flatMap((one, i) => (weighAll(components, before, [one]) ? [] : [i]));
	return alone.length > 0 ? alone : observed.flatMap(({ present }, i) => (present ? [i] : []));
}

function marginalsOf(components: readonly Component[], joints: readonly Joints[], chains: number): Marginal[] {
	const out = new Array<Marginal>(chains).fill({ work: 0, idle: 1 });
	for (const [c, groups] of components.entries())
		for (const [g, { chains: held, shared }] of groups.entries())
			for (const [i, p] of marginals(joints[c][g], held.length).entries()) if (g === 0 || i >= shared) out[held[i]] = p;
	return out;
}

// A matrix of two by two along one chain's axis, in place: idle' = a·idle + b·work, work' = c·idle + d·work.
function passAlong(joint: Float64Array, i: number, [a, b, c, d]: readonly [number, number, number, number]): void {
	const size = 1 << i;
	for (let from = 0; from < joint.length; from += 2 * size)
		for (let s = from; s < from + size; s++) {
			const idle = joint[s];
			const work = joint[s + size];
			joint[s] = a * idle + b * work;
			joint[s + size] = c * idle + d * work;
		}
}

/** P(at work) and P(idle) of one chain, each summed by itself: near certainty their ratio keeps its digits. */
interface Marginal {
	readonly work: number;
	readonly idle: number;
}

// Of each chain of a joint: both halves summed, then folded into one, from the last chain down.
function marginals(joint: Float64Array, count: number): Marginal[] {
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

/** What one observation of the last visit does to the odds of every chain: posterior odds with it over those without it. */
export interface Carried {
	readonly observed: number;
	/** By chain; 1 where it says nothing, Infinity where without it the chain could not be at work. */
	readonly factors: readonly number[];
}

/**
 * Which observations of the last visit carry each belief: leave-one-out Bayes factors.
 * Shape: the visit that the beliefs were followed to.
 */
export function carriedBy({ components, before, chains }: LastVisit, { observed }: Pick<Visit, 'observed'>): Carried[] {
	for (const one of observed) requireFinding('carriedBy', one, chains);
	const oddsWith = (some: readonly Observed[]): number[] | undefined => {
		const seen = weighAll(components, before, some);
		return seen && marginalsOf(components, seen.after, chains).map(({ work, idle }) => work / idle);
	};
	const all = oddsWith(observed);
	if (!all) return [];
	return observed.map((one, i) => {
		const touched = new Set(one.links.map(({ chain }) => chain));
		if (touched.size === 0) return { observed: i, factors: all.map(() => 1) };
		const without = oddsWith(observed.filter((__, j) => j !== i));
		if (!without) return { observed: i, factors: all.map(() => 1) };
		return { observed: i, factors: all.map((odds, k) => (odds === without[k] ? 1 : odds / without[k])) };
	});
}

/** Something that could still be looked at. */
export interface Check extends Omit<Observed, 'present'> {
	readonly minutes: number;
}

export interface Telling {
	readonly check: number;
	readonly pPresent: number;
	/** Expected fall of the summed entropies of all chains, in bits, and per minute. */
	readonly bits: number;
	readonly bitsPerMinute: number;
}

/**
 * What to look at next: expected reduction of the summed marginal entropies of the causes as they stand at the last visit, per
 * minute that the check takes; the most telling first. A check of a cause that nothing has touched is reckoned with that cause's own odds.
 * Errors: PreconditionError for minutes not above 0. Source: M. Ben-Bassat, IEEE Trans. PAMI 4 (1982) 320–324; C. Shannon (1948).
 */
export function nextChecks(last: LastVisit, checks: readonly Check[]): Telling[] {
	return checks
		.map((check, i): Telling => {
			requireThat(
				check.minutes > 0 && Number.isFinite(check.minutes),
				'nextChecks',
				'minutes',
				check.minutes,
				'above 0'
			);
			requireFinding('nextChecks', check, last.chains);
			const { pPresent, bits } = tellingOf(last, check);
			return { check: i, pPresent, bits, bitsPerMinute: bits / check.minutes };
		})
		.sort((a, b) => b.bitsPerMinute - a.bitsPerMinute);
}

// Components are independent: each says how probable it makes the finding's absence, and how that would move its chains.
function tellingOf({ components, after }: LastVisit, check: Check): { pPresent: number; bits: number } {
	const linked = new Set(check.links.map(({ chain }) => chain));
	let pAbsent = 1 - check.leak;
	const moves: { now: number; absent: number }[] = [];
	for (const [c, groups] of components.entries()) {
		if (!groups.some(({ chains }) => chains.some((k) => linked.has(k)))) continue;
		// Beyond 16 chains: the group that holds most of what the check is linked with.
		const held = (group: Group) => group.chains.filter((k) => linked.has(k)).length;
		const g = groups.reduce((best, group, i) => (held(group) > held(groups[best]) ? i : best), 0);
		const joint = after[c][g];
		const absent = absentIn(groups[g], { leak: 0, links: check.links });
		let here = 0;
		for (let s = 0; s < joint.length; s++) here += absent[s] *= joint[s];
		pAbsent *= here;
		const ifAbsent = marginals(absent, groups[g].chains.length);
		for (const [i, { work }] of marginals(joint, groups[g].chains.length).entries())
			moves.push({ now: work, absent: here > 0 ? Math.min(1, ifAbsent[i].work / here) : 0 });
	}
	const pPresent = Math.min(1, Math.max(0, 1 - pAbsent));
	const bits = moves.reduce((sum, { now, absent }) => {
		const present = pPresent > 0 ? Math.min(1, Math.max(0, (now - pAbsent * absent) / pPresent)) : 0;
		return sum + entropy(now) - pAbsent * entropy(absent) - pPresent * entropy(present);
	}, 0);
	return { pPresent, bits: Math.max(0, bits) };
}

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));
