import { together, RunningLog, type JobFacts } from '@exetasis/core/record';
import { LRUCache } from 'lru-cache';
import { jobFacts } from '../db/sql/jobFacts';
import { of, type ShopScope } from '../db/scope';
import { pinnedSheet } from '../sheets';
import { entryOf } from './entries';

/** What a batch speaks of: parts and gauges, and whether it rests on how far the pump is together. */
interface SpokenOf {
	readonly parts: readonly string[];
	readonly gauges: readonly string[];
	readonly building: boolean;
}

/** What the check of a batch has to know of its job. The log grows with what of the batch has passed. */
export interface BatchFacts extends Omit<JobFacts, 'holdOrder'> {
	readonly released: boolean;
	readonly gauges: ReadonlySet<string>;
	readonly passed: RunningLog;
}

interface KnownLog {
	readonly log: RunningLog;
	readonly lastSeq: number;
}

// By job, its log as far as this server has read it.
const logs = new LRUCache<string, KnownLog>({ max: 300 });

/** The facts of a job that a batch is checked against; undefined where the shop has no such job. */
export async function factsOf(
	scope: ShopScope,
	jobId: string,
	{ parts, gauges, building }: SpokenOf
): Promise<BatchFacts | undefined> {
	const known = logs.get(jobId);
	const [size, lastSeq] = [known?.log.size ?? 0, known?.lastSeq ?? 0];
	let job = await jobFacts(scope, jobId, parts, gauges, lastSeq);
	let log = known?.log ?? new RunningLog();
	// Of two writers the later number may be there first: what came in before is missing, and the log is read again.
	if (job && job.known !== size) {
		job = await jobFacts(scope, jobId, parts, gauges, 0);
		log = new RunningLog();
	}
	if (!job) return undefined;
	log.add(
		job.later.map(({ at, effectiveAt, ...row }) =>
			entryOf({ ...row, at: new Date(at), effectiveAt: effectiveAt === null ? null : new Date(effectiveAt) })
		)
	);
	const newest = Math.max(lastSeq, ...job.later.map(({ seq }) => Number(seq)));
	logs.set(jobId, { log, lastSeq: newest });
	const sheet = await pinnedSheet(scope, job.sheetId);
	const cells = building ? await of(scope, 'matCell').all({ jobId }) : [];
	const places = cells.map(({ partId: part, station, cylinder }) => ({ part, station, cylinder }));
	const passed = log.copy();
	const { scope: opened, variants, arrival } = job;
	return {
		released: job.released,
		scope: opened,
		variants,
		arrival,
		sheet,
		stationOfPart: new Map(job.cells),
		gauges: new Set(job.gauges),
		passed,
		log: () => passed.state,
		together: () => together(sheet, { scope: opened, variants, arrival }, places, passed.state)
	};
}
