import { expect, test, type APIRequestContext, type Browser } from './test';
import { openMat } from './job';
import { pageOf, type Account } from './people';

// What each route answers to each role, and to a lead of another shop: 200 let in, 403 not this role, 404 not your shop's.
const nobody = 303;
const reads: readonly [path: string, viewer: number, technician: number, lead: number, otherShop: number][] = [
	['/', 200, 200, 200, 200],
	['/receive', 403, 200, 200, 200],
	['/jobs/:job', 303, 303, 303, 404],
	['/jobs/:job/strip', 200, 200, 200, 404],
	['/jobs/:job/inspect', 200, 200, 200, 404],
	['/jobs/:job/decide', 200, 200, 200, 404],
	['/jobs/:job/order', 200, 200, 200, 404],
	['/jobs/:job/order/list?as=csv', 200, 200, 200, 404],
	['/jobs/:job/order/list?as=doc', 400, 400, 400, 400],
	['/jobs/:job/build', 200, 200, 200, 404],
	['/jobs/:job/prove', 200, 200, 200, 404],
	['/jobs/:job/release', 200, 200, 200, 404],
	['/devices/wrench', 403, 400, 400, 400],
	['/jobs/:job/report', 200, 200, 200, 404],
	['/jobs/:job/report?for=customer', 200, 200, 200, 404],
	['/jobs/:job/label', 200, 200, 200, 404],
	['/jobs/:job/sizes?as=csv', 200, 200, 200, 404],
	['/jobs/:job/sizes?as=doc', 400, 400, 400, 404],
	['/jobs/:job/file', 200, 200, 200, 404],
	['/jobs/:job/service', 200, 200, 200, 404],
	['/jobs/:job/service?hours=1800', 200, 200, 200, 404],
	['/jobs/:job/service?hours=NaN', 400, 400, 400, 404],
	['/pumps', 200, 200, 200, 200],
	['/pumps/:pump', 200, 200, 200, 404],
	['/trace', 200, 200, 200, 200],
	['/trace/pumps/:pump', 200, 200, 200, 404],
	['/trace/pumps/:pump/likely', 200, 200, 200, 404],
	['/trace/compare?by=lot', 200, 200, 200, 200],
	['/trace/lives', 200, 200, 200, 200],
	['/trace/lives/table?model=Marram&station=packing', 200, 200, 200, 200],
	['/trace/cases', 200, 200, 200, 200],
	[`/trace/cases/${crypto.randomUUID()}`, 404, 404, 404, 404],
	['/trace/causes', 200, 200, 200, 200],
	['/gauges', 200, 200, 200, 200],
	['/sheets', 200, 200, 200, 200],
	['/sheets/:sheet', 200, 200, 200, 404],
	['/sheets/new', 403, 200, 200, 200],
	[`/sheets/drafts/${crypto.randomUUID()}`, 404, 404, 404, 404],
	[`/documents/${crypto.randomUUID()}`, 404, 404, 404, 404],
	['/gauges/:gauge', 200, 200, 200, 404],
	['/jobs/:job/places/plunger/1', 200, 200, 200, 404],
	['/jobs/:job/history', 200, 200, 200, 404],
	[`/jobs/:job/photos/${'0'.repeat(64)}`, 404, 404, 404, 404],
	['/pumps/find?find=MAR', 200, 200, 200, 200],
	['/shop', 200, 200, 200, 200],
	['/shop/people', 200, 200, 200, 200],
	['/shop/letterhead', 200, 200, 200, 200],
	['/shop/letterhead/logo', 200, 200, 200, 404],
	['/shop/sites', 200, 200, 200, 200],
	['/shop/stock', 200, 200, 200, 200],
	['/shop/jobs', 200, 200, 200, 200],
	['/settings', 200, 200, 200, 200]
];
const writes: readonly [path: string, viewer: number, technician: number, lead: number, otherShop: number][] = [
	['/receive', 403, 400, 400, 400],
	['/jobs/:job/strip?/variants', 403, 400, 400, 404],
	['/jobs/:job/strip?/lay', 403, 400, 400, 404],
	['/sheets/new?/strip', 403, 400, 400, 400],
	['/jobs/:job/order', 403, 400, 400, 404],
	['/jobs/:job/release?/release', 403, 409, 409, 404],
	['/jobs/:job/release?/told', 403, 200, 200, 404],
	['/jobs/:job/entries', 403, 400, 400, 400],
	[`/jobs/:job/photos/${'0'.repeat(64)}`, 403, 422, 422, 404],
	['/sheets', 403, 403, 400, 400],
	['/sheets/new?/start', 403, 400, 400, 400],
	['/sheets/new?/read', 403, 400, 400, 400],
	[`/sheets/drafts/${crypto.randomUUID()}?/finish`, 403, 403, 400, 400],
	[`/sheets/drafts/${crypto.randomUUID()}?/discard`, 403, 403, 404, 404],
	[`/sheets/drafts/${crypto.randomUUID()}/body`, 403, 400, 400, 400],
	['/sheets/:sheet?/move', 403, 403, 404, 404],
	[`/sheets/${crypto.randomUUID()}?/revise`, 403, 403, 404, 404],
	['/sheets/:sheet?/attach', 403, 403, 400, 404],
	['/sheets/:sheet?/detach', 403, 403, 404, 404],
	['/shop?/policy', 403, 403, 400, 400],
	['/shop/people?/active', 403, 403, 400, 400],
	['/shop/people?/change', 403, 403, 400, 400],
	['/shop/people?/invite', 403, 403, 400, 400],
	['/shop/letterhead', 403, 403, 200, 200],
	['/shop/sites', 403, 403, 400, 400],
	['/shop/stock', 403, 400, 400, 400],
	['/shop/jobs', 403, 403, 400, 400],
	['/gauges?/add', 403, 403, 400, 400],
	['/gauges/:gauge?/certificate', 403, 403, 400, 404],
	['/gauges/:gauge?/retire', 403, 403, 200, 404],
	['/pumps/:pump', 403, 400, 400, 404],
	['/trace/pumps/:pump', 403, 400, 400, 404],
	[`/trace/cases/${crypto.randomUUID()}?/act`, 403, 404, 404, 404],
	['/trace/causes', 403, 403, 400, 400],
	['/settings?/hands', 400, 400, 400, 400],
	['/settings?/password', 400, 400, 400, 400],
	['/settings?/units', 400, 400, 400, 400],
	['/shop/stock/shims', 403, 422, 422, 422],
	['/settings/wrenches', 422, 422, 422, 422]
];
const roles: readonly Account[] = ['viewer', 'technician', 'lead', 'otherShop'];

