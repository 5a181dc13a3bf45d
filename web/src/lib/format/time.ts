const shortForm = new Intl.DateTimeFormat('en-GB', {
	day: 'numeric',
	month: 'short',
	hour: '2-digit',
	minute: '2-digit',
	hourCycle: 'h23'
});
const asDay = { day: 'numeric', month: 'short', year: 'numeric' } as const;
const dayForm = new Intl.DateTimeFormat('en-GB', asDay);
// A date without a time is that day everywhere, also west of Greenwich.
const bareForm = new Intl.DateTimeFormat('en-GB', { ...asDay, timeZone: 'UTC' });
const isBare = (at: string | Date): boolean => typeof at === 'string' && /^\d{4}-\d\d-\d\d$/.test(at);

/** "24 Nov, 10:14" */
export const shortTime = (at: string | Date): string => shortForm.format(new Date(at));
/** "24 Nov 2026" */
export const day = (at: string | Date): string => (isBare(at) ? bareForm : dayForm).format(new Date(at));
