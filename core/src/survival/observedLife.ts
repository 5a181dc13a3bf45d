import { requireThat } from '../number';

/**
 * What the record says of one life, in hours since fitting: it ended after `after` and no later than `by`.
 * Equal: the moment is known. `by` Infinity: it still held (right-censored). `after` 0: it had ended by its first inspection.
 */
export interface ObservedLife {
	readonly after: number;
	readonly by: number;
	/**
	 * Age from which it was watched, where it would not be on record had it ended before: a part that came with its pump (left truncation).
	 * Left out: from its fitting on.
	 */
	readonly watchedFrom?: number;
}

export const exactLife = (hours: number): ObservedLife => ({ after: hours, by: hours });
export const rightCensored = (hours: number): ObservedLife => ({ after: hours, by: Infinity });
export const intervalCensored = (after: number, by: number): ObservedLife => ({ after, by });

export const isWatchedLate = ({ watchedFrom = 0 }: ObservedLife): boolean => watchedFrom > 0;

export const hasEnded = ({ by }: ObservedLife): boolean => by !== Infinity;
export const isExact = ({ after, by }: ObservedLife): boolean => after === by;

/** Lives that say something of age: those that ended or held at hour 0 say nothing and are counted apart. */
export function withAge(lives: readonly ObservedLife[]): {
	readonly lives: ObservedLife[];
	readonly zeroHours: number;
} {
	const kept = lives.filter(({ after, by }) => by > 0 && !(after === 0 && by === Infinity));
	return { lives: kept, zeroHours: lives.length - kept.length };
}

/** Refuses what cannot be a life. */
export function requireLives(fn: string, lives: readonly ObservedLife[]): void {
	for (const { after, by, watchedFrom = 0 } of lives) {
		const isLife = after >= 0 && after < Infinity && by >= after;
		if (isLife && watchedFrom >= 0 && watchedFrom <= after) continue;
		if (isLife) requireThat(false, fn, 'watchedFrom', watchedFrom, `from 0 to ${after}`);
		requireThat(after >= 0 && Number.isFinite(after), fn, 'after', after, 'hours, at least 0');
		requireThat(false, fn, 'by', by, `at least ${after}`);
	}
}
