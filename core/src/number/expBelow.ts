const LOWEST = -40;
const STEPS = 256; // in one unit
const table = Float64Array.from({ length: -LOWEST * STEPS + 1 }, (_, i) => Math.exp(-i / STEPS));

/**
 * exp(x) for x ≤ 0, from a table and three terms of its series: several times as fast as `Math.exp`, for the inside of
 * integrals. Nought below −40. Accuracy: 1e-10 relative.
 */
export function expBelow(x: number): number {
	if (!(x > LOWEST)) return 0;
	const i = (-x * STEPS) | 0;
	const rest = x + i / STEPS;
	return table[i] * (1 + rest * (1 + rest * (0.5 + rest / 6)));
}
