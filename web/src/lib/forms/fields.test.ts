import { defaultPolicy } from '@exetasis/core/decide';
import { describe, expect, it } from 'vitest';
import { dayField, numberField, numberIn, wordsField } from './fields';
import { certificateSchema } from './gauge';
import { inviteSchema, personSchema } from './people';
import { policyFormSchema, policyIn, policyTyped } from './policy';
import { chosenIn, receiveSchema } from './receive';
import { moveSchema, siteSchema } from './sites';

const sentence = (parsed: { success: boolean; error?: { issues: { message: string }[] } }) =>
	parsed.error?.issues[0].message;

describe('fields', () => {
	const number = numberField({ least: 0, most: 100 }, 'Type how much.');
	it.each([
		['', 'Type how much.'],
		['ten', '“ten” is not a number'],
		['12.34.5', 'is not a number'],
		['101', 'from 0 to 100'],
		['-1', 'from 0 to 100'],
		['9'.repeat(50), 'from 0 to 100']
	])('a number: %s', (typed, says) => expect(sentence(number.safeParse(typed))).toContain(says));
	it('a number stays as it was typed and is read once', () => {
		expect(number.parse(' 17,98 ')).toBe('17,98');
		const range = { least: 0, most: 100 };
		expect(numberIn('17,98', range)).toBe(17.98);
		// Twelve hundred would be out of the range: one and a bit is meant, as when it was checked.
		expect(number.safeParse('1,234').success).toBe(true);
		expect(numberIn('1,234', range)).toBe(1.234);
		expect(() => numberIn('ten', range)).toThrow(RangeError);
	});
	it('words have to say something, and not too much', () => {
		expect(sentence(wordsField('Say it.').safeParse('   '))).toBe('Say it.');
		expect(sentence(wordsField('Say it.', 5).safeParse('sixsix'))).toContain('At most 5');
	});
	it.each(['2026-02-30', '0000-01-01', '99999-12-31', '1.3.2026', ''])('no day: %s', (day) =>
		expect(dayField.safeParse(day).success).toBe(false)
	);
});

describe('forms', () => {
	const certificate = { calibratedOn: '2026-01-01', dueOn: '2027-01-01', expandedU: '0.002', k: '2', certificate: 'C' };
	it('a certificate is due after it was made out', () => {
		expect(certificateSchema.safeParse(certificate).success).toBe(true);
		expect(certificateSchema.safeParse({ ...certificate, dueOn: '2026-01-01' }).success).toBe(false);
	});
	it('people have a name, an address and a role that there is', () => {
		const asked = { name: 'Ebba', email: 'e@harrow.example', role: 'lead' };
		expect(inviteSchema.safeParse(asked).success).toBe(true);
		for (const change of [{ name: ' ' }, { email: 'e@' }, { role: 'owner' }])
			expect(inviteSchema.safeParse({ ...asked, ...change }).success).toBe(false);
		expect(personSchema.safeParse({ person: '', name: 'x', role: 'lead' }).success).toBe(false);
	});
	it('places are ids of ours or none', () => {
		expect(siteSchema.parse({ name: 'Quay' })).toEqual({ id: '', name: 'Quay' });
		expect(moveSchema.safeParse({ site: "' OR 1=1; --" }).success).toBe(false);
	});
	it('a pump is received known or new, and never without its complaint', () => {
		const typed = { pump: 'new', complaint: 'Leak', hours: '1 200' };
		expect(receiveSchema.parse(typed)).toMatchObject({ scope: '', serial: '', hours: '1 200' });
		for (const change of [{ pump: 'old' }, { complaint: ' ' }, { scope: 'x'.repeat(61) }, { site: 'here' }])
			expect(receiveSchema.safeParse({ ...typed, ...change }).success).toBe(false);
	});
	it('what a pump is made of is read from its JSON, or not at all', () => {
		expect(chosenIn({ variants: '{"guide":["flat","u"],"retainers":"metal"}' })).toEqual({
			guide: ['flat', 'u'],
			retainers: 'metal'
		});
		for (const variants of ['', '{', '[]', '{"a":1}', '{"a b":"x"}', `{"a":"${'x'.repeat(61)}"}`])
			expect(chosenIn({ variants })).toBeUndefined();
	});
	it('the shop’s rules are typed as people say them, and kept as shares', () => {
		const typed = policyTyped(defaultPolicy);
		expect(typed).toMatchObject({ acceptBad: '5', acceptWearOut: '10', lifeLeftShare: '20', intervalHours: '2000' });
		expect(policyIn(typed)).toEqual(defaultPolicy);
		expect(policyIn(policyFormSchema.parse({ ...typed, acceptBad: '2,5', intervalHours: '3 000' }))).toMatchObject({
			acceptBad: 0.025,
			intervalHours: 3000
		});
		for (const change of [{ acceptBad: '50' }, { acceptBad: 'x' }, { intervalHours: '60000' }, { lifeLeftShare: '0' }])
			expect(policyFormSchema.safeParse({ ...typed, ...change }).success).toBe(false);
		expect(policyFormSchema.safeParse({ ...typed, intervalHours: '1,200' }).error?.issues[0].message).toContain(
			'can mean'
		);
	});
});
