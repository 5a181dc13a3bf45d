import { getContext, setContext } from 'svelte';
import type { Outbox } from './outbox.svelte';

const KEY = Symbol('outbox');

/** Makes the signed-in person's outbox known to every page; there is none on the server. */
export const provideOutbox = (outbox: () => Outbox | undefined): void => void setContext(KEY, outbox);
export const outboxInUse = (): (() => Outbox | undefined) => getContext(KEY);
