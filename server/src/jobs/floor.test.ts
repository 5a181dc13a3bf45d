import { matSigns } from '@exetasis/core/mat';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { walkingOrder, placeKey } from '@exetasis/core/mat';
import { stationsInScope, stepsInScope } from '@exetasis/core/record';
import { append } from '../benchLog/append';
import { placeBefore } from '../pumps';
import {
	type TestShop,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	receiveJob
} from '../testing';
import { floorOf } from './floor';

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
const onFloor = async (jobId: string) => (await floorOf(shop.scope)).jobs.find(({ id }) => id === jobId)!;

describe('a job on the floor', () => {
	it('says which step comes first, and the next one once that is signed off or taken back', async () => {
		const bench = await receiveJob(shop);
		const [first, second] = stepsInScope(bench.sheet, bench.job);
		expect(await onFloor(bench.job.id)).toMatchObject({ steps: 0, nextStep: first.text });
		const signed = entryOf(bench, user(), 'step', { step: first.key });
		await append(shop.scope, user(), bench.job.id, [signed]);
		expect(await onFloor(bench.job.id)).toMatchObject({ steps: 1, nextStep: second.text });
		await append(shop.scope, user(), bench.job.id, [
			entryOf(bench, user(), 'withdraw', { entry: signed.id, why: 'not yet' })
		]);
		expect(await onFloor(bench.job.id)).toMatchObject({ steps: 0, nextStep: first.text });
	});
	it('names the next part in walking order, and none once all are looked at', async () => {
		const bench = await openJob(shop);
		const walk = walkingOrder(stationsInScope(bench.sheet, bench.job), bench.sheet.cylinders);
		for (const place of walk.slice(0, 3)) {
			const { nextPart } = await onFloor(bench.job.id);
			expect(nextPart && placeKey(nextPart.station, nextPart.cylinder)).toBe(place);
			const part = partAt(bench, nextPart!.station, nextPart!.cylinder);
			await append(shop.scope, user(), bench.job.id, [entryOf(bench, user(), 'clean', {}, part)]);
		}
		const left = bench.cells.map(({ part }) => entryOf(bench, user(), 'clean', {}, part));
		await append(shop.scope, user(), bench.job.id, left);
		expect(await onFloor(bench.job.id)).toMatchObject({ nextPart: null, inspected: bench.cells.length, decided: 0 });
	});
	it('draws its mat in little: one mark a part, as the last decision has it', async () => {
		const bench = await openJob(shop);
		const part = partAt(bench, 'packing', 2);
		const state = async () => {
			const { mat } = await onFloor(bench.job.id);
			expect(mat.join('').replaceAll(' ', '')).toHaveLength(bench.cells.length);
			const column = stationsInScope(bench.sheet, bench.job).findIndex(({ key }) => key === 'packing');
			return Object.entries(matSigns).find(([, sign]) => sign === mat[1][column])?.[0];
		};
		expect(await state()).toBe('open');
		await append(shop.scope, user(), bench.job.id, [entryOf(bench, user(), 'clean', {}, part)]);
		expect(await state()).toBe('inspected');
		for (const verdict of ['reuse', 'lookAgain', 'replace'] as const) {
			const at = new Date().toISOString();
			const decision = { ...entryOf(bench, user(), 'decision', { verdict, proposed: verdict }, part), at };
			await append(shop.scope, user(), bench.job.id, [decision]);
			expect(await state()).toBe(verdict);
			expect((await onFloor(bench.job.id)).again).toBe(verdict === 'lookAgain' ? 1 : 0);
		}
	});
	it('of which every part is decided says what is built next, and how much is in', async () => {
		const bench = await openJob(shop);
		await append(shop.scope, user(), bench.job.id, decideAll(bench, user(), 'reuse'));
		const { closing } = await onFloor(bench.job.id);
		expect(closing).toMatchObject({ at: 'build', in: 0, step: { mirrored: false } });
		const gasket = entryOf(bench, user(), 'putIn', { piece: 'same' }, partAt(bench, 'retainerGasket', 1));
		await append(shop.scope, user(), bench.job.id, [gasket]);
		expect((await onFloor(bench.job.id)).closing).toMatchObject({ in: 1, of: closing!.of });
	});
	it('is no one else’s', async () => expect((await floorOf(other.scope)).jobs).toEqual([]));
});

describe('a place before', () => {
	it('tells its lives newest first, of the own shop alone', async () => {
		const first = await openJob(shop);
		await append(shop.scope, user(), first.job.id, decideAll(first, user(), 'replace'));
		expect(await releaseDespite(shop, first.job.id)).toMatchObject({ kind: 'released' });
		const again = await openJob(shop, { pump: { id: first.job.pumpId }, meterHours: 2000 });
		const place = { station: 'packing', cylinder: 2 };
		expect(await placeBefore(shop.scope, again.job.id, place)).toMatchObject([
			{ part: partAt(again, 'packing', 2), removedHours: null },
			{ part: partAt(first, 'packing', 2), removedHours: 1000 }
		]);
		expect(await placeBefore(shop.scope, again.job.id, { station: 'nothing', cylinder: 9 })).toEqual([]);
		expect(await placeBefore(other.scope, again.job.id, place)).toBeUndefined();
	});
});
