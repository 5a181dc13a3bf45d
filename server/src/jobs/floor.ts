import type { ShopScope } from '../db/scope';
import { floorJobs, type FloorJob } from '../db/sql/floor';
import { releasedJobs, type ReleasedJob } from '../db/sql/releasedJobs';
import { alarmsOf } from '../trace';
import type { Recurrence } from '@exetasis/core/trace';

export interface Floor {
	readonly jobs: readonly FloorJob[];
	/** What recurs beyond chance, by pump. */
	readonly recurring: Readonly<Record<string, Recurrence>>;
	readonly released: readonly ReleasedJob[];
}
const MOST_RELEASED = 8;

/** Every job in the shop: those open, longest waiting first, with what recurs on their pumps, and those released last. */
export async function floorOf(scope: ShopScope): Promise<Floor> {
	const [jobs, released] = await Promise.all([floorJobs(scope), releasedJobs(scope, MOST_RELEASED)]);
	const recurring = await alarmsOf(
		scope,
		jobs.map(({ pumpId }) => pumpId)
	);
	return { jobs, recurring, released };
}
