import type { Assembly, Face, ModelSheet, Step } from './sheet';

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

/** How an assembly lies: which face is up, or on the pump with its pressure side toward you. */
export type Lie = Face | 'mounted';

/** How each assembly lies now: as the sheet lays it down, turned over by the steps that are signed off. */
export function facesUp(assemblies: readonly Assembly[], steps: readonly Step[], done: Keys): Map<string, Lie> {
	const up = new Map<string, Lie>(assemblies.flatMap(({ key, up: face }) => (face ? [[key, face] as const] : [])));
	for (const { key, lays } of steps) if (lays && done.has(key)) up.set(lays.assembly, lays.up);
	return up;
}

/** How each assembly lies when the parts of a build step are loaded: as the strip left it, then as the plan lays it up to that step. */
export function facesUpAt(
	sheet: Pick<ModelSheet, 'assemblies' | 'steps'>,
	opening: readonly Step[],
	plan: readonly Pick<Step, 'key' | 'lays'>[],
	step: Pick<Step, 'key'>
): Map<string, Lie> {
	const stripped = facesUp(sheet.assemblies, opening, new Set(opening.map(({ key }) => key)));
	const until = plan.findIndex(({ key }) => key === step.key);
	for (const { lays } of plan.slice(0, until + 1)) if (lays) stripped.set(lays.assembly, lays.up);
	return stripped;
}

/** Where a side of a part points for the person who loads it: up or down on the bench, toward them or away on the pump. */
export function benchSide(side: Face, lie: Lie): 'up' | 'down' | 'towardYou' | 'awayFromYou' {
	if (lie === 'mounted') return side === 'P' ? 'towardYou' : 'awayFromYou';
	return side === lie ? 'up' : 'down';
}
