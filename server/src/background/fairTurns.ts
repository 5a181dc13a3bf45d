/** Limits how many tasks run at once. Waiting tasks run from each shop in turn, so that a shop with many tasks delays only itself. */
export class FairTurns {
	readonly #most: number;
	#working = 0;
	// In the order of their turns; shops without a waiting task are left out.
	readonly #waiting = new Map<string, (() => void)[]>();

	constructor(most: number) {
		this.#most = most;
	}

	/** Runs the work when its turn comes. Errors: those of the work. */
	async take<Answer>(shop: string, work: () => Promise<Answer>): Promise<Answer> {
		if (this.#working < this.#most) this.#working++;
		else await new Promise<void>((turn) => this.#wait(shop, turn));
		try {
			return await work();
		} finally {
			this.#next();
		}
	}

	#wait(shop: string, turn: () => void): void {
		const waiting = this.#waiting.get(shop);
		if (waiting) waiting.push(turn);
		else this.#waiting.set(shop, [turn]);
	}

	#next(): void {
		const [next] = this.#waiting;
		if (!next) {
			this.#working--;
			return;
		}
		const [shop, waiting] = next;
		const turn = waiting.shift()!;
		this.#waiting.delete(shop);
		if (waiting.length > 0) this.#waiting.set(shop, waiting);
		turn();
	}
}
