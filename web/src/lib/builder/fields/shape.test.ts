import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, sheetDraftSchema, type ModelSheet } from '@exetasis/core/record';
import { z } from 'zod';
import { fieldUnit, statementProblem, valueLabel } from '../../words/sheetFields';
import { offersFor } from './references';
import { chosenOf, choicesOf, emptyOf, shapeOf, type Group, type Shape } from './shape';

const FOLDER = new URL('../../../../../demo/sheets/', import.meta.url);
const sheets = readdirSync(FOLDER)
	.filter((name) => name.endsWith('.json'))
	.map((name) => readSheet(readFileSync(new URL(name, FOLDER), 'utf8')))
	.flatMap((read) => (read.kind === 'sheet' ? [read.sheet] : []));

/** Every statement of a value, with its name and shape. */
function* statements(shape: Shape, value: unknown, name = ''): Generator<[name: string, shape: Shape, value: unknown]> {
	yield [name, shape, value];
	if (shape.kind === 'list') for (const item of value as unknown[]) yield* statements(shape.of, item, name);
	else if (shape.kind === 'either') yield* statements(chosenOf(shape.of, value).shape, value, name);
	else if (shape.kind === 'group')
		for (const field of shape.fields) {
			const inner = (value as Record<string, unknown>)[field.name];
			if (inner !== undefined) yield* statements(field.shape, inner, field.name);
		}
}
const whole = shapeOf(sheetDraftSchema);
const all = (sheet: ModelSheet) => [...statements(whole, sheet)];

describe('shapes of a sheet', () => {
	it('reach every statement of the demo sheets', () => {
		expect(sheets.length).toBeGreaterThan(10);
		for (const sheet of sheets) expect(all(sheet).length).toBeGreaterThan(500);
	});
	it('know where every reference leads', () => {
		for (const sheet of sheets)
			for (const [name, shape, value] of all(sheet))
				if (shape.kind === 'key')
					expect(
						offersFor(name, sheet)?.some(([key]) => key === value),
						`${sheet.model}: ${name} ${String(value)}`
					).toBe(true);
	});
	it('tell the kinds of a question, of an answer and of a place apart', () => {
		const asks = (whole as Group).fields.find(({ name }) => name === 'steps')!.shape;
		for (const sheet of sheets)
			for (const [name, shape, value] of statements(asks, sheet.steps))
				if (shape.kind === 'either') {
					const { shape: chosen, name: said } = chosenOf(shape.of, value);
					expect(choicesOf(chosen), name).toContain(said);
					if (chosen.kind === 'group') expect(value, name).toEqual(expect.any(Object));
					expect(valueLabel(name, said)).not.toBe('');
				}
	});
	it('begin with what is to be typed, and with a key where one is needed', () => {
		const tool = shapeOf(sheetDraftSchema.shape.tools, 'tools');
		expect(emptyOf((tool as Extract<Shape, { kind: 'list' }>).of, 'tools2')).toEqual({
			key: 'tools2',
			name: '',
			special: false,
			substitutes: []
		});
		expect(emptyOf({ kind: 'number' }, '')).toBeUndefined();
	});
	it('refuse a schema that no sheet has', () => expect(() => shapeOf(z.date())).toThrow('date'));
});

describe('words of a statement', () => {
	it('give the unit in which a number stands on the sheet', () => {
		expect(fieldUnit('lengthMm')).toEqual({ unit: 'mm' });
		expect(fieldUnit('cureMinutes')).toEqual({ unit: 'pieces', suffix: 'min' });
		expect(fieldUnit('friction')).toEqual({ unit: 'pieces', suffix: '' });
	});
	it('say what is wrong as a sentence', () => {
		const problem = (schema: z.ZodType, value: unknown) =>
			schema.safeParse(value, { error: statementProblem }).error?.issues[0].message;
		expect(problem(z.string().min(1), '')).toBe('Type a text first.');
		expect(problem(z.number().min(2), 1)).toBe('This must be 2 or more.');
		expect(problem(z.number().positive(), 0)).toBe('This must be above 0.');
		expect(problem(z.number().max(3), 4)).toBe('This must be 3 or less.');
		expect(problem(z.array(z.string()).min(2), [])).toBe('Add at least 2.');
		expect(problem(z.number(), undefined)).toBe('Type a value first.');
		expect(problem(z.int(), 1.5)).toBe('Type a whole number.');
		expect(problem(z.enum(['a']), 'b')).toBe('Choose one of those offered.');
	});
});
