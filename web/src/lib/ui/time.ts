import { format, formatDistanceToNowStrict } from 'date-fns';

/** "24 Nov, 10:14" */
export const shortTime = (at: string | Date): string => format(new Date(at), 'd MMM, HH:mm');
/** "24 Nov 2026" */
export const day = (at: string | Date): string => format(new Date(at), 'd MMM yyyy');
/** "5 hours ago" */
export const ago = (at: string | Date): string => formatDistanceToNowStrict(new Date(at), { addSuffix: true });
