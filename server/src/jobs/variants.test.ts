import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { piecesInPump, stepsInScope, type Chosen, type ModelSheet } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { addSheet } from '../sheets';
import {
	type TestShop,
	arrival,
	decideAll,
	answersTo,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop
} from '../testing';
import { benchOf, type Bench } from './bench';
import { floorOf } from './floor';
import { setVariants, stillOpen } from './variants';
import { receive, type Arrival } from './receive';

const gorse = JSON.parse(
	readFileSync(new URL('../../../demo/sheets/gorse.json', import.meta.url), 'utf8')
) as ModelSheet;
const FLAT_STEP = 'Look at the flat seats.';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	const [isolate, released, ...others] = gorse.steps;
	// The first step to be signed off after the blocking ones is one of flat guides alone.
	const flat = {
		key: 'flatSeats',
		text: FLAT_STEP,
		stage: 'prepare',
		scopes: ['packing'],
		onlyWith: { guide: ['flat'] }
	};
	const added = await addSheet(shop.scope, JSON.stringify({ ...gorse, steps: [isolate, released, flat, ...others] }));
	expect(added).toMatchObject({ kind: 'added' });
});
afterAll(() => database.drop());

let count = 0;
const come = (change: Partial<Arrival> = {}) =>
	receive(
		shop.scope,
		shop.people.technician.id,
		arrival({ pump: { serial: `G-${++count}`, model: 'Gorse' }, scope: 'packing', ...change })
	);
async function received(variants: Chosen): Promise<Bench> {
	const result = await come({ variants });
	if (result.kind !== 'received') throw new Error(result.kind);
	return (await benchOf(shop.scope, result.jobId))!;
}
const lying = ({ cells }: Bench, station: string) =>
	cells.filter((cell) => cell.station === station).map(({ cylinder }) => cylinder);
const MIXED = { guide: ['flat', 'u', 'u'] };

describe('a pump with variants', () => {
	it('lays out what it is made of, cylinder by cylinder; where no one knows, all that could be', async () => {
		const mixed = await received(MIXED);
		expect([lying(mixed, 'flatSeal'), lying(mixed, 'curvedSeal')]).toEqual([[1], [2, 3]]);
		const unknown = await received({});
		expect([lying(unknown, 'flatSeal'), lying(unknown, 'curvedSeal')]).toEqual([
			[1, 2, 3],
			[1, 2, 3]
		]);
	});
	it.each([
		[{ guide: 'flat' }, 'guide'],
		[{ guide: ['flat', 'u'] }, 'guide'],
		[{ guide: ['flat', 'u', 'round'] }, 'guide'],
		[{ colour: 'red' }, 'colour']
	])('is not received as %j, and nothing is kept of it', async (variants, variant) => {
		expect(await come({ variants })).toEqual({ kind: 'wrongVariant', variant });
		expect(await database.db.models.pump.count({ where: { shopId: shop.scope.shopId, serial: `G-${count}` } })).toBe(0);
	});
	it('is received for a scope of its sheet alone', async () => {
		for (const scope of ['everything', '', 'plunger']) expect(await come({ scope })).toEqual({ kind: 'unknownScope' });
	});
	it('keeps its answers until others are given, and none while its job is open', async () => {
		const first = await received(MIXED);
		const pump = { id: first.job.pumpId };
		const again = { pump, scope: 'packing', meterHours: first.job.meterHours + 500 };
		expect(await come({ ...again, variants: { guide: ['u', 'u', 'u'] } })).toMatchObject({ kind: 'openJob' });
		const { technician } = shop.people;
		const asked = stepsInScope(first.sheet, first.job);
		const answers = asked.flatMap((step) => answersTo(first, technician, step));
		const signed = asked.map(({ key }) => entryOf(first, technician, 'step', { step: key }));
		const decided = decideAll(first, technician, 'reuse');
		const all = [...answers, ...signed, ...decided];
		const taken = await append(shop.scope, technician, first.job.id, all);
		expect(taken!.filter(({ result }) => result !== 'accepted')).toEqual([]);
		expect(await releaseDespite(shop, first.job.id)).toMatchObject({ kind: 'released' });

		const second = await come(again);
		if (second.kind !== 'received') throw new Error(second.kind);
		const bench = (await benchOf(shop.scope, second.jobId))!;
		expect(bench.job.variants).toEqual(MIXED);
		expect(lying(bench, 'flatSeal')).toEqual([1]);
		expect(lying((await benchOf(shop.scope, first.job.id))!, 'flatSeal')).toEqual([1]);
	});
	it('is led by the steps of its own', async () => {
		const { lead } = shop.people;
		const next = async (variants: Chosen) => {
			const bench = await received(variants);
			for (const step of ['isolate', 'release'])
				await append(shop.scope, lead, bench.job.id, [entryOf(bench, lead, 'step', { step })]);
			return (await floorOf(shop.scope)).jobs.find(({ id }) => id === bench.job.id)!.nextStep;
		};
		expect(await next({ guide: ['u', 'flat', 'u'] })).toBe(FLAT_STEP);
		expect(await next({})).toBe(FLAT_STEP);
		expect(await next({ guide: ['u', 'u', 'u'] })).not.toBe(FLAT_STEP);
	});
});

