import { format, formatDistanceToNowStrict, parseISO } from 'date-fns';

// A date without a time is that day everywhere, also west of Greenwich.
const dated = (at: string | Date): Date => (typeof at === 'string' ? parseISO(at) : at);

/** "24 Nov, 10:14" */
export const shortTime = (at: string | Date): string => format(dated(at), 'd MMM, HH:mm');
/** "24 Nov 2026" */
export const day = (at: string | Date): string => format(dated(at), 'd MMM yyyy');
/** "5 hours ago" */
export const ago = (at: string | Date): string => formatDistanceToNowStrict(dated(at), { addSuffix: true });
