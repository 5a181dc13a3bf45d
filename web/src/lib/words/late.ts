import type { LateWork } from '@exetasis/server/benchLog/late';
import { day, shortTime } from '../format/time';
import type { Format } from '../format/numbers';

/** What was recorded when, and when it arrived: its order was not held. */
export const lateWords = ({ entries, steps, from, to, arrivedAt }: LateWork, format: Format): string => {
	const when = `${day(from)}, ${shortTime(from)}${shortTime(to) === shortTime(from) ? '' : ` to ${shortTime(to)}`}`;
	const signed =
		steps.length === 0
			? ''
			: `, including ${format.number(steps.length)} signed-off ${steps.length === 1 ? 'step' : 'steps'}`;
	return `${format.number(entries)} ${entries === 1 ? 'entry' : 'entries'} from ${when}${signed}, arrived ${day(arrivedAt)}, ${shortTime(arrivedAt)}`;
};

/** Why a lead looks at them. */
export const LATE_HEAD = 'Recorded offline: order not checked';
export const LATE_WHY =
	'These entries arrived more than two minutes after they were recorded. The order of work was not checked then. A lead must check it.';
