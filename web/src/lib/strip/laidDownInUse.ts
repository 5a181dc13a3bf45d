import { getContext, setContext } from 'svelte';
import type { LaidDownList } from './laidDown.svelte';

const KEY = Symbol('laid down');

/** Makes the parts of the job in hand that the server does not have yet known to its pages; none where the sheet is checked. */
export const provideLaidDown = (list: () => LaidDownList | undefined): void => void setContext(KEY, list);
export const laidDownInUse = (): (() => LaidDownList | undefined) => getContext(KEY);
