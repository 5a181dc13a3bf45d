import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoSheet, demoSheets } from '../decide/testing';
import { partTypeKeys } from '../part';
import { readSheet, sheetDraftSchema, sheetSchema, stages, type ModelSheet } from '../record';
import {
	changesBetween,
	customsOf,
	faultsOf,
	fittedTo,
	keyFor,
	knownNames,
	lacksOf,
	newSheet,
	partOfLine,
	proposeParts,
	turned,
	usualSize,
	withJoined,
	withMates,
	withNewStep,
	withRows,
	withPart,
	withPartChanged,
	withPartsCopied,
	withPartsMoved,
	withStepMoved,
	withStepOrder,
	withStepSplit,
	withStepsDrafted,
	withoutParts,
	withoutStep,
	type SheetDraft
} from '.';

const plate = {
	model: 'Quay 3',
	maker: 'not stated',
	cylinders: 3,
	strokeMm: 18,
	ratedPressureMPa: 12,
	ratedSpeedRpm: 1000
};
const sheets = demoSheets();
const customs = customsOf(sheets);
const keys = ({ stations }: ModelSheet) => stations.map(({ key }) => key);
const isSheet = (draft: SheetDraft) => sheetSchema.safeParse(draft).success;

const small = (): SheetDraft => {
	let draft = newSheet(plate);
	for (const type of ['fastener', 'valve', 'spring', 'plunger'] as const)
		({ draft } = withPart(draft, draft.stations.length, { type }, customs[type]));
	return withStepsDrafted(draft);
};

describe('a sheet from nothing', () => {
	it('says what it lacks, and is a sheet once it has parts and steps', () => {
		expect(faultsOf(newSheet(plate)).map(({ message }) => message)).toEqual(['has no parts yet']);
		const { draft } = withPart(newSheet(plate), 0, { type: 'plunger' }, customs.plunger);
		const [fault] = faultsOf(draft);
		expect(fault.message).toBe('no strip step takes out the parts');
		expect(faultsOf(fault.mended!)).toEqual([]);
		const read = readSheet(JSON.stringify(fault.mended));
		expect(read.kind).toBe('sheet');
	});
	it('begins with lock-out and pressure; a draft that does not is mended', () => {
		const draft = small();
		expect(draft.steps.slice(0, 2).map(({ key }) => key)).toEqual(['isolate', 'release']);
		for (const broken of [
			withoutStep(draft, 'isolate'),
			withStepMoved(draft, 'release', 0),
			withStepMoved(draft, 'isolate', 99)
		]) {
			const fault = faultsOf(broken).find(({ message }) => message.startsWith('lock-out'))!;
			expect(fault.mended!.steps.slice(0, 2).map(({ key }) => key)).toEqual(['isolate', 'release']);
			expect(faultsOf(fault.mended!).some(({ message }) => message.startsWith('lock-out'))).toBe(false);
		}
	});
	it('states no direction, and marks what it assumes', () => {
		const [, valve] = small().stations;
		expect(valve.face.toward).toBe('notStated');
		expect(valve.inferred).toContain('price');
		expect(
			usualSize(
				'diameter',
				'mm',
				20,
				customs.plunger!.sizes.find(({ key }) => key === 'diameter')
			)
		).toMatchObject({
			nominal: 20,
			limitFrom: 'assumed'
		});
	});
	it('an assumed limit is the usual share of the new size', () => {
		const custom = {
			key: 'diameter',
			unit: 'mm',
			tolerance: 0.001,
			when: 'always',
			allowance: { side: 'min', share: 0.01 }
		} as const;
		expect(usualSize('diameter', 'mm', 20, custom)).toMatchObject({ min: 19.8, tolerance: 0.02 });
		expect(usualSize('diameter', 'mm', 20)).not.toHaveProperty('min');
	});
});

