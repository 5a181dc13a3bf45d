import { createHash } from 'node:crypto';

/** What an answer rests on, as a key: equal data give the same one. */
export const keyOf = (...asked: readonly unknown[]): string =>
	createHash('sha1').update(JSON.stringify(asked, plainly)).digest('base64');

// What JSON itself would drop.
function plainly(_: string, value: unknown): unknown {
	if (value instanceof Map || value instanceof Set) return [...value];
	return typeof value === 'number' && !Number.isFinite(value) ? String(value) : value;
}

/** Answers kept by what they rest on, those asked for last; one that failed is forgotten. */
export class Kept<Answer> {
	readonly #most: number;
	readonly #answers = new Map<string, Promise<Answer>>();

	constructor(most: number) {
		this.#most = most;
	}

	get(key: string): Promise<Answer> | undefined {
		const found = this.#answers.get(key);
		if (found) this.#put(key, found);
		return found;
	}

	keep(key: string, answer: Promise<Answer>): Promise<Answer> {
		this.#put(key, answer);
		if (this.#answers.size > this.#most) this.#answers.delete(this.#answers.keys().next().value!);
		answer.catch(() => this.#answers.get(key) === answer && this.#answers.delete(key));
		return answer;
	}

	// The last asked for stands last.
	#put(key: string, answer: Promise<Answer>): void {
		this.#answers.delete(key);
		this.#answers.set(key, answer);
	}
}
