// Every address of the application with what no one should send: no answer is 500, and the server lives after each.
import { expect, test, type APIRequestContext, type APIResponse } from './test';
import { requestAs } from './people';
import { ownRequest } from './submit';

const unknown = '0197f000-0000-7000-8000-00000000dead';
const values: readonly [name: string, value: string][] = [
	['NUL', 'a\0b'],
	['half of a surrogate pair', 'a\ud800b'],
	['__proto__', '__proto__'],
	['1e309', '1e309'],
	['a number without end', '9'.repeat(400)],
	['the year 0', '0000-01-01'],
	['the year 99999', '99999-12-31'],
	['an unknown id', unknown],
	['a statement', "' OR 1=1; --"],
	['a megabyte', 'x'.repeat(1_000_000)],
	['nothing', '']
];
const signedOut = /^\/(signin|welcome)/;
const forms: readonly [path: string, fields: readonly string[]][] = [
	['/signin', ['email', 'password']],
	['/welcome?/shop', ['shop', 'currency', 'units', 'name', 'email', 'password', 'code']],
	['/welcome?/demo', ['code']],
	[
		'/receive',
		[
			'pump',
			'serial',
			'model',
			'site',
			'tag',
			'scope',
			'complaint',
			'hours',
			'liquid',
			'temperature',
			'pressure',
			'speed',
			'inlet',
			'oldMeterHours'
		]
	],
	['/settings?/units', ['length', 'torque', 'pressure', 'temperature']],
	['/settings?/theme', ['theme']],
	['/settings?/password', ['current', 'next']],
	['/sheets', ['text', 'file']],
	['/sheets/new?/start', ['model', 'maker', 'cylinders', 'stroke', 'pressure', 'speed', 'plunger', 'layout', 'parts']],
	['/sheets/new?/read', ['file']],
	['/sheets/new?/strip', ['model', 'maker', 'cylinders', 'stroke', 'pressure', 'speed', 'first']],
	[`/jobs/${unknown}/strip?/lay`, ['parts']],
	[`/sheets/drafts/${unknown}?/finish`, ['version']],
	[`/sheets/drafts/${unknown}?/discard`, ['x']],
	[`/sheets/${unknown}?/move`, ['job', 'serial']],
	[`/sheets/${unknown}?/revise`, ['x']],
	[`/sheets/${unknown}?/attach`, ['at', 'name']],
	[`/sheets/${unknown}?/detach`, ['document']],
	['/shop?/policy', ['renewalPolicy', 'intervalHours', 'acceptBad', 'valves']],
	['/shop/people?/active', ['person', 'active']],
	['/shop/people?/change', ['person', 'name', 'role']],
	['/shop/people?/invite', ['name', 'email', 'role']],
	['/shop/sites', ['id', 'name']],
	['/shop/jobs', ['file']],
	['/gauges?/add', ['name', 'kind', 'resolution', 'calibratedOn', 'k']],
	['/gauges?/check', ['list', 'text']],
	['/gauges?/take', ['text']],
	[`/gauges/${unknown}?/retire`, ['retired']],
	[`/pumps/${unknown}`, ['site', 'tag']],
	[`/trace/pumps/${unknown}`, ['station', 'cylinder', 'pattern', 'cause', 'hypothesis']],
	[`/trace/cases/${unknown}?/act`, ['action', 'job', 'sure', 'watch']],
	[`/trace/cases/${unknown}?/close`, ['outcome', 'says']],
	[`/trace/cases/${unknown}?/reopen`, ['says']],
	['/trace/causes', ['revision', 'text']],
	['/settings?/hands', ['hand', 'pad']],
	['/settings?/numerals', ['numerals']],
	[`/jobs/${unknown}/release`, ['x']]
];
const pages = [
	'/',
	'/pumps',
	'/trace',
	'/trace/lives',
	'/trace/lives/table',
	'/trace/cases',
	'/trace/causes',
	'/gauges',
	'/sheets',
	'/sheets/new',
	'/shop',
	'/shop/people',
	'/shop/sites',
	'/pumps/find',
	'/settings',
	'/receive'
];

const headers = () => ({ ...ownRequest(), accept: 'text/html' });
/** None of the requests may bring the server down, nor be answered by a fault of its own. */
async function hold(
	request: APIRequestContext,
	asked: readonly (readonly [string, Promise<Pick<APIResponse, 'status'>>])[]
) {
	for (const [what, answer] of asked) expect.soft((await answer).status(), what).toBeLessThan(500);
	const alive = await request.get('/healthz', { headers: { connection: 'close' }, maxRetries: 2 });
	expect(alive.status(), `alive after ${asked.map(([what]) => what).join(', ')}`).toBe(200);
}

