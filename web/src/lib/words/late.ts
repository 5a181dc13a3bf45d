import type { LateWork } from '@exetasis/server/benchLog/late';
import { formatNumber } from '../ui/numbers';
import { day, shortTime } from '../ui/time';

/** What was recorded when, and when it arrived: its order was not held. */
export const lateWords = ({ entries, steps, from, to, arrivedAt }: LateWork): string => {
	const when = `${day(from)}, ${shortTime(from)}${shortTime(to) === shortTime(from) ? '' : ` to ${shortTime(to)}`}`;
	const signed =
		steps.length === 0
			? ''
			: `, including ${formatNumber(steps.length)} signed-off ${steps.length === 1 ? 'step' : 'steps'}`;
	return `${formatNumber(entries)} ${entries === 1 ? 'entry' : 'entries'} from ${when}${signed}, arrived ${day(arrivedAt)}, ${shortTime(arrivedAt)}`;
};

/** Why a lead looks at them. */
export const LATE_HEAD = 'Recorded offline: order not checked';
export const LATE_WHY =
	'These entries arrived more than two minutes after they were recorded. The order of work was not checked then. A lead must check it.';
