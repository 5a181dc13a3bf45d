import { placeKey } from '@exetasis/core/mat';
import type { BenchState, NewEntry } from '$lib/log/bench.svelte';
import type { Picture } from '$lib/log/photo';

/** How a part can be found that is laid down. */
export const foundStates = ['right', 'fellOut', 'pieces', 'pieceLost'] as const;
type Found = (typeof foundStates)[number];

/** What was seen of a part as it came off: at which cylinder (0: of the pump), how it was found, and its photographs. */
export interface Seen {
	readonly cylinder: number;
	readonly found?: Found;
	readonly photos: readonly Omit<Picture, 'jpeg'>[];
}

const seenPlace = (job: string): string => `exetasis seen ${job}`;
type SeenAt = Seen & { readonly station: string };

function seenOf(job: string): readonly SeenAt[] {
	try {
		return (JSON.parse(localStorage.getItem(seenPlace(job)) ?? '[]') as SeenAt[] | null) ?? [];
	} catch {
		return [];
	}
}

/** Keeps what was seen of parts in this browser until it can be recorded. */
export function keepSeen(job: string, more: readonly SeenAt[]): void {
	const said = more.filter(({ found, photos }) => found !== undefined || photos.length > 0);
	if (said.length === 0) return;
	try {
		localStorage.setItem(seenPlace(job), JSON.stringify([...seenOf(job), ...said]));
	} catch {
		// Full or switched off: the part lies on the mat, where both can be recorded.
	}
}

/**
 * Records what was seen of parts as they were laid down, once they are on the mat, with the photographs that this browser holds.
 * What the sheet that this page goes by does not have yet is kept.
 */
export async function recordSeen(bench: BenchState): Promise<void> {
	const { job, sheet } = bench.bench;
	const all = seenOf(job.id);
	const isThere = ({ station }: SeenAt) => sheet.stations.some(({ key }) => key === station);
	const there = all.filter(isThere);
	if (there.length === 0) return;
	localStorage.setItem(seenPlace(job.id), JSON.stringify(all.filter((one) => !isThere(one))));
	for (const { station, cylinder, found, photos } of there) {
		const part = bench.parts.get(placeKey(station, cylinder))?.cell.part;
		if (!part) continue;
		if (found) bench.record(asFound(part, found));
		for (const photo of photos) {
			const jpeg = await bench.outbox?.pictureOf(photo.sha256);
			if (jpeg) await bench.photograph({ part }, { ...photo, jpeg });
		}
	}
}

function asFound(part: string, found: Found): NewEntry {
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