describe('editing', () => {
	const sheet = demoSheet('marram');
	it('takes any parts out of any sheet without leaving a reference to them', () => {
		fc.assert(
			fc.property(fc.constantFrom(...sheets), fc.infiniteStream(fc.boolean()), (drawn, out) => {
				const gone = keys(drawn).filter(() => out.next().value);
				if (gone.length === drawn.stations.length) return;
				const left = withoutParts(drawn, gone);
				expect(keys(left)).toEqual(keys(drawn).filter((key) => !gone.includes(key)));
				// What is left may open nothing in a scope; no reference leads nowhere.
				const messages = faultsOf(left).map(({ message }) => message);
				expect(messages.filter((message) => !/^opens no station|^no strip step/.test(message))).toEqual([]);
			}),
			{ numRuns: 60 }
		);
	});
	it('every edit leaves a draft whose fields hold', () => {
		const [first, second, third] = keys(sheet);
		const edits: SheetDraft[] = [
			withPartsMoved(sheet, [first, third], 5),
			withPartsCopied(sheet, [first, second]),
			withPartChanged(sheet, first, { lookFor: undefined, pieces: 3 }),
			withMates(sheet, first, second),
			withJoined(sheet, [first, second], 'Both')!,
			withRows(sheet, [third, first], [second]),
			withNewStep(sheet, 'build', 'Check that it is level').draft,
			...partTypeKeys.map((type) => withPart(sheet, 3, { type }, customs[type]).draft)
		];
		for (const draft of edits) expect(sheetDraftSchema.safeParse(draft).error?.issues).toBeUndefined();
	});
	it('orders the parts of a cylinder and those of the pump each in its own places', () => {
		const rows = (draft: SheetDraft) =>
			(['cylinder', 'pump'] as const).map((row) =>
				draft.stations.filter(({ per }) => per === row).map(({ key }) => key)
			);
		fc.assert(
			fc.property(fc.constantFrom(...sheets), fc.nat(), (drawn, seed) => {
				const turn = (list: string[]) => [
					...list.slice(seed % (list.length || 1)),
					...list.slice(0, seed % (list.length || 1))
				];
				const [cylinder, pump] = rows(drawn).map(turn);
				const after = withRows(drawn, cylinder, pump);
				expect(rows(after)).toEqual([cylinder, pump]);
				expect(after.stations.map(({ per }) => per)).toEqual(drawn.stations.map(({ per }) => per));
				expect(withRows(drawn, ...(rows(drawn) as [string[], string[]]))).toEqual(drawn);
			}),
			{ numRuns: 40 }
		);
		const [cylinder, pump] = rows(sheet);
		const [moved, next] = cylinder.slice(-2);
		const rest = cylinder.filter((key) => key !== moved);
		const across = withRows(sheet, rest, [pump[0], moved, ...pump.slice(1)]);
		expect(across.stations.find(({ key }) => key === moved)!.per).toBe('pump');
		expect(keys(across).indexOf(moved)).toBe(keys(across).indexOf(pump[0]) + 1);
		expect(keys(withRows(sheet, rest, [moved, ...pump])).indexOf(moved)).toBe(keys(sheet).indexOf(pump[0]));
		expect(keys(across)).toContain(next);
	});
	it('moves several parts together and keeps their order', () => {
		const [a, b, c, d] = keys(sheet);
		expect(keys(withPartsMoved(sheet, [a, c], 2)).slice(0, 4)).toEqual([b, d, a, c]);
		expect(keys(withPartsMoved(sheet, [d], -4))[0]).toBe(d);
	});
	it('names mates on both sides, and takes them back', () => {
		const draft = withMates(sheet, 'headNuts', 'manifold');
		const mates = (sheetDraft: SheetDraft, key: string) =>
			sheetDraft.stations.find((station) => station.key === key)!.mates;
		expect(mates(draft, 'headNuts')).toContain('manifold');
		expect(mates(draft, 'manifold')).toContain('headNuts');
		expect(mates(withMates(draft, 'manifold', 'headNuts'), 'headNuts')).not.toContain('manifold');
		expect(withMates(sheet, 'headNuts', 'headNuts')).toBe(sheet);
	});
	it('a part of one sub-assembly leaves it when it joins another', () => {
		const before = demoSheet('marram');
		const [{ parts }] = before.subAssemblies;
		const draft = withJoined(before, [parts[0], 'headNuts'], 'New set')!;
		const holders = draft.subAssemblies.filter((subAssembly) => subAssembly.parts.includes(parts[0]));
		expect(holders.map(({ name }) => name)).toEqual(['New set']);
		expect(withJoined(before, [parts[0]], 'Alone')).toBeUndefined();
	});
	it('turns a part through all directions and back to not stated', () => {
		let { face } = withPart(newSheet(plate), 0, { type: 'lipSeal' }).draft.stations[0];
		const seen = [face.toward];
		for (let i = 0; i < 4; i++) {
			face = turned(face, { what: 'lip', feature: 'lip' });
			seen.push(face.toward);
		}
		expect(seen).toEqual(['notStated', 'P', 'C', 'either', 'notStated']);
		expect(face.what).toBe('lip');
	});
	it('keys are plain, and unlike those that are taken', () => {
		expect(keyFor('Head ring, 2nd', [])).toBe('headRing2nd');
		expect(keyFor('Ölring', ['olring'])).toBe('olring2');
		expect(keyFor('密封', [])).toBe('part');
		fc.assert(fc.property(fc.string(), (name) => void expect(keyFor(name, [])).toMatch(/^[a-zA-Z][a-zA-Z0-9]*$/)));
	});
	it('splits any step of any sheet into one at each part; the last has its key', () => {
		for (const sheet of sheets)
			for (const { key, stations } of sheet.steps) {
				const split = withStepSplit(sheet, key);
				if (stations.length < 2) {
					expect(split).toBe(sheet);
					continue;
				}
				expect(faultsOf(split), `${sheet.model} ${key}`).toEqual([]);
				const last = split.steps.findIndex((step) => step.key === key);
				const parts = split.steps.slice(last - stations.length + 1, last + 1);
				expect(parts.map((part) => part.stations)).toEqual(stations.map((part) => [part]));
				expect(parts[0].after).toEqual(sheet.steps.find((step) => step.key === key)!.after);
			}
	});
	it('takes steps in any order, and keeps the first ones first and each in its stage', () => {
		const draft = small();
		fc.assert(
			fc.property(fc.shuffledSubarray(draft.steps.map(({ key }) => key)), (order) => {
				const { steps } = withStepOrder(draft, order);
				expect(steps.slice(0, 2).map(({ key }) => key)).toEqual(['isolate', 'release']);
				const rank = steps.map(({ stage }) => stages.indexOf(stage));
				expect(rank).toEqual(rank.toSorted((a, b) => a - b));
				expect(steps.map(({ key }) => key).sort()).toEqual(draft.steps.map(({ key }) => key).sort());
			})
		);
		const [, , ...rest] = draft.steps.map(({ key }) => key);
		expect(withStepOrder(draft, ['isolate', 'release', ...rest]).steps).toEqual(draft.steps);
	});
	it('mends a mate that is gone, a circle it cannot', () => {
		const broken = withPartChanged(sheet, 'plunger', { mates: ['nowhere'] });
		const [fault] = faultsOf(broken);
		expect(fault.subject).toMatchObject({ kind: 'part', key: 'plunger' });
		expect(faultsOf(fault.mended!)).toEqual([]);
		const circle = withPartChanged(withPartChanged(sheet, 'plunger', { gates: ['packing'] }), 'packing', {
			gates: ['plunger']
		});
		const [found] = faultsOf(circle);
		expect(found.message).toMatch(/goes in a circle/);
		expect(found.mended).toBeUndefined();
	});
});

