import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { discardLimit } from '@exetasis/core/record';
import { countedInspections, startingNetwork } from '@exetasis/core/trace';
import { append } from '../benchLog/append';
import { eventsByGroup } from '../db/sql/eventsByGroup';
import { fleetEvents } from '../db/sql/fleetEvents';
import { inspections } from '../db/sql/inspections';
import { of } from '../db/scope';
import {
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	type TestShop
} from '../testing';
import { beliefsOfPump } from './beliefs';
import { actOn, caseById, casesOf, casesToWatch, closeCase, openCase, reopenCase, workedOf } from './cases';
import { contrastsOf } from './contrasts';
import { livesAt } from './lives';
import { keepNetwork, networkOf } from './network';
import { addSheet } from '../sheets';
import { traceOfShop } from './ofShop';
import { upToDate } from './upToDate';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
/** The pump whose cylinder 2 always shows it, and its rebuilds, oldest first. */
let pumpId: string;
const jobs: string[] = [];

async function rebuild(meterHours: number, oneSided: boolean, id?: string): Promise<{ pump: string; job: string }> {
	const bench = await openJob(shop, { meterHours, ...(id ? { pump: { id } } : {}) });
	const { technician } = shop.people;
	const seen = decideAll(bench, technician, 'replace');
	const part = partAt(bench, 'packing', 2);
	const worn = entryOf(bench, technician, 'finding', { pattern: 'oneSidedWear', severity: 2, onset: 'service' }, part);
	await append(shop.scope, technician, bench.job.id, oneSided ? [...seen, worn] : seen);
	const released = await releaseDespite(shop, bench.job.id);
	if (released.kind !== 'released') throw new Error(`not released: ${JSON.stringify(released)}`);
	return { pump: bench.job.pumpId, job: bench.job.id };
}

beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
	const first = await rebuild(1000, true);
	pumpId = first.pump;
	jobs.push(first.job);
	for (const hours of [2500, 4000, 5500]) jobs.push((await rebuild(hours, hours < 5000, pumpId)).job);
	const quiet = await rebuild(1000, false);
	for (const hours of [2500, 4000, 5500]) await rebuild(hours, false, quiet.pump);
}, 120_000);
afterAll(() => database.drop());

describe('recurrences of the shop', () => {
	it('counts events and hours as the one pump’s trace does', async () => {
		await upToDate(shop.scope);
		const rows = await fleetEvents(shop.scope);
		const counted = countedInspections(await inspections(shop.scope, [pumpId])).filter(
			({ hours }) => hours !== undefined
		);
		const places = rows.filter(({ pump, pattern }) => pump === pumpId && pattern === null);
		expect(places.length).toBeGreaterThan(3);
		for (const { station, cylinder, hours } of places) {
			const here = counted.filter((inspection) => inspection.station === station && inspection.cylinder === cylinder);
			expect(hours).toBeCloseTo(
				here.reduce((sum, inspection) => sum + inspection.hours!, 0),
				9
			);
			for (const row of rows.filter(
				(events) =>
					events.pump === pumpId && events.station === station && events.cylinder === cylinder && events.pattern
			))
				expect(row.events).toBe(here.filter(({ patterns }) => patterns.includes(row.pattern!)).length);
		}
	});
	it('names the place against the other pumps, and shows nothing to another shop', async () => {
		const { recurrences, pumps } = await traceOfShop(shop.scope);
		expect(pumps).toBe(2);
		expect(recurrences[0]).toMatchObject({
			pump: pumpId,
			station: 'packing',
			cylinder: 2,
			pattern: 'oneSidedWear',
			events: 2
		});
		expect(recurrences[0].expected).toBe(0);
		expect((await traceOfShop(other.scope)).recurrences).toEqual([]);
	});
});

describe('beliefs', () => {
	it('are of all rebuilds, with what carries them', async () => {
		const { beliefs, rebuilds } = (await beliefsOfPump(shop.scope, { id: pumpId, model: 'Marram' }))!;
		expect(rebuilds).toHaveLength(4);
		if (beliefs.kind !== 'believed') throw new Error('contradicts');
		const rod = beliefs.beliefs.find(({ cause, cylinder }) => cause === 'rodOutOfLine' && cylinder === 2)!;
		// Three worn packings speak for it, four plungers without a mark against it.
		expect(rod.now[2]).toBeGreaterThan(0.1);
		expect(Math.max(...beliefs.beliefs.map(({ now }) => now[2]))).toBe(rod.now[2]);
		expect(rod.now).toHaveLength(4);
	});
	it('have nothing to say of a model without a sheet', async () =>
		expect(await beliefsOfPump(shop.scope, { id: pumpId, model: 'Nowhere' })).toBeUndefined());
});

