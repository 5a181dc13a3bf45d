// What findings say of the chains at one visit: joint states weighed by how probable they make them.
import { absentIn, marginals, sharedOf, type Component, type Group, type Joints, type Observed } from './jointStates';

// All absent findings together are one product over the chains at work; their background rates are multiplied once, outside.
function likelihoodIn(group: Group, present: readonly Observed[], absent: readonly Observed[]): Float64Array {
	const likelihood = absentIn(group, { backgroundRate: 0, links: absent.flatMap(({ links }) => links) });
	for (const life of present) {
		const missing = absentIn(group, life);
		for (let s = 0; s < likelihood.length; s++) likelihood[s] *= 1 - missing[s];
	}
	return likelihood;
}

const holds = ({ chains }: Group, { links }: Pick<Observed, 'links'>): boolean =>
	links.every(({ chain }) => chains.includes(chain));

/**
 * What a finding that no group holds alone says: the first group hears of it with every cylinder's chains at their present probabilities, and each
 * group by how much its own cylinder's states make it likelier than that.
 */
function acrossGroups(groups: Component, before: Joints, life: Observed): Float64Array[] {
	const probabilities = new Map(
		groups.flatMap(({ chains, shared }, g) =>
			marginals(before[g], chains.length).flatMap(({ work }, i) => (i >= shared ? [[chains[i], work] as const] : []))
		)
	);
	const expected = (but: readonly number[]): Observed => {
		const loose = life.links.filter(({ chain }) => probabilities.has(chain) && !but.includes(chain));
		return {
			...life,
			backgroundRate:
				1 -
				loose.reduce(
					(absent, { chain, strength }) => absent * (1 - strength * probabilities.get(chain)!),
					1 - life.backgroundRate
				),
			links: life.links.filter((link) => !loose.includes(link))
		};
	};
	const all = expected([]);
	return groups.map((group, g) => {
		const own = absentIn(group, expected(group.chains));
		const whole = absentIn(group, all);
		return own.map((absent, s) => (1 - absent) / (g === 0 ? 1 : 1 - whole[s]));
	});
}

export function weighAll(
	components: readonly Component[],
	before: readonly Joints[],
	observed: readonly Observed[]
): { after: Joints[]; logEvidence: number } | undefined {
	let logEvidence = 0;
	for (const { present, backgroundRate, links } of observed)
		if (!present) logEvidence += Math.log1p(-backgroundRate);
		else if (links.length === 0) logEvidence += Math.log(backgroundRate);
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
	const present = observed.filter((life) => life.present && life.links.length > 0);
	const across = present.filter((life) => touches(groups, life) && !groups.some((group) => holds(group, life)));
	const heard = across.map((life) => acrossGroups(groups, before, life));
	const joints = groups.map((group, g) => {
		// A present finding counts in the first group that holds it; an absent one by its own links, shared ones in the first group.
		const here = present.filter((life) => groups.findIndex((other) => holds(other, life)) === g);
		const likelihood = likelihoodIn(
			group,
			here,
			observed
				.filter((life) => !life.present)
				.map((life) => ({
					...life,
					links: life.links.filter(({ chain }) => g === 0 || group.chains.indexOf(chain) >= group.shared)
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
	const shared = prior.map((p, s) => (p > 0 ? said.reduce((product, row) => product * (row[s] / p), p) : 0));
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

// Findings that no state with any probability allows; where only all together are impossible, all that are present.
export function impossible(
	components: readonly Component[],
	before: readonly Joints[],
	observed: readonly Observed[]
): number[] {
	const alone = observed.flatMap((life, i) => (weighAll(components, before, [life]) ? [] : [i]));
	return alone.length > 0 ? alone : observed.flatMap(({ present }, i) => (present ? [i] : []));
}