describe('fitting a layout to another pump', () => {
	it('every layout gives a sheet without faults', () => {
		for (const layout of sheets)
			for (const cylinders of [1, 3, 7])
				expect(faultsOf(fittedTo(layout, { ...plate, cylinders, plungerMm: 21 })), layout.model).toEqual([]);
	});
	it('scales the plunger and keeps its allowance; everything is assumed', () => {
		const layout = demoSheet('marram');
		const size = (sheet: ModelSheet) =>
			sheet.stations.find(({ key }) => key === 'plunger')!.characteristics.find(({ key }) => key === 'diameter')!;
		const before = size(layout);
		const after = size(fittedTo(layout, { ...plate, plungerMm: before.nominal * 1.25 }));
		expect(after.nominal).toBeCloseTo(before.nominal * 1.25, 6);
		expect(after.nominal - after.min!).toBeCloseTo(before.nominal - before.min!, 3);
		expect(after.limitFrom).toBe('assumed');
	});
	it('says of every fact that was stated for the other pump that it is deduced', () => {
		for (const layout of sheets) {
			const fitted = fittedTo(layout, plate);
			for (const { key, face, inferred } of fitted.stations)
				expect(inferred.includes('face'), `${layout.model} ${key}`).toBe(face.toward !== 'notStated');
			expect([...fitted.order, ...fitted.subAssemblies].every(({ sure }) => sure === 'deduced')).toBe(true);
		}
	});
	it('carries no torque, mass, number, kit or test pressure of the other pump', () => {
		for (const layout of sheets) {
			const text = JSON.stringify(fittedTo(layout, plate));
			for (const word of [
				'torqueNm',
				'mostNm',
				'mostTurnDeg',
				'massKg',
				'workMinutes',
				'wearPrior',
				'surface',
				'glandDepth',
				'"most"',
				'"number"',
				'pressureMPa":',
				'demo model',
				' kg '
			])
				expect(text, `${layout.model}: ${word}`).not.toContain(word);
		}
		expect(lacksOf(fittedTo(demoSheet('marram'), plate)).build.map(({ code }) => code)).toContain('torque');
	});
});

