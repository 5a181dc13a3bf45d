import { requireThat } from '../number';
import { partType, partTypeKeys, type PartTypeKey } from '../part';
import type { ModelSheet } from '../record';
import type { NewPart } from './edit';

/** A line of a parts list: the item's number in the drawing, its description, how many the pump has. */
export interface ListedPart {
	readonly item: string;
	readonly description: string;
	readonly quantity: number;
}

/** A line with the part types that it may be, the likeliest first; none for a line that names no known part. */
export interface ProposedPart extends ListedPart {
	readonly types: readonly PartTypeKey[];
	/** One type stands out clearly; otherwise a person chooses. */
	readonly sure: boolean;
	/** Pieces at each cylinder, or in the pump. */
	readonly per: 'pump' | 'cylinder';
	readonly pieces: number;
}

const MOST_TYPES = 6;

// "O-rings" and "o ring" are the same words.
const wordsOf = (text: string): string[] =>
	text
		.toLowerCase()
		.normalize('NFD')
		.replaceAll(/\p{M}/gu, '')
		.split(/[^a-z0-9]+/)
		.filter((word) => word !== '' && !/\d|^mm$/.test(word)) // sizes name no part
		.map((word) => (word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word));

interface Name {
	readonly type: PartTypeKey;
	readonly words: readonly string[];
}

/** Names by which parts are known: of the part types, and of the parts on these sheets with their other names. */
export function knownNames(sheets: readonly ModelSheet[]): Name[] {
	const ofTypes = partTypeKeys.flatMap((key) =>
		[partType(key).name, ...(partType(key).alsoCalled ?? [])].map((name) => ({ type: key, words: wordsOf(name) }))
	);
	const ofSheets = sheets.flatMap(({ stations }) =>
		stations.flatMap(({ type, name, alsoCalled }) =>
			[name, ...alsoCalled].map((text) => ({ type, words: wordsOf(text) }))
		)
	);
	return [...ofTypes, ...ofSheets];
}

/**
 * What each line of a parts list may be. A line scores by the share of a name's words in it (the last word, the noun, counts
 * twice) and by the share of its own words that the name explains. A line of one clear best type is sure.
 * Errors: PreconditionError for a quantity or a number of cylinders below 1.
 */
export function proposeParts(lines: readonly ListedPart[], names: readonly Name[], cylinders: number): ProposedPart[] {
	requireThat(Number.isInteger(cylinders) && cylinders >= 1, 'proposeParts', 'cylinders', cylinders, 'at least 1');
	for (const { quantity } of lines)
		requireThat(Number.isInteger(quantity) && quantity >= 1, 'proposeParts', 'quantity', quantity, 'at least 1');
	const known = new Map<string, readonly [PartTypeKey, number][]>();
	return lines.map((line) => {
		const words = wordsOf(line.description);
		const text = words.join(' ');
		const scored = known.get(text) ?? scoresOf(words, names);
		known.set(text, scored);
		const [best, second] = scored;
		const perCylinder = cylinders > 1 && line.quantity > 0 && line.quantity % cylinders === 0;
		return {
			...line,
			types: scored.slice(0, MOST_TYPES).map(([type]) => type),
			sure: best !== undefined && best[1] >= SURE && (second === undefined || best[1] - second[1] >= APART),
			per: perCylinder ? 'cylinder' : 'pump',
			pieces: Math.max(1, perCylinder ? line.quantity / cylinders : line.quantity)
		};
	});
}

const SURE = 0.85;
const APART = 0.05;
const LEAST = 0.35;

function scoresOf(words: readonly string[], names: readonly Name[]): [PartTypeKey, number][] {
	const own = new Set(words);
	const best = new Map<PartTypeKey, number>();
	for (const { type, words: name } of names) {
		const noun = name.at(-1);
		const weight = name.length + 1;
		const shared = name.filter((word) => own.has(word)).length + (noun !== undefined && own.has(noun) ? 1 : 0);
		if (shared === 0) continue;
		const explained = name.filter((word) => own.has(word)).length / Math.max(1, own.size);
		const score = (shared / weight) * (0.6 + 0.4 * explained);
		if (score > (best.get(type) ?? 0)) best.set(type, score);
	}
	return [...best].filter(([, score]) => score >= LEAST).sort((a, b) => b[1] - a[1]);
}

/** A proposed line as a new part, of the type that was chosen. Errors: PreconditionError for fewer than one piece. */
export function partOfLine({ description, pieces, per }: ProposedPart, type: PartTypeKey): NewPart {
	requireThat(Number.isInteger(pieces) && pieces >= 1, 'partOfLine', 'pieces', pieces, 'at least 1');
	return { type, name: description.slice(0, MOST_NAME), pieces, per };
}

const MOST_NAME = 60;