describe('lives', () => {
	it('tell ends from running lives, and leave unknown beginnings out', async () => {
		const { lives, unknownAge, watched } = await livesAt(shop.scope, 'Marram', 'packing', 'cylinder');
		expect(unknownAge).toBe(6); // three cylinders of two pumps came with packings of unknown age
		expect(lives.filter(({ removed }) => !removed)).toHaveLength(6);
		const ended = lives.filter(({ endReason }) => endReason === 'damaged' || endReason === 'worn');
		expect(ended.every(({ group }) => group === '2')).toBe(true);
		expect(ended.map(({ after, by }) => [after, by])).toContainEqual([0, 1500]);
		expect(watched.map(({ from, until }) => [from, until])).toContainEqual([1000, 5500]);
	});
	it('count what came with a pump from its first visit on, where that is asked', async () => {
		const asFitted = await livesAt(shop.scope, 'Marram', 'packing', 'none');
		const { lives, endedUnwatched } = await livesAt(shop.scope, 'Marram', 'packing', 'none', 'visit');
		const first = new Map(asFitted.watched.map(({ pump, from }) => [pump, from]));
		expect(lives.length + endedUnwatched).toBe(asFitted.lives.length);
		for (const { pump, fittedHours, watchedFrom = 0, after, by } of lives) {
			expect(watchedFrom).toBe(Math.max(0, first.get(pump)! - fittedHours));
			expect(after).toBeGreaterThanOrEqual(watchedFrom);
			expect(by).toBeGreaterThanOrEqual(after);
		}
	});
});

