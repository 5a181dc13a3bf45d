// Putting a pump together on the server: the order that it holds, two at once, the sealer's time, and the gate at release.
import { afterAll, beforeAll, expect, it } from 'vitest';
import { v7 as uuidv7 } from 'uuid';
import {
	fold,
	nextBolt,
	fastenersAt,
	itemsOf,
	partsOf,
	piecesIn,
	proveSteps,
	together,
	type EntryAnswer
} from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { entriesOf } from '../benchLog/entries';
import type { Database } from '../db/connection';
import { addGauge, gaugeById } from '../gauges';
import type { Bench } from './bench';
import { answersTo, decideAll, entryOf, freshDatabase, makeShop, openJob, partAt, type TestShop } from '../testing';
import { release } from './release';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Build');
});
afterAll(() => drop());

const code = (answers: readonly EntryAnswer[] | undefined) =>
	answers!.map((answer) => (answer.result === 'refused' ? answer.problem.code : answer.result));
const send = async (bench: Bench, ...entries: ReturnType<typeof entryOf>[]) =>
	code(await append(shop.scope, shop.people.technician, bench.job.id, entries));
const putIn = (bench: Bench, station: string, cylinder = 0, piece = 'same') =>
	entryOf(bench, shop.people.technician, 'putIn', { piece }, partAt(bench, station, cylinder));

async function decided(): Promise<Bench> {
	const bench = await openJob(shop);
	await send(bench, ...decideAll(bench, shop.people.technician, 'reuse'));
	return bench;
}
const rings = ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer'];

it('takes a whole batch in its order, and refuses what is shut in without the rest', async () => {
	const bench = await decided();
	expect(await send(bench, putIn(bench, 'manifold'))).toEqual(['deeperFirst']);
	const stacks = rings.flatMap((station) => [1, 2, 3].map((cylinder) => putIn(bench, station, cylinder)));
	expect(new Set(await send(bench, ...stacks))).toEqual(new Set(['accepted']));
	expect(await send(bench, putIn(bench, 'plunger', 1, 'new'))).toEqual(['otherPiece']);
	expect(await send(bench, putIn(bench, 'sealRetainer', 2), putIn(bench, 'wick', 2))).toEqual(['accepted', 'accepted']);
});

it('two who put in the same part at once leave one part in', async () => {
	const bench = await decided();
	const both = await Promise.all([1, 2].map(() => send(bench, putIn(bench, 'retainerGasket', 1))));
	expect(both).toEqual([['accepted'], ['accepted']]);
	const state = fold(await entriesOf(shop.scope, bench.job.id));
	expect(piecesIn(together(bench.sheet, bench.job, bench.cells, state)).in).toBe(1);
});

it('two who tighten one bolt at once: the bolt is tight, and the next is the next', async () => {
	const bench = await decided();
	for (const station of rings) await send(bench, ...[1, 2, 3].map((cylinder) => putIn(bench, station, cylinder)));
	const tighten = () =>
		entryOf(bench, shop.people.technician, 'tightened', { pass: 0, bolt: 0 }, partAt(bench, 'plungerRetainer', 1));
	const answers = (await Promise.all([send(bench, tighten()), send(bench, tighten())])).flat();
	expect(answers).toContain('accepted');
	expect(await send(bench, tighten())).toEqual(['boltTwice']);
});

