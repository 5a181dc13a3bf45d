import { describe, expect, it } from 'vitest';
import { chosenIn, complaintsIn, cylindersIn, receiveSchema, toolsIn } from './receive';

const typed = (more: object) => receiveSchema.safeParse({ pump: 'new', hours: '10', complaint: 'Leaks', ...more });

describe('what is typed when a pump is received', () => {
	it('names the cylinders that are opened; nothing means all', () => {
		expect(cylindersIn({ cylinders: '' })).toBeUndefined();
		expect(cylindersIn({})).toBeUndefined();
		expect(cylindersIn({ cylinders: '1,3' })).toEqual([1, 3]);
	});
	it.each(['x', '1,', ',2', '1;2', '1,2,', '123', '-1', '1,2,__proto__'])('takes no cylinders “%s”', (cylinders) =>
		expect(typed({ cylinders }).success).toBe(false)
	);
	it('holds to a complaint, of the list or in words', () => {
		expect(typed({ complaint: '' }).success).toBe(false);
		expect(typed({ complaint: '', complaints: 'noise' }).success).toBe(true);
		expect(complaintsIn({ complaints: 'noise,nonsense,hot' })).toEqual(['noise', 'hot']);
	});
	it('says nothing of variants and tools that cannot be read', () => {
		expect(chosenIn({ variants: '{' })).toBeUndefined();
		expect(chosenIn({ variants: '{"manifold":"metal"}' })).toEqual({ manifold: 'metal' });
		expect(toolsIn({ tools: '[]' })).toBeUndefined();
		expect(toolsIn({ tools: '{"torque":"borrow"}' })).toEqual({ torque: 'borrow' });
	});
});
