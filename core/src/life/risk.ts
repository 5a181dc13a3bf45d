/** A probability with the interval that the open parameters leave it, 5 to 95 %. */
export interface Risk {
	readonly probability: number;
	readonly low: number;
	readonly high: number;
}

/** 5 and 95 % points of weighted chances. */
export function spreadOf(points: readonly { readonly chance: number; readonly weight: number }[]): {
	low: number;
	high: number;
} {
	const sorted = [...points].sort((a, b) => a.chance - b.chance);
	const total = sorted.reduce((sum, { weight }) => sum + weight, 0);
	const at = (share: number) => {
		let sum = 0;
		for (const { chance, weight } of sorted)
			if ((sum += weight) >= share * total) return Math.min(1, Math.max(0, chance));
		return 0;
	};
	return { low: at(0.05), high: at(0.95) };
}
