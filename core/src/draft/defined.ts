/** The fields of an object that are set: a field set to undefined is one left out, as the sheet's format has it. */
export const defined = <T extends object>(value: T): T =>
	Object.fromEntries(Object.entries(value).filter(([, field]) => field !== undefined)) as T;
