import { describe, expect, it } from 'vitest';
import { may, roles } from './access';

describe('the access table', () => {
	it.each([
		['viewer', 'look', true],
		['viewer', 'work', false],
		['viewer', 'manage', false],
		['technician', 'work', true],
		['technician', 'manage', false],
		['lead', 'work', true],
		['lead', 'manage', true]
	] as const)('%s may %s: %s', (role, action, expected) => expect(may(role, action)).toBe(expected));
	it('lets everybody look and keep their own settings', () => {
		for (const role of roles) expect([may(role, 'look'), may(role, 'self')]).toEqual([true, true]);
	});
});
