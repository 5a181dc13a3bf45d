import { Worker } from 'node:worker_threads';
import type { FleetKnowledge } from '@exetasis/core/decide';
import type { Learn } from '../fleet';
import type { LearnAnswer } from './learn.worker';

let thread: Worker | undefined;
let asked = 0;
const waiting = new Map<number, { done: (knowledge: FleetKnowledge) => void; failed: (cause: Error) => void }>();

// Started with the first question; one that dies fails what it was asked and is started anew by the next.
function threadFrom(script: URL): Worker {
	if (thread) return thread;
	const started = new Worker(script);
	thread = started;
	started.unref();
	started.on('message', (answer: LearnAnswer) => {
		const asker = waiting.get(answer.id);
		waiting.delete(answer.id);
		if ('knowledge' in answer) asker?.done(answer.knowledge);
		else asker?.failed(new Error(answer.problem));
	});
	const ended = (cause: Error) => {
		if (thread === started) thread = undefined;
		for (const { failed } of waiting.values()) failed(cause);
		waiting.clear();
	};
	started.on('error', ended);
	started.on('exit', () => ended(new Error('the learning thread ended')));
	return started;
}

/** Learns in a thread of its own, whose bundled script lies at this address. */
export const learnInThread =
	(script: URL): Learn =>
	(...of) =>
		new Promise((done, failed) => {
			const id = ++asked;
			waiting.set(id, { done, failed });
			threadFrom(script).postMessage({ id, of });
		});
