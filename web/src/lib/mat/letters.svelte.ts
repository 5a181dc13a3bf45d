import { patternCodes } from './keys';

interface KeyboardApi {
	readonly getLayoutMap: () => Promise<ReadonlyMap<string, string>>;
}

// What a keyboard of the commonest layout writes on them, until the browser says what this one does.
const letters = $state(patternCodes.map((code) => code.slice(3)));
let asked = false;

/** The letters that stand on the keys of the patterns, on this keyboard where the browser tells. */
export function lettersInUse(): readonly string[] {
	const { keyboard } = (globalThis.navigator ?? {}) as { keyboard?: KeyboardApi };
	if (!asked && keyboard) {
		asked = true;
		void keyboard
			.getLayoutMap()
			.then((layout) =>
				patternCodes.forEach((code, i) => (letters[i] = (layout.get(code) ?? letters[i]).toUpperCase()))
			)
			.catch(() => undefined); // a page in a frame may not ask: the commonest layout stays
	}
	return letters;
}
