/** A time that runs out: a sealer sets while caps are still to be tightened. Kept in the browser, so that it rings on any page. */
export interface RunningTimer {
	readonly job: string;
	readonly step: string;
	/** The pump's serial and what is to be done, as the alarm says it. */
	readonly pump: string;
	readonly todo: string;
	readonly until: number;
}

const KEY = 'exetasis-timers';
/** A timer that ran out this long ago is history. */
const FORGET_MS = 12 * 3_600_000;

function isTimer(stored: unknown): stored is RunningTimer {
	if (typeof stored !== 'object' || stored === null) return false;
	const { job, step, pump, todo, until } = stored as Record<string, unknown>;
	return [job, step, pump, todo].every((text) => typeof text === 'string') && typeof until === 'number';
}

/** The timers that run in this browser; none where it keeps nothing. */
export function runningTimers(now: number): RunningTimer[] {
	try {
		const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
		return Array.isArray(kept) ? kept.filter(isTimer).filter(({ until }) => until > now - FORGET_MS) : [];
	} catch {
		return [];
	}
}

/** Sets the timers of a job again: those of other jobs run on. */
export function setTimers(job: string, timers: readonly RunningTimer[], now: number): void {
	try {
		const others = runningTimers(now).filter((timer) => timer.job !== job);
		localStorage.setItem(KEY, JSON.stringify([...others, ...timers]));
	} catch {
		// A browser that keeps nothing shows the time on the step itself.
	}
}

/** What is left, as a clock shows it: "4:05", or "over by 1:10". */
export function timeLeft(until: number, now: number): string {
	const seconds = Math.round(Math.abs(until - now) / 1000);
	const clock = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
	return until >= now ? clock : `over by ${clock}`;
}
