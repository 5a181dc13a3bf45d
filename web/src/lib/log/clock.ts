/** What this tablet's clock is off, and its own count of entries: both travel with each entry, so that order does not rest on clocks. */
class TabletClock {
	#offsetMs: number | undefined;

	/** The server's time as it has just been told, which took so long to ask for. */
	compare(serverTime: number, tookMs = 0): void {
		this.#offsetMs = Math.round(serverTime + tookMs / 2 - Date.now());
	}

	/** The stamps of that many entries that are made now, as one act: they share their moment and differ in their count. */
	stamps(count: number): { at: string; offsetMs?: number; seq: number }[] {
		const offset = this.#offsetMs === undefined ? {} : { offsetMs: this.#offsetMs };
		const at = new Date().toISOString();
		return Array.from({ length: count }, () => ({ at, ...offset, seq: nextCount() }));
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
