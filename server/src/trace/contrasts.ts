import { dutyClassOf } from '@exetasis/core/life';
import { contrastGroups, type GroupContrast, type GroupedEvents } from '@exetasis/core/trace';
import { of, type ShopScope } from '../db/scope';
import { contrastedBy, eventsByGroup } from '../db/sql/eventsByGroup';
import { fleetEvents } from '../db/sql/fleetEvents';
import { newestSheets } from '../sheets';
import { upToDate } from './upToDate';

/** What recurrences are contrasted by: what each statement knows, and the class of duty, which the sheets know. */
export const contrasts = [...contrastedBy, 'duty'] as const;
export type Contrast = (typeof contrasts)[number];

export interface ShopContrast extends GroupContrast {
	readonly stationName: string;
	readonly type: string;
}

export interface ShopContrasts {
	readonly contrasts: readonly ShopContrast[];
	/** Comparisons made, shown or not. */
	readonly comparisons: number;
}

const MOST_SHOWN = 200;

/** In which lots, liquids, seasons, ages or duties the shop's parts show a pattern more often than in the others, the surest first. */
export async function contrastsOf(scope: ShopScope, by: Contrast): Promise<ShopContrasts> {
	await upToDate(scope);
	const sheets = await newestSheets(scope);
	const stations = new Map(
		sheets.flatMap(({ model, stations }) => stations.map((station) => [`${model}/${station.key}`, station] as const))
	);
	const compared = contrastGroups(by === 'duty' ? await eventsByDuty(scope) : await eventsByGroup(scope, by));
	return {
		comparisons: compared.length,
		contrasts: compared.slice(0, MOST_SHOWN).flatMap((one) => {
			const station = stations.get(`${one.model}/${one.station}`);
			return station ? [{ ...one, stationName: station.name, type: station.type }] : [];
		})
	};
}

async function eventsByDuty(scope: ShopScope): Promise<GroupedEvents[]> {
	const [rows, pumps, sheets] = await Promise.all([
		fleetEvents(scope),
		of(scope, 'pump').all({}, { attributes: ['id', 'model', 'duty'] }),
		newestSheets(scope)
	]);
	const sheetOf = new Map(sheets.map((sheet) => [sheet.model, sheet]));
	const groupOf = new Map(
		pumps.flatMap(({ id, model, duty }) => {
			const sheet = sheetOf.get(model);
			if (!sheet) return [];
			const { key } = dutyClassOf(duty, sheet);
			return [[id, { model, group: sheet.duty.find((one) => one.key === key)?.name ?? 'Ordinary' }] as const];
		})
	);
	const sums = new Map<string, GroupedEvents>();
	for (const { pump, station, pattern, events, hours } of rows) {
		const known = groupOf.get(pump);
		if (!known) continue;
		const key = `${known.model}/${station}/${known.group}/${pattern ?? ''}`;
		const sum = sums.get(key);
		sums.set(key, {
			...known,
			...{ station, pattern },
			events: (sum?.events ?? 0) + events,
			hours: (sum?.hours ?? 0) + hours
		});
	}
	return [...sums.values()];
}
