/** Terms that are explained where they stand in a sentence; each has its entry in docs/glossary.md. */
export const explained = [
	'B10 life',
	'competing failures',
	'coverage factor',
	'discard limit',
	'expanded uncertainty',
	'false discovery rate',
	'handling damage',
	'interval-censored',
	'Kaplan–Meier',
	'left truncation',
	'prior',
	'rate ratio',
	'recurrence',
	'right-censored',
	'Turnbull',
	'uncertainty',
	'unplanned stop',
	'Weibull distribution'
] as const;
export type Explained = (typeof explained)[number];

export interface Entry {
	readonly term: string;
	readonly says: string;
}

/** The entries of the glossary by each of their names in small letters: "**Head (manifold)**: …" stands under both. */
export function readGlossary(markdown: string): ReadonlyMap<string, Entry> {
	const entries = new Map<string, Entry>();
	for (const [, term, says] of markdown.matchAll(/^- \*\*(.+?)\*\*: (.+)$/gm))
		for (const name of term.split(/[(),]/)) {
			const key = name.trim().toLowerCase();
			if (key !== '') entries.set(key, { term, says });
		}
	return entries;
}

/** The glossary, fetched when it is first asked for. */
export const glossary = async (): Promise<ReadonlyMap<string, Entry>> =>
	readGlossary((await import('../../../../docs/glossary.md?raw')).default);

/** A piece of a sentence, and the term that it is. */
export interface Piece {
	readonly text: string;
	readonly term?: Explained;
}

const byLength = explained.toSorted((a, b) => b.length - a.length);
const anyTerm = new RegExp(`\\b(${byLength.join('|')})(?=s?\\b)`, 'giu');

/** A sentence in pieces: each explained term once, where it stands first. */
export function piecesOf(sentence: string): Piece[] {
	const pieces: Piece[] = [];
	const seen = new Set<string>();
	let at = 0;
	for (const { 0: found, index } of sentence.matchAll(anyTerm)) {
		const term = explained.find((text) => text.toLowerCase() === found.toLowerCase())!;
		if (seen.has(term)) continue;
		seen.add(term);
		if (index > at) pieces.push({ text: sentence.slice(at, index) });
		pieces.push({ text: found, term });
		at = index + found.length;
	}
	if (at < sentence.length) pieces.push({ text: sentence.slice(at) });
	return pieces;
}
