import type { Step } from './sheet';

interface Keys {
	has(key: string): boolean;
}

/** The steps that have to be signed off before this one: those that it names, and every blocking one that stands before it. */
export const stepsBefore = (steps: readonly Step[], step: Step): Step[] =>
	steps.filter(
		(other) =>
			other !== step &&
			(step.after.includes(other.key) || (other.blocking && steps.indexOf(other) < steps.indexOf(step)))
	);

/** What a step still waits for. `done` holds the keys of the steps that are signed off. */
export const waitsFor = (steps: readonly Step[], step: Step, done: Keys): Step[] =>
	stepsBefore(steps, step).filter(({ key }) => !done.has(key));

/** The blocking steps that are open: until they are signed off the pump is not safe to work on, and nothing else is recorded. */
export const blockedBy = (steps: readonly Step[], done: Keys): Step[] =>
	steps.filter(({ key, blocking }) => blocking && !done.has(key));

/** The cleaning that is still to be done: dirt hides cracks, so nothing is called clean before. */
export const uncleaned = (steps: readonly Step[], done: Keys): Step[] =>
	steps.filter(({ key, stage }) => stage === 'clean' && !done.has(key));
