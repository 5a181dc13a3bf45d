import { differenceInCalendarDays, parseISO } from 'date-fns';

const SOON = 2; // days ahead from which it is pointed out

/** How near a promised day is: whether it wants attention, and in words. */
export function dueWords(promisedOn: string, now = new Date()): { readonly due: boolean; readonly says: string } {
	const days = differenceInCalendarDays(parseISO(promisedOn), now);
	const count = (n: number) => `${n} ${n === 1 ? 'day' : 'days'}`;
	if (days < 0) return { due: true, says: `${count(-days)} late` };
	return { due: days <= SOON, says: days === 0 ? 'today' : `in ${count(days)}` };
}
