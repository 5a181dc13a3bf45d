import { error, redirect, type Handle, type HandleServerError } from '@sveltejs/kit';
import { may } from '@exetasis/server/access';
import { whoIs } from '@exetasis/server/auth/auth';
import { closeDatabase } from '@exetasis/server/db/connection';
import { stopListening } from '@exetasis/server/events';
import { log } from '@exetasis/server/serverLog';
import { publicRoutes, routeActions } from '$lib/server/routeActions';

// Without these the process would stay for its connections after its last request.
process.on('sveltekit:shutdown', () => {
	stopListening();
	void closeDatabase();
});

// Scripts and forms of other sites may not write here. (The framework checks forms; this covers JSON too.)
function refuseForeignOrigin(request: Request, url: URL): void {
	if (request.method === 'GET' || request.method === 'HEAD') return;
	if (request.headers.get('origin') !== url.origin) error(403, 'This request came from another site.');
}

function refuseUnlessAllowed(routeId: string | null, method: string, user: App.Locals['user']): void {
	if (routeId === null) return; // no such page: the framework answers 404
	if (publicRoutes.includes(routeId)) return;
	if (!user) {
		if (method === 'GET') redirect(303, '/signin');
		error(401, 'You are signed out. Sign in again; what you typed is kept.');
	}
	const action = routeActions[routeId]?.[method === 'HEAD' ? 'GET' : (method as 'GET' | 'POST')];
	if (!action || !may(user.role, action)) {
		error(403, `This needs another role than yours (${user.role}). Ask a lead of your shop.`);
	}
}

export const handle: Handle = async ({ event, resolve }) => {
	const { request, url, route, locals } = event;
	refuseForeignOrigin(request, url);
	if (route.id !== '/healthz') locals.user = await whoIs(request.headers);
	refuseUnlessAllowed(route.id, request.method, locals.user);
	const mode = locals.user?.preferences.theme ?? 'light';
	const response = await resolve(event, { transformPageChunk: ({ html }) => html.replace('%exetasis.mode%', mode) });
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

/** The unexpected: logged whole under an id, of which the user sees only the id. */
export const handleError: HandleServerError = ({ error: cause, event, status }) => {
	if (status === 404) return { message: 'There is no such page.' };
	const id = crypto.randomUUID();
	log.error({ id, err: cause, route: event.route.id, method: event.request.method }, 'unexpected error');
	return { message: 'Something went wrong on the server. What you entered is kept here: try again in a moment.', id };
};
