import { createServer, type Server } from 'node:net';

const UNITS_IN_NM = { Nm: 1, ftlbf: 1.3558179483314, inlbf: 0.1129848290276 } as const;
type WrenchUnit = keyof typeof UNITS_IN_NM;

/** What the simulated wrench shows, whatever it is told: its own unit, and how far off the hand pulls, as a share. */
interface WrenchManners {
	readonly unit: WrenchUnit;
	readonly off: readonly number[];
	readonly pullMs: number;
}

/**
 * The simulated torque wrench: told a target, it is pulled bolt after bolt and sends what it read, as docs/devices.md says.
 * The hand is off by each of `off` in turn.
 */
export function wrench({ unit, off, pullMs }: WrenchManners): Server {
	return createServer((socket) => {
		const line = (value: unknown) => socket.writable && socket.write(`${JSON.stringify(value)}\n`);
		line({ device: 'wrench', protocol: 'exetasis-wrench/1', serial: 'TW-0001', unit });
		let pulls = 0;
		let pulling: NodeJS.Timeout | undefined;
		let rest = '';
		socket.on('data', (data) => {
			const lines = (rest + data.toString()).split('\n');
			rest = lines.pop()!.slice(0, 1000);
			for (const text of lines) {
				const target = targetOf(text);
				if (target === undefined) continue;
				clearInterval(pulling);
				pulling = setInterval(() => {
					const read = (target * (1 + off[pulls++ % off.length])) / UNITS_IN_NM[unit];
					line({ torque: Number(read.toFixed(1)), unit });
				}, pullMs);
			}
		});
		socket.on('close', () => clearInterval(pulling));
		socket.on('error', () => socket.destroy());
	});
}

function targetOf(line: string): number | undefined {
	try {
		const { targetNm } = JSON.parse(line) as { targetNm?: unknown };
		return typeof targetNm === 'number' && targetNm > 0 ? targetNm : undefined;
	} catch {
		return undefined;
	}
}
