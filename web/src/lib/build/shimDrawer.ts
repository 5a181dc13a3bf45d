import { parseNumber, type NumberProblem } from '@exetasis/core/quantity';
import type { ShimStock } from '@exetasis/core/build';

export type ReadDrawer =
	| { readonly kind: 'drawer'; readonly shims: readonly ShimStock[] }
	| { readonly kind: 'problem'; readonly text: string; readonly problem?: NumberProblem };

const MOST_LINES = 40;

/** Thicknesses as they are typed: "0.1 × 5; 0.25 × 2", mm; without a count there is one. */
export function readDrawer(typed: string): ReadDrawer {
	const shims: ShimStock[] = [];
	const lines = typed
		.split(/[;\n]/)
		.map((line) => line.trim())
		.filter((line) => line !== '');
	if (lines.length > MOST_LINES) return { kind: 'problem', text: `${lines.length} thicknesses` };
	for (const line of lines) {
		const [size, pieces = '1', ...more] = line.split(/[×x*]/i).map((one) => one.trim());
		if (more.length > 0) return { kind: 'problem', text: line };
		const thickness = parseNumber(size, { least: 0.01, most: 20 });
		if (thickness.kind === 'problem') return { kind: 'problem', text: line, problem: thickness.problem };
		const count = parseNumber(pieces, { least: 0, most: 999 });
		if (count.kind === 'problem') return { kind: 'problem', text: line, problem: count.problem };
		if (!Number.isInteger(count.value)) return { kind: 'problem', text: line };
		shims.push({ thicknessMm: thickness.value, count: count.value });
	}
	return { kind: 'drawer', shims };
}
