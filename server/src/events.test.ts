import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '@exetasis/core/record';
import { append } from './benchLog/append';
import { entryOf, freshDatabase, makeShop, openJob, type TestShop } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let events: typeof import('./events');

beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	process.env.DATABASE_URL = database.url; // the listening connection is the process's own
	events = await import('./events');
});
afterAll(async () => {
	events.stopListening();
	await (await import('./db/connection')).closeDatabase();
	await database.drop();
});

/** Subscribes to a job and collects what comes. */
async function follow(jobId: string, shopId = shop.scope.shopId) {
	const received: Entry[] = [];
	let lost = 0;
	const stop = await events.subscribe({
		shopId,
		userId: shop.people.technician.id,
		jobId,
		receive: (entries) => received.push(...entries),
		lost: () => lost++
	});
	return { received, stop, lost: () => lost };
}
const soon = () => new Promise((done) => setTimeout(done, 150));

describe('subscribe', () => {
	it('tells of entries of its job and shop, and of no others', async () => {
		const [mine, theirs] = [await openJob(shop), await openJob(shop)];
		const { technician } = shop.people;
		const here = await follow(mine.job.id);
		const stranger = await follow(mine.job.id, '0197f000-0000-7000-8000-00000000ffff');
		const note = entryOf(mine, technician, 'note', { text: 'seen by both' });
		await append(shop.scope, technician, mine.job.id, [note]);
		await append(shop.scope, technician, theirs.job.id, [entryOf(theirs, technician, 'note', { text: 'elsewhere' })]);
		await expect.poll(() => here.received.length, { timeout: 10_000 }).toBe(1);
		await soon();
		expect(here.received).toMatchObject([note]);
		expect(stranger.received).toEqual([]);
		here.stop();
		stranger.stop();
	});
	it('says nothing of what was there already, and nothing once stopped', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		const note = entryOf(bench, technician, 'note', { text: 'once' });
		await append(shop.scope, technician, bench.job.id, [note]);
		await soon(); // its notice may still be under way
		const follower = await follow(bench.job.id);
		await append(shop.scope, technician, bench.job.id, [note]);
		await soon();
		expect(follower.received).toEqual([]);
		follower.stop();
		await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'note', { text: 'after' })]);
		await soon();
		expect(follower.received).toEqual([]);
	});
	it('says so when its connection is lost, and listens again for the next one', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		const before = await follow(bench.job.id);
		await database.db.sequelize.query(
			"SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE query = 'LISTEN bench_log'"
		);
		await expect.poll(before.lost, { timeout: 10_000 }).toBe(1);
		before.stop();
		const after = await follow(bench.job.id);
		await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'note', { text: 'again' })]);
		await expect.poll(() => after.received.length, { timeout: 10_000 }).toBe(1);
		after.stop();
	});
});

/** A way to the database that can freeze: connections stay open and nothing passes any more. */
async function freezingWay(to: string) {
	const target = new URL(to);
	const port = Number(target.port);
	const sockets: Socket[] = [];
	const server = createServer((client) => {
		const upstream = connect(port, target.hostname);
		for (const socket of [client, upstream]) socket.on('error', () => undefined);
		client.pipe(upstream).pipe(client);
		sockets.push(client, upstream);
	});
	await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
	target.port = String((server.address() as AddressInfo).port);
	return {
		url: target.href,
		freeze: () => sockets.forEach((socket) => socket.unpipe().pause()),
		close: () => {
			server.close();
			sockets.forEach((socket) => socket.destroy());
		}
	};
}

describe('the listening connection', () => {
	it('is given up where it does not answer any more, and made again', async () => {
		events.stopListening();
		await soon();
		const way = await freezingWay(database.url);
		process.env.DATABASE_URL = way.url;
		const bench = await openJob(shop);
		const frozen = await follow(bench.job.id);
		way.freeze();
		process.env.DATABASE_URL = database.url;
		await expect.poll(frozen.lost, { timeout: 28_000 }).toBe(1);
		const after = await follow(bench.job.id);
		const { technician } = shop.people;
		await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'note', { text: 'thawed' })]);
		await expect.poll(() => after.received.length, { timeout: 10_000 }).toBe(1);
		expect(frozen.lost()).toBe(1);
		after.stop();
		way.close();
	}, 60_000);
	it('that cannot be opened fails for its subscriber alone, who is not told of anything later', async () => {
		events.stopListening();
		await soon();
		const way = await freezingWay(database.url);
		way.close();
		process.env.DATABASE_URL = way.url;
		const bench = await openJob(shop);
		await expect(follow(bench.job.id)).rejects.toThrow();
		process.env.DATABASE_URL = database.url;
		const follower = await follow(bench.job.id);
		const { technician } = shop.people;
		await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'note', { text: 'at last' })]);
		await expect.poll(() => follower.received.length, { timeout: 10_000 }).toBe(1);
		follower.stop();
	});
});
