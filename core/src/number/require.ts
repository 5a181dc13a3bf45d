/**
 * A broken precondition of a public function: which function, which argument, which value, what was expected.
 * It is a fault of the caller; what a person may have typed is checked before, and answered with data.
 */
export class PreconditionError extends RangeError {
	constructor(
		readonly fn: string,
		readonly argument: string,
		readonly value: unknown,
		readonly expected: string
	) {
		super(`${fn}: ${argument} is ${String(value)}, expected ${expected}`);
		this.name = 'PreconditionError';
	}
}

/** Throws a PreconditionError unless the condition holds. Write what must hold, so that NaN is refused as well. */
export function requireThat(
	holds: boolean,
	fn: string,
	argument: string,
	value: unknown,
	expected: string
): asserts holds {
	if (!holds) throw new PreconditionError(fn, argument, value, expected);
}

/** The answer of a public function, refused where its arguments lie so far out that it has left the range of numbers. */
export function finiteAnswer(fn: string, answer: number): number {
	requireThat(Number.isFinite(answer), fn, 'answer', answer, 'arguments within the range of numbers');
	return answer;
}
