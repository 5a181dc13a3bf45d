import { getContext, setContext } from 'svelte';
import { defaultFormat, formatFor, type Format, type Notation } from './numbers';

const KEY = Symbol('format');

/** Makes the signed-in person's notation known to every component below. A function, so that another choice shows at once. */
export const provideFormat = (notation: () => Notation): void => void setContext(KEY, formatFor(notation));

/** The format of the signed-in person. */
export const formatInUse = (): Format => getContext(KEY) ?? defaultFormat;
