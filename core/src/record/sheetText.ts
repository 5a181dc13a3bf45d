import { findNodeAtLocation, parseTree, printParseErrorCode, visit, type Node } from 'jsonc-parser';
import { sheetSchema, type ModelSheet } from './sheet';

/** One thing that is wrong in the text of a model sheet: where (line from 1, path of keys) and what. */
export interface SheetFault {
	readonly line: number;
	readonly path: string;
	readonly message: string;
}

type ReadSheet =
	| { readonly kind: 'sheet'; readonly sheet: ModelSheet }
	/** The first faults, and how many more there are. */
	| { readonly kind: 'faults'; readonly faults: readonly SheetFault[]; readonly more: number };

/** Longest text of a sheet, deepest nesting in it, and how many faults are told at once. */
export const MOST_TEXT = 1_000_000;
const DEEPEST = 40;
const MOST_FAULTS = 50;

/**
 * Reads the text of a model sheet; every fault comes with its line and path, so that it can be found in the text.
 * In time linear to the text, whatever it holds: a text that is no JSON is left at its first fault.
 */
export function readSheet(source: string): ReadSheet {
	const only = (line: number, message: string, path = '(text)'): ReadSheet => ({
		kind: 'faults',
		faults: [{ line, path, message }],
		more: 0
	});
	if (source.length > MOST_TEXT) return only(1, `is longer than ${MOST_TEXT} characters`);
	const broken = firstFault(source);
	if (broken) return only(broken.line, broken.message, broken.path);
	const parsed = sheetSchema.safeParse(JSON.parse(source));
	if (parsed.success) return { kind: 'sheet', sheet: parsed.data };
	const tree = parseTree(source)!;
	const starts = lineStarts(source);
	const { issues } = parsed.error;
	return {
		kind: 'faults',
		faults: issues.slice(0, MOST_FAULTS).map((issue) => ({
			line: lineAt(starts, nearest(tree, issue.path as (string | number)[]).offset),
			path: issue.path.join('.') || '(whole sheet)',
			message: issue.message
		})),
		more: Math.max(0, issues.length - MOST_FAULTS)
	};
}

class Found extends Error {
	constructor(readonly fault: SheetFault) {
		super(fault.message);
	}
}

// What JSON itself forbids or would let pass in silence: stops at the first.
function firstFault(source: string): SheetFault | undefined {
	const keys: Set<string>[] = [];
	const found = (line: number, message: string, path: readonly (string | number)[] = []): never => {
		throw new Found({ line: line + 1, path: path.join('.') || '(text)', message });
	};
	const begin = (line: number, path: readonly (string | number)[]) => {
		keys.push(new Set());
		if (keys.length > DEEPEST) found(line, `is nested more than ${DEEPEST} deep`, path);
	};
	const checkText = (text: unknown, line: number, path: readonly (string | number)[]) => {
		if (typeof text === 'string' && (text.includes('\0') || !text.isWellFormed()))
			found(line, 'holds a character that cannot be stored', path);
	};
	try {
		visit(
			source,
			{
				onError: (error, _offset, _length, line) =>
					found(line, `is no JSON from here on (${printParseErrorCode(error)})`),
				onObjectBegin: (_o, _l, line, _c, path) => begin(line, path()),
				onArrayBegin: (_o, _l, line, _c, path) => begin(line, path()),
				onObjectEnd: () => void keys.pop(),
				onArrayEnd: () => void keys.pop(),
				onObjectProperty: (key, _o, _l, line, _c, path) => {
					checkText(key, line, path());
					if (keys.at(-1)!.has(key)) found(line, `"${key}" stands here twice`, path());
					keys.at(-1)!.add(key);
				},
				onLiteralValue: (value, _o, _l, line, _c, path) => checkText(value, line, path())
			},
			{ disallowComments: true, allowTrailingComma: false }
		);
		JSON.parse(source);
		return undefined;
	} catch (cause) {
		if (cause instanceof Found) return cause.fault;
		return { line: 1, path: '(text)', message: 'is no JSON' };
	}
}

function lineStarts(source: string): number[] {
	const starts = [0];
	for (let at = source.indexOf('\n'); at >= 0; at = source.indexOf('\n', at + 1)) starts.push(at + 1);
	return starts;
}

// The last line that starts at or before the offset.
function lineAt(starts: readonly number[], offset: number): number {
	let [low, high] = [0, starts.length];
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if (starts[middle] <= offset) low = middle;
		else high = middle;
	}
	return low + 1;
}

// A missing key stands nowhere in the text: then what should hold it.
function nearest(tree: Node, path: readonly (string | number)[]): Node {
	for (let length = path.length; length > 0; length--) {
		const node = findNodeAtLocation(tree, path.slice(0, length));
		if (node) return node;
	}
	return tree;
}
