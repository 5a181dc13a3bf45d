// Fifty people who save an entry every second while twenty look, every three seconds, at Floor or Trace: what a save and the
// Floor take.
import { randomBytes } from 'node:crypto';

const WRITERS = 50;
const VIEWERS = 20;
const SECONDS = 30;
const LOOK_MS = 3000;
const p95 = (times) => times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)];
const pause = (ms) => new Promise((done) => setTimeout(done, ms));

function uuidv7() {
	const bytes = randomBytes(16);
	bytes.writeUIntBE(Date.now(), 0, 6);
	bytes[6] = (bytes[6] & 0x0f) | 0x70;
	bytes[8] = (bytes[8] & 0x3f) | 0x80;
	return bytes.toString('hex').replace(/(.{8})(.{4})(.{4})(.{4})(.{12})/, '$1-$2-$3-$4-$5');
}

/** Signs in and works the server of this address; prints the p95 of saving and of the Floor. */
export async function measureLoad(address) {
	const headers = { origin: address, accept: 'text/html' };
	const form = new URLSearchParams({ email: 'ines@harrow.example', password: 'harrow-sound' });
	const signedIn = await fetch(`${address}/signin`, { method: 'POST', headers, body: form, redirect: 'manual' });
	const cookie = signedIn.headers
		.getSetCookie()
		.map((one) => one.split(';')[0])
		.join('; ');
	const asked = { ...headers, cookie };
	const page = async (path) => (await fetch(address + path, { headers: asked })).text();
	// Those on the bench: the table of released ones stands below.
	const [bench] = (await page('/')).split('</table>');
	const jobs = [...new Set([...bench.matchAll(/\/jobs\/([0-9a-f-]{36})\/inspect/g)].map(([, id]) => id))];
	const by = /user:\{id:"([^"]+)"/.exec(await page('/'))[1];
	const [saves, floors, failed] = [[], [], []];
	const until = Date.now() + SECONDS * 1000;

	async function write(n) {
		await pause((1000 * n) / WRITERS);
		while (Date.now() < until) {
			const job = jobs[n % jobs.length];
			const entry = { id: uuidv7(), job, by, at: new Date().toISOString(), kind: 'note', payload: { text: 'load' } };
			const started = performance.now();
			const answer = await fetch(`${address}/jobs/${job}/entries`, {
				method: 'POST',
				headers: { ...asked, 'content-type': 'application/json' },
				body: JSON.stringify({ by, entries: [entry] })
			});
			const took = performance.now() - started;
			const { answers } = answer.ok ? await answer.json() : {};
			(answers?.[0]?.result === 'accepted' ? saves : failed).push(took);
			await pause(Math.max(0, 1000 - took));
		}
	}
	async function view(n) {
		await pause((LOOK_MS * n) / VIEWERS);
		while (Date.now() < until) {
			const started = performance.now();
			await page('/');
			floors.push(performance.now() - started);
			await pause(LOOK_MS);
			await page('/trace');
			await pause(LOOK_MS);
		}
	}
	await Promise.all([
		...Array.from({ length: WRITERS }, (_, n) => write(n)),
		...Array.from({ length: VIEWERS }, (_, n) => view(n))
	]);
	console.log(
		`${WRITERS} writers, ${VIEWERS} viewers: a save p95 ${p95(saves).toFixed(0)} ms (at most 100), Floor p95 ${p95(floors).toFixed(0)} ms (at most 300); ${saves.length} saved, ${failed.length} not`
	);
}