it('a pump goes once it is built and proved; before that only by a lead, who says why', async () => {
	const { technician, lead } = shop.people;
	const bench = await decided();
	const { id } = bench.job;
	expect(await release(shop.scope, technician, id)).toMatchObject({ kind: 'notTogether' });
	expect(await release(shop.scope, technician, id, { unbuilt: 'in a hurry' })).toEqual({ kind: 'leadOnly' });
	const step = (key: string) => entryOf(bench, technician, 'step', { step: key });
	const answer = (key: string, ask: number, value: unknown) =>
		entryOf(bench, technician, 'answer', { step: key, ask, value });
	expect(await send(bench, answer('handTurns', 0, true), step('handTurns'))).toEqual(['accepted', 'notTogether']);

	const build = () => together(bench.sheet, bench.job, bench.cells, fold([]));
	for (const buildStep of build().steps) {
		const items = itemsOf(build(), buildStep);
		// Bores from the last to the first: the order leaves that open.
		if (buildStep.walk === 'bore') items.sort((a, b) => b.cylinder - a.cylinder);
		for (const item of items) {
			const { cylinder } = item;
			const entry =
				item.kind === 'part'
					? putIn(bench, item.place.station.key, cylinder)
					: entryOf(bench, technician, 'unitIn', { unit: item.place.unit.key, cylinder });
			expect(await send(bench, entry)).toEqual(['accepted']);
			const inside = item.kind === 'part' ? [item.place] : partsOf(build(), item.place);
			const here = new Set(fastenersAt(build(), buildStep).map(({ part }) => part));
			for (const { station, part } of inside) if (here.has(part)) await tightenAll(bench, station.key, part);
		}
		await send(bench, ...answersTo(bench, technician, buildStep));
		if (!buildStep.mirrored) expect(await send(bench, step(buildStep.key))).toEqual(['accepted']);
	}
	expect(await release(shop.scope, technician, id)).toMatchObject({
		kind: 'notTogether',
		left: { steps: { length: 3 } }
	});
	for (const provingStep of proveSteps(bench.sheet, bench.job)) {
		await send(bench, ...answersTo(bench, technician, provingStep));
		expect(await send(bench, step(provingStep.key))).toEqual(['accepted']);
	}
	const { proof } = bench.sheet;
	const prove = (payload: object) => send(bench, entryOf(bench, technician, 'proof', payload));
	const mpa = (value: number) => ({ value, typed: { text: String(value), unit: 'MPa' } });
	const lacks = async () => {
		const released = await release(shop.scope, technician, id);
		return released.kind === 'notTogether' ? released.left.tests.map(({ what }) => what) : released.kind;
	};
	expect(await lacks()).toEqual(['notHeld', ...proof!.places.map(() => 'notLookedAt')]);
	expect(await prove({ test: 'drips', place: 'Somewhere', seen: 'none' })).toEqual(['noSuchPlace']);
	expect(await prove({ test: 'hold', from: mpa(12), to: mpa(12.5), minutes: 5 })).toEqual(['pressureRose']);
	for (const place of proof!.places) expect(await prove({ test: 'drips', place, seen: 'none' })).toEqual(['accepted']);
	for (const [to, says] of [
		[11, 'holdFails'],
		[11.65, 'holdTooClose']
	] as const) {
		expect(await prove({ test: 'hold', from: mpa(12), to: mpa(to), minutes: 5 })).toEqual(['accepted']);
		expect(await lacks()).toEqual([says]);
	}
	// What class 1 leaves open is settled by the shop's own gauge, which knows where it was used.
	const gauge = await testGauge();
	const celsius = { value: 8, typed: { text: '8', unit: 'C' } };
	const close = { test: 'hold', from: mpa(12), to: mpa(11.69), minutes: 5, fromC: celsius, toC: celsius };
	expect(await prove({ ...close, gauge: uuidv7() })).toEqual(['unknownGauge']);
	const byGauge = entryOf(bench, technician, 'proof', { ...close, gauge });
	expect(await send(bench, byGauge)).toEqual(['accepted']);
	expect((await gaugeById(shop.scope, gauge))?.uses).toMatchObject([{ job: id, readings: 1 }]);
	await send(bench, entryOf(bench, technician, 'withdraw', { entry: byGauge.id, why: 'undone' }));
	expect((await gaugeById(shop.scope, gauge))?.uses).toEqual([]);
	await prove({ test: 'drips', place: proof!.places[0], seen: 'steady' });
	await prove({ ...close, gauge });
	expect(await lacks()).toEqual(['drips']);
	await prove({ test: 'drips', place: proof!.places[0], seen: 'none' });
	expect(await release(shop.scope, technician, id)).toMatchObject({ kind: 'released', replaced: 0 });

	const other = await decided();
	expect(await release(shop.scope, lead, other.job.id, { unbuilt: 'Goes to the maker as it is' })).toMatchObject({
		kind: 'released'
	});
	const { restedOn } = (await db.models.job.findOne({ where: { id: other.job.id, shopId: shop.scope.shopId } }))!.get();
	expect(restedOn).toMatchObject({ unbuilt: { why: 'Goes to the maker as it is' } });
});

async function testGauge(): Promise<string> {
	const added = await addGauge(
		shop.scope,
		{
			...{ name: 'Test gauge', kind: 'pressure gauge', resolution: 0.01, expansionPerKelvin: 0 },
			...{ repeatability: 0.008, repeatabilityDof: 20, reproducibility: 0.004 }
		},
		{ calibratedOn: '2026-01-10', dueOn: '2030-01-10', expandedU: 0.03, k: 2, certificate: 'C-1' }
	);
	if (added.kind !== 'kept') throw new Error(added.kind);
	return added.id;
}

async function tightenAll(bench: Bench, station: string, part: string): Promise<void> {
	const { fastening } = bench.sheet.stations.find(({ key }) => key === station)!;
	if (!fastening) return;
	for (;;) {
		const record = fold(await entriesOf(shop.scope, bench.job.id)).parts.get(part)!;
		const next = nextBolt({ fastening }, record);
		if (!next) return;
		const payload = { pass: next.pass, bolt: next.bolt };
		expect(await send(bench, entryOf(bench, shop.people.technician, 'tightened', payload, part))).toEqual(['accepted']);
	}
}

it('another shop’s job takes nothing', async () => {
	const bench = await decided();
	const other = await makeShop(db, 'Other');
	expect(
		await append(other.scope, other.people.technician, bench.job.id, [putIn(bench, 'plunger', 1)])
	).toBeUndefined();
	expect(await release(other.scope, other.people.lead, bench.job.id, { unbuilt: uuidv7() })).toEqual({
		kind: 'unknownJob'
	});
});
