import { wrap, type Remote } from 'comlink';
import { INTERVALS, type School, type WholeDecision, type WholeInput } from '@exetasis/core/decide';
import { judgeInput } from '$lib/bench/judgeInput';
import type { BenchState } from '$lib/bench/bench.svelte';
import type { DecideWorker } from '$lib/workers/decide.worker';

type Interval = Awaited<ReturnType<Remote<DecideWorker>['economicInterval']>>;

/** What the Decide stage shows: the set under each school for the hours chosen here, worked out in a worker. */
export class DecisionState {
	readonly #bench: BenchState;
	hours = $state(0);
	school = $state<School>('renewSoft');
	decision = $state.raw<WholeDecision>();
	interval = $state.raw<Interval>();
	#worker: Worker | undefined;
	#remote: Remote<DecideWorker> | undefined;
	#busy = false;
	#again = false;

	constructor(bench: BenchState) {
		this.#bench = bench;
		const { policy } = bench.bench;
		this.hours = INTERVALS.reduce((a, b) =>
			Math.abs(b - policy.intervalHours) < Math.abs(a - policy.intervalHours) ? b : a
		);
		this.school = policy.school;
	}

	readonly #input = $derived.by((): WholeInput => {
		const { bench, parts } = this.#bench;
		return {
			parts: [...parts.values()].map(({ cell, station, record }) => {
				const { policy: _policy, ...input } = judgeInput(bench, cell, station, record);
				return { id: cell.part, input };
			}),
			policy: bench.policy,
			openingCost: bench.sheet.openingCost
		};
	});

	/** Starts the worker; call the result to stop it. */
	open(): () => void {
		this.#worker = new Worker(new URL('../workers/decide.worker.ts', import.meta.url), { type: 'module' });
		this.#remote = wrap<DecideWorker>(this.#worker);
		return () => this.#worker?.terminate();
	}

	/** Works the set out for the hours and the school as they stand; while it does, only the last change waits. */
	async decide(): Promise<void> {
		const input = { ...this.#input, policy: { ...this.#input.policy, intervalHours: this.hours, school: this.school } };
		if (this.#busy) return void (this.#again = true);
		this.#busy = true;
		try {
			this.decision = await this.#remote?.decideWhole(input);
		} finally {
			this.#busy = false;
		}
		if (this.#again) {
			this.#again = false;
			await this.decide();
		}
	}

	/** Finds the most economic interval; it does not depend on the slider. */
	async findInterval(): Promise<void> {
		this.interval = await this.#remote?.economicInterval(this.#input);
	}
}
