// Fifty people who save an entry every second while twenty look, every three seconds, at Floor or Trace: what a save and the
// Floor take.
import { randomBytes } from 'node:crypto';

const WRITERS = 50;
const VIEWERS = 20;
const SECONDS = 30;
const IDLE_SECONDS = 15;
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

/** Signs in as this person of the demo; answers the headers of their requests. */
export async function signedIn(address, email) {
	const headers = { origin: address, accept: 'text/html' };
	const form = new URLSearchParams({ email, password: 'harrow-sound' });
	const answer = await fetch(`${address}/signin`, { method: 'POST', headers, body: form, redirect: 'manual' });
	const cookies = answer.headers.getSetCookie().map((cookie) => cookie.split(';')[0]);
	return { ...headers, cookie: cookies.join('; ') };
}

/** Works the server of this address; prints the p95 of saving without other load, then of saving, Floor and Trace under load. */
export async function measureLoad(address, cores) {
	// Those who look are other people than those who write: one’s own change is never looked past.
	const asked = await signedIn(address, 'ines@harrow.example');
	const looking = await signedIn(address, 'mara@harrow.example');
	const page = async (path, headers = looking) => (await fetch(address + path, { headers })).text();
	// Those on the bench: the table of released ones stands below.
	const [bench] = (await page('/')).split('</table>');
	const jobs = [...new Set([...bench.matchAll(/\/jobs\/([0-9a-f-]{36})\/inspect/g)].map(([, id]) => id))];
	const by = /user:\{id:"([^"]+)"/.exec(await page('/', asked))[1];
	const [saves, floors, traces, failed] = [[], [], [], []];
	let until = 0;

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
			const traced = performance.now();
			await page('/trace');
			traces.push(performance.now() - traced);
			await pause(LOOK_MS);
		}
	}
	until = Date.now() + IDLE_SECONDS * 1000;
	await write(0);
	const idle = p95(saves);
	saves.length = 0;
	until = Date.now() + SECONDS * 1000;
	await Promise.all([
		...Array.from({ length: WRITERS }, (_, n) => write(n)),
		...Array.from({ length: VIEWERS }, (_, n) => view(n))
	]);
	const most = cores === 1 ? `${(5 * idle).toFixed(0)} ms, five times that of an idle server` : '100 ms';
	console.log(
		`${cores === 1 ? 'One core' : 'Two cores'}, ${WRITERS} writers, ${VIEWERS} viewers: a save p95 ${p95(saves).toFixed(0)} ms (at most ${most}), Floor p95 ${p95(floors).toFixed(0)} ms (at most 300), Trace p95 ${p95(traces).toFixed(0)} ms; ${saves.length} saved, ${failed.length} not`
	);
}
