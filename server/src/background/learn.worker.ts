// The thread in which the web server learns from a fleet's record: seconds of arithmetic that nobody's page waits for.
import { parentPort } from 'node:worker_threads';
import { learnFleet } from '@exetasis/core/decide';
import type { Learn } from '../fleet';

export interface LearnRequest {
	readonly id: number;
	readonly of: Parameters<Learn>;
}
export type LearnAnswer =
	| { readonly id: number; readonly knowledge: ReturnType<typeof learnFleet> }
	| { readonly id: number; readonly problem: string };

parentPort!.on('message', ({ id, of }: LearnRequest) => {
	try {
		parentPort!.postMessage({ id, knowledge: learnFleet(...of) } satisfies LearnAnswer);
	} catch (cause) {
		parentPort!.postMessage({ id, problem: String((cause as Error).stack) } satisfies LearnAnswer);
	}
});
