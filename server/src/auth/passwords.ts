import type { ZxcvbnFactory } from '@zxcvbn-ts/core';

export const SHORTEST_PASSWORD = 10;
export const LONGEST_PASSWORD = 200;

/** From 0 to 4; at 3 more than a hundred million guesses are needed. Source: D. Wheeler, USENIX Security (2016) 157–173. */
const LEAST_SCORE = 3;

let estimator: Promise<ZxcvbnFactory> | undefined;

// Its dictionaries are large: read when a password is first chosen.
async function load(): Promise<ZxcvbnFactory> {
	const [{ ZxcvbnFactory }, common, english] = await Promise.all([
		import('@zxcvbn-ts/core'),
		import('@zxcvbn-ts/language-common'),
		import('@zxcvbn-ts/language-en')
	]);
	return new ZxcvbnFactory({
		dictionary: { ...common.dictionary, ...english.dictionary },
		graphs: common.adjacencyGraphs
	});
}

/** Whether a password is guessed quickly, by words and names in use, keyboards, dates and repeats, and what is known of its owner. */
export async function isGuessedQuickly(password: string, owner: readonly string[]): Promise<boolean> {
	const known = owner
		.flatMap((text) => {
			const words = text.split(/[^\p{L}\p{N}]+/u);
			return [text, words.join(''), ...words];
		})
		.filter((word) => word.length > 2);
	return (await (estimator ??= load())).check(password, known).score < LEAST_SCORE;
}
