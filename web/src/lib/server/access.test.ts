import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { may, publicRoutes, roles, routeActions } from './access';

const routesFolder = fileURLToPath(new URL('../../routes', import.meta.url));

/** Route ids as the framework makes them from the folders. */
function* routeIds(folder = routesFolder, id = ''): Generator<string> {
	const entries = readdirSync(folder, { withFileTypes: true });
	if (entries.some(({ name }) => /^\+(page|server)\b/.test(name) && !name.includes('.test.'))) yield id || '/';
	for (const entry of entries)
		if (entry.isDirectory()) yield* routeIds(join(folder, entry.name), `${id}/${entry.name}`);
}

describe('the access table', () => {
	it('lists every route, and no route that is not there', () => {
		const listed = [...publicRoutes, ...Object.keys(routeActions)].sort();
		expect([...routeIds()].sort()).toEqual(listed);
	});
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
