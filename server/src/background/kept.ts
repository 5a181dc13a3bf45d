import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';

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
	readonly #answers: LRUCache<string, Promise<Answer>>;

	constructor(most: number) {
		this.#answers = new LRUCache({ max: most });
	}

	get(key: string): Promise<Answer> | undefined {
		return this.#answers.get(key);
	}

	keep(key: string, answer: Promise<Answer>): Promise<Answer> {
		this.#answers.set(key, answer);
		answer.catch(() => this.#answers.peek(key) === answer && this.#answers.delete(key));
		return answer;
	}
}
