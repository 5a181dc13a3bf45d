import { createServer, type Server, type Socket } from 'node:net';
import { running, type Fault, type Running, type SimulatedPump } from './pump';

/** What the rig does wrong, besides the pump's own fault: as real ones do. */
export interface RigManners {
	/** Share of lines that never arrive. */
	readonly drop: number;
	/** The unit that it says, and the one in which it sends. */
	readonly says: 'MPa' | 'bar' | 'psi';
	readonly sends: 'MPa' | 'bar' | 'psi';
	/** False: no pick-up at the shaft. */
	readonly marked: boolean;
	/** `silent` sends nothing after its greeting, `garbage` sends lines that are none. */
	readonly trouble?: 'silent' | 'garbage';
}

const IN_MPA = { MPa: 1, bar: 10, psi: 145.0377377 } as const;
const BLOCK_MS = 100;

/**
 * The simulated rig: each connection gets a greeting line and then a block of samples every tenth of a second, as
 * docs/devices.md says.
 */
export function rig(pump: SimulatedPump, fault: Fault, run: Running, manners: RigManners): Server {
	return createServer((socket) => stream(socket, pump, fault, run, manners));
}

function stream(socket: Socket, pump: SimulatedPump, fault: Fault, run: Running, manners: RigManners): void {
	const source = running(pump, fault, run);
	const factor = IN_MPA[manners.sends];
	const block = Math.round((run.sampleHz * BLOCK_MS) / 1000);
	const line = (value: unknown) => socket.writable && socket.write(`${JSON.stringify(value)}\n`);
	line({
		device: 'rig',
		protocol: 'exetasis-rig/1',
		sampleHz: run.sampleHz,
		unit: manners.says,
		speedRpm: run.rpm,
		marked: manners.marked
	});
	let from = 0;
	const ticking = setInterval(() => {
		if (manners.trouble === 'silent') return;
		if (manners.trouble === 'garbage') return void (socket.writable && socket.write('%%%{"p":[NaN\n'));
		const p: number[] = [];
		const marks: number[] = [];
		for (let i = 0; i < block; i++) {
			const { pressureMPa, markAt } = source.next().value;
			p.push(Number((pressureMPa * factor).toPrecision(6)));
			if (markAt !== undefined && manners.marked) marks.push(Number((from + i + markAt).toFixed(3)));
		}
		// Every so many lines one is lost, counted so that a run can be repeated.
		const lost = manners.drop > 0 && Math.floor((((from / block) * manners.drop) % 1) / manners.drop) === 0 && from > 0;
		if (!lost) line({ from, p, marks });
		from += block;
	}, BLOCK_MS);
	socket.on('close', () => clearInterval(ticking));
	socket.on('error', () => socket.destroy());
}
