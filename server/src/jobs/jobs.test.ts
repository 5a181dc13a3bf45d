import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from '../benchLog/append';
import { benchOf } from '../jobs/bench';
import { floorOf } from '../jobs/floor';
import { receive } from '../jobs/receive';
import { release } from '../jobs/release';
import { lives as livesOf } from '../db/sql/lives';
import { rebuilds as rebuildsOf } from '../db/sql/rebuilds';
import { rows } from '../db/sql/statement';
import { pumpById, pumpsOf } from '../pumps';
import { setPolicy } from '../shops';
import { addSheet, sheetById, sheetsOf } from '../sheets';
import { alarmsOf, traceOf } from '../trace/onePump';
import {
	MODEL,
	type TestShop,
	arrival,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	sheetText
} from '../testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
});
afterAll(() => database.drop());

const user = () => shop.people.technician;

/** Receives a known pump again, finds these patterns on cylinder 2's packing, decides on it, reuses all else, releases. */
async function visit(
	pump: string,
	meterHours: number,
	patterns: readonly string[],
	{ onset = 'service', severity = 1, verdict = 'reuse' as 'reuse' | 'replace' } = {}
) {
	const bench = await openJob(shop, { pump: { id: pump }, meterHours });
	const part = partAt(bench, 'packing', 2);
	const findings = patterns.map((pattern) => entryOf(bench, user(), 'finding', { pattern, severity, onset }, part));
	const others = decideAll(bench, user(), 'reuse').filter((entry) => !('part' in entry) || entry.part !== part);
	const own = decideAll(bench, user(), verdict).filter((entry) => 'part' in entry && entry.part === part);
	const decided = findings.length === 0 ? own : own.filter(({ kind }) => kind !== 'clean');
	await append(shop.scope, user(), bench.job.id, [...findings, ...others, ...decided]);
	expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
	return bench;
}

describe('receive', () => {
	it('lays one part on the mat for every place that the work opens', async () => {
		const bench = await openJob(shop, { scope: 'valves' });
		expect(new Set(bench.cells.map(({ station }) => station))).toEqual(
			new Set(['inletSpring', 'inletValve', 'inletSeat', 'dischargeSpring', 'dischargeValve', 'dischargeSeat'])
		);
		expect(bench.cells).toHaveLength(18);
		expect(bench.cells.every(({ hours }) => hours === null)).toBe(true);
	});
	it('asks where the meter shows less than last time, and counts on where it was replaced', async () => {
		const first = await openJob(shop, { meterHours: 5000 });
		await append(shop.scope, user(), first.job.id, decideAll(first, user(), 'reuse'));
		await releaseDespite(shop, first.job.id);
		const again = arrival({ pump: { id: first.job.pumpId }, meterHours: 300 });
		expect(await receive(shop.scope, user().id, again)).toEqual({ kind: 'meterWentBack', last: 5000 });
		const replaced = await receive(shop.scope, user().id, { ...again, meterReplaced: { hoursOnOldMeter: 120 } });
		expect(replaced.kind).toBe('received');
		const bench = await benchOf(shop.scope, (replaced as { jobId: string }).jobId);
		expect(bench!.job).toMatchObject({ meterHours: 300, pumpHours: 5000 + 120 + 300 });
	});
	it('refuses a second open job, a taken serial, an unknown model and another shop’s pump', async () => {
		const { job } = await openJob(shop);
		expect(await receive(shop.scope, user().id, arrival({ pump: { id: job.pumpId } }))).toEqual({
			kind: 'openJob',
			jobId: job.id
		});
		expect(await receive(shop.scope, user().id, arrival({ pump: { serial: job.serial, model: MODEL } }))).toMatchObject(
			{ kind: 'serialTaken' }
		);
		expect(await receive(shop.scope, user().id, arrival({ pump: { serial: 'X-1', model: 'Nobody’s' } }))).toMatchObject(
			{ kind: 'unknownModel' }
		);
		expect(await receive(other.scope, other.people.lead.id, arrival({ pump: { id: job.pumpId } }))).toEqual({
			kind: 'unknownPump'
		});
	});
	it('of one pump by two people at once opens one job', async () => {
		const { job } = await visit((await openJobReleased()).job.pumpId, 2000, []);
		const results = await Promise.all(
			[1, 2, 3].map(() => receive(shop.scope, user().id, arrival({ pump: { id: job.pumpId }, meterHours: 2500 })))
		);
		expect(results.filter(({ kind }) => kind === 'received')).toHaveLength(1);
	});
});

