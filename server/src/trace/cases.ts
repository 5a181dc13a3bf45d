import { v7 as uuidv7 } from 'uuid';
import { groupBy } from '@exetasis/core/list';
import { hasEnded, logRank } from '@exetasis/core/survival';
import { firstCheck, fixWorked, type FirstCheck, type FixWorked } from '@exetasis/core/trace';
import type { SignedIn } from '../auth/auth';
import type { CaseStep, TraceCaseRow } from '../db/tables';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { newestSheets } from '../sheets';
import { livesAt } from './lives';
import { networkOf } from './network';
import { tracesOf, type InspectionInTime } from './onePump';

const LEVEL = 0.95;

type TraceCase = Omit<TraceCaseRow, 'shopId'>;
export type Outcome = NonNullable<TraceCaseRow['outcome']>;

/** How a case stands: nothing done yet, something done and watched, or what came of it. */
export type CaseState = 'open' | 'acted' | Outcome;

export interface CaseOnRecord extends TraceCase {
	readonly pump: { readonly serial: string; readonly tag: string | null; readonly model: string };
}

/** A case with the pump it is about, and how it stands. */
export interface CaseListing extends CaseOnRecord {
	readonly state: CaseState;
}

const listed = (traceCase: CaseOnRecord): CaseListing => ({
	...traceCase,
	state: traceCase.outcome ?? (traceCase.action === null ? 'open' : 'acted')
});

const withPump = { include: [{ association: 'pump', attributes: ['serial', 'tag', 'model'] }] };

/** The shop's cases, or a pump's; those without an outcome first, then the newest. */
export async function casesOf(scope: ShopScope, pumpIds?: readonly string[]): Promise<CaseListing[]> {
	const found = await of(scope, 'traceCase').all<CaseOnRecord>(pumpIds ? { pumpId: [...pumpIds] } : {}, {
		...withPump,
		order: [['id', 'DESC']]
	});
	return found.map(listed).toSorted((a, b) => Number(a.outcome !== null) - Number(b.outcome !== null));
}

/** An open case as it is told where its pump is in hand: what to look at first, and where. */
export interface CaseToWatch extends Pick<TraceCase, 'id' | 'pumpId' | 'station' | 'cylinder' | 'pattern' | 'action'> {
	readonly causeName: string;
	readonly remedy: string;
	/** What to look at first, and where; left out where nothing of its cause can be seen on the parts. */
	readonly check?: FirstCheck;
}

/** The open cases of these pumps. */
export async function casesToWatch(scope: ShopScope, pumpIds: readonly string[]): Promise<CaseToWatch[]> {
	const [open, { network }] = await Promise.all([
		of(scope, 'traceCase').all<CaseOnRecord>({ pumpId: [...pumpIds], outcome: null }, withPump),
		networkOf(scope)
	]);
	const sheets = open.length > 0 ? await newestSheets(scope) : [];
	return open.map(({ id, pumpId, station, cylinder, pattern, action, cause, pump }) => {
		const known = network.causes.find(({ key }) => key === cause);
		const sheet = sheets.find(({ model }) => model === pump.model);
		const check = known && sheet && firstCheck(network, known, sheet, cylinder);
		return {
			...{ id, pumpId, station, cylinder, pattern, action },
			causeName: known?.name ?? cause,
			remedy: known?.remedy ?? '',
			...(check ? { check } : {})
		};
	});
}

export async function caseById(scope: ShopScope, id: string): Promise<CaseListing | undefined> {
	const found = await of(scope, 'traceCase').one<CaseOnRecord>({ id }, withPump);
	return found && listed(found);
}

interface NewCase extends Pick<TraceCaseRow, 'pumpId' | 'station' | 'cylinder' | 'pattern' | 'cause' | 'hypothesis'> {
	readonly openedJobId: string;
}

type CaseRefusal =
	| { readonly kind: 'unknown'; readonly what: 'pump' | 'job' | 'case' }
	/** An open case of the same place and pattern is there. */
	| { readonly kind: 'alreadyOpen'; readonly id: string }
	/** The action is dated before the rebuild at which the case was opened. */
	| { readonly kind: 'beforeItsCase' }
	| { readonly kind: 'withoutAction' }
	| { readonly kind: 'closed' }
	| { readonly kind: 'open' };
