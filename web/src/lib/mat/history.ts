import { z } from 'zod';
import { verdictSchema } from '@exetasis/core/record';
import { placeKey } from '@exetasis/core/mat';

export const matHistorySchema = z.array(
	z.object({
		station: z.string(),
		cylinder: z.number(),
		pumpHours: z.number(),
		verdict: verdictSchema.nullable(),
		worst: z.number().min(0).max(3)
	})
);
export type EarlierAtPlace = z.infer<typeof matHistorySchema>[number];

/** The last rebuilds of each place, by place, the newest first. */
export function byPlace(history: readonly EarlierAtPlace[]): Map<string, EarlierAtPlace[]> {
	const places = new Map<string, EarlierAtPlace[]>();
	for (const earlier of history) {
		const place = placeKey(earlier.station, earlier.cylinder);
		places.set(place, [...(places.get(place) ?? []), earlier]);
	}
	return places;
}

/** Asks for a job's; undefined where there is no connection. */
export async function fetchHistory(job: string): Promise<Map<string, EarlierAtPlace[]> | undefined> {
	try {
		const answer = await fetch(`/jobs/${job}/history`);
		return answer.ok ? byPlace(matHistorySchema.parse(await answer.json())) : undefined;
	} catch {
		return undefined;
	}
}
