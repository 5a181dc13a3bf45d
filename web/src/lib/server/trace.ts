import { recurrences, type Look, type Recurrence } from '@exetasis/core/trace';
import { rows, type ShopScope } from './db/query';

interface LookRow {
	station: string;
	cylinder: number;
	job: string;
	pumpHours: number;
	receivedAt: Date;
	hours: number | null;
	patterns: string[];
	aside: number;
}

/** One rebuild's findings at one place, for the chart of a recurrence over the pump's hours. */
export interface LookInTime extends Look {
	readonly job: string;
	readonly pumpHours: number;
	readonly receivedAt: Date;
}

export interface PumpTrace {
	readonly recurrences: Recurrence[];
	readonly looks: LookInTime[];
	/** Looks that could not count: no earlier look at the place, so nobody knows over how many hours. */
	readonly withoutExposure: number;
	/** Findings made while stripping, kept out. */
	readonly keptOut: number;
}

/**
 * What recurs on one pump, place by place. A place counts as looked at in a rebuild where its part has a finding or
 * "nothing found"; its exposure runs from the rebuild before in which it was looked at.
 */
export async function traceOf(scope: ShopScope, pumpId: string): Promise<PumpTrace> {
	const found = await rows<LookRow>(
		scope,
		`
		WITH seen AS (
			SELECT c.station, c.cylinder, j.id AS job, j.pump_hours, j.received_at,
				array_remove(array_agg(DISTINCT k.pattern) FILTER (WHERE k.onset <> 'handling'), NULL) AS patterns,
				count(*) FILTER (WHERE k.onset = 'handling')::int AS aside
			FROM job j JOIN mat_cell c ON c.job_id = j.id JOIN look k ON k.job_id = j.id AND k.part_id = c.part_id AND NOT k.withdrawn
			WHERE j.shop_id = $1 AND j.pump_id = $2
			GROUP BY c.station, c.cylinder, j.id
		)
		SELECT station, cylinder, job, pump_hours AS "pumpHours", received_at AS "receivedAt",
			coalesce(patterns, '{}') AS patterns, aside,
			pump_hours - lag(pump_hours) OVER (PARTITION BY station, cylinder ORDER BY pump_hours) AS hours
		FROM seen ORDER BY pump_hours`,
		[pumpId]
	);
	const counted = found.filter((look): look is LookRow & { hours: number } => look.hours !== null && look.hours > 0);
	return {
		recurrences: recurrences(counted),
		looks: found.map(({ aside: _aside, hours, ...look }) => ({ ...look, hours: hours ?? 0 })),
		withoutExposure: found.length - counted.length,
		keptOut: found.reduce((sum, { aside }) => sum + aside, 0)
	};
}
