import { standingDecision, type PartRecord, type Station } from '../record';
import { setOf } from './customs';
import { withReason, type Judgement } from './judge';
import type { Policy } from './policy';

/** A judged part with its place, as far as sets of parts need it. */
export interface Placed {
	readonly station: Station;
	readonly cylinder: number;
	readonly record: PartRecord;
	readonly judgement: Judgement;
}

/** The part of each set that brings the others with it: the first that is to be replaced, by decision or by verdict. */
export function leadersOf<P extends Placed>(parts: Iterable<P>, policy: Policy): ReadonlyMap<string, P> {
	const leaders = new Map<string, P>();
	for (const part of parts) {
		const set = setOf(part.station, part.cylinder, policy);
		if (!set || leaders.has(set)) continue;
		const decided = standingDecision(part.record)?.payload.verdict;
		if ((decided ?? part.judgement.verdict) === 'replace') leaders.set(set, part);
	}
	return leaders;
}

/** The judgement of a part within its set: replaced where another of the set is. */
export function withinSet<P extends Placed>(part: P, leaders: ReadonlyMap<string, P>, policy: Policy): Judgement {
	const set = setOf(part.station, part.cylinder, policy);
	const leader = set ? leaders.get(set) : undefined;
	if (!set || !leader || part.judgement.verdict === 'replace') return part.judgement;
	if (leader.station.key === part.station.key && leader.cylinder === part.cylinder) return part.judgement;
	const { name } = leader.station;
	return withReason(part.judgement, { code: 'withItsSet', set, station: name, cylinder: leader.cylinder });
}