for (const [path, fields] of forms) {
	test(`the form ${path} with what no one should send`, async ({ playwright }) => {
		test.setTimeout(180_000);
		const request = await requestAs(playwright, signedOut.test(path) ? undefined : 'lead');
		const post = (options: Parameters<typeof request.post>[1]) =>
			request.post(path, { headers: headers(), maxRedirects: 0, ...options });
		for (const field of fields) {
			const texts = Object.fromEntries(fields.map((text) => [text, 'x']));
			const file = { name: 'x.bin', mimeType: 'application/octet-stream', buffer: Buffer.from([0, 255, 216, 0]) };
			const twice = { 'content-type': 'application/x-www-form-urlencoded' };
			const list = `${encodeURIComponent(field)}=a&${encodeURIComponent(field)}[]=b&__proto__=c&constructor=d`;
			await hold(request, [
				...values.map(
					([name, value]) => [`${path} ${field}: ${name}`, post({ form: { ...texts, [field]: value } })] as const
				),
				[`${path} ${field}: a file`, post({ multipart: { [field]: file } })],
				[`${path} ${field}: twice`, post({ headers: { ...headers(), ...twice }, data: list })]
			]);
		}
		for (const [type, body] of [
			['multipart/form-data; boundary=x', 'no boundary at all'],
			['multipart/form-data', '--x\r\n'],
			['text/plain', 'a=b'],
			['application/json', '{"a":'],
			['application/x-www-form-urlencoded', '%%%=%00&\ud800']
		]) {
			const answer = post({ headers: { ...headers(), 'content-type': type }, data: Buffer.from(body) });
			await hold(request, [[`${path} as ${type}`, answer]]);
			expect.soft((await answer).status(), `${path} as ${type}`).toBeGreaterThanOrEqual(300);
		}
		await request.dispose();
	});
}

test('addresses with what no one should ask for', async ({ playwright }) => {
	const request = await requestAs(playwright, 'technician');
	const asked = [
		...pages.flatMap((path) =>
			[
				'page=1e309',
				'page=-1',
				'find=%00',
				'find=%ED%A0%80',
				`find=${'x'.repeat(5000)}`,
				'pump=no',
				`pump=${unknown}`,
				'__proto__=1'
			].map((query) => `${path}?${query}`)
		),
		...['strip', 'inspect', 'decide', 'build', 'prove', 'release', 'events', 'entries'].flatMap((stage) =>
			['no-id', '%00', unknown, '__proto__'].map((id) => `/jobs/${id}/${stage}`)
		),
		...['/pumps', '/sheets'].flatMap((path) => ['no-id', '%00', unknown].map((id) => `${path}/${id}`)),
		`/jobs/${unknown}/inspect?place=%00`,
		'/%ff',
		'/%'
	];
	for (const path of asked) {
		await hold(request, [
			[path, request.get(path, { maxRedirects: 0 })],
			[`HEAD ${path}`, request.head(path, { maxRedirects: 0 })]
		]);
	}
	await request.dispose();
});

test('batches that cannot be', async ({ playwright }) => {
	test.setTimeout(180_000);
	const request = await requestAs(playwright, 'technician');
	const floor = await (await request.get('/')).text();
	const job = /\/jobs\/([0-9a-f-]{36})\//.exec(floor)![1];
	const path = `/jobs/${job}/entries`;
	const deep = `${'['.repeat(10_000)}${']'.repeat(10_000)}`;
	const bodies: readonly [name: string, body: string][] = [
		['nothing', ''],
		['null', 'null'],
		['a list', '[]'],
		['entries that are no list', '{"by":"x","entries":{}}'],
		['an object for a scalar', '{"by":{},"entries":[]}'],
		['depth 10,000', `{"by":"x","entries":[${deep}]}`],
		['2,001 entries', JSON.stringify({ by: 'x', entries: Array.from({ length: 2001 }, () => ({})) })],
		['3.9 MB', JSON.stringify({ by: 'x', entries: ['x'.repeat(3_900_000)] })],
		['100 MB', `{"by":"${'x'.repeat(100_000_000)}"}`],
		['__proto__', '{"__proto__":{"by":"x"},"entries":[]}']
	];
	for (const [name, body] of bodies) {
		const sent = request.post(path, {
			headers: { ...headers(), 'content-type': 'application/json' },
			data: Buffer.from(body)
		});
		// A body that is far too large may also be cut off while it is sent.
		const answer = await sent.catch(() => ({ status: () => 413 }));
		await hold(request, [[`a batch: ${name}`, Promise.resolve(answer)]]);
		expect.soft(answer.status(), `a batch: ${name}`).toBeGreaterThanOrEqual(400);
	}
	await request.dispose();
});