describe('a parts list', () => {
	const names = knownNames(sheets);
	const propose = (description: string, quantity = 3) =>
		proposeParts([{ item: '1', description, quantity }], names, 3)[0];
	it('knows parts by any usual name and says how sure it is', () => {
		expect(propose('PLUNGER, CERAMIC 22 MM').types[0]).toBe('plunger');
		expect(propose('O-Rings 24x2')).toMatchObject({
			types: expect.arrayContaining(['oRing']) as unknown,
			per: 'cylinder',
			pieces: 1
		});
		expect(propose('Valve spring', 6)).toMatchObject({ per: 'cylinder', pieces: 2 });
		expect(propose('Name plate', 1)).toMatchObject({ sure: false });
		expect(propose('=cmd|calc', 1)).toMatchObject({ types: [], sure: false });
	});
	it('finds the type of most parts of our own sheets by their names alone', () => {
		const all = sheets.flatMap(({ stations }) => stations);
		const right = all.filter(({ name, type }) => propose(name).types.includes(type));
		expect(right.length / all.length).toBeGreaterThan(0.97);
	});
	it('becomes a stack that can be inspected', () => {
		const lines = proposeParts(
			['Plunger', 'Packing', 'Valve seat', 'Valve spring', 'Socket screw M10'].map((description, i) => ({
				item: String(i + 1),
				description,
				quantity: 3
			})),
			names,
			3
		);
		const draft = lines.reduce<SheetDraft>(
			(result, line) => withPart(result, result.stations.length, partOfLine(line, line.types[0])).draft,
			newSheet(plate)
		);
		expect(draft.stations).toHaveLength(5);
		expect(isSheet(withStepsDrafted(draft))).toBe(true);
	});
});

describe('differences', () => {
	it('none between a sheet and itself read again', () => {
		for (const sheet of sheets) {
			const read = readSheet(JSON.stringify(sheet));
			expect(read.kind === 'sheet' && changesBetween(sheet, read.sheet)).toEqual([]);
		}
	});
	it('names what was added, removed, changed and moved, and no more', () => {
		const before = demoSheet('marram');
		const [first, second] = keys(before);
		expect(changesBetween(before, withPartsMoved(before, [first], 3))).toEqual([
			expect.objectContaining({ about: 'part', kind: 'moved', key: first })
		]);
		expect(changesBetween(before, withPartChanged(before, second, { pieces: 9 }))).toEqual([
			expect.objectContaining({ kind: 'changed', key: second, fields: ['pieces'] })
		]);
		const added = withPart(before, 1, { type: 'oRing' });
		expect(changesBetween(before, added.draft)).toEqual([expect.objectContaining({ kind: 'added', key: added.key })]);
		expect(changesBetween(added.draft, before)).toEqual([expect.objectContaining({ kind: 'removed', key: added.key })]);
		expect(changesBetween(before, { ...before, strokeMm: 99 })).toEqual([
			expect.objectContaining({ about: 'sheet', fields: ['strokeMm'] })
		]);
	});
});
