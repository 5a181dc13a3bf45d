import { requireThat } from '../number';
import type { LastVisit } from './chains';
import { absentIn, marginals, requireFinding, type Group, type Observed } from './jointStates';

/** Something that could still be looked at. */
export interface Check extends Omit<Observed, 'present'> {
	readonly minutes: number;
}

interface Telling {
	readonly check: number;
	readonly pPresent: number;
	/** Expected fall of the summed entropies of all chains, in bits, and per minute. */
	readonly bits: number;
	readonly bitsPerMinute: number;
}

/**
 * What to look at next: expected reduction of the summed marginal entropies of the causes as they stand at the last visit, per
 * minute that the check takes; the most telling first. A check of a cause that nothing has touched is weighed with that cause's own probability.
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
	let pAbsent = 1 - check.backgroundRate;
	const moves: { now: number; absent: number }[] = [];
	for (const [c, groups] of components.entries()) {
		if (!groups.some(({ chains }) => chains.some((k) => linked.has(k)))) continue;
		// Beyond 16 chains: the group that holds most of what the check is linked with.
		const held = (group: Group) => group.chains.filter((k) => linked.has(k)).length;
		const g = groups.reduce((best, group, i) => (held(group) > held(groups[best]) ? i : best), 0);
		const joint = after[c][g];
		const absent = absentIn(groups[g], { backgroundRate: 0, links: check.links });
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
