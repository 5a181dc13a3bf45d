// The devices over real sockets: what they send, and what they do wrong.
import { createServer, type AddressInfo, type Server } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { rig, type RigManners } from '../../../devices/src/rig';
import { wrench } from '../../../devices/src/wrench';
import { listenToRig, type RigEvent } from './rig';
import { listenToWrench } from './wrench';

const open: Server[] = [];
afterEach(() => open.splice(0).forEach((server) => server.close()));

async function at(server: Server): Promise<string> {
	open.push(server);
	await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
	return `127.0.0.1:${(server.address() as AddressInfo).port}`;
}
const pump = { strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240], meanMPa: 9 };
const run = { sampleHz: 1000, rpm: 900, noise: 0.01, driftAMinute: 0, startDeg: 40, seed: 7 };
const good: RigManners = { drop: 0, says: 'bar', sends: 'bar', marked: true };

async function heard(address: string | undefined, count: number): Promise<RigEvent[]> {
	const ending = new AbortController();
	const events: RigEvent[] = [];
	for await (const event of listenToRig(address, ending.signal)) {
		events.push(event);
		if (events.length >= count) break;
	}
	ending.abort();
	return events;
}
const blocks = (events: readonly RigEvent[]) => events.flatMap((event) => (event.kind === 'block' ? [event] : []));

describe('the rig', () => {
	it('greets, then sends pressure in its unit and marks of the shaft', async () => {
		const events = await heard(await at(rig(pump, {}, run, good)), 6);
		expect(events[0]).toEqual({ kind: 'greeting', sampleHz: 1000, speedRpm: 900, marked: true });
		const pressures = blocks(events).flatMap(({ pressureMPa }) => pressureMPa);
		expect(pressures).toHaveLength(500);
		expect(pressures.reduce((sum, p) => sum + p, 0) / 500).toBeCloseTo(9, 0);
		// 900 turns a minute: a mark every 66.7 samples.
		const marks = blocks(events).flatMap((block) => block.marks);
		expect(marks[1] - marks[0]).toBeCloseTo(1000 / 15, 2);
	});
	it('says of lost lines how much is missing', async () => {
		const events = await heard(await at(rig(pump, {}, run, { ...good, drop: 0.5 })), 6);
		expect(events.filter(({ kind }) => kind === 'gap')[0]).toEqual({ kind: 'gap', samples: 100 });
	});
	it('that sends garbage is given up after a while, each line counted', async () => {
		const events = await heard(await at(rig(pump, {}, run, { ...good, trouble: 'garbage' })), 30);
		expect(events.at(-2)).toEqual({ kind: 'unread', lines: 20 });
		expect(events.at(-1)).toEqual({ kind: 'end', why: 'notTheDevice' });
	});
	it('that falls silent is said to be', async () => {
		const events = await heard(await at(rig(pump, {}, run, { ...good, trouble: 'silent' })), 10);
		expect(events.at(-1)).toEqual({ kind: 'end', why: 'silent' });
	}, 10_000);
	it('that is not there, and no address at all', async () => {
		expect(await heard('127.0.0.1:1', 3)).toEqual([{ kind: 'end', why: 'refused' }]);
		for (const none of [undefined, '', 'rig', 'rig:port'])
			expect(await heard(none, 3)).toEqual([{ kind: 'end', why: 'notSet' }]);
	});
	it('that goes away in the middle', async () => {
		const server = createServer((socket) => socket.end('{"device":"rig"'));
		expect((await heard(await at(server), 3)).at(-1)).toEqual({ kind: 'end', why: 'closed' });
	});
	it('refuses numbers that cannot be', async () => {
		const server = createServer((socket) => {
			const greeting = { device: 'rig', protocol: 'exetasis-rig/1', unit: 'bar', speedRpm: 900, marked: true };
			socket.write(`${JSON.stringify({ ...greeting, sampleHz: -1 })}\n`);
			socket.write(`${JSON.stringify({ ...greeting, sampleHz: 1000 })}\n`);
			socket.end('{"from":0,"p":[],"marks":[]}\n{"from":0,"p":[1e999],"marks":[]}\n');
		});
		expect((await heard(await at(server), 9)).map(({ kind }) => kind)).toEqual([
			'unread',
			'greeting',
			'unread',
			'unread',
			'end'
		]);
	});
});

describe('the torque wrench', () => {
	it('is told its target and sends what it read, in its own unit', async () => {
		const address = await at(wrench({ unit: 'ftlbf', off: [0.1], pullMs: 20 }));
		const ending = new AbortController();
		for await (const event of listenToWrench(address, 27.116, ending.signal)) {
			expect(event).toEqual({ kind: 'read', torque: 22, unit: 'ftlbf' });
			break;
		}
		ending.abort();
	});
	it('that is not there says so', async () => {
		const events = [];
		for await (const event of listenToWrench('127.0.0.1:1', 20, new AbortController().signal)) events.push(event);
		expect(events).toEqual([{ kind: 'end', why: 'refused' }]);
	});
});
