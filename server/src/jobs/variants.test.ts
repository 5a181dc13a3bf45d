import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { stepsInScope, type Chosen, type ModelSheet } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { addSheet } from '../sheets';
import { type TestShop, arrival, decideAll, entryOf, freshDatabase, letGo, makeShop } from '../testing';
import { benchOf, type Bench } from './bench';
import { floorOf } from './floor';
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
	it('lays out what it is made of, cylinder by cylinder; where nobody knows, all that could be', async () => {
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
		const answers = asked.flatMap(({ key, asks }) =>
			asks.map((ask, i) =>
				entryOf(first, technician, 'answer', { step: key, ask: i, value: ask.kind === 'count' ? 8 : 'Nothing' })
			)
		);
		const signed = asked.map(({ key }) => entryOf(first, technician, 'step', { step: key }));
		const decided = decideAll(first, technician, 'reuse');
		const all = [...answers, ...signed, ...decided];
		const taken = await append(shop.scope, technician, first.job.id, all);
		expect(taken!.filter(({ result }) => result !== 'accepted')).toEqual([]);
		expect(await letGo(shop, first.job.id)).toMatchObject({ kind: 'released' });

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
