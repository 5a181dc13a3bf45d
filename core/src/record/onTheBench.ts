import type { Assembly, Face, Step } from './sheet';

interface Keys {
	has(key: string): boolean;
}
type Lock = NonNullable<Step['locks']>;

/** What must not happen now: locks of steps that are signed off, until the step that lifts each is. */
export const locksInForce = (steps: readonly Step[], done: Keys): Lock[] =>
	steps.flatMap(({ key, locks }) => (locks && done.has(key) && !done.has(locks.until) ? [locks] : []));

/** Whether a step may turn the shaft now: no lock is in force but those that name it as an exception. */
export const mayTurn = (steps: readonly Step[], done: Keys, step: Pick<Step, 'key'>): boolean =>
	locksInForce(steps, done).every(({ unless }) => unless.includes(step.key));

/** Which face of each assembly lies up now: as the sheet lays it down, turned over by the steps that are signed off. */
export function facesUp(assemblies: readonly Assembly[], steps: readonly Step[], done: Keys): Map<string, Face> {
	const up = new Map(assemblies.flatMap(({ key, up: face }) => (face ? [[key, face] as const] : [])));
	for (const { key, lays } of steps) if (lays && done.has(key)) up.set(lays.assembly, lays.up);
	return up;
}
