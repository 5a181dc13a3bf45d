import { wrap, type Remote } from 'comlink';
import {
	INTERVALS,
	type economicInterval,
	type JudgeInput,
	type Policy,
	type RenewalPolicy,
	type WholeDecision,
	type WholeInput
} from '@exetasis/core/decide';
import { wholeInput } from '@exetasis/core/mat';
import type { BenchState } from '$lib/log/bench.svelte';
import type { DecideWorker } from '$lib/workers/decide.worker';

type Interval = ReturnType<typeof economicInterval>;

/** What the Decide stage shows: the set under each policy for the hours chosen here, worked out in a worker. */
export class DecisionState {
	readonly #bench: BenchState;
	hours = $state(0);
	renewalPolicy = $state<RenewalPolicy>('renewSoft');
	/** Whether valves go singly, by cylinder or as a set: tried here, kept under Shop. */
	valves = $state<Policy['valves']>('singly');
	decision = $state.raw<WholeDecision>();
	/** Undefined where nothing was looked at yet, or it is still sought. */
	interval = $state.raw<Interval>();
	seeking = $state(true);
	#deciding: Remote<DecideWorker> | undefined;
	#seeking: Remote<DecideWorker> | undefined;
	#busy = false;
	#again = false;

	constructor(bench: BenchState, first?: WholeDecision) {
		this.#bench = bench;
		this.decision = first;
		const { policy } = bench.bench;
		this.hours = INTERVALS.reduce((a, b) =>
			Math.abs(b - policy.intervalHours) < Math.abs(a - policy.intervalHours) ? b : a
		);
		this.renewalPolicy = policy.renewalPolicy;
		this.valves = policy.valves;
	}

	/** The shop's rules with what is tried out here. */
	readonly policy = $derived.by((): Policy => ({
		...this.#bench.bench.policy,
		intervalHours: this.hours,
		renewalPolicy: this.renewalPolicy,
		valves: this.valves
	}));

	readonly #input = $derived.by((): WholeInput => {
		const { bench, parts, mates } = this.#bench;
		return wholeInput(bench, [...parts.values()], mates);
	});

	/** All that is asked for: the mat with the rules as they are tried here. */
	asked = (): WholeInput => ({ ...this.#input, policy: this.policy });

	/** Why nothing can be worked out, where that is so. */
	problem = $state('');
	#workers: Worker[] = [];

	/** Starts two workers, so that the slider never waits for the interval; call the result to stop them. */
	open(): () => void {
		this.#workers = [this.#start(), this.#start()];
		[this.#deciding, this.#seeking] = this.#workers.map((worker) => wrap<DecideWorker>(worker));
		return () => this.#workers.forEach((worker) => worker.terminate());
	}

	#start(): Worker {
		const worker = new Worker(new URL('../workers/decide.worker.ts', import.meta.url), { type: 'module' });
		worker.onerror = (event) => this.#fail(event.message || 'its program could not be loaded');
		return worker;
	}

	/** After a failure: new workers, and everything asked again. */
	async restart(): Promise<void> {
		this.#workers.forEach((worker) => worker.terminate());
		this.problem = '';
		this.#busy = false;
		this.seeking = true;
		this.open();
		this.hold();
		await Promise.all([this.decide(), this.findInterval()]);
	}

	#fail(cause: unknown): void {
		const why = cause instanceof Error ? cause.message : String(cause);
		this.problem = `The set could not be calculated (${why}). You can still decide each part.`;
		this.#busy = false;
		this.seeking = false;
	}

	/** Gives the workers the mat as it lies now. */
	hold(): void {
		for (const worker of [this.#deciding, this.#seeking])
			void worker?.hold(this.#input).catch((cause: unknown) => this.#fail(cause));
	}

	/** Works the set out for the hours, the policy and the log as they stand; while it does, only the last change waits. */
	async decide(): Promise<void> {
		const { policy } = this;
		void this.#input; // a new entry asks again
		if (this.#busy) return void (this.#again = true);
		this.#busy = true;
		try {
			this.decision = await this.#deciding?.decide(policy);
			this.#busy = false;
		} catch (cause) {
			this.#fail(cause);
		}
		if (this.#again) {
			this.#again = false;
			await this.decide();
		}
	}

	/** Finds the most economic interval under the policy that is tried; it does not depend on the slider. */
	async findInterval(): Promise<void> {
		const { valves, renewalPolicy } = this;
		try {
			this.interval = await this.#seeking?.findInterval({ ...this.#input.policy, valves, renewalPolicy });
			this.seeking = false;
		} catch (cause) {
			this.#fail(cause);
		}
	}

	/** What one part's verdict rests on, under the rules as they are tried here. */
	inputOf(id: string): JudgeInput {
		return { ...this.#input.parts.find((part) => part.id === id)!.input, policy: this.policy };
	}
}
