/** A seeded source of random numbers (mulberry32), so that the demo is the same at every run. */
export class Random {
	#state: number;

	constructor(seed: number) {
		this.#state = seed >>> 0;
	}

	/** Uniform in [0, 1). */
	uniform(): number {
		this.#state = (this.#state + 0x6d2b79f5) >>> 0;
		let t = this.#state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	}

	between(low: number, high: number): number {
		return low + (high - low) * this.uniform();
	}

	chance(p: number): boolean {
		return this.uniform() < p;
	}

	pick<T>(list: readonly T[]): T {
		return list[Math.floor(this.uniform() * list.length)];
	}

	/** Normal, by Box and Muller. */
	normal(mean: number, sd: number): number {
		const radius = Math.sqrt(-2 * Math.log(1 - this.uniform()));
		return mean + sd * radius * Math.cos(2 * Math.PI * this.uniform());
	}

	/** Gamma with this shape and scale 1 (Marsaglia and Tsang 2000; shapes below 1 by their boost). */
	gamma(shape: number): number {
		if (shape < 1) return this.gamma(shape + 1) * (1 - this.uniform()) ** (1 / shape);
		const d = shape - 1 / 3;
		const c = 1 / Math.sqrt(9 * d);
		for (;;) {
			const x = this.normal(0, 1);
			const v = (1 + c * x) ** 3;
			if (v > 0 && Math.log(1 - this.uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
		}
	}

	/** Sixteen bytes, for ids. */
	bytes(): Uint8Array {
		return Uint8Array.from({ length: 16 }, () => Math.floor(this.uniform() * 256));
	}
}
