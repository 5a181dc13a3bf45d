import { kindOf, type Entry } from './entry';
import { emptyState, type JobState } from './jobState';
import { effectiveTime } from './moment';

/**
 * Entries in the order of the log: by the moment that counts, then by the tablet's own count, then by id, so that every
 * reader agrees. Shape: any order; the argument is left as it is.
 */
export function inLogOrder(entries: Iterable<Entry>): Entry[] {
	// Each moment is read once: a log of hundreds is put in order at every key.
	const timed = [...entries].map((entry) => ({ entry, at: effectiveTime(entry) }));
	timed.sort(
		(a, b) =>
			a.at - b.at ||
			(a.entry.seq ?? 0) - (b.entry.seq ?? 0) ||
			(a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0)
	);
	return timed.map(({ entry }) => entry);
}

/**
 * The state of a job from its bench log.
 *
 * Shape: entries of one job, in any order, repeated ones allowed: the result is the same for the same set, so two
 * technicians and a tablet that was off the network merge by set union. A withdraw counts even where the entry that it
 * takes back is not there yet.
 */
export function fold(entries: Iterable<Entry>): JobState {
	const all = inLogOrder(new Map([...entries].map((entry) => [entry.id, entry])).values());
	const withdrawn = withdrawnIds(all);
	const state = emptyState();
	for (const entry of all) if (!withdrawn.has(entry.id)) kindOf(entry).add(state, entry);
	return { ...state, withdrawn };
}

/**
 * Ids of what these entries take back. Only entries of `kindsTakingBack` count, so that they alone may be given.
 * A withdraw can itself be withdrawn (redo): walking backwards, the last word is read first.
 *
 * Shape: entries of one job in log order.
 */
export function withdrawnIds(ordered: readonly Entry[]): Set<string> {
	const withdrawn = new Set<string>();
	for (const entry of [...ordered].reverse()) {
		const target = kindOf(entry).takesBack?.(entry);
		if (target && !withdrawn.has(entry.id)) withdrawn.add(target);
	}
	return withdrawn;
}
