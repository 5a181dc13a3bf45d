import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalJson, jobFileJsonSchema, readJobFile, withIds, withNames } from './jobFile';

describe('names in place of ids', () => {
	const ids = new Map([
		['0197f000-0000-7000-8000-000000000001', '@person/1'],
		['0197f000-0000-7000-8000-000000000002', '@gauge/Micrometer @ home']
	]);
	const back = new Map([...ids].map(([id, name]) => [name, id]));
	it('lead back to the same value, whatever people have typed', () =>
		fc.assert(
			fc.property(
				fc.jsonValue().filter((value) => !JSON.stringify(value).includes('__proto__')),
				(value) => void expect(withIds(withNames(value, ids), back)).toEqual(value)
			)
		));
	it('stand in texts and in keys', () =>
		expect(withNames({ [[...ids.keys()][0]]: [[...ids.keys()][1], '@person/1'] }, ids)).toEqual({
			'@person/1': ['@gauge/Micrometer @ home', '@@person/1']
		}));
	it('that no one knows are said', () =>
		expect(() => withIds({ by: '@person/2' }, back)).toThrow(new RangeError('@person/2')));
});

describe('canonical JSON', () => {
	it('is one text for equal values, whatever the order of their keys', () =>
		expect(canonicalJson({ b: [{ d: 1, c: undefined }], a: new Date(0) })).toBe(
			canonicalJson({ a: '1970-01-01T00:00:00.000Z', b: [{ d: 1 }] })
		));
	it('loses nothing', () =>
		fc.assert(
			fc.property(
				fc.jsonValue(),
				(value) => void expect(JSON.parse(canonicalJson(value))).toEqual(JSON.parse(JSON.stringify(value)))
			)
		));
});

describe('a job file', () => {
	it('is answered for whatever the text', () =>
		fc.assert(
			fc.property(fc.oneof(fc.string(), fc.json()), (text) => void expect(readJobFile(text).kind).toBe('fault'))
		));
	it('has the schema that is published', () => {
		const published = readFileSync(new URL('../../../docs/job-file.schema.json', import.meta.url), 'utf8');
		expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(jobFileJsonSchema())));
	});
});
