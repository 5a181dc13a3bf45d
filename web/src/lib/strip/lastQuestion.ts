import { askedAt, askKey, unanswered, type Answer, type Ask } from '@exetasis/core/record';

type Answers = Parameters<typeof unanswered>[1];
/** A question that the sign-off of its step answers too. */
interface LastQuestion {
	readonly ask: Ask;
	readonly payload: Answer['payload'];
}

/**
 * The only question of a step that is still open, where one touch can answer and sign off: a check, or a count that comes out as
 * it should. Steps that make the pump safe are answered on their own. Shape: `due` gives the number of pieces.
 */
export function lastQuestion(
	step: { readonly key: string; readonly asks: readonly Ask[]; readonly blocking?: boolean },
	answers: Answers,
	cylinders: readonly number[],
	due: (station: string) => number
): LastQuestion | undefined {
	const open = unanswered(step, answers, cylinders);
	if (step.blocking || open.length !== 1) return undefined;
	const [ask] = open;
	const index = step.asks.indexOf(ask);
	const places = askedAt(ask, cylinders).filter((at) => !answers.has(askKey(step.key, index, at)));
	if (places.length !== 1) return undefined;
	const value = ask.kind === 'tick' ? true : ask.kind === 'count' ? due(ask.station) : undefined;
	if (value === undefined) return undefined;
	const [cylinder] = places;
	return { ask, payload: { step: step.key, ask: index, value, ...(cylinder ? { cylinder } : {}) } };
}