async function openJobReleased() {
	const bench = await openJob(shop);
	await append(shop.scope, user(), bench.job.id, decideAll(bench, user(), 'reuse'));
	await releaseDespite(shop, bench.job.id);
	return bench;
}

describe('release', () => {
	it('names every place that is open, and closes nothing', async () => {
		const bench = await openJob(shop);
		const part = partAt(bench, 'plunger', 1);
		await append(shop.scope, user(), bench.job.id, [
			entryOf(bench, user(), 'decision', { verdict: 'lookAgain', proposed: 'lookAgain' }, part)
		]);
		const result = await releaseDespite(shop, bench.job.id);
		expect(result.kind).toBe('undecided');
		const places = result.kind === 'undecided' ? result.places : [];
		expect(places).toHaveLength(bench.cells.length);
		expect(places).toContainEqual({ station: 'plunger', cylinder: 1, why: 'lookAgain' });
		expect((await floorOf(shop.scope)).jobs.some(({ id }) => id === bench.job.id)).toBe(true);
	});
	it('ends the lives of replaced parts and lets reused ones carry on', async () => {
		const bench = await openJob(shop, { meterHours: 1000 });
		const cracked = partAt(bench, 'plunger', 3);
		const entries = decideAll(bench, user(), 'reuse').filter((entry) => !('part' in entry) || entry.part !== cracked);
		entries.push(
			entryOf(bench, user(), 'finding', { pattern: 'crack', severity: 1, onset: 'service' }, cracked),
			entryOf(bench, user(), 'decision', { verdict: 'replace', proposed: 'replace' }, cracked)
		);
		await append(shop.scope, user(), bench.job.id, entries);
		expect(await releaseDespite(shop, bench.job.id)).toEqual({
			kind: 'released',
			replaced: 1,
			reused: bench.cells.length - 1
		});
		const lives = (await livesOf(shop.scope, bench.job.pumpId)).filter(
			({ station, cylinder }) => station === 'plunger' && cylinder === 3
		);
		expect(lives).toMatchObject([
			{ part: cracked, removedHours: 1000, endReason: 'damaged', patterns: ['crack'] },
			{ fittedHours: 1000, removedHours: null, endReason: null }
		]);
		const next = await openJob(shop, { pump: { id: bench.job.pumpId }, meterHours: 1800 });
		expect(next.cells.find(({ station, cylinder }) => station === 'plunger' && cylinder === 3)).toMatchObject({
			hours: 800,
			earlierLives: 1
		});
		expect(partAt(next, 'plunger', 1)).toBe(partAt(bench, 'plunger', 1));
		expect(await releaseDespite(shop, bench.job.id)).toEqual({ kind: 'alreadyReleased' });
		// The mat of the released job still shows what lay on it then.
		expect(partAt((await benchOf(shop.scope, bench.job.id))!, 'plunger', 3)).toBe(cracked);
	});
});

describe('where a released pump goes', () => {
	const finished = async () => {
		const bench = await openJob(shop);
		await append(shop.scope, user(), bench.job.id, decideAll(bench, user(), 'reuse'));
		return bench.job.id;
	};
	const asIs = { unbuilt: 'Not what this test is about' };
	it('is into service only with hoses and covers back, and is kept', async () => {
		const job = await finished();
		const lead = shop.people.lead;
		const notYet = { ...asIs, handover: { to: 'service', connected: false } } as const;
		expect(await release(shop.scope, lead, job, notYet)).toEqual({ kind: 'notConnected' });
		const handover = { to: 'service', connected: true } as const;
		expect((await release(shop.scope, lead, job, { ...asIs, handover })).kind).toBe('released');
		expect((await benchOf(shop.scope, job))!.handover).toEqual(handover);
	});
	it('is the shelf where no one says', async () => {
		const job = await finished();
		expect((await release(shop.scope, shop.people.lead, job, asIs)).kind).toBe('released');
		expect((await benchOf(shop.scope, job))!.handover).toEqual({ to: 'shelf', connected: false });
	});
});

