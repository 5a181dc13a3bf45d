import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
	askKey,
	checkEntry,
	blockedBy,
	checkPlausible,
	stepsOutOfOrder,
	waitsFor,
	entrySchema,
	fold,
	readSheet,
	standingDecision,
	stationsInScope,
	stepsInScope,
	type Entry,
	type ModelSheet,
	type Step,
	unanswered,
	together
} from '.';
import { stateOf } from './testing';

const text = readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const sheet = (readSheet(text) as { sheet: ModelSheet }).sheet;
const JOB = '0197f000-0000-7000-8000-000000000001';
const PART = '0197f000-0000-7000-8000-0000000000aa';

let counter = 0;
function entry(kind: Entry['kind'], payload: object, { at = '2026-01-01T10:00:00.000Z', by = 'ines' } = {}): Entry {
	const id = `0197f000-0000-7000-8000-${String(++counter).padStart(12, '0')}`;
	const part = ['finding', 'clean', 'reading', 'fitted', 'mark', 'decision', 'asFound'].includes(kind)
		? { part: PART }
		: {};
	return entrySchema.parse({ id, job: JOB, by, at, kind, payload, ...part });
}
const finding = (pattern: string, severity: number, at?: string) =>
	entry('finding', { pattern, severity, onset: 'service' }, { at });
const reading = (value: number) =>
	entry('reading', {
		characteristic: 'diameter',
		row: 0,
		column: 0,
		value,
		typed: { text: String(value), unit: 'mm' }
	});

const mark = (change: object) =>
	entry('mark', { shape: 'line', fromMm: 30, toMm: 40, fromDeg: 90, toDeg: 90, ...change });

describe('fold', () => {
	it('keeps the last severity of a pattern, and "clean" wipes earlier findings', () => {
		const marks = [finding('crack', 1, '2026-01-01T10:00:00.000Z'), finding('crack', 3, '2026-01-01T10:01:00.000Z')];
		expect(
			fold(marks)
				.parts.get(PART)!
				.findings.map(({ payload }) => payload.severity)
		).toEqual([3]);
		const clean = entry('clean', {}, { at: '2026-01-01T10:02:00.000Z' });
		expect(fold([...marks, clean]).parts.get(PART)).toMatchObject({ findings: [], clean: { id: clean.id } });
	});
	it('keeps both decisions of two people; the later stands', () => {
		const first = entry(
			'decision',
			{ verdict: 'reuse', proposed: 'reuse' },
			{ at: '2026-01-01T10:00:00.000Z', by: 'ines' }
		);
		const second = entry(
			'decision',
			{ verdict: 'replace', proposed: 'reuse', why: 'seen worse' },
			{ at: '2026-01-01T10:05:00.000Z', by: 'odd' }
		);
		const record = fold([second, first]).parts.get(PART)!;
		expect(record.decisions).toHaveLength(2);
		expect(standingDecision(record)?.by).toBe('odd');
	});
	it('lets a withdraw be withdrawn', () => {
		const mark = finding('chip', 1);
		const undo = entry('withdraw', { entry: mark.id, why: 'undone' }, { at: '2026-01-01T10:01:00.000Z' });
		const redo = entry('withdraw', { entry: undo.id, why: 'redone' }, { at: '2026-01-01T10:02:00.000Z' });
		expect(fold([mark, undo]).parts.get(PART)).toBeUndefined();
		expect(fold([mark, undo, redo]).parts.get(PART)!.findings).toHaveLength(1);
	});
	it('keeps the last size of the new part, and every mark on the surface', () => {
		const fitted = (value: number, at: string) =>
			entry('fitted', { characteristic: 'diameter', value, typed: { text: String(value), unit: 'mm' } }, { at });
		const log = [
			fitted(17.99, '2026-01-01T10:00:00.000Z'),
			fitted(17.998, '2026-01-01T10:01:00.000Z'),
			mark({ fromMm: 30, toMm: 40 }),
			mark({ fromMm: 35, toMm: 50 })
		];
		const record = fold(log).parts.get(PART)!;
		expect(record.fitted.map(({ payload }) => payload.value)).toEqual([17.998]);
		expect(record.marks).toHaveLength(2);
		expect(record.readings).toEqual([]);
	});
	it('is the same for the same set, in any order and with repeats', () => {
		const log = [
			finding('crack', 1),
			reading(17.98),
			finding('crack', 2, '2026-01-01T11:00:00.000Z'),
			entry('clean', {}, { at: '2026-01-01T09:00:00.000Z' }),
			reading(17.97),
			entry('note', { text: 'greasy' }),
			entry('step', { step: 'isolate' })
		];
		log.push(entry('withdraw', { entry: log[1].id, why: 'wrong part' }, { at: '2026-01-01T12:00:00.000Z' }));
		const expected = fold(log);
		fc.assert(
			fc.property(
				fc.shuffledSubarray(log, { minLength: log.length }),
				fc.array(fc.constantFrom(...log)),
				(shuffled, repeats) => {
					expect(fold(Object.freeze([...shuffled, ...repeats]))).toEqual(expected);
				}
			),
			{ seed: 2, numRuns: 200 }
		);
	});
	it('of nothing is nothing', () => expect(fold([]).parts.size).toBe(0));
});