describe('what a pump is made of, found as it is opened', () => {
	const benchAgain = async (id: string) => (await benchOf(shop.scope, id))!;
	it('is asked where no one said it, lays the mat out again, and stays with the pump', async () => {
		const bench = await received({});
		expect(stillOpen(bench)?.variants.map(({ key }) => key)).toEqual(['guide']);
		expect(await setVariants(shop.scope, bench.job.id, MIXED)).toEqual({ kind: 'kept' });
		const after = await benchAgain(bench.job.id);
		expect([lying(after, 'flatSeal'), lying(after, 'curvedSeal')]).toEqual([[1], [2, 3]]);
		expect(lying(after, 'highPressureSeal')).toEqual([1, 2, 3]);
		expect(stillOpen(after)).toBeUndefined();
		const { models } = database.db;
		const pump = await models.pump.findOne({ where: { id: bench.job.pumpId, shopId: shop.scope.shopId } });
		expect(pump!.get('variants')).toEqual(MIXED);
		const where = { pumpId: bench.job.pumpId, shopId: shop.scope.shopId, station: ['flatSeal', 'curvedSeal'] };
		expect(await models.partLife.count({ where }), 'what never was in it has no life').toBe(3);
	});
	it('two at once who say it differently: one is kept, the other told', async () => {
		const { job } = await received({});
		const said = await Promise.all(
			[MIXED, { guide: ['u', 'u', 'u'] }].map((chosen) => setVariants(shop.scope, job.id, chosen))
		);
		expect(said.map(({ kind }) => kind).sort()).toEqual(['kept', 'saidBefore']);
	});
	it('is not said over what stands, over what is recorded, nor as what the sheet has not', async () => {
		const known = await received(MIXED);
		expect(await setVariants(shop.scope, known.job.id, { guide: ['u', 'u', 'u'] })).toEqual({
			kind: 'saidBefore',
			variants: ['Style of the rear guide']
		});
		const bench = await received({});
		const { technician } = shop.people;
		const cell = bench.cells.find(({ station, cylinder }) => station === 'flatSeal' && cylinder === 2)!;
		for (const step of ['isolate', 'release'])
			await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'step', { step })]);
		await append(shop.scope, technician, bench.job.id, [
			entryOf(bench, technician, 'note', { text: 'cut' }, cell.part)
		]);
		expect(await setVariants(shop.scope, bench.job.id, MIXED)).toMatchObject({
			kind: 'partsRecorded',
			parts: [{ cylinder: 2 }]
		});
		expect(lying(await benchAgain(bench.job.id), 'flatSeal')).toEqual([1, 2, 3]);
		for (const wrong of [{}, { guide: ['u'] }, { guide: 'u' }, { colour: 'red' }] as Chosen[])
			expect(await setVariants(shop.scope, bench.job.id, wrong)).toEqual({ kind: 'wrongVariant' });
		const other = await makeShop(database.db, 'Skerry');
		expect(await setVariants(other.scope, bench.job.id, MIXED)).toEqual({ kind: 'unknownJob' });
	});
});

it('a step that is begun cylinder by cylinder is signed off when all are done, and what is taken back is not done', async () => {
	const bench = await received(MIXED);
	const { technician } = shop.people;
	const steps = stepsInScope(bench.sheet, bench.job);
	const repeated = steps.find(({ per, stage }) => per === 'cylinder' && stage === 'strip')!;
	const say = async (...entries: ReturnType<typeof entryOf>[]) =>
		(await append(shop.scope, technician, bench.job.id, entries))!.map((answer) =>
			answer.result === 'refused' ? answer.problem.code : answer.result
		);
	for (const { key, asks } of steps.slice(0, steps.indexOf(repeated))) {
		const value = (ask: (typeof asks)[number]) => {
			if (ask.kind === 'count') return piecesInPump(bench.sheet, ask.station, bench.job);
			if (ask.kind === 'choice') return ask.choices[0];
			return ask.kind === 'tick' ? true : 'Nothing';
		};
		const answers = asks.map((ask, i) =>
			entryOf(bench, technician, 'answer', { step: key, ask: i, value: value(ask) })
		);
		expect(await say(...answers, entryOf(bench, technician, 'step', { step: key }))).not.toContain('stepUnanswered');
	}
	const sign = () => entryOf(bench, technician, 'step', { step: repeated.key });
	const [one, two, three] = [1, 2, 3].map((cylinder) =>
		entryOf(bench, technician, 'cylinderDone', { step: repeated.key, cylinder })
	);
	expect(await say(one, sign())).toEqual(['accepted', 'cylindersLeft']);
	expect(await say(two, three)).toEqual(['accepted', 'accepted']);
	await say(entryOf(bench, technician, 'withdraw', { entry: two.id, why: 'not done' }));
	expect(await say(sign())).toEqual(['cylindersLeft']);
	const again = entryOf(bench, technician, 'cylinderDone', { step: repeated.key, cylinder: 2 });
	expect(await say(again, sign())).toEqual(['accepted', 'accepted']);
});