describe('sizes as fitted', () => {
	it('go with the new part into its next rebuilds, and only where it was replaced', async () => {
		const bench = await openJob(shop, { meterHours: 1000 });
		const [first, second] = [1, 2].map((cylinder) => partAt(bench, 'plunger', cylinder));
		const fitted = { characteristic: 'diameter', value: 17.997, typed: { text: '17.997', unit: 'mm' } };
		await append(shop.scope, user(), bench.job.id, [
			...decideAll(bench, user(), 'reuse').filter((entry) => !('part' in entry) || entry.part !== first),
			entryOf(bench, user(), 'clean', {}, first),
			entryOf(bench, user(), 'decision', { verdict: 'replace', proposed: 'replace' }, first),
			entryOf(bench, user(), 'fitted', fitted, first),
			entryOf(bench, user(), 'fitted', fitted, second)
		]);
		await releaseDespite(shop, bench.job.id);
		const next = await openJob(shop, { pump: { id: bench.job.pumpId }, meterHours: 1900 });
		const at = (cylinder: number) =>
			next.cells.find((cell) => cell.station === 'plunger' && cell.cylinder === cylinder);
		expect(at(1)).toMatchObject({ asFitted: { diameter: 17.997 }, kept: 0, hours: 900 });
		expect(at(2)).toMatchObject({ asFitted: {}, kept: 1 });
	});
});

describe('trace', () => {
	it('counts a pattern once in its part’s life, over hours between looks, and keeps out what service did not make', async () => {
		const { job } = await visit((await openJobReleased()).job.pumpId, 2000, ['oneSidedWear'], { verdict: 'replace' });
		await visit(job.pumpId, 3000, ['oneSidedWear'], { verdict: 'replace' });
		await visit(job.pumpId, 4000, ['oneSidedWear']);
		await visit(job.pumpId, 5000, ['oneSidedWear']); // the same mark on the same part
		await visit(job.pumpId, 6000, ['lipTorn'], { onset: 'handling' });
		await visit(job.pumpId, 7000, ['lipTorn'], { onset: 'assembly' });
		const trace = await traceOf(shop.scope, job.pumpId);
		const [first, ...rest] = trace.recurrences;
		expect(first).toMatchObject({
			station: 'packing',
			pattern: 'oneSidedWear',
			cylinder: 2,
			rate: { events: 3, hours: 6000 },
			others: { events: 0, hours: 12_000 }
		});
		expect(first.pAlike).toBeCloseTo(1 / 27, 12);
		expect(first.pAny).toBeCloseTo(3 / 27, 12);
		expect(rest).toEqual([]);
		expect(trace.keptOut).toEqual({ handling: 1, assembly: 1, unknown: 0 });
		const seen = trace.inspections.filter(({ station, cylinder }) => station === 'packing' && cylinder === 2);
		expect(seen.map(({ patterns }) => patterns.length)).toEqual([0, 1, 1, 1, 0, 0, 0]);
		expect(seen[4].seenBefore).toEqual(['oneSidedWear']);
		// Three on one cylinder of three are too few in a shop of several pumps.
		expect(await alarmsOf(shop.scope, [job.pumpId])).toEqual({});
	});
	it('raises an alarm where one cylinder alone shows it, rebuild after rebuild', async () => {
		const { job } = await visit((await openJobReleased()).job.pumpId, 2000, ['oneSidedWear'], { verdict: 'replace' });
		for (let hours = 3000; hours <= 10_000; hours += 1000)
			await visit(job.pumpId, hours, ['oneSidedWear'], { verdict: 'replace' });
		const alarms = await alarmsOf(shop.scope, [job.pumpId]);
		expect(alarms[job.pumpId]).toMatchObject({ pattern: 'oneSidedWear', cylinder: 2, rate: { events: 9 } });
	});
	it('counts a mark again where it has grown', async () => {
		const { job } = await visit((await openJobReleased()).job.pumpId, 2000, ['oneSidedWear']);
		await visit(job.pumpId, 3000, ['oneSidedWear'], { severity: 2 });
		expect((await traceOf(shop.scope, job.pumpId)).recurrences[0].rate.events).toBe(2);
	});
});

