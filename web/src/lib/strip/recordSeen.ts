import type { BenchState, NewEntry } from '$lib/log/bench.svelte';
import type { Laid, Seen } from './laidDown.svelte';

/** Records how pieces were found as they were laid down, with the photographs that this browser holds. */
export async function recordSeen(bench: BenchState, laid: readonly Laid[]): Promise<void> {
	for (const { ids, seen } of laid)
		for (const [cylinder, part] of Object.entries(ids)) {
			const { found, photos } = seen[Number(cylinder)] ?? { photos: [] };
			if (found) bench.record(asFound(part, found));
			for (const photo of photos) {
				const jpeg = await bench.outbox?.pictureOf(photo.sha256);
				if (jpeg) await bench.photograph({ part }, { ...photo, jpeg });
			}
		}
}

function asFound(part: string, found: NonNullable<Seen['found']>): NewEntry {
	switch (found) {
		case 'right':
			return { kind: 'asFound', part, payload: { where: 'inPlace' } };
		case 'fellOut':
			return { kind: 'asFound', part, payload: { where: 'fellOut' } };
		case 'pieces':
			return { kind: 'asFound', part, payload: { pieces: 'allFound' } };
		case 'pieceLost':
			return { kind: 'asFound', part, payload: { pieces: 'oneLost' } };
	}
}
