/** What this tablet's clock is off, and its own count of entries: both travel with each entry, so that order does not rest on clocks. */
class TabletClock {
	#offsetMs: number | undefined;

	/** The server's time as it has just been told, which took so long to ask for. */
	compare(serverTime: number, tookMs = 0): void {
		this.#offsetMs = Math.round(serverTime + tookMs / 2 - Date.now());
	}

	/** The stamp of an entry that is made now. */
	stamp(): { at: string; offsetMs?: number; seq: number } {
		const offset = this.#offsetMs === undefined ? {} : { offsetMs: this.#offsetMs };
		return { at: new Date().toISOString(), ...offset, seq: nextCount() };
	}
}

const COUNT = 'exetasis-count';
let inMemory = 0;
// One count for all tabs of a browser; where it keeps nothing, this page's own.
function nextCount(): number {
	try {
		const next = (Number(localStorage.getItem(COUNT)) || 0) + 1;
		localStorage.setItem(COUNT, String(next));
		return next;
	} catch {
		return ++inMemory;
	}
}

export const clock = new TabletClock();