describe('a released job', () => {
	it('is shown with the rules, gauges and fits that its release rested on, whatever comes later', async () => {
		const bench = await openJob(shop);
		await append(shop.scope, user(), bench.job.id, decideAll(bench, user(), 'reuse'));
		expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
		const { policy } = (await benchOf(shop.scope, bench.job.id))!;
		await setPolicy(shop.scope, { ...policy, intervalHours: policy.intervalHours + 500, acceptBad: 0.2 });
		expect((await benchOf(shop.scope, bench.job.id))!.policy).toEqual(policy);
		expect((await benchOf(shop.scope, (await openJob(shop)).job.id))!.policy.acceptBad).toBe(0.2);
		await setPolicy(shop.scope, policy);
	});
});

describe('a record that cannot be', () => {
	it('leaves the job open to be worked on: its part is one of which nothing is known', async () => {
		const bench = await openJob(shop, { meterHours: 1000 });
		const part = partAt(bench, 'plunger', 1);
		await rows(shop.scope, 'UPDATE part_life SET fitted_hours = 1e6 WHERE shop_id = $1 AND part_id = $2 RETURNING 1', [
			part
		]);
		const shown = (await benchOf(shop.scope, bench.job.id))!;
		expect(shown.cells.find((cell) => cell.part === part)).toMatchObject({ age: { kind: 'unknown' }, earlier: [] });
		expect(shown.cells).toHaveLength(bench.cells.length);
	});
});

describe('one shop', () => {
	it('sees nothing of another: jobs, pumps, sheets, lives, traces', async () => {
		const { job } = await openJob(shop);
		const mine = (await sheetsOf(shop.scope))[0];
		expect(await benchOf(other.scope, job.id)).toBeUndefined();
		expect(await pumpById(other.scope, job.pumpId)).toBeUndefined();
		expect(await sheetById(other.scope, mine.id)).toBeUndefined();
		expect((await pumpsOf(other.scope)).of).toBe(0);
		expect(await floorOf(other.scope)).toEqual({ jobs: [], recurring: {}, cases: [], released: [] });
		expect(await rebuildsOf(other.scope, job.pumpId)).toEqual([]);
		expect(await livesOf(other.scope, job.pumpId)).toEqual([]);
		expect((await traceOf(other.scope, job.pumpId)).inspections).toEqual([]);
		expect(await release(other.scope, other.people.lead, job.id)).toEqual({ kind: 'unknownJob' });
	});
});

describe('model sheets', () => {
	it('are never changed: the same revision again is refused, the next one is taken', async () => {
		expect(await addSheet(shop.scope, sheetText)).toEqual({ kind: 'revisionExists', model: MODEL, revision: 1 });
		expect(await addSheet(other.scope, sheetText.replace('"revision": 1', '"revision": 2'))).toMatchObject({
			kind: 'added'
		});
		expect(await sheetsOf(other.scope)).toMatchObject([{ model: MODEL, revision: 2 }]);
	});
	it('that break the schema are not taken, with line and path', async () => {
		const added = await addSheet(shop.scope, sheetText.replace('"cylinders": 3', '"cylinders": 0'));
		expect(added).toMatchObject({
			kind: 'faults',
			faults: expect.arrayContaining([expect.objectContaining({ path: 'cylinders' })])
		});
	});
});
