import { afterAll, beforeAll, expect, it } from 'vitest';
import { fold, type ModelSheet } from '@exetasis/core/record';
import { entryOf, freshDatabase, makeShop, receiveJob, sheetText, type TestShop } from '../testing';
import { addSheet } from '../sheets';
import { append } from './append';
import { entriesOf } from './entries';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	const sheet = JSON.parse(sheetText) as ModelSheet;
	const [isolate, ...others] = sheet.steps;
	const asking = {
		...isolate,
		asks: [
			{ kind: 'tick', text: 'The lock hangs' },
			{ kind: 'count', station: 'headNuts' }
		]
	};
	const added = await addSheet(shop.scope, JSON.stringify({ ...sheet, revision: 2, steps: [asking, ...others] }));
	expect(added).toMatchObject({ kind: 'added' });
});
afterAll(() => database.drop());

it('a step is signed off once what it asks is answered, by whomever, in one batch or two', async () => {
	const bench = await receiveJob(shop);
	const { technician, lead } = shop.people;
	const step = bench.sheet.steps[0].key;
	const send = (user: typeof technician, ...entries: ReturnType<typeof entryOf>[]) =>
		append(shop.scope, user, bench.job.id, entries);
	const sign = () => entryOf(bench, technician, 'step', { step });
	const answer = (user: typeof technician, ask: number, value: unknown) =>
		entryOf(bench, user, 'answer', { step, ask, value });
	expect(await send(technician, sign())).toMatchObject([{ result: 'refused', problem: { code: 'stepUnanswered' } }]);
	const counted = answer(lead, 1, 7);
	expect(await send(lead, counted)).toMatchObject([{ result: 'accepted' }]);
	expect(await send(technician, answer(technician, 1, true), sign())).toMatchObject([
		{ problem: { code: 'notAnAnswer' } },
		{ problem: { code: 'stepUnanswered' } }
	]);
	// What was taken back is no answer.
	const back = entryOf(bench, lead, 'withdraw', { entry: counted.id, why: 'undone' });
	expect(await send(lead, back)).toMatchObject([{ result: 'accepted' }]);
	expect(await send(technician, answer(technician, 0, true), sign())).toMatchObject([
		{ result: 'accepted' },
		{ problem: { code: 'stepUnanswered' } }
	]);
	expect(await send(technician, answer(technician, 1, 8), sign())).toMatchObject([
		{ result: 'accepted' },
		{ result: 'accepted' }
	]);
	const { answers, steps } = fold(await entriesOf(shop.scope, bench.job.id));
	expect([...answers.values()].map(({ payload }) => payload.value).sort()).toEqual([8, true]);
	expect(steps.has(step)).toBe(true);
});
