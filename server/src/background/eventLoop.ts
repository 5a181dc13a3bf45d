import { monitorEventLoopDelay } from 'node:perf_hooks';
import { log } from '../serverLog';

/** The longest time for which this process may answer no request. */
const MOST_BLOCKED_MS = 50;
const EVERY_MS = 2000;
const RESOLUTION_MS = 5;

/**
 * Logs every block of the event loop that is longer than `MOST_BLOCKED_MS`, with the routes requested in that interval. `asked`
 * records a request; `stop` ends the watch. Units: milliseconds.
 */
export function watchEventLoop(): { readonly asked: (route: string) => void; readonly stop: () => void } {
	const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
	const routes = new Set<string>();
	delay.enable();
	const timer = setInterval(() => {
		const blockedMs = Math.round(delay.max / 1e6) - RESOLUTION_MS;
		if (blockedMs > MOST_BLOCKED_MS) log.warn({ blockedMs, routes: [...routes] }, 'the event loop was blocked');
		delay.reset();
		routes.clear();
	}, EVERY_MS);
	timer.unref();
	return {
		asked: (route) => void routes.add(route),
		stop: () => {
			clearInterval(timer);
			delay.disable();
		}
	};
}