describe('entrySchema', () => {
	const good = {
		id: PART,
		job: JOB,
		part: PART,
		by: 'ines',
		at: '2026-01-01T10:00:00.000Z',
		kind: 'clean',
		payload: {}
	};
	it.each([
		['an unknown kind', { kind: 'guess' }],
		['no id', { id: 'x' }],
		['no moment', { at: 'yesterday' }],
		['a field nobody knows', { mood: 'good' }],
		['a look without its part', { part: undefined }]
	])('refuses %s', (_, change) => {
		expect(entrySchema.safeParse(good).success).toBe(true);
		expect(entrySchema.safeParse({ ...good, ...change }).success).toBe(false);
	});
	it('refuses a reading that is not finite', () => {
		const payload = {
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value: Infinity,
			typed: { text: '1', unit: 'mm' }
		};
		expect(entrySchema.safeParse({ ...good, kind: 'reading', payload }).success).toBe(false);
	});
});

const signedOff =
	(...steps: string[]) =>
	() =>
		stateOf({ steps });

describe('the version of a part’s record', () => {
	it('changes with every entry of the part, and with none of another', () => {
		const log = [
			entry('asFound', { lay: { what: 'Chamfer', toward: 'C' } }),
			entry('asFound', { ran: 'A' }),
			entry('asFound', { joints: 'inLine' }),
			entry('clean', {})
		];
		const versions = log.map((_, i) => fold(log.slice(0, i + 1)).parts.get(PART)!.version);
		expect(new Set(versions).size).toBe(log.length);
		expect(fold([...log, entry('note', { text: 'of the job' })]).parts.get(PART)!.version).toBe(versions.at(-1));
	});
});

describe('checkEntry', () => {
	const job = {
		sheet,
		scope: 'full' as const,
		stationOfPart: new Map([[PART, 'plunger']]),
		log: signedOff('isolate', 'release'),
		holdOrder: true,
		together: () => together(sheet, { scope: 'full' }, [], fold([]))
	};
	it('takes what fits', () => expect(checkEntry(reading(17.98), job)).toBeUndefined());
	it.each([
		['a part that is not on the mat', reading(17.98), { ...job, stationOfPart: new Map() }, 'unknownPart'],
		['a station outside of the scope', reading(17.98), { ...job, scope: 'valves' as const }, 'unknownPart'],
		['a pattern of another part', finding('pinched', 1), job, 'patternNotOfPart'],
		['a reading ten times too large', reading(179.8), job, 'implausible'],
		[
			'an overrule without its reason',
			entry('decision', { verdict: 'reuse', proposed: 'replace' }),
			job,
			'overruleWithoutReason'
		],
		['a step that the sheet has not', entry('step', { step: 'dance' }), job, 'unknownStep']
	])('refuses %s', (_, bad, facts, code) => expect(checkEntry(bad, facts)).toMatchObject({ code }));
	it('refuses a mark off the surface, and one that ends before it begins', () => {
		expect(checkEntry(mark({}), job)).toBeUndefined();
		expect(checkEntry(mark({ toMm: 95 }), job)).toMatchObject({ code: 'markOffSurface' });
		expect(() => mark({ toMm: 20 })).toThrow('ends before it begins');
		expect(() => mark({ toDeg: 500 })).toThrow('once round at most');
	});
	it('refuses a new part’s size that cannot be', () => {
		const fitted = (value: number) =>
			entry('fitted', { characteristic: 'diameter', value, typed: { text: String(value), unit: 'mm' } });
		expect(checkEntry(fitted(17.99), job)).toBeUndefined();
		expect(checkEntry(fitted(0.708), job)).toMatchObject({ code: 'implausible', suspect: 'inch' });
		// At the discard limit, and beyond: nothing is left to wear.
		expect(checkEntry(fitted(17.95), job)).toMatchObject({ code: 'fittedBeyondLimit', limit: 17.95 });
		expect(checkEntry(fitted(17.94), job)).toMatchObject({ code: 'fittedBeyondLimit' });
	});
	it('refuses a size, a place or a unit that the sheet has not', () => {
		const change = (payload: object) =>
			({ ...reading(17.98), payload: { ...reading(17.98).payload, ...payload } }) as Entry;
		expect(checkEntry(change({ characteristic: 'bore' }), job)).toMatchObject({ code: 'characteristicNotOnSheet' });
		expect(checkEntry(change({ row: 7 }), job)).toMatchObject({ code: 'pointNotOnGrid' });
		expect(checkEntry(change({ typed: { text: '17.98', unit: 'bar' } }), job)).toMatchObject({ code: 'wrongUnit' });
		expect(checkEntry(change({ typed: { text: '17.89', unit: 'mm' } }), job)).toMatchObject({ code: 'notAsTyped' });
		expect(checkEntry(change({ typed: { text: '0.70787', unit: 'in' } }), job)).toMatchObject({ code: 'notAsTyped' });
	});
});

