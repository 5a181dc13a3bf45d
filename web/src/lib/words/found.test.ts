import { describe, expect, it } from 'vitest';
import { untouched, type EntryOf, type FoundWhere, type PartRecord } from '@exetasis/core/record';
import { foundName, foundSign, foundState, foundWords } from './found';

const assemblies = [{ key: 'inlet', name: 'Inlet manifold' }] as never;
const entry = (payload: object) => ({ payload }) as unknown as EntryOf<'asFound'>;
const record = (where?: FoundWhere, facing?: 'right' | 'turned', assembly?: string): PartRecord => ({
	...untouched,
	...(where ? { where: entry({ where, ...(assembly ? { assembly } : {}) }) } : {}),
	...(facing ? { facing: entry({ facing }) } : {})
});

describe('how a part was found', () => {
	it('is one sign: where it lay before which way it faced', () => {
		expect(foundState(record())).toBe('unsaid');
		expect(foundState(record('inPlace'))).toBe('right');
		expect(foundState(record('inPlace', 'right'))).toBe('right');
		expect(foundState(record('inPlace', 'turned'))).toBe('turned');
		expect(foundState(record(undefined, 'turned'))).toBe('turned');
		for (const where of ['elsewhere', 'fellOut', 'missing', 'doubled'] as const)
			expect(foundState(record(where, 'turned'))).toBe(where);
	});
	it('has a name and a sign for each', () => {
		expect(Object.keys(foundSign)).toEqual(Object.keys(foundName));
		expect(new Set(Object.values(foundSign)).size).toBe(Object.keys(foundSign).length);
	});
	it('is said with the assembly in which it had stayed, and with how it faced', () => {
		expect(foundWords(record('elsewhere', undefined, 'inlet'), { assemblies })).toBe(
			'came off with the inlet manifold'
		);
		expect(foundWords(record('elsewhere', 'turned', 'inlet'), { assemblies })).toBe(
			'came off with the inlet manifold, wrong way round'
		);
		expect(foundWords(record('elsewhere', undefined, 'gone'), { assemblies })).toBe('in another assembly');
		expect(foundWords(record('inPlace', 'turned'), { assemblies })).toBe('wrong way round');
		expect(foundWords(record('missing'), { assemblies })).toBe('missing');
		expect(foundWords(record(), { assemblies })).toBe('not recorded');
	});
});