export type CaseAnswer = { readonly kind: 'done'; readonly id: string } | CaseRefusal;

const step = (by: SignedIn, did: CaseStep['did'], says: string, at: Date): CaseStep => ({
	at: at.toISOString(),
	by: by.name,
	did,
	says
});

/** Opens a case on a recurrence. */
export function openCase(
	scope: ShopScope,
	by: SignedIn,
	{ openedJobId, ...asked }: NewCase,
	at = new Date()
): Promise<CaseAnswer> {
	return inTransaction(scope, async (within): Promise<CaseAnswer> => {
		const pump = await of(within, 'pump').one({ id: asked.pumpId }, { lock: true });
		if (!pump) return { kind: 'unknown', what: 'pump' };
		if ((await of(within, 'job').count({ id: openedJobId, pumpId: pump.id })) === 0)
			return { kind: 'unknown', what: 'job' };
		const { pumpId, station, cylinder, pattern } = asked;
		const there = await of(within, 'traceCase').one({ pumpId, station, cylinder, pattern, outcome: null });
		if (there) return { kind: 'alreadyOpen', id: there.id };
		const id = uuidv7();
		await of(within, 'traceCase').add({
			id,
			...asked,
			openedJobId,
			action: null,
			actedJobId: null,
			effectiveness: null,
			watchHours: null,
			outcome: null,
			history: [step(by, 'opened', asked.hypothesis, at)]
		});
		return { kind: 'done', id };
	});
}

interface ActionTaken {
	readonly action: string;
	readonly jobId: string;
	/** How sure it is that it puts an end to the cause. */
	readonly effectiveness: number;
	readonly watchHours: number;
}

/** Notes what was done about a case, at which rebuild, and how long it is to be watched. */
export const actOn = (
	scope: ShopScope,
	by: SignedIn,
	id: string,
	taken: ActionTaken,
	at = new Date()
): Promise<CaseAnswer> =>
	changing(scope, id, async (within, traceCase) => {
		if (traceCase.outcome) return { kind: 'closed' };
		const jobs = await of(within, 'job').all({ id: [traceCase.openedJobId, taken.jobId], pumpId: traceCase.pumpId });
		const [opened, acted] = [traceCase.openedJobId, taken.jobId].map((job) => jobs.find((other) => other.id === job));
		if (!acted) return { kind: 'unknown', what: 'job' };
		if (acted.receivedAt < opened!.receivedAt) return { kind: 'beforeItsCase' };
		return {
			action: taken.action,
			actedJobId: acted.id,
			effectiveness: taken.effectiveness,
			watchHours: taken.watchHours,
			history: [...traceCase.history, step(by, 'acted', taken.action, at)]
		};
	});

/** Closes a case with what came of it. Only a confirmed one teaches the network, and only after something was done. */
export const closeCase = (
	scope: ShopScope,
	by: SignedIn,
	id: string,
	outcome: Outcome,
	says: string,
	at = new Date()
): Promise<CaseAnswer> =>
	changing(scope, id, (_, traceCase) => {
		if (traceCase.outcome) return { kind: 'closed' };
		if (outcome === 'confirmed' && !traceCase.action) return { kind: 'withoutAction' };
		return { outcome, history: [...traceCase.history, step(by, outcome, says, at)] };
	});

/** Takes the outcome of a case back: it is open again, and what it had taught is forgotten. */
export const reopenCase = (scope: ShopScope, by: SignedIn, id: string, says: string): Promise<CaseAnswer> =>
	changing(scope, id, async (within, traceCase) => {
		if (!traceCase.outcome) return { kind: 'open' };
		const { pumpId, station, cylinder, pattern } = traceCase;
		// The pump's row is held as where a case is opened: of one place and pattern one case is open at most.
		await of(within, 'pump').one({ id: pumpId }, { lock: true });
		const there = await of(within, 'traceCase').one({ pumpId, station, cylinder, pattern, outcome: null });
		if (there) return { kind: 'alreadyOpen', id: there.id };
		return { outcome: null, history: [...traceCase.history, step(by, 'reopened', says, new Date())] };
	});

