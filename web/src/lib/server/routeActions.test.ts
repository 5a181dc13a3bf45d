import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, it } from 'vitest';
import { publicRoutes, routeActions } from './routeActions';

const routesFolder = fileURLToPath(new URL('../../routes', import.meta.url));

/** Route ids as the framework makes them from the folders. */
function* routeIds(folder = routesFolder, id = ''): Generator<string> {
	const entries = readdirSync(folder, { withFileTypes: true });
	if (entries.some(({ name }) => /^\+(page|server)\b/.test(name) && !name.includes('.test.'))) yield id || '/';
	for (const entry of entries)
		if (entry.isDirectory()) yield* routeIds(join(folder, entry.name), `${id}/${entry.name}`);
}

it('lists every route, and no route that is not there', () => {
	const listed = [...publicRoutes, ...Object.keys(routeActions)].sort();
	expect([...routeIds()].sort()).toEqual(listed);
});
