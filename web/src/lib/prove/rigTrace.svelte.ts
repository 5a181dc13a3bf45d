import { wrap, type Remote } from 'comlink';
import type { CrankDrive } from '@exetasis/core/mechanics';
import type { RigEvent } from '@exetasis/server/devices/rig';
import type { DeviceEnd } from '@exetasis/server/devices/lines';
import type { ProveWorker, TraceAnswer } from '$lib/workers/prove.worker';
import { lastTurns, type Turns } from './lastTurns';

const NOTHING: Turns = { degrees: [], pressureMPa: [], marked: false };
const USUAL_TURN = 170; // samples, until the rig has said how fast it samples and turns

/** A trace as the rig sends it: collected here, shown as it comes, analysed in a worker once it is stopped. */
export class RigTrace {
	listening = $state(false);
	working = $state(false);
	/** Samples since it began, or since the last that were lost. */
	count = $state(0);
	/** How often samples were lost, after which it began again. */
	gaps = $state(0);
	unread = $state(0);
	ended = $state<DeviceEnd>();
	greeting = $state.raw<Extract<RigEvent, { kind: 'greeting' }>>();
	answer = $state.raw<TraceAnswer>();
	/** The last turns, for the picture. */
	latest = $state.raw<Turns>(NOTHING);
	#pressure: number[] = [];
	#marks: number[] = [];
	#first = 0;
	#source: EventSource | undefined;
	#worker: Remote<ProveWorker> | undefined;

	readonly seconds = $derived(this.greeting ? this.count / this.greeting.sampleHz : 0);

	listen(): void {
		this.stop();
		Object.assign(this, { listening: true, count: 0, gaps: 0, unread: 0, ended: undefined, answer: undefined });
		Object.assign(this, { greeting: undefined, latest: NOTHING });
		this.#begin(0);
		this.#source = new EventSource('/devices/rig');
		this.#source.onmessage = ({ data }: MessageEvent<string>) => this.#take(JSON.parse(data) as RigEvent);
		this.#source.onerror = () => {
			this.ended ??= 'closed';
			this.stop();
		};
	}

	stop(): void {
		this.#source?.close();
		this.#source = undefined;
		this.listening = false;
	}

	/** Stops, and has what was collected worked out. */
	async analyse(drive: CrankDrive): Promise<void> {
		this.stop();
		if (!this.greeting) return;
		const { sampleHz, speedRpm } = this.greeting;
		const { default: ProveThread } = await import('$lib/workers/prove.worker?worker');
		this.#worker ??= wrap<ProveWorker>(new ProveThread());
		this.working = true;
		try {
			this.answer = await this.#worker.analyse(
				{
					sampleHz,
					speedRpm,
					pressureMPa: Float64Array.from(this.#pressure),
					indexS: this.#marks.map((at) => (at - this.#first) / sampleHz)
				},
				drive
			);
		} finally {
			this.working = false;
		}
	}

	#begin(first: number): void {
		this.#pressure = [];
		this.#marks = [];
		this.#first = first;
	}

	#take(event: RigEvent): void {
		switch (event.kind) {
			case 'greeting':
				this.greeting = event;
				return;
			case 'gap':
				this.gaps += 1;
				this.#begin(NaN); // the block that follows says from where
				return;
			case 'unread':
				this.unread = event.lines;
				return;
			case 'end':
				this.ended = event.why;
				return this.stop();
			case 'block': {
				if (Number.isNaN(this.#first)) this.#first = event.from;
				this.#pressure.push(...event.pressureMPa);
				this.#marks.push(...event.marks);
				this.count = this.#pressure.length;
				const samplesPerTurn = this.greeting ? (60 * this.greeting.sampleHz) / this.greeting.speedRpm : USUAL_TURN;
				this.latest = lastTurns(
					this.#pressure,
					this.#marks.map((at) => at - this.#first),
					samplesPerTurn
				);
			}
		}
	}
}
