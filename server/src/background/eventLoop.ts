import { monitorEventLoopDelay } from 'node:perf_hooks';
import { log } from '../serverLog';

/** The longest that this process may keep from answering anybody. */
export const MOST_BLOCKED_MS = 50;
const EVERY_MS = 2000;
const RESOLUTION_MS = 5;

/**
 * Logs whenever this process answered nobody for longer than it may, with what it was asked meanwhile. Returns how to note
 * a request, and to stop.
 */
export function watchEventLoop(): { readonly asked: (route: string) => void; readonly stop: () => void } {
	const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
	const routes = new Set<string>();
	delay.enable();
	const timer = setInterval(() => {
		const blockedMs = Math.round(delay.max / 1e6) - RESOLUTION_MS;
		if (blockedMs > MOST_BLOCKED_MS)
			log.warn({ blockedMs, routes: [...routes] }, 'the server answered nobody for a while');
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
