import {
	firstUnbuilt,
	fold,
	kindsOfBuilding,
	lastProofs,
	piecesIn,
	proveSteps,
	together,
	unproved,
	type BuildStep
} from '@exetasis/core/record';
import { matRows } from '@exetasis/core/mat';
import type { Policy, ShopGauge } from '@exetasis/core/decide';
import { Kept, keyOf } from '../background/kept';
import { entriesOf } from '../benchLog/entries';
import { of, type ShopScope } from '../db/scope';
import { floorJobs, type FloorJob } from '../db/sql/floor';
import { releasedJobs, type ReleasedJob } from '../db/sql/releasedJobs';
import { gaugesOf } from '../gauges';
import { pinnedSheet } from '../sheets';
import { policyOf } from '../shops';
import { casesToWatch, type CaseToWatch } from '../trace/cases';
import { alarmsOf } from '../trace/onePump';
import type { Recurrence } from '@exetasis/core/trace';

/** Where a job stands of which every part is decided: what is built next, or what is left of proving it. */
interface Closing {
	readonly at: 'build' | 'prove' | 'release';
	readonly in: number;
	readonly of: number;
	/** The first step that is not done. */
	readonly step?: Pick<BuildStep, 'text' | 'mirrored'>;
}
export interface FloorListing extends Omit<FloorJob, 'mat'> {
	readonly closing?: Closing;
	/** The mat in little, as `matRows` writes it. */
	readonly mat: readonly string[];
}
export interface Floor {
	readonly jobs: readonly FloorListing[];
	/** What recurs beyond chance, by pump. */
	readonly recurring: Readonly<Record<string, Recurrence>>;
	/** Open cases of the pumps that are in. */
	readonly cases: readonly CaseToWatch[];
	readonly released: readonly ReleasedJob[];
}
const MOST_RELEASED = 8;

/** Every job in the shop: those open, longest waiting first, with what recurs on their pumps, and those released last. */
export async function floorOf(scope: ShopScope): Promise<Floor> {
	const [open, released] = await Promise.all([floorJobs(scope), releasedJobs(scope, MOST_RELEASED)]);
	const judgedBy = { gauges: await gaugesOf(scope), policy: await policyOf(scope) };
	const jobs: (FloorJob & Pick<FloorListing, 'closing'>)[] = [];
	// One job at a time: saving needs the database connections.
	for (const job of open) {
		const decided = job.parts > 0 && job.decided === job.parts && job.again === 0 && job.nextStep === null;
		jobs.push(decided ? { ...job, closing: await closingAsItStands(scope, job, judgedBy) } : job);
	}
	const pumpIds = jobs.map(({ pumpId }) => pumpId);
	const [recurring, cases] = await Promise.all([alarmsOf(scope, pumpIds), casesToWatch(scope, pumpIds)]);
	return {
		jobs: jobs.map((job) => ({ ...job, mat: matRows(job.mat), names: namesWanted(job, recurring, cases) })),
		recurring,
		cases,
		released
	};
}

// Names of the stations that the page mentions: a sheet has dozens.
function namesWanted(
	{ pumpId, names }: FloorJob,
	recurring: Floor['recurring'],
	cases: Floor['cases']
): FloorJob['names'] {
	const mentioned = [recurring[pumpId], ...cases.filter((example) => example.pumpId === pumpId)];
	return Object.fromEntries(
		mentioned.flatMap((mention) =>
			mention && names[mention.station] ? [[mention.station, names[mention.station]]] : []
		)
	);
}

interface JudgedBy {
	readonly gauges: readonly ShopGauge[];
	readonly policy: Policy;
}

// By job: good until its log, its mat or the shop's rules change.
const closings = new Kept<Closing>(1000);
function closingAsItStands(scope: ShopScope, { id, lastSeq, mat }: FloorJob, judgedBy: JudgedBy): Promise<Closing> {
	const key = keyOf(id, lastSeq, mat, judgedBy);
	return closings.get(key) ?? closings.keep(key, closingOf(scope, id, judgedBy));
}

async function closingOf(scope: ShopScope, jobId: string, { gauges, policy }: JudgedBy): Promise<Closing> {
	const job = (await of(scope, 'job').one({ id: jobId }))!;
	const sheet = await pinnedSheet(scope, job.modelSheetId);
	const cells = await of(scope, 'matCell').all({ jobId });
	const state = fold(await entriesOf(scope, jobId, { kinds: [...kindsOfBuilding, 'proof'] }));
	const places = cells.map(({ partId: part, station, cylinder }) => ({ part, station, cylinder }));
	const build = together(sheet, job, places, state);
	const pieces = piecesIn(build);
	const count = { in: pieces.in, of: pieces.of };
	const unbuilt = build.steps.find(({ key }) => key === firstUnbuilt(build, state.answers)?.key);
	if (unbuilt) return { at: 'build', ...count, step: { text: unbuilt.text, mirrored: unbuilt.mirrored } };
	const prove = proveSteps(sheet, job).find(({ key }) => !state.steps.has(key));
	if (prove) return { at: 'prove', ...count, step: { text: prove.text, mirrored: false } };
	const lacks = unproved(sheet, lastProofs(state.proofs), gauges, policy);
	return { at: lacks.length > 0 ? 'prove' : 'release', ...count };
}
