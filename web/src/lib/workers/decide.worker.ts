import { expose } from 'comlink';
import { decideWhole, economicInterval } from '@exetasis/core/decide';

/** The set decision off the page's own thread: the slider must move while it computes. */
const api = { decideWhole, economicInterval };
export type DecideWorker = typeof api;
expose(api);
