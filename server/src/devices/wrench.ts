import { z } from 'zod';
import { linesFrom, type DeviceEnd } from './lines';

const readSchema = z.object({
	torque: z.number().min(0).max(50_000),
	unit: z.enum(['Nm', 'ftlbf', 'inlbf', 'kgfm', 'kgfcm'])
});

/** What the torque wrench read, as it shows it, or why nothing more comes. */
export type WrenchEvent =
	| { readonly kind: 'read'; readonly torque: number; readonly unit: z.infer<typeof readSchema>['unit'] }
	| { readonly kind: 'end'; readonly why: DeviceEnd };

/** Tells the wrench its target, N·m, and listens for what it reads until `signal` ends it. The address is HOST:PORT. */
export async function* listenToWrench(
	at: string | undefined,
	targetNm: number,
	signal: AbortSignal
): AsyncGenerator<WrenchEvent> {
	const lines = linesFrom(at, signal, { targetNm });
	for (;;) {
		const line = await lines.next();
		if (line.done) return yield { kind: 'end', why: line.value };
		const read = readSchema.safeParse(line.value).data;
		if (read) yield { kind: 'read', ...read };
	}
}