describe('contrasts', () => {
	it('set groups side by side, with the hours and marks that the trace of the shop counts', async () => {
		await upToDate(shop.scope);
		const rows = await fleetEvents(shop.scope);
		const hours = (station: string) =>
			rows.reduce((sum, row) => (row.station === station && row.pattern === null ? sum + row.hours : sum), 0);
		for (const by of ['season', 'age', 'lot', 'supplier', 'liquid'] as const) {
			const groups = (await eventsByGroup(shop.scope, by)).filter(({ station }) => station === 'packing');
			const known = groups.reduce((sum, row) => (row.pattern === null ? sum + row.hours : sum), 0);
			if (by === 'season') expect(known).toBeCloseTo(hours('packing'), 6);
			else expect(known).toBeLessThanOrEqual(hours('packing') + 1e-6);
		}
		expect(await eventsByGroup(other.scope, 'season')).toEqual([]);
	});
	it('by duty compares the classes of the sheet, and nothing where all pumps are of one', async () => {
		expect((await contrastsOf(shop.scope, 'duty')).comparisons).toBe(0);
		// The quiet pump runs in what the sheet calls dirty water from here on.
		const quiet = (await of(shop.scope, 'pump').all({})).find(({ id }) => id !== pumpId)!;
		await of(shop.scope, 'pump').change({ id: quiet.id }, { duty: { liquid: 'pond water' } });
		const { contrasts } = await contrastsOf(shop.scope, 'duty');
		await of(shop.scope, 'pump').change({ id: quiet.id }, { duty: {} });
		const worn = contrasts.find(({ station, pattern }) => station === 'packing' && pattern === 'oneSidedWear')!;
		const ordinary = worn.group === 'Ordinary' ? worn : { ...worn.others, group: 'Ordinary' };
		expect(['Ordinary', 'Dirty water']).toContain(worn.group);
		expect(ordinary.events).toBe(2); // at 2,500 and 4,000 h; the first rebuild has no hours before it
		expect(worn.events + worn.others.events).toBe(2);
	});
	it('know a kit by what it holds', async () => {
		const bench = await openJob(shop, { meterHours: 9000, scope: 'full' });
		const { technician } = shop.people;
		const came = (station: string, kit: string) =>
			entryOf(bench, technician, 'arrived', { station, pieces: 3, from: 'bought', kit });
		const answers = await append(shop.scope, technician, bench.job.id, [
			came('inletSpring', 'MAR-P'),
			came('packing', 'MAR-X'),
			came('packing', 'MAR-P')
		]);
		expect(answers).toMatchObject([
			{ result: 'refused', problem: { code: 'notInKit', kit: 'MAR-P' } },
			{ result: 'refused', problem: { code: 'notInKit', kit: 'MAR-X' } },
			{ result: 'accepted' }
		]);
	});
	it('are counted again after an inspection is withdrawn or added, by the first reader', async () => {
		const again = await makeShop(database.db, 'Counted');
		const { technician } = again.people;
		let pump: string | undefined;
		const events = async () => {
			await Promise.all([upToDate(again.scope), upToDate(again.scope), traceOfShop(again.scope)]);
			return (await fleetEvents(again.scope)).filter(({ pattern }) => pattern === 'lipTorn').map((row) => row.events);
		};
		for (const meterHours of [1000, 2000]) {
			const bench = await openJob(again, { meterHours, ...(pump ? { pump: { id: pump } } : {}) });
			pump = bench.job.pumpId;
			await append(again.scope, technician, bench.job.id, decideAll(bench, technician, 'reuse'));
			if (meterHours === 1000) await releaseDespite(again, bench.job.id);
			else {
				expect(await events()).toEqual([]);
				const part = partAt(bench, 'packing', 1);
				const torn = entryOf(bench, technician, 'finding', { pattern: 'lipTorn', severity: 1, onset: 'service' }, part);
				await append(again.scope, technician, bench.job.id, [torn]);
				expect(await events()).toEqual([1]);
				const back = entryOf(bench, technician, 'withdraw', { entry: torn.id, why: 'undone' });
				await append(again.scope, technician, bench.job.id, [back]);
				expect(await events()).toEqual([]);
			}
		}
	});
	it('find the lot that fails', async () => {
		const bad = await makeShop(database.db, 'Lots');
		const { technician } = bad.people;
		let pump: string | undefined;
		for (const [i, hours] of [1000, 2000, 3000, 4000, 5000, 6000].entries()) {
			const bench = await openJob(bad, { meterHours: hours, ...(pump ? { pump: { id: pump } } : {}) });
			pump = bench.job.pumpId;
			const lot = i % 2 === 0 ? 'L-bad' : 'L-good';
			const cameBad = i > 0 && i % 2 === 1; // what was fitted a rebuild ago
			const kit = lot === 'L-bad' ? { kit: 'MAR-P' } : {};
			const came = entryOf(bench, technician, 'arrived', {
				station: 'packing',
				pieces: 3,
				from: 'bought',
				lot,
				...kit
			});
			const torn = [1, 2, 3].map((cylinder) =>
				entryOf(
					bench,
					technician,
					'finding',
					{ pattern: 'lipTorn', severity: 2, onset: 'service' },
					partAt(bench, 'packing', cylinder)
				)
			);
			const answers = await append(bad.scope, technician, bench.job.id, [
				...decideAll(bench, technician, 'replace'),
				came,
				...(cameBad ? torn : [])
			]);
			expect(answers!.filter(({ result }) => result === 'refused')).toEqual([]);
			expect((await releaseDespite(bad, bench.job.id)).kind).toBe('released');
		}
		const { contrasts, comparisons } = await contrastsOf(bad.scope, 'lot');
		expect(comparisons).toBeGreaterThan(0);
		const [first] = contrasts;
		const torn = first.group === 'L-bad' ? first.events : first.others.events;
		expect(first).toMatchObject({ station: 'packing', pattern: 'lipTorn' });
		expect([torn, first.events + first.others.events]).toEqual([9, 9]);
		expect(first.q).toBeLessThan(0.05);
		const { lives } = await livesAt(bad.scope, 'Marram', 'packing', 'lot');
		const hours = (lot: string) => lives.filter(({ group }) => group === lot).length;
		expect([hours('L-bad'), hours('L-good')]).toEqual([9, 9]);
		const byKit = (await contrastsOf(bad.scope, 'kit')).contrasts[0];
		expect([byKit.group, byKit.others.events].sort()).toEqual(
			byKit.group === 'byItself' ? [9, 'byItself'] : [0, 'MAR-P']
		);
		const { lives: kits } = await livesAt(bad.scope, 'Marram', 'packing', 'kit');
		expect(new Set(kits.map(({ group }) => group))).toEqual(new Set(['MAR-P', 'byItself']));
		const byMate = await livesAt(bad.scope, 'Marram', 'packing', 'mate');
		expect(new Set(byMate.lives.map(({ group }) => group))).toEqual(new Set(['new']));
	});
});

