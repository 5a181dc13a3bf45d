import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, type ModelSheet, type Station } from '@exetasis/core/record';
import { BOX, cylinderSection, inRows, labelled, zoomed, toolsAbove } from './section';

const folder = new URL('../../../../demo/sheets/', import.meta.url);
const sheets = readdirSync(folder)
	.filter((name) => name.endsWith('.json'))
	.map((name): ModelSheet => {
		const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
		if (read.kind !== 'sheet') throw new Error(name);
		return read.sheet;
	});
const station = (key: string, type: Station['type'], mates: readonly string[] = [], assembly = 'head') =>
	({ key, type, in: assembly, mates }) as Station;

describe('a cylinder in section', () => {
	it('lays what runs through the parts that it fits, and the others one behind the other', () => {
		const { pieces, assemblies, width } = cylinderSection([
			station('seal', 'vRing', ['plunger']),
			station('ring', 'oRing'),
			station('guide', 'guide', ['plunger']),
			station('plunger', 'plunger', [], 'rods')
		]);
		expect(pieces.map(({ from, to, through }) => [from, to, through])).toEqual([
			[0, 34, false],
			[34, 54, false],
			[54, 88, false],
			[0, 88, true]
		]);
		expect(assemblies).toEqual([{ key: 'head', from: 0, to: 88 }]);
		expect(width).toBe(88);
	});
	it('gives a rod that nothing fits a place of its own, and a long one its length', () => {
		expect(cylinderSection([station('rod', 'rod')]).pieces[0]).toMatchObject({ from: 0, through: false });
		const [, rod] = cylinderSection([station('ring', 'oRing', ['rod']), station('rod', 'rod')]).pieces;
		expect([rod.from, rod.to]).toEqual([0, BOX]);
	});
	it('is nothing but its box where there is nothing in it', () =>
		expect(cylinderSection([])).toEqual({ pieces: [], assemblies: [], width: BOX }));
	it.each(sheets.map((sheet) => [sheet.model, sheet] as const))(
		'of %s draws every part, none over another',
		(_, sheet) => {
			const each = sheet.stations.filter(({ per }) => per === 'cylinder');
			const { pieces, width } = cylinderSection(each);
			expect(pieces.map((piece) => piece.station.key)).toEqual(each.map(({ key }) => key));
			const inLine = pieces.filter(({ through }) => !through);
			for (const [i, drawn] of inLine.entries()) expect(drawn.from).toBe(inLine[i - 1]?.to ?? 0);
			expect(pieces.every(({ from, to }) => from >= 0 && to > from && to <= width)).toBe(true);
		}
	);
	it.each(sheets.map((sheet) => [sheet.model, sheet] as const))(
		'of %s names its assemblies so that no name meets another',
		(_, sheet) => {
			const { assemblies, width } = cylinderSection(sheet.stations.filter(({ per }) => per === 'cylinder'));
			const names = assemblies.map((assembly) => ({
				...assembly,
				name: sheet.assemblies.find(({ key }) => key === assembly.key)!.name
			}));
			const labels = labelled(names, width).map((label) => {
				const half = Math.min(width / 2, names.find(({ key }) => key === label.key)!.name.length * 2.5);
				return { ...label, from: label.at - half, to: label.at + half };
			});
			for (const [i, label] of labels.entries()) {
				expect(label.from).toBeGreaterThanOrEqual(-1e-9);
				expect(label.to).toBeLessThanOrEqual(width + 1e-9);
				for (const other of labels.slice(i + 1))
					if (other.line === label.line) expect(other.from >= label.to || other.to <= label.from).toBe(true);
			}
		}
	);
});

describe('a long stack', () => {
	const long = Array.from({ length: 40 }, (_, i) => ({
		key: `s${i}`,
		type: 'oRing' as const,
		in: `a${Math.floor(i / 10)}`,
		mates: []
	}));
	it('shows the assemblies in hand, and all of it while nothing is', () => {
		expect(zoomed(long, ['s11']).map(({ in: assembly }) => assembly)).toEqual(Array(10).fill('a1'));
		expect(zoomed(long, [])).toBe(long);
		expect(zoomed(long.slice(0, 20), ['s11'])).toHaveLength(20);
		const alone = long.map((part, i) => (i === 15 ? { ...part, in: 'alone' } : part));
		expect(zoomed(alone, ['s15']).map(({ key }) => key)).toEqual(long.slice(11, 20).map(({ key }) => key));
	});
});

describe('inRows', () => {
	const stack = (...lengths: number[]) =>
		lengths.flatMap((length, a) => Array.from({ length }, (_, i) => station(`s${a}.${i}`, 'vRing', [], `a${a}`)));
	const lengths = (stations: readonly Station[]) => inRows(stations).map((row) => row.length);
	it('leaves a short stack in one row', () => expect(lengths(stack(10, 14))).toEqual([24]));
	it('ends a row between two assemblies near its length, else at its length', () => {
		expect(lengths(stack(12, 6, 22))).toEqual([18, 22]);
		expect(lengths(stack(3, 37))).toEqual([20, 20]);
		expect(lengths(stack(50))).toEqual([17, 17, 16]);
	});
	it('loses none and keeps the order, on every demo sheet', () => {
		for (const { stations } of sheets) expect(inRows(stations).flat()).toEqual(stations);
	});
	it('draws nothing of nothing', () => expect(inRows([])).toEqual([[]]));
});

describe('toolsAbove', () => {
	const at = (kind: 'blade' | 'hook' | undefined, from: number) => ({ kind, from, to: from + 20 });
	it('draws a tool once for neighbours that take the same', () => {
		expect(toolsAbove([at('blade', 0), at('blade', 20), at('blade', 100)], 200, 38)).toEqual([
			{ kind: 'blade', at: 19, over: 10 }
		]);
	});
	it('leaves out what would lie over another, and keeps within the drawing', () => {
		const tools = toolsAbove([at('hook', 180), at('blade', 100), at('hook', 110), at(undefined, 40)], 200, 38);
		expect(tools).toEqual([
			{ kind: 'blade', at: 110, over: 110 },
			{ kind: 'hook', at: 181, over: 190 }
		]);
	});
	it('draws none where no part takes one', () => expect(toolsAbove([at(undefined, 0)], 40, 38)).toEqual([]));
});