describe('the order of steps', () => {
	const steps = stepsInScope(sheet, { scope: 'full' });
	const step = (key: string) => steps.find((candidate) => candidate.key === key)!;
	const job = {
		sheet,
		scope: 'full' as const,
		stationOfPart: new Map([[PART, 'plunger']]),
		log: signedOff(),
		holdOrder: true,
		together: () => together(sheet, { scope: 'full' }, [], fold([]))
	};
	const keys = (list: readonly { key: string }[]) => list.map(({ key }) => key);
	it('waits for the steps that it names and for every blocking one before it', () => {
		expect(keys(waitsFor(steps, step('nuts'), new Set()))).toEqual(['isolate', 'release']);
		expect(keys(waitsFor(steps, step('gap'), new Set(['isolate', 'release', 'nuts'])))).toEqual(['crank']);
		expect(waitsFor(steps, step('isolate'), new Set())).toEqual([]);
		expect(keys(blockedBy(steps, new Set(['isolate'])))).toEqual(['release']);
	});
	it('is held, but for what was done off the network', () => {
		const early = { ...job, log: signedOff() };
		expect(checkEntry(entry('step', { step: 'nuts' }), early)).toMatchObject({
			code: 'stepTooEarly',
			before: step('isolate').text
		});
		expect(checkEntry(reading(17.98), early)).toMatchObject({ code: 'notSafeYet', before: step('isolate').text });
		for (const late of [entry('step', { step: 'nuts' }), reading(17.98)])
			expect(checkEntry(late, { ...early, holdOrder: false })).toBeUndefined();
	});
	it('that was not kept is seen afterwards, by the moments that count', () => {
		const signed = (key: string, at: string) => entry('step', { step: key }, { at: `2026-01-01T10:0${at}:00.000Z` });
		const early = (log: Entry[]) => [...stepsOutOfOrder(job, fold(log).steps)];
		expect(early([signed('isolate', '0'), signed('release', '1'), signed('nuts', '2')])).toEqual([]);
		expect(early([signed('isolate', '0'), signed('release', '3'), signed('nuts', '2')])).toEqual(['nuts']);
		expect(early([signed('release', '1')])).toEqual(['release']);
	});
	it('leaves out the steps of other scopes', () => {
		expect(
			checkEntry(entry('step', { step: 'valvesOut' }), {
				...job,
				scope: 'packing',
				log: signedOff('isolate', 'release')
			})
		).toMatchObject({ code: 'unknownStep' });
	});
});

