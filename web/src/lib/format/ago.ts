import { formatDistanceToNowStrict } from 'date-fns';

/** "5 hours ago" */
export const ago = (at: string | Date): string => formatDistanceToNowStrict(at, { addSuffix: true });
