import { afterAll, beforeAll, expect, it } from 'vitest';
import type { ModelSheet } from '@exetasis/core/record';
import { append } from '../../benchLog/append';
import { benchOf } from '../../jobs/bench';
import { floorOf } from '../../jobs/floor';
import { entryOf, freshDatabase, makeShop, openJob, partAt, type TestShop } from '../../testing';
import { rows } from '../sql/statement';
import { afterwards } from './0008-sheets-of-version-2';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
});
afterAll(() => database.drop());

/** The sheet as version 1 wrote it. */
function asVersion1({ assemblies, scopes: _scopes, tools, steps, stations, ...rest }: ModelSheet): object {
	const manifold = assemblies.find(({ key }) => key === 'manifold')!;
	const { variants: _v, products: _p, kits: _k, lookAlikes: _l, ...facts } = rest;
	return {
		...facts,
		version: 1,
		benchFaceUp: manifold.up,
		manifoldMassKg: manifold.massKg,
		steps: steps.map(({ key, text, scopes, after, blocking, cautions }) => ({
			key,
			text,
			scopes,
			after,
			blocking,
			...(cautions.length > 0 ? { caution: cautions[0] } : {})
		})),
		stations: stations.map(({ in: _in, mates, tools: used, products, ...station }) => {
			const { mayStayIn: _m, alsoCalled: _a, inferred: _i, spoils: _s, gates: _g, ...kept } = station;
			const { reversible: _r, ...face } = kept.face;
			return {
				...kept,
				face,
				...(mates.length > 0 ? { mate: mates[0] } : {}),
				...(used.length > 0 ? { tool: tools.find(({ key }) => key === used[0].tool)!.name } : {}),
				...(products.length > 0 ? { lubricate: products[0].where } : {})
			};
		})
	};
}

it('a shop of the version before opens its jobs as before: sheets are lifted, once', async () => {
	const before = await openJob(shop);
	const { scope } = shop;
	const stored = async () =>
		(await rows<{ body: ModelSheet }>(scope, 'SELECT body FROM model_sheet WHERE shop_id = $1', []))[0].body;
	const old = asVersion1(before.sheet);
	await rows(scope, 'UPDATE model_sheet SET body = $2 WHERE shop_id = $1', [JSON.stringify(old)]);
	expect(await stored()).toMatchObject({ version: 1 });

	const lift = () => scope.db.sequelize.transaction((transaction) => afterwards(scope.db.sequelize, transaction));
	await lift();
	const lifted = await stored();
	expect(lifted).toMatchObject({ version: 3, assemblies: before.sheet.assemblies.map(({ key }) => ({ key })) });
	expect(lifted.stations.map(({ key }) => key)).toEqual(before.sheet.stations.map(({ key }) => key));
	await lift();
	expect(await stored()).toEqual(lifted);

	const after = (await benchOf(scope, before.job.id))!;
	expect(after.cells.map(({ part }) => part)).toEqual(before.cells.map(({ part }) => part));
	const look = entryOf(after, shop.people.technician, 'clean', {}, partAt(after, 'plunger', 1));
	expect(await append(scope, shop.people.technician, after.job.id, [look])).toMatchObject([{ result: 'accepted' }]);
	expect((await floorOf(scope)).jobs.find(({ id }) => id === after.job.id)).toMatchObject({ scopeName: 'Packing job' });
});
