import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { CustomAdapter } from 'better-auth/adapters';
import { freshDatabase } from '../testing';
import { sequelizeAdapter } from './adapter';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let adapter: ReturnType<ReturnType<typeof sequelizeAdapter>>;

const tries = (key: string, count: number) =>
	adapter.create({
		model: 'rateLimit',
		data: { id: `id-${key}`, key, count, lastRequest: 1000 + count },
		forceAllowId: true
	});
type Where = Parameters<CustomAdapter['findMany']>[0]['where'];
const where = (field: string, operator: string, value: unknown, connector = 'AND') =>
	({ field, operator, value, connector }) as NonNullable<Where>[number];
const keysWhere = async (...conditions: NonNullable<Where>) =>
	(
		await adapter.findMany<{ key: string }>({
			model: 'rateLimit',
			where: conditions,
			sortBy: { field: 'key', direction: 'asc' }
		})
	).map(({ key }) => key);

beforeAll(async () => {
	database = await freshDatabase();
	adapter = sequelizeAdapter(database.db)({ rateLimit: { storage: 'database' } });
});
afterAll(() => database.drop());
beforeEach(async () => {
	await database.db.models.rateLimit.destroy({ where: {} });
	for (const [key, count] of [
		['mara', 1],
		['mart', 2],
		['tamas', 3],
		['ines', 4]
	] as const)
		await tries(key, count);
});

describe('the sign-in library’s tables through our models', () => {
	it.each([
		['eq', 'mara', ['mara']],
		['ne', 'mara', ['ines', 'mart', 'tamas']],
		['in', ['mara', 'ines', 'nobody'], ['ines', 'mara']],
		['not_in', ['mara', 'ines'], ['mart', 'tamas']],
		['contains', 'ma', ['mara', 'mart', 'tamas']],
		['starts_with', 'ma', ['mara', 'mart']],
		['ends_with', 's', ['ines', 'tamas']]
	])('answers %s', async (operator, value, keys) => {
		expect(await keysWhere(where('key', operator, value))).toEqual(keys);
	});
	it.each([
		['lt', ['mara']],
		['lte', ['mara', 'mart']],
		['gt', ['ines', 'tamas']],
		['gte', ['ines', 'mart', 'tamas']]
	])('compares numbers by %s', async (operator, keys) => {
		expect(await keysWhere(where('count', operator, 2))).toEqual(keys);
	});
	it('joins what is told by OR among itself, and all else by AND', async () => {
		const either = [where('key', 'eq', 'mara', 'OR'), where('key', 'eq', 'tamas', 'OR')];
		expect(await keysWhere(...either)).toEqual(['mara', 'tamas']);
		expect(await keysWhere(...either, where('count', 'gt', 1))).toEqual(['tamas']);
	});
	it('takes signs of a pattern as themselves', async () => {
		await tries('a%b', 9);
		expect(await keysWhere(where('key', 'contains', '%'))).toEqual(['a%b']);
		expect(await keysWhere(where('key', 'starts_with', '_'))).toEqual([]);
	});
	it('pages, sorts and counts', async () => {
		const page = await adapter.findMany<{ key: string }>({
			model: 'rateLimit',
			limit: 2,
			offset: 1,
			sortBy: { field: 'count', direction: 'desc' }
		});
		expect(page.map(({ key }) => key)).toEqual(['tamas', 'mart']);
		expect(await adapter.count({ model: 'rateLimit', where: [where('count', 'gte', 3)] })).toBe(2);
	});
	it('changes and deletes what is meant and nothing else', async () => {
		const changed = await adapter.update<{ count: number }>({
			model: 'rateLimit',
			where: [where('key', 'eq', 'mara')],
			update: { count: 7 }
		});
		expect(changed?.count).toBe(7);
		expect(
			await adapter.update({ model: 'rateLimit', where: [where('key', 'eq', 'nobody')], update: { count: 7 } })
		).toBeNull();
		expect(
			await adapter.updateMany({ model: 'rateLimit', where: [where('count', 'lt', 5)], update: { count: 5 } })
		).toBe(3);
		await adapter.delete({ model: 'rateLimit', where: [where('key', 'eq', 'mara')] });
		expect(await adapter.deleteMany({ model: 'rateLimit', where: [where('key', 'contains', 'ma')] })).toBe(2);
		expect(await keysWhere()).toEqual(['ines']);
	});
	it('finds one with the columns that are asked for, or none', async () => {
		const found = await adapter.findOne<{ count: number }>({
			model: 'rateLimit',
			where: [where('key', 'eq', 'ines')],
			select: ['count']
		});
		expect(found?.count).toBe(4);
		expect(await adapter.findOne({ model: 'rateLimit', where: [where('key', 'eq', 'nobody')] })).toBeNull();
	});
	it('loses no attempt where twenty count at once', async () => {
		const raise = () =>
			adapter.incrementOne<{ count: number }>({
				model: 'rateLimit',
				where: [where('key', 'eq', 'mara')],
				increment: { count: 1 }
			});
		const seen = await Promise.all(Array.from({ length: 20 }, raise));
		expect(new Set(seen.map((row) => row?.count)).size).toBe(20);
		expect(
			(await adapter.findOne<{ count: number }>({ model: 'rateLimit', where: [where('key', 'eq', 'mara')] }))?.count
		).toBe(21);
	});
	it('sets other columns in the same statement, and raises nothing where no one is meant', async () => {
		const raised = await adapter.incrementOne<{ count: number; lastRequest: number | string }>({
			model: 'rateLimit',
			where: [where('key', 'eq', 'ines')],
			increment: { count: 2 },
			set: { lastRequest: 99 }
		});
		expect([raised?.count, Number(raised?.lastRequest)]).toEqual([6, 99]);
		expect(
			await adapter.incrementOne({ model: 'rateLimit', where: [where('key', 'eq', 'x')], increment: { count: 1 } })
		).toBeNull();
	});
});
