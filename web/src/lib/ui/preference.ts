import { getContext, setContext } from 'svelte';
import { metric, type UnitPreference } from '@exetasis/core/quantity';

const KEY = Symbol('unit preference');

/** Makes the signed-in person's units known to every component below; given as a function so that a switch shows at once. */
export const provideUnits = (units: () => UnitPreference): void => void setContext(KEY, units);

/** The signed-in person's units. */
export const unitsInUse = (): (() => UnitPreference) => getContext(KEY) ?? (() => metric);
