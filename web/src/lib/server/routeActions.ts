import type { Action } from '@exetasis/server/access';

/** Open to everybody, signed in or not. */
export const publicRoutes: readonly string[] = ['/signin', '/healthz'];

/** Route and method → what one must be allowed to do; a route that is not listed here is refused. GET covers HEAD. */
export const routeActions: Readonly<Record<string, Partial<Record<'GET' | 'POST', Action>>>> = {
	'/': { GET: 'look' },
	'/receive': { GET: 'work', POST: 'work' },
	'/jobs/[job]': { GET: 'look' },
	'/jobs/[job]/strip': { GET: 'look' },
	'/jobs/[job]/inspect': { GET: 'look' },
	'/jobs/[job]/decide': { GET: 'look' },
	'/jobs/[job]/order': { GET: 'look', POST: 'work' },
	'/jobs/[job]/order/list': { GET: 'look' },
	'/jobs/[job]/build': { GET: 'look' },
	'/jobs/[job]/prove': { GET: 'look' },
	'/jobs/[job]/release': { GET: 'look', POST: 'work' },
	'/jobs/[job]/report': { GET: 'look' },
	'/jobs/[job]/label': { GET: 'look' },
	'/jobs/[job]/service': { GET: 'look' },
	'/jobs/[job]/entries': { POST: 'work' },
	'/jobs/[job]/events': { GET: 'look' },
	'/jobs/[job]/places/[station]/[cylinder]': { GET: 'look' },
	'/jobs/[job]/history': { GET: 'look' },
	'/jobs/[job]/photos/[sha256]': { GET: 'look', POST: 'work' },
	'/devices/rig': { GET: 'work' },
	'/devices/wrench': { GET: 'work' },
	'/pumps': { GET: 'look' },
	'/pumps/find': { GET: 'look' },
	'/pumps/[pump]': { GET: 'look', POST: 'work' },
	'/trace': { GET: 'look' },
	'/gauges': { GET: 'look', POST: 'manage' },
	'/gauges/[gauge]': { GET: 'look', POST: 'manage' },
	'/sheets': { GET: 'look', POST: 'manage' },
	'/sheets/[sheet]': { GET: 'look' },
	'/shop': { GET: 'look', POST: 'manage' },
	'/shop/people': { GET: 'look', POST: 'manage' },
	'/shop/sites': { GET: 'look', POST: 'manage' },
	'/shop/stock': { GET: 'look', POST: 'work' },
	'/settings': { GET: 'self', POST: 'self' },
	'/settings/wrenches': { POST: 'self' },
	'/signout': { POST: 'self' }
};
