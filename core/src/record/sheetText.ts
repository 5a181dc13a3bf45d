import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import { sheetSchema, type ModelSheet } from './sheet';

/** One thing that is wrong in the text of a model sheet: where (line from 1, path of keys) and what. */
export interface SheetFault {
	readonly line: number;
	readonly path: string;
	readonly message: string;
}

export type ReadSheet =
	| { readonly kind: 'sheet'; readonly sheet: ModelSheet }
	| { readonly kind: 'faults'; readonly faults: readonly SheetFault[] };

/** Reads the text of a model sheet; every fault comes with its line and path, so that it can be found in the text. */
export function readSheet(source: string): ReadSheet {
	const lineAt = (offset: number) => source.slice(0, offset).split('\n').length;
	const errors: ParseError[] = [];
	const tree = parseTree(source, errors, { disallowComments: true, allowTrailingComma: false });
	if (!tree || errors.length > 0) {
		const { error, offset } = errors[0] ?? { error: 4, offset: 0 };
		const message = `is no JSON from here on (${printParseErrorCode(error)})`;
		return { kind: 'faults', faults: [{ line: lineAt(offset), path: '(text)', message }] };
	}
	const parsed = sheetSchema.safeParse(JSON.parse(source));
	if (parsed.success) return { kind: 'sheet', sheet: parsed.data };
	return {
		kind: 'faults',
		faults: parsed.error.issues.map((issue) => ({
			line: lineAt(nearest(tree, issue.path as (string | number)[]).offset),
			path: issue.path.join('.') || '(whole sheet)',
			message: issue.message
		}))
	};
}

// A missing key stands nowhere in the text: then what should hold it.
function nearest(tree: Node, path: readonly (string | number)[]): Node {
	for (let length = path.length; length > 0; length--) {
		const node = findNodeAtLocation(tree, path.slice(0, length));
		if (node) return node;
	}
	return tree;
}