describe('ways of fitting', () => {
	it('are held against what is found on the seals afterwards', async () => {
		const ways = await makeShop(database.db, 'Ways');
		const { technician } = ways.people;
		await addSheet(ways.scope, readFileSync(new URL('../../../demo/sheets/campion.json', import.meta.url), 'utf8'));
		let pump: Parameters<typeof openJob>[1] = { pump: { serial: 'C-1', model: 'Campion' } };
		for (const [i, meterHours] of [1000, 2000, 3000, 4000, 5000, 6000].entries()) {
			const bench = await openJob(ways, { ...pump, meterHours, scope: 'full' });
			pump = { pump: { id: bench.job.pumpId } };
			const longAgo = new Date(Date.now() - 600_000).toISOString(); // off the network: the steps before it are not asked for
			const wasDriven = i > 0 && i % 2 === 1; // at the rebuild before this one
			const seals = bench.cells.filter(({ station }) => station === 'highPressureSeal').map(({ part }) => part);
			const torn = { pattern: 'lipTorn', severity: 2, onset: 'service' };
			const answers = await append(ways.scope, technician, bench.job.id, [
				...decideAll(bench, technician, 'replace'),
				...(wasDriven ? seals.map((part) => entryOf(bench, technician, 'finding', torn, part)) : []),
				{
					...entryOf(bench, technician, 'step', { step: 'sealsIn', way: i % 2 === 0 ? 'driver' : 'hand' }),
					at: longAgo
				}
			]);
			expect(answers!.filter(({ result }) => result === 'refused')).toEqual([]);
			expect((await releaseDespite(ways, bench.job.id)).kind).toBe('released');
		}
		const { contrasts } = await contrastsOf(ways.scope, 'way');
		const seal = contrasts.find(({ station, pattern }) => station === 'highPressureSeal' && pattern === 'lipTorn')!;
		const driven = seal.group.startsWith('Pushed home') ? seal : { events: seal.others.events };
		expect(driven.events).toBe(seal.events + seal.others.events);
		expect(driven.events).toBeGreaterThanOrEqual(9);
		expect(seal.q).toBeLessThan(0.05);
		expect((await contrastsOf(other.scope, 'way')).contrasts).toEqual([]);
	});
});

describe('sizes beyond their limit', () => {
	it('are counted in released rebuilds, once in a part’s life, and find the lot whose springs set early', async () => {
		const set = await makeShop(database.db, 'Springs');
		const { technician } = set.people;
		const counted = () => of(set.scope, 'countedSize').all({ characteristic: 'freeLength' });
		let pump: string | undefined;
		for (const [i, meterHours] of [1000, 2000, 3000, 4000, 5000, 6000].entries()) {
			const bench = await openJob(set, { meterHours, scope: 'full', ...(pump ? { pump: { id: pump } } : {}) });
			pump = bench.job.pumpId;
			const { characteristics } = bench.sheet.stations.find(({ key }) => key === 'inletSpring')!;
			const sheet = characteristics.find(({ key }) => key === 'freeLength')!;
			const { nominal, unit } = sheet;
			const limit = discardLimit(sheet)!.value;
			const early = i > 0 && i % 2 === 1; // what came in a rebuild ago
			const read = [1, 2, 3].map((cylinder) => {
				const value = early ? 2 * limit - nominal : (limit + nominal) / 2;
				const payload = {
					characteristic: 'freeLength',
					row: 0,
					column: 0,
					value,
					typed: { text: String(value), unit }
				};
				return entryOf(bench, technician, 'reading', payload, partAt(bench, 'inletSpring', cylinder));
			});
			const lot = i % 2 === 0 ? 'S-early' : 'S-sound';
			const came = entryOf(bench, technician, 'arrived', { station: 'inletSpring', pieces: 3, from: 'bought', lot });
			const answers = await append(set.scope, technician, bench.job.id, [
				...decideAll(bench, technician, 'replace'),
				came,
				...read
			]);
			expect(answers!.filter(({ result }) => result === 'refused')).toEqual([]);
			await upToDate(set.scope);
			// Springs of unknown age at the first rebuild do not count, nor does a rebuild that is not released.
			expect(await counted()).toHaveLength(3 * Math.max(0, i - 1));
			expect((await releaseDespite(set, bench.job.id)).kind).toBe('released');
		}
		const { contrasts } = await contrastsOf(set.scope, 'lot');
		const springs = contrasts.find(({ station, size }) => station === 'inletSpring' && size === 'freeLength')!;
		expect(springs).toMatchObject({ group: 'S-early', pattern: null, type: 'spring', events: 9, hours: 9000 });
		expect(springs.others).toEqual({ events: 0, hours: 6000 });
		expect(springs.q).toBeLessThan(0.05);
		expect((await counted()).filter(({ beyond }) => beyond)).toHaveLength(9);
		expect((await contrastsOf(other.scope, 'lot')).contrasts).toEqual([]);
	});
});

