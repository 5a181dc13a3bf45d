import { error, redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { may } from '@exetasis/server/access';
import { whoIs } from '@exetasis/server/auth/auth';
import { watchEventLoop } from '@exetasis/server/background/eventLoop';
import { runHeavy } from '@exetasis/server/background/heavy';
import { sharedReads } from '@exetasis/server/background/sharedReads';
import { TookTooLong, useThreads } from '@exetasis/server/background/threads';
import { startBackground, stopBackground } from '@exetasis/server/background/queue';
import { closeDatabase, isUnreachable } from '@exetasis/server/db/connection';
import { stopListening } from '@exetasis/server/events';
import { log } from '@exetasis/server/serverLog';
import { publicRoutes, routeActions } from '$lib/server/routeActions';

const loop = watchEventLoop();

export const init: ServerInit = async () => {
	if (!process.env.THREAD_SCRIPT) return;
	await useThreads(new URL(process.env.THREAD_SCRIPT));
	await startBackground((...of) => runHeavy('', 'learnFleet', ...of));
};

// A promise that failed unheard (the queue's, when its connection breaks) is no one's reason to stop serving everybody.
process.on('unhandledRejection', (cause) => log.error({ err: cause }, 'a promise failed unheard'));

const MOST_CLOSING_MS = 3000;

// Without these the process would stay for its connections after its last request. What holds on is cut: a job of the queue
// keeps its deadline's timer, and a connection whose database went away first may never say that it has ended.
process.on('sveltekit:shutdown', () => {
	setTimeout(() => process.exit(), MOST_CLOSING_MS).unref();
	stopListening();
	loop.stop();
	void stopBackground().then(closeDatabase);
});

const UNREACHABLE = 'The database does not answer. What you typed is saved in this browser. Try again in a moment.';

// Scripts and forms of other sites may not write here. (The framework checks forms; this covers JSON too.)
function refuseForeignOrigin(request: Request, url: URL): void {
	if (request.method === 'GET' || request.method === 'HEAD') return;
	if (request.headers.get('origin') !== url.origin) error(403, 'This request came from another site.');
}

const MOST_BYTES = 4_000_000;

// A job file is large; nothing else that is sent here is. (The server itself holds to the largest.)
function refuseTooLarge(routeId: string | null, request: Request): void {
	if (routeId === '/shop/jobs') return;
	if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES)
		error(413, 'This is larger than 4 MB and was rejected. Send a smaller file.');
}

// Until the password is one's own.
const whileFirstPassword: readonly string[] = ['/settings', '/signout'];

function refuseUnlessAllowed(routeId: string | null, method: string, user: App.Locals['user']): void {
	if (routeId === null) return; // no such page: the framework answers 404
	if (publicRoutes.includes(routeId)) return;
	if (!user) {
		if (method === 'GET') redirect(303, '/signin');
		error(401, 'You are signed out. Sign in again. What you typed is still here.');
	}
	if (user.firstPassword && !whileFirstPassword.includes(routeId)) {
		if (method === 'GET') redirect(303, '/settings');
		error(403, 'Choose your own password under Settings first.');
	}
	const action = routeActions[routeId]?.[method === 'HEAD' ? 'GET' : (method as 'GET' | 'POST')];
	if (!action || !may(user.role, action)) {
		error(403, `Your role (${user.role}) does not allow this. Ask a lead of your shop.`);
	}
}

export const handle: Handle = async ({ event, resolve }) => {
	const { request, url, route, locals } = event;
	refuseForeignOrigin(request, url);
	if (route.id !== '/healthz') {
		locals.user = await whoIs(request.headers).catch((cause: unknown) => {
			if (!isUnreachable(cause)) throw cause;
			log.warn({ err: cause }, 'the database does not answer');
			return error(503, UNREACHABLE);
		});
	}
	refuseUnlessAllowed(route.id, request.method, locals.user);
	refuseTooLarge(route.id, request);
	if (route.id) loop.asked(route.id);
	const mode = locals.user?.preferences.theme ?? 'light';
	const answer = async () =>
		resolve(event, { transformPageChunk: ({ html }) => html.replace('%exetasis.mode%', mode) });
	const writes = locals.user && request.method !== 'GET' && request.method !== 'HEAD';
	const answered = await (writes
		? sharedReads.changing({ shop: locals.user!.shopId, user: locals.user!.id }, answer)
		: answer());
	const response =
		answered.status === 500 && locals.unreachable
			? new Response(answered.body, { status: 503, headers: answered.headers })
			: answered;
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	// What one person saw is not for the next one at this browser.
	if (locals.user) response.headers.set('cache-control', 'no-store');
	return response;
};

/** The unexpected: logged under a number, of which the user sees only the number. */
export const handleError: HandleServerError = ({ error: cause, event, status }) => {
	if (status === 404) return { message: 'This page does not exist. Check the address, or go back to Floor.' };
	if (status < 500) return { message: 'The server could not read this request. Reload the page and try again.' };
	if (cause instanceof TookTooLong) {
		log.error({ err: cause, route: event.route.id }, 'given up');
		return { message: `This took longer than ${cause.seconds} s and was stopped. Try again in a moment.` };
	}
	const id = crypto.randomUUID();
	log.error({ id, err: cause, route: event.route.id, method: event.request.method }, 'unexpected error');
	if (isUnreachable(cause)) {
		event.locals.unreachable = true;
		return { message: UNREACHABLE, id };
	}
	return { message: 'Something went wrong on the server. What you typed is still here. Try again in a moment.', id };
};