describe('what a step asks', () => {
	const asks: Step['asks'] = [
		{ kind: 'tick', text: 'It turns' },
		{ kind: 'count', station: 'headNuts' },
		{
			kind: 'choice',
			text: 'Oil',
			per: 'pump',
			choices: ['clear', 'milky'].map((text) => ({ text, means: 'harmless' }))
		},
		{ kind: 'note', text: 'Hoses' },
		{ kind: 'setting', name: 'Screw out', unit: 'mm', when: 'found' },
		{ kind: 'photo', text: 'The hoses' },
		{ kind: 'size', station: 'plunger', characteristic: 'diameter' }
	];
	const [first, ...others] = sheet.steps;
	const job = {
		sheet: { ...sheet, steps: [{ ...first, asks }, ...others] },
		scope: 'full',
		stationOfPart: new Map([[PART, 'plunger']]),
		log: signedOff(),
		holdOrder: true,
		together: () => together(sheet, { scope: 'full' }, [], fold([]))
	};
	const answer = (ask: number, value: unknown) => entry('answer', { step: first.key, ask, value });
	const typed = { text: '12.5', unit: 'mm' };
	it('is answered by what fits each question', () => {
		const fitting: unknown[] = [true, 7, 'milky', 'Left one to the drain', { value: 12.5, typed }];
		fitting.forEach((value, i) => expect(checkEntry(answer(i, value), job), `${i}`).toBeUndefined());
		fitting.forEach((value, i) =>
			fitting.forEach((_, other) => {
				const takesWords = typeof value === 'string' && other === 3;
				if (other !== i && !takesWords)
					expect(checkEntry(answer(other, value), job), `${i} to ${other}`).toMatchObject({ code: 'notAnAnswer' });
			})
		);
		expect(checkEntry(answer(2, 'green'), job)).toMatchObject({ code: 'notAnAnswer' });
		for (const ask of [5, 6, 7, 20]) expect(checkEntry(answer(ask, true), job)).toMatchObject({ code: 'notAnAnswer' });
		expect(checkEntry(entry('answer', { step: 'nowhere', ask: 0, value: true }), job)).toMatchObject({
			code: 'unknownStep'
		});
		for (const value of [false, -1, 2.5, 1001, '', null, { value: 1 }, { value: 1, typed, more: 1 }])
			expect(() => answer(0, value)).toThrow();
	});
	it('comes before the step is signed off, but for what was done off the network; a photograph and a size hang elsewhere', () => {
		const sign = entry('step', { step: first.key });
		const all = new Set([0, 1, 2, 3, 4].map((i) => askKey(first.key, i)));
		expect(checkEntry(sign, job)).toMatchObject({ code: 'stepUnanswered', step: first.text });
		expect(checkEntry(sign, { ...job, log: () => stateOf({ answers: [...all].slice(1) }) })).toMatchObject({
			code: 'stepUnanswered'
		});
		expect(checkEntry(sign, { ...job, log: () => stateOf({ answers: all }) })).toBeUndefined();
		expect(checkEntry(sign, { ...job, holdOrder: false })).toBeUndefined();
		expect(unanswered({ key: first.key, asks }, all, [1, 2, 3])).toEqual([]);
	});
	it('keeps the last answer, and none that was withdrawn', () => {
		const [eight, seven] = [answer(1, 8), answer(1, 7)];
		const given = (log: Entry[]) => fold(log).answers.get(askKey(first.key, 1))?.payload.value;
		const later = { ...seven, at: '2026-01-01T11:00:00.000Z' };
		expect(given([later, eight])).toBe(7);
		expect(given([later, eight, entry('withdraw', { entry: later.id, why: 'undone' })])).toBe(8);
	});
});

describe('the text of a sheet that cannot be', () => {
	const deep = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
	it.each([
		['nothing', ''],
		['NUL', text.replace('"Ceramic plunger"', '"Ceramic\\u0000plunger"')],
		['half of a surrogate pair', text.replace('"Ceramic plunger"', '"Ceramic \\ud800"')],
		['a revision beyond what is counted', text.replace(/"revision":\s*\d+/, '"revision": 2147483648')],
		['10,000 brackets', deep(10_000)],
		['a key twice', text.replace('"revision"', '"model":"Other","revision"')],
		['a size twice', text.replace('"key":"roughness"', '"key":"diameter"')],
		['newlines and zeros', '0\n'.repeat(215_000)],
		['a megabyte and more', `"${'x'.repeat(1_000_001)}"`],
		['an infinite size', text.replace('"nominal":18', '"nominal":1e309')],
		['__proto__', '{"__proto__":{"model":"x"}}']
	])('%s: a fault with its line, at once', (_, source) => {
		const began = performance.now();
		const read = readSheet(source);
		expect(read.kind === 'faults' && read.faults[0]).toMatchObject({
			line: expect.any(Number),
			message: expect.any(String)
		});
		expect(performance.now() - began).toBeLessThan(2000); // it took 44 s
	});
	it('tells the first fifty of many faults, and how many more', () => {
		const broken = JSON.stringify({ ...sheet, stations: Array.from({ length: 60 }, () => ({ a: 1 })) });
		const read = readSheet(broken);
		expect(read.kind === 'faults' && read.faults).toHaveLength(50);
		expect(read.kind === 'faults' && read.more).toBeGreaterThan(400);
	});
});

