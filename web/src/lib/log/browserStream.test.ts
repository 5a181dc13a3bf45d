import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { BrowserStream } from './browserStream';

/** Locks of one browser: the first that asks holds it until it is let go, then the next. */
function locks() {
	const waiting: (() => unknown)[] = [];
	return {
		request: (_: string, hold: () => unknown) => {
			waiting.push(hold);
			if (waiting.length === 1) hold();
			return new Promise(() => undefined);
		},
		holderGoes: () => {
			waiting.shift();
			waiting[0]?.();
		}
	};
}
/** Channels of one browser: what one says, all others hear. */
function channels() {
	const all: { onmessage?: (event: { data: unknown }) => void; postMessage: (data: unknown) => void }[] = [];
	return () => {
		const own = {
			postMessage: (data: unknown) =>
				all.filter((other) => other !== own).forEach(({ onmessage }) => onmessage?.({ data: structuredClone(data) }))
		};
		all.push(own);
		return own as unknown as BroadcastChannel;
	};
}
class Stream {
	static readonly CLOSED = 2;
	static readonly opened: Stream[] = [];
	readyState = 1;
	onopen?: () => void;
	onmessage?: (event: { data: string }) => void;
	onerror?: () => void;
	readonly #named = new Map<string, (event: { data: string }) => void>();
	readonly url: string;
	constructor(url: string) {
		this.url = url;
		Stream.opened.push(this);
	}
	addEventListener(name: string, hear: (event: { data: string }) => void) {
		this.#named.set(name, hear);
	}
	clock(at: number) {
		this.#named.get('clock')!({ data: String(at) });
	}
	entries(job: string, ...entries: object[]) {
		this.onmessage!({ data: JSON.stringify({ job, entries }) });
	}
	close() {
		this.readyState = Stream.CLOSED;
	}
}
const standing = () => Stream.opened.filter(({ readyState }) => readyState !== Stream.CLOSED);
const listener = () => ({ entries: vi.fn(), hears: vi.fn(), clock: vi.fn() });

beforeEach(() => {
	vi.useFakeTimers();
	Stream.opened.length = 0;
	vi.stubGlobal('EventSource', Stream);
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('the stream of a browser', () => {
	function browser(tabs: number) {
		const own = locks();
		const channel = channels();
		const ends = Array.from({ length: tabs }, channel);
		const all = ends.map((end) => new BrowserStream(own as unknown as LockManager, end));
		return { all, own, ends };
	}

	it('is one for twelve tabs, and each hears of its own job', () => {
		const { all } = browser(12);
		const heard = all.map(listener);
		all.forEach((tab, i) => tab.follow(`job${i}`, heard[i]));
		vi.advanceTimersByTime(100);
		expect(standing()).toHaveLength(1);
		expect(standing()[0].url.match(/job=/g)).toHaveLength(12);
		standing()[0].entries('job7', { id: 'a' });
		standing()[0].clock(5);
		expect(heard.map(({ entries }) => entries.mock.calls.length)).toEqual([0, 0, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0]);
		expect(heard.every(({ clock }) => clock.mock.calls.length === 1)).toBe(true);
	});
	it('is taken over by another tab where the one that held it is closed', () => {
		const { all, own, ends } = browser(3);
		const heard = all.map(listener);
		all.forEach((tab, i) => tab.follow(`job${i}`, heard[i]));
		vi.advanceTimersByTime(100);
		all[0].away();
		ends[0].onmessage = null;
		standing()[0].close();
		own.holderGoes();
		vi.advanceTimersByTime(100);
		expect(standing().map(({ url }) => url)).toEqual(['/events?job=job1&job=job2']);
		standing()[0].entries('job2', { id: 'b' });
		expect(heard[2].entries).toHaveBeenLastCalledWith([{ id: 'b' }]);
	});
	it('begins again for a tab that follows a job which is followed already: it wants the whole log', () => {
		const { all } = browser(2);
		all[0].follow('job', listener());
		vi.advanceTimersByTime(100);
		all[1].follow('job', listener());
		vi.advanceTimersByTime(100);
		expect(Stream.opened).toHaveLength(2);
		expect(standing()).toHaveLength(1);
	});
	it('tells every tab when it is lost, and connects again with growing pauses', () => {
		const { all } = browser(2);
		const heard = all.map(listener);
		all.forEach((tab) => tab.follow('job', heard[all.indexOf(tab)]));
		vi.advanceTimersByTime(100);
		const [only] = standing();
		only.close();
		only.onerror!();
		expect(heard.map(({ hears }) => hears.mock.lastCall)).toEqual([[false], [false]]);
		vi.advanceTimersByTime(1000);
		expect(standing()).toHaveLength(1);
		standing()[0].onopen!();
		expect(heard.map(({ hears }) => hears.mock.lastCall)).toEqual([[true], [true]]);
	});
	it('is silent when the tab that holds it is stopped: the others say that they hear nothing', () => {
		const { all } = browser(2);
		const heard = listener();
		all[1].follow('job', heard);
		vi.advanceTimersByTime(61_000);
		expect(heard.hears).toHaveBeenLastCalledWith(false);
	});
	it('waits for no timer in a tab that is hidden: a browser holds them back', () => {
		vi.stubGlobal('document', { visibilityState: 'hidden' });
		const { all } = browser(2);
		all[1].follow('job', listener());
		expect(standing().map(({ url }) => url)).toEqual(['/events?job=job']);
	});
	it('is a tab’s own where the browser has no locks', () => {
		const alone = new BrowserStream(undefined, undefined);
		const heard = listener();
		const stop = alone.follow('job', heard);
		vi.advanceTimersByTime(100);
		standing()[0].entries('job', { id: 'a' });
		expect(heard.entries).toHaveBeenCalledOnce();
		stop();
		vi.advanceTimersByTime(100);
		expect(standing()).toHaveLength(0);
	});
});