async function objects(browser: Browser): Promise<Record<string, string>> {
	const page = await pageOf(browser, 'technician');
	const { job } = await openMat(page);
	const pump = /pumps\/([^"]+)/.exec((await page.getByRole('link', { name: /^E2E-/ }).getAttribute('href'))!)![1];
	await page.goto('/sheets');
	const sheet = /sheets\/(.+)/.exec(
		(await page
			.getByRole('link', { name: /Marram/ })
			.first()
			.getAttribute('href'))!
	)![1];
	await page.goto('/gauges');
	const gauge = /gauges\/(.+)/.exec(
		(await page
			.getByRole('link', { name: /Caliper/ })
			.first()
			.getAttribute('href'))!
	)![1];
	return { ':job': job, ':pump': pump, ':sheet': sheet, ':gauge': gauge };
}
const fill = (path: string, ids: Record<string, string>) => path.replace(/:(job|pump|sheet|gauge)/, (key) => ids[key]);
const origin = () => new URL(process.env.E2E_ADDRESS!).origin;
const post = (request: APIRequestContext, path: string, headers: Record<string, string> = {}) =>
	request.post(path, { headers: { origin: origin(), accept: 'text/html', ...headers }, form: {}, maxRedirects: 0 });

test('every route lets in whom the table lets in, and no one into another shop', async ({ browser, request }) => {
	const ids = await objects(browser);
	for (const [column, account] of roles.entries()) {
		const { request: signedIn } = (await pageOf(browser, account)).context();
		for (const [path, ...expected] of reads) {
			const response = await signedIn.get(fill(path, ids), { maxRedirects: 0 });
			expect(response.status(), `${account} reads ${path}`).toBe(expected[column]);
		}
		for (const [path, ...expected] of writes) {
			expect((await post(signedIn, fill(path, ids))).status(), `${account} writes ${path}`).toBe(expected[column]);
		}
		const batch = { by: 'somebody', entries: [] };
		const answer = await signedIn.post(fill('/jobs/:job/entries', ids), { headers: { origin: origin() }, data: batch });
		expect(answer.status(), `${account} writes under another name`).toBe(account === 'viewer' ? 403 : 401);
	}
	for (const [path] of reads)
		expect((await request.get(fill(path, ids), { maxRedirects: 0 })).status(), `nobody reads ${path}`).toBe(nobody);
	for (const [path] of writes)
		expect((await post(request, fill(path, ids))).status(), `nobody writes ${path}`).toBe(401);
	expect((await request.get(fill('/events?job=:job', ids), { maxRedirects: 0 })).status()).toBe(nobody);
	// What a device streams is asked for without waiting for its end.
	expect((await request.get('/devices/rig', { maxRedirects: 0 })).status()).toBe(nobody);
	const viewer = (await pageOf(browser, 'viewer')).context().request;
	expect((await viewer.get('/devices/rig')).status()).toBe(403);
	const stranger = (await pageOf(browser, 'otherShop')).context().request;
	expect((await stranger.get(fill('/events?job=:job', ids))).status()).toBe(404);
	expect((await stranger.get('/jobs/not-an-id/inspect')).status()).toBe(404);
});

test('a request from another site may not write', async ({ browser }) => {
	const { request } = (await pageOf(browser, 'lead')).context();
	for (const path of ['/settings?/theme', '/sheets', '/signout']) {
		expect((await post(request, path, { origin: 'https://elsewhere.example' })).status(), path).toBe(403);
	}
});

test('pages carry a content security policy without inline scripts, and cookies are out of scripts’ reach', async ({
	browser
}) => {
	const page = await pageOf(browser, 'technician');
	const response = await page.goto('/');
	const policy = response!.headers()['content-security-policy'];
	expect(policy).toContain("default-src 'none'");
	expect(policy).toMatch(/script-src 'self' 'nonce-[^']+'/);
	expect(policy).not.toMatch(/script-src[^;]*unsafe-inline/);
	const cookies = await page.context().cookies();
	expect(cookies.length).toBeGreaterThan(0);
	for (const cookie of cookies) expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
});
