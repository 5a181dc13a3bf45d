import { z } from 'zod';
import { parseNumber, type NumberProblem } from '@exetasis/core/quantity';
import type { ShimStock } from '@exetasis/core/build';

type ReadDrawer =
	| { readonly kind: 'drawer'; readonly shims: readonly ShimStock[] }
	| { readonly kind: 'problem'; readonly text: string; readonly problem?: NumberProblem };

const MOST_LINES = 40;

/** The drawer as it is sent to the server, each thickness once. */
export const shimsSchema = z
	.array(z.strictObject({ thicknessMm: z.number().min(0.01).max(20), count: z.int().min(0).max(999) }))
	.max(MOST_LINES);

/** The drawer as it is typed. */
export const drawerText = (shims: readonly ShimStock[]): string =>
	shims.map(({ thicknessMm, count }) => `${thicknessMm} × ${count}`).join('; ');

/** Of one thickness that is named twice all pieces together. */
export function eachOnce(shims: readonly ShimStock[]): ShimStock[] {
	const counts = new Map<number, number>();
	for (const { thicknessMm, count } of shims) counts.set(thicknessMm, (counts.get(thicknessMm) ?? 0) + count);
	return [...counts].map(([thicknessMm, count]) => ({ thicknessMm, count }));
}

/** Keeps the drawer for the whole shop; false where it did not reach the server. */
export async function keepDrawer(shims: readonly ShimStock[]): Promise<boolean> {
	try {
		const headers = { 'content-type': 'application/json' };
		const body = JSON.stringify(eachOnce(shims));
		return (await fetch('/shop/stock/shims', { method: 'POST', headers, body })).ok;
	} catch {
		return false;
	}
}

/** Thicknesses as they are typed: "0.1 × 5; 0.25 × 2", mm; without a count there is one. */
export function readDrawer(typed: string): ReadDrawer {
	const shims: ShimStock[] = [];
	const lines = typed
		.split(/[;\n]/)
		.map((line) => line.trim())
		.filter((line) => line !== '');
	if (lines.length > MOST_LINES) return { kind: 'problem', text: `${lines.length} thicknesses` };
	for (const line of lines) {
		const [size, pieces = '1', ...more] = line.split(/[×x*]/i).map((text) => text.trim());
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