describe('cases', () => {
	const asked = () => ({
		pumpId,
		station: 'packing',
		cylinder: 2,
		pattern: 'oneSidedWear',
		cause: 'rodOutOfLine',
		hypothesis: 'the rod stands out of line',
		openedJobId: jobs[1]
	});
	it('are opened once, also by two at once', async () => {
		const { technician, lead } = shop.people;
		const answers = await Promise.all([openCase(shop.scope, technician, asked()), openCase(shop.scope, lead, asked())]);
		expect(answers.map(({ kind }) => kind).sort()).toEqual(['alreadyOpen', 'done']);
		expect(await casesOf(shop.scope)).toHaveLength(1);
		expect(await casesToWatch(shop.scope, [pumpId])).toMatchObject([
			{ cylinder: 2, remedy: expect.stringContaining('runout'), check: { place: 'plunger/2', size: 'runout' } }
		]);
		expect(await casesOf(other.scope)).toEqual([]);
	});
	it('take an action from their own rebuild on, and teach only when they are confirmed', async () => {
		const { lead } = shop.people;
		const [{ id }] = await casesOf(shop.scope);
		const taken = { action: 'rod renewed', effectiveness: 0.9, watchHours: 3000 };
		expect((await closeCase(shop.scope, lead, id, 'confirmed', 'so it is')).kind).toBe('withoutAction');
		expect((await actOn(shop.scope, lead, id, { ...taken, jobId: jobs[0] })).kind).toBe('beforeItsCase');
		expect((await actOn(shop.scope, lead, id, { ...taken, jobId: pumpId })).kind).toBe('unknown');
		expect((await actOn(shop.scope, lead, id, { ...taken, jobId: jobs[2] })).kind).toBe('done');
		const worked = (await workedOf(shop.scope, (await caseById(shop.scope, id))!))!;
		expect(worked.verdict).toBe('open');
		expect(worked.inspectionsStillNeeded).toBeGreaterThan(0);
		expect(worked.lives).toEqual({ before: 2, since: 2, p: expect.any(Number) });
		const taught = async () => (await beliefsOfPump(shop.scope, { id: pumpId, model: 'Marram' }))!.taughtBy;
		expect(await taught()).toBe(0);
		expect((await closeCase(shop.scope, lead, id, 'confirmed', 'the crosshead was worn')).kind).toBe('done');
		expect((await closeCase(shop.scope, lead, id, 'refuted', 'no')).kind).toBe('closed');
		expect(await taught()).toBe(1);
		const second = await openCase(shop.scope, lead, asked());
		expect((await reopenCase(shop.scope, lead, id, 'it came back')).kind).toBe('alreadyOpen');
		if (second.kind !== 'done') throw new Error(second.kind);
		await closeCase(shop.scope, lead, second.id, 'notTold', 'one is enough');
		expect((await reopenCase(shop.scope, lead, id, 'it came back')).kind).toBe('done');
		expect(await taught()).toBe(0);
		expect((await caseById(shop.scope, id))!.history.map(({ did }) => did)).toEqual([
			'opened',
			'acted',
			'confirmed',
			'reopened'
		]);
	});
	it('are of the shop’s own pumps and rebuilds', async () => {
		expect((await openCase(other.scope, other.people.lead, asked())).kind).toBe('unknown');
		const [{ id }] = await casesOf(shop.scope);
		expect((await reopenCase(other.scope, other.people.lead, id, 'mine')).kind).toBe('unknown');
	});
});

describe('the network', () => {
	it('is kept by revision, and one is not written over another', async () => {
		const { lead } = shop.people;
		const changed = structuredClone(startingNetwork) as { causes: { prior: number }[] };
		changed.causes[0].prior = 0.07;
		const answers = await Promise.all([1, 2].map(() => keepNetwork(shop.scope, lead, 0, changed)));
		expect(answers.map(({ kind }) => kind).sort()).toEqual(['kept', 'overtaken']);
		const kept = await networkOf(shop.scope);
		expect(kept).toMatchObject({ revision: 1, madeBy: lead.name });
		expect(kept.network.causes[0].prior).toBe(0.07);
		expect((await networkOf(other.scope)).revision).toBe(0);
		expect(await of(shop.scope, 'causeNetwork').count()).toBe(1);
	});
	it('is refused with its faults', async () =>
		expect(await keepNetwork(shop.scope, shop.people.lead, 1, { version: 2 })).toMatchObject({ kind: 'faults' }));
});