describe('checkPlausible', () => {
	const plunger = sheet.stations.find(({ key }) => key === 'plunger')!.characteristics[0];
	it.each([
		[0.708, 'inch'],
		[457, 'inch'],
		[1.8, 'tenfold'],
		[18_000, 'thousandfold'],
		[3, undefined],
		[3000, undefined]
	] as const)('a plunger of %d mm is not believed', (value, suspect) =>
		expect(checkPlausible(value, plunger)).toEqual(
			expect.objectContaining({ code: 'implausible', ...(suspect && { suspect }) })
		)
	);
	it('worn and new sizes are', () =>
		[17.5, 18, 18.05].forEach((value) => expect(checkPlausible(value, plunger)).toBeUndefined()));
});

describe('plausible forms and shares', () => {
	const flat = sheet.stations.find(({ key }) => key === 'manifold')!.characteristics[1];
	const share = sheet.stations
		.find(({ key }) => key === 'inletSeat')!
		.characteristics.find(({ unit }) => unit === 'share')!;
	it('a dial may read below zero, a share lies between none and all', () => {
		expect(checkPlausible(-0.12, flat, 'flatness')).toBeUndefined();
		expect(checkPlausible(25, flat, 'flatness')).toMatchObject({ code: 'implausible' });
		expect(checkPlausible(0.4, share)).toBeUndefined();
		expect(checkPlausible(1.2, share)).toMatchObject({ code: 'implausible' });
	});
});

describe('model sheet', () => {
	const broken = (
		key: string,
		change: (station: Record<string, unknown> & { characteristics: Record<string, unknown>[] }) => void
	) => {
		const copy = JSON.parse(text) as { stations: Parameters<typeof change>[0][] };
		change(copy.stations.find((station) => station.key === key)!);
		const read = readSheet(JSON.stringify(copy));
		return read.kind === 'faults'
			? read.faults.map(({ path, message }) => `${path}: ${message}`).join('; ')
			: 'no fault';
	};
	it('says what does not fit a part type: limits, suspicions, design values, surfaces, faces', () => {
		expect(broken('plunger', ({ characteristics }) => (characteristics[0].min = 18.5))).toContain(
			'must be below nominal'
		);
		expect(broken('plunger', ({ characteristics }) => delete characteristics[0].min)).toContain(
			'needs a discard limit'
		);
		expect(broken('plunger', ({ characteristics }) => (characteristics[1].suspect = ['pinched']))).toContain(
			'does not show "pinched"'
		);
		expect(broken('caseORing', (station) => (station.design = { workingLength: 3 }))).toContain(
			'has no design value "workingLength"'
		);
		expect(
			broken('plunger', (station) => (station.surface = { lengthMm: 50, track: { fromMm: 40, toMm: 60 } }))
		).toContain('must lie on the surface');
		expect(broken('manifold', ({ characteristics }) => delete characteristics[1].face)).toContain(
			'needs the rows and columns of the dial'
		);
	});
	it('of the demo is whole: one L1 stack, scopes prune it', () => {
		expect(sheet.layout).toBe('L1');
		expect(stationsInScope(sheet, { scope: 'packing' }).map(({ key }) => key)).not.toContain('inletSeat');
		expect(stationsInScope(sheet, { scope: 'full' }).length).toBe(sheet.stations.length);
	});
	it('says line and path of what breaks it', () => {
		const lineOf = (needle: string) => text.split('\n').findIndex((line) => line.includes(needle)) + 1;
		const broken = text
			.replace('"cylinders": 3', '"cylinders": "three"')
			.replace('"mates":["inletSeat"]', '"mates":["nowhere"]');
		const read = readSheet(broken);
		expect(read).toMatchObject({ faults: [{ line: lineOf('"cylinders"'), path: 'cylinders' }] });
		const alone = readSheet(text.replace('"mates":["inletSeat"]', '"mates":["nowhere"]'));
		expect(alone).toMatchObject({
			faults: [{ line: lineOf('"key":"inletValve"'), message: expect.stringContaining('nowhere') }]
		});
	});
	it('says where the text stops being JSON', () => {
		const read = readSheet('{\n\t"model": "x",\n\t"maker": ,\n}');
		expect(read).toMatchObject({ kind: 'faults', faults: [{ line: 3 }] });
	});
	it.each([
		['a limit on the wrong side of new', '"min":17.95', '"min":18.5', /below nominal/],
		['a size that the part has not', '"key":"diameter"', '"key":"mood"', /has no "mood"/],
		['a step after one that comes later', '"after":["isolate"]', '"after":["clean"]', /not an earlier step/]
	])('refuses %s', (_, from, to, message) => {
		const read = readSheet(text.replace(from, to));
		expect(read.kind === 'faults' && read.faults[0].message).toMatch(message);
	});
});
