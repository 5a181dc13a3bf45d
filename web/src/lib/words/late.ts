import type { LateWork } from '@exetasis/server/benchLog/late';
import { formatNumber } from '../ui/numbers';
import { day, shortTime } from '../ui/time';

/** What was recorded when, and when it arrived: its order was not held. */
export const lateWords = ({ entries, steps, from, to, arrivedAt }: LateWork): string => {
	const when = `${day(from)}, ${shortTime(from)}${shortTime(to) === shortTime(from) ? '' : ` to ${shortTime(to)}`}`;
	const signed =
		steps.length === 0
			? ''
			: `, ${formatNumber(steps.length)} ${steps.length === 1 ? 'step' : 'steps'} signed off among them`;
	return `${formatNumber(entries)} ${entries === 1 ? 'entry' : 'entries'} of ${when}${signed}; arrived ${day(arrivedAt)}, ${shortTime(arrivedAt)}`;
};

/** Why a lead looks at them. */
export const LATE_HEAD = 'Recorded off the network: order not held';
export const LATE_WHY =
	'These arrived more than two minutes after they were recorded. The order of the work could not be held then: a lead checks it.';
