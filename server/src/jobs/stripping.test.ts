import { afterAll, beforeAll, expect, it } from 'vitest';
import { piecesInPump } from '@exetasis/core/record';
import { append } from '../benchLog/append';
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
import { of } from '../db/scope';
import { foundAt } from '../db/sql/foundAt';
import { traceOf } from '../trace/onePump';
import { historyOfMat } from './mat';
import { receive } from './receive';
import { release } from './release';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
});
afterAll(() => database.drop());

it('how parts were found is kept by place, the last word counts, and what is taken back does not', async () => {
	const bench = await openJob(shop);
	const { technician, lead } = shop.people;
	const found = (cylinder: number, payload: object, station = 'packing') =>
		entryOf(bench, technician, 'asFound', payload, partAt(bench, station, cylinder));
	const taken = found(3, { where: 'missing' });
	const answers = await append(shop.scope, technician, bench.job.id, [
		found(1, { facing: 'turned' }),
		found(1, { where: 'doubled' }),
		found(2, { facing: 'turned' }),
		found(2, { facing: 'right' }),
		taken,
		found(1, { facing: 'turned' }, 'caseORing'),
		found(1, { where: 'elsewhere' })
	]);
	expect(answers!.map(({ result }) => result)).toEqual([...Array(5).fill('accepted'), 'refused', 'refused']);
	await append(shop.scope, lead, bench.job.id, [
		entryOf(bench, lead, 'withdraw', { entry: taken.id, why: 'it lay under the bench' })
	]);
	const { foundWrong, keptOut } = await traceOf(shop.scope, bench.job.pumpId);
	expect(foundWrong.map(({ station, cylinder, wrong, times }) => [station, cylinder, wrong, times])).toEqual([
		['packing', 1, 'doubled', 1],
		['packing', 1, 'reversed', 1]
	]);
	expect(keptOut).toEqual({ handling: 0, assembly: 0, unknown: 0 });
	expect((await traceOf(other.scope, bench.job.pumpId)).foundWrong).toEqual([]);
});

it('a fragment that no one has found holds the release, and is not forgotten by a later word on where it lay', async () => {
	const bench = await openJob(shop, { scope: 'valves' });
	const { technician, lead } = shop.people;
	const valve = partAt(bench, 'inletValve', 2);
	const found = (payload: object) => entryOf(bench, technician, 'asFound', payload, valve);
	await append(shop.scope, technician, bench.job.id, [
		...decideAll(bench, technician, 'replace'),
		found({ facing: 'turned' }),
		found({ pieces: 'oneLost' }),
		found({ where: 'fellOut' })
	]);
	const left = async () => {
		const released = await release(shop.scope, lead, bench.job.id);
		return released.kind === 'notTogether' ? released.left.tests.map(({ what }) => what) : released.kind;
	};
	expect(await left()).toContain('fragmentLost');
	const here = (await foundAt(shop.scope, bench.job.pumpId)).filter(({ station }) => station === 'inletValve');
	expect(here.map(({ wrong }) => wrong)).toContain('reversed');
	await append(shop.scope, technician, bench.job.id, [found({ pieces: 'allFound' })]);
	expect(await left()).not.toContain('fragmentLost');
});

it('nothing is called clean before the cleaning is signed off', async () => {
	const bench = await receiveJob(shop);
	const { technician } = shop.people;
	const sign = (step: string) => entryOf(bench, technician, 'step', { step });
	const clean = () => entryOf(bench, technician, 'clean', {}, partAt(bench, 'packing', 1));
	const say = async (...entries: ReturnType<typeof entryOf>[]) =>
		(await append(shop.scope, technician, bench.job.id, entries))!.map((answer) =>
			answer.result === 'refused' ? answer.problem.code : answer.result
		);
	expect(await say(clean())).toEqual(['notSafeYet']);
	expect(await say(sign('isolate'), sign('release'), clean())).toEqual(['accepted', 'accepted', 'notCleanedYet']);
	expect(await say(sign('clean'), clean())).toEqual(['accepted', 'accepted']);
});

it('what it came in for and which tools are at hand are kept; a tool that the sheet has not is refused', async () => {
	const { technician } = shop.people;
	const coming = (facts: object) => ({
		pump: { serial: `S-${Math.random()}`, model: 'Marram' },
		scope: 'packing',
		complaint: 'Pressure low',
		meterHours: 100,
		duty: {},
		facts
	});
	const facts = {
		complaints: ['pressureLow' as const],
		workplace: 'machine' as const,
		connections: 'Bypass to the tank',
		tools: { caseWrench: { instead: 'Pin wrench set to its holes' }, torque: 'borrow' as const }
	};
	const job = await receiveJob(shop, { facts });
	expect(job.job.arrival).toEqual(facts);
	for (const tools of [{ spoon: 'atHand' }, { caseWrench: { instead: 'A spoon' } }])
		expect(await receive(shop.scope, technician.id, coming({ tools }) as never)).toMatchObject({ kind: 'wrongTool' });
});

it('a job opens the cylinders that were named: the others are not on its mat and not counted', async () => {
	const { technician } = shop.people;
	const coming = (cylinders: number[]) => ({
		pump: { serial: `S-${Math.random()}`, model: 'Marram' },
		scope: 'packing',
		complaint: 'Leak at cylinder 2',
		meterHours: 100,
		duty: {},
		facts: { cylinders }
	});
	for (const wrong of [[4], [2, 2]])
		expect(await receive(shop.scope, technician.id, coming(wrong))).toEqual({
			kind: 'wrongCylinder',
			cylinder: wrong.at(-1)
		});
	const { job, sheet, cells } = await receiveJob(shop, { facts: { cylinders: [2] } });
	expect(new Set(cells.map(({ cylinder }) => cylinder))).toEqual(new Set([0, 2]));
	const { pieces } = sheet.stations.find(({ key }) => key === 'packing')!;
	expect(piecesInPump(sheet, 'packing', job)).toBe(pieces);
	// What stayed shut is there at the next opening.
	expect(await of(shop.scope, 'partLife').count({ pumpId: job.pumpId, station: 'packing' })).toBe(3);
});

it('the mat’s history says what became of each place in the last rebuilds, of this shop alone', async () => {
	const { technician } = shop.people;
	const rebuild = async (bench: Awaited<ReturnType<typeof openJob>>, verdict: 'reuse' | 'replace') => {
		const worn = { pattern: 'insideWear', severity: 2, onset: 'service' };
		await append(shop.scope, technician, bench.job.id, [
			...decideAll(bench, technician, verdict),
			entryOf(bench, technician, 'finding', worn, partAt(bench, 'packing', 2)),
			entryOf(bench, technician, 'decision', { verdict: 'replace', proposed: 'replace' }, partAt(bench, 'packing', 2))
		]);
		expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
	};
	const first = await openJob(shop);
	expect(await historyOfMat(shop.scope, first.job.id)).toEqual([]);
	await rebuild(first, 'reuse');
	const again = await openJob(shop, { pump: { id: first.job.pumpId }, meterHours: 2500 });
	const history = (await historyOfMat(shop.scope, again.job.id))!;
	const at = (cylinder: number) =>
		history.filter((earlier) => earlier.station === 'packing' && earlier.cylinder === cylinder);
	expect(at(2)).toMatchObject([{ verdict: 'replace', worst: 2, pumpHours: 1000 }]);
	expect(at(1)).toMatchObject([{ verdict: 'reuse', worst: 0 }]);
	expect(await historyOfMat(other.scope, again.job.id)).toBeUndefined();
});
