import {
	countedLooks,
	recurrences,
	standsOut,
	type CountedLook,
	type PartLook,
	type Recurrence
} from '@exetasis/core/trace';
import { row, rows, type ShopScope } from './db/query';

/** One look at one place, as it counts, for the chart of a recurrence over the pump's hours. */
export interface LookInTime extends CountedLook {
	readonly job: string;
	readonly receivedAt: Date;
}

export interface PumpTrace {
	readonly recurrences: Recurrence[];
	readonly looks: LookInTime[];
	/** Looks that could not count: no earlier look at the place and no fitting on record, so nobody knows over how many hours. */
	readonly withoutExposure: number;
	/** Marks kept out: made while stripping, by an earlier assembly, or by nobody knows what. */
	readonly keptOut: { readonly handling: number; readonly assembly: number; readonly unknown: number };
}

/** What recurs on one pump, place by place, counted by `countedLooks`. */
export async function traceOf(scope: ShopScope, pumpId: string): Promise<PumpTrace> {
	const found = await rows<PartLook & Pick<LookInTime, 'job' | 'receivedAt'>>(
		scope,
		`
		SELECT c.part_id AS part, c.station, c.cylinder, j.id AS job, j.pump_hours AS "pumpHours", j.received_at AS "receivedAt",
			l.fitted_hours AS "fittedHours",
			coalesce(json_agg(json_build_object('pattern', k.pattern, 'severity', k.severity, 'onset', k.onset))
				FILTER (WHERE k.pattern IS NOT NULL), '[]') AS marks
		FROM job j JOIN mat_cell c ON c.job_id = j.id JOIN look k ON k.job_id = j.id AND k.part_id = c.part_id AND NOT k.withdrawn
		JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = c.part_id AND pump_id = j.pump_id
			AND station = c.station AND cylinder = c.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) l ON true
		WHERE j.shop_id = $1 AND j.pump_id = $2
		GROUP BY c.part_id, c.station, c.cylinder, j.id, l.fitted_hours ORDER BY j.pump_hours, j.received_at`,
		[pumpId]
	);
	const looks = countedLooks(found);
	const counted = looks.flatMap(({ hours, ...look }) => (hours === undefined ? [] : [{ ...look, hours }]));
	const keptOut = { handling: 0, assembly: 0, unknown: 0 };
	for (const look of looks) for (const onset of look.keptOut) keptOut[onset]++;
	return { recurrences: recurrences(counted), looks, withoutExposure: looks.length - counted.length, keptOut };
}

/** What stands out on each of these pumps, all their comparisons and all the shop's pumps allowed for; where nothing does, none. */
export async function alarmsOf(scope: ShopScope, pumpIds: readonly string[]): Promise<Record<string, Recurrence>> {
	const { pumps } = (await row<{ pumps: number }>(
		scope,
		'SELECT count(*)::int AS pumps FROM pump WHERE shop_id = $1',
		[]
	))!;
	const alarms: Record<string, Recurrence> = {};
	for (const id of pumpIds) {
		const [worst] = (await traceOf(scope, id)).recurrences;
		if (worst && standsOut(worst, pumps)) alarms[id] = worst;
	}
	return alarms;
}