function changing(
	scope: ShopScope,
	id: string,
	change: (
		within: ShopScope,
		traceCase: TraceCase
	) => CaseRefusal | Partial<TraceCaseRow> | Promise<CaseRefusal | Partial<TraceCaseRow>>
): Promise<CaseAnswer> {
	return inTransaction(scope, async (within): Promise<CaseAnswer> => {
		const traceCase = await of(within, 'traceCase').one({ id }, { lock: true });
		if (!traceCase) return { kind: 'unknown', what: 'case' };
		const to = await change(within, traceCase);
		if ('kind' in to) return to;
		await of(within, 'traceCase').change({ id }, to);
		return { kind: 'done', id };
	});
}

/** Whether parts live longer at a place since something was done: those fitted before it, and since. */
interface LivesAround {
	readonly before: number;
	readonly since: number;
	/** P(as far apart, were they alike), by the log-rank test; undefined where nothing ended while both ran. */
	readonly p?: number;
}

export interface Worked extends FixWorked {
	/** Left out where no part of known age was fitted on one of the sides. */
	readonly lives?: LivesAround;
}

/** What happened at a case's place before its action and since; undefined where nothing was done yet, or no hours have passed. */
export async function workedOf(scope: ShopScope, listing: CaseListing): Promise<Worked | undefined> {
	if (!listing.actedJobId) return undefined;
	const acted = (await of(scope, 'job').one({ id: listing.actedJobId }))!;
	const ofModel = await of(scope, 'pump').all({ model: listing.pump.model }, { attributes: ['id'] });
	const traced = await tracesOf(
		scope,
		ofModel.map(({ id }) => id)
	);
	const counted = (inspections: readonly InspectionInTime[]) => ({
		events: inspections.filter(({ patterns }) => patterns.includes(listing.pattern)).length,
		exposure: inspections.reduce((sum, { hours = 0 }) => sum + hours, 0),
		inspections: inspections.length
	});
	const places = [...traced].flatMap(([pump, { inspections }]) => {
		const exposed = inspections.filter(({ station, hours }) => station === listing.station && hours !== undefined);
		return [...groupBy(exposed, ({ cylinder }) => String(cylinder)).values()].map((seen) => ({
			pump,
			cylinder: seen[0].cylinder,
			seen
		}));
	});
	const isHere = ({ pump, cylinder }: (typeof places)[number]) =>
		pump === listing.pumpId && cylinder === listing.cylinder;
	const here = places.find(isHere)?.seen ?? [];
	const before = counted(here.filter(({ pumpHours }) => pumpHours <= acted.pumpHours));
	const since = counted(here.filter(({ pumpHours }) => pumpHours > acted.pumpHours));
	if (before.exposure === 0) return undefined;
	const others = places.filter((place) => !isHere(place)).map(({ seen }) => counted(seen));
	const lives = await livesAround(scope, listing, acted.pumpHours);
	return { ...fixWorked(before, since, LEVEL, others), ...(lives ? { lives } : {}) };
}

async function livesAround(
	scope: ShopScope,
	listing: CaseListing,
	actedHours: number
): Promise<LivesAround | undefined> {
	const { lives } = await livesAt(scope, listing.pump.model, listing.station, 'none');
	const here = lives.filter(({ pump, cylinder }) => pump === listing.pumpId && cylinder === listing.cylinder);
	const side = (since: boolean) =>
		here
			.filter(({ fittedHours }) => fittedHours >= actedHours === since)
			.map((life) => ({ hours: life.hours, ended: hasEnded(life) }));
	const [before, since] = [side(false), side(true)];
	if (before.length === 0 || since.length === 0) return undefined;
	const { p } = logRank([before, since]);
	return { before: before.length, since: since.length, ...(p === undefined ? {} : { p }) };
}
