import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import type { Entry } from '.';

const PART = '0197f000-0000-7000-8000-0000000000aa';
const entryOf = (grams: number, more: object = {}) => ({
	id: '0197f000-0000-7000-8000-000000000001',
	job: '0197f000-0000-7000-8000-0000000000bb',
	by: 'ines',
	at: '2026-01-01T10:00:00.000Z',
	part: PART,
	kind: 'weighed',
	payload: { grams },
	...more
});

let record: typeof import('.');
let job: Parameters<typeof record.checkEntry>[1];
beforeAll(async () => {
	vi.resetModules();
	// The list with one kind more, as adding its file to `kinds/index.ts` makes it.
	vi.doMock('./kinds', async (original) => {
		const { ofPart, schemaOf } = await import('./kinds/common');
		const { partKind } = await import('./kinds/kind');
		const schema = schemaOf('weighed', ofPart, z.strictObject({ grams: z.number().gt(0) }));
		const weighed = partKind(schema, {
			add: (part, { payload }) => ({ ...part, grams: payload.grams }),
			check: ({ payload }, { name }) => (payload.grams > 9000 ? { code: 'notInYet', part: name } : undefined),
			bearsOnBuild: true
		});
		return { ...(await original<object>()), weighed };
	});
	record = await import('.');
	const { stateOf } = await import('./testing');
	const { demoSheet } = await import('../decide/testing');
	const sheet = demoSheet('marram');
	job = {
		sheet,
		scope: 'full',
		stationOfPart: new Map([[PART, 'plunger']]),
		holdOrder: true,
		log: () => stateOf({ steps: sheet.steps.map(({ key }) => key) }),
		together: () => record.together(sheet, { scope: 'full' }, [], record.fold([]))
	};
});
afterAll(() => {
	vi.doUnmock('./kinds');
	vi.resetModules();
});

const read = (entry: object) => record.entrySchema.parse(entry) as Entry;

describe('a kind of entry in a file of its own, named in the list', () => {
	it('is read by its schema', () => {
		expect(read(entryOf(120))).toEqual(entryOf(120));
		expect(record.entrySchema.safeParse(entryOf(-1)).success).toBe(false);
	});
	it('adds to the state of its part, until it is taken back', () => {
		const entry = read(entryOf(120));
		expect(record.fold([entry]).parts.get(PART)).toMatchObject({ grams: 120, version: `${entry.id} ` });
		const id = '0197f000-0000-7000-8000-000000000002';
		const undo = { id, kind: 'withdraw', part: undefined, payload: { entry: entry.id, why: 'undone' } };
		expect(record.fold([entry, entryOf(0, undo) as unknown as Entry]).parts.has(PART)).toBe(false);
	});
	it('is checked against its part, and waits until the pump is made safe', () => {
		expect(record.checkEntry(read(entryOf(120)), job)).toBeUndefined();
		expect(record.checkEntry(read(entryOf(9500)), job)).toMatchObject({ code: 'notInYet' });
		const unsafe = { ...job, log: () => record.fold([]) };
		expect(record.checkEntry(read(entryOf(120)), unsafe)).toMatchObject({ code: 'notSafeYet' });
	});
	it('is among those that bear on the build, and not among those whose order is held', () => {
		expect(record.kindsOfBuilding).toContain('weighed');
		expect(record.kindsInOrder).not.toContain('weighed');
	});
});
