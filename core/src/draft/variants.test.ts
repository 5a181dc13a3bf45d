import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet, sheetDraftSchema } from '../record';
import { faultsOf } from './faults';
import { namesOnlyWith, onlyWithChoices, withChoice, withoutChoice, withoutVariant, withVariant } from './variants';

const read = readSheet(readFileSync(new URL('../../../demo/sheets/comfrey.json', import.meta.url), 'utf8'));
if (read.kind !== 'sheet') throw new Error('the demo sheet has faults');
const { sheet } = read;
const [variant] = sheet.variants;
const holds = (draft: unknown) => expect(sheetDraftSchema.safeParse(draft).error?.issues).toBeUndefined();

describe('variants of a draft', () => {
	it('begin with two choices and take more, each under a key of its own', () => {
		const varied = withVariant({ ...sheet }, variant.name);
		expect(varied.variants.at(-1)!.key).not.toBe(variant.key);
		const more = withChoice(varied, varied.variants.at(-1)!.key, 'First');
		const keys = more.variants.at(-1)!.choices.map(({ key }) => key);
		expect(new Set(keys).size).toBe(3);
		holds(more);
		expect(faultsOf(more)).toEqual([]);
	});
	it('keep a choice that something belongs to alone, and name what that is', () => {
		const choice = variant.choices.find(({ key }) => namesOnlyWith(sheet, variant.key, key).length > 0)!;
		expect(withoutChoice({ ...sheet }, variant.key, choice.key)).toEqual({ ...sheet });
		const wide = withChoice({ ...sheet }, variant.key, 'Third');
		expect(withoutChoice(wide, variant.key, wide.variants[0].choices.at(-1)!.key)).toEqual({ ...sheet });
	});
	it('leave no condition behind when their question goes', () => {
		const left = withoutVariant({ ...sheet }, variant.key);
		expect(JSON.stringify({ ...left, variants: [] })).not.toContain(`"${variant.key}":[`);
		expect(left.stations).toHaveLength(sheet.stations.length);
		holds(left);
		expect(faultsOf(left).filter(({ message }) => message.includes(variant.key))).toEqual([]);
	});
	it('are no condition where all or none of their choices are chosen', () => {
		const [first] = variant.choices;
		const all = variant.choices.map(({ key }) => key);
		expect(onlyWithChoices(undefined, variant, [first.key])).toEqual({ [variant.key]: [first.key] });
		for (const chosen of [[], all])
			expect(onlyWithChoices({ [variant.key]: [first.key] }, variant, chosen)).toBeUndefined();
		expect(onlyWithChoices({ other: ['x'] }, variant, all)).toEqual({ other: ['x'] });
	});
});
