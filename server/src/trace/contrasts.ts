import { dutyClassOf } from '@exetasis/core/life';
import type { PartTypeKey } from '@exetasis/core/part';
import type { ModelSheet } from '@exetasis/core/record';
import { contrastGroups, type GroupContrast, type GroupedEvents } from '@exetasis/core/trace';
import { of, type ShopScope } from '../db/scope';
import { contrastedBy, eventsByGroup } from '../db/sql/eventsByGroup';
import { newestSheets } from '../sheets';
import { upToDate } from './upToDate';

/** What recurrences are contrasted by: what each statement knows, and the class of duty, which the sheets know. */
export const contrasts = [...contrastedBy, 'duty'] as const;
export type Contrast = (typeof contrasts)[number];

export interface ShopContrast extends GroupContrast {
	readonly stationName: string;
	readonly type: PartTypeKey;
}

interface ShopContrasts {
	readonly contrasts: readonly ShopContrast[];
	/** Comparisons made, shown or not. */
	readonly comparisons: number;
}

const MOST_SHOWN = 200;

/** In which lots, liquids, seasons, ages or duties a pattern or a size beyond its limit comes up more often than in the others, the surest first. */
export async function contrastsOf(scope: ShopScope, by: Contrast): Promise<ShopContrasts> {
	await upToDate(scope);
	const sheets = await newestSheets(scope);
	const stations = new Map(
		sheets.flatMap(({ model, stations }) => stations.map((station) => [`${model}/${station.key}`, station] as const))
	);
	const rows = by === 'duty' ? await eventsByDuty(scope, sheets) : await eventsByGroup(scope, by);
	const { comparisons, contrasts } = contrastGroups(rows, MOST_SHOWN);
	return {
		comparisons,
		contrasts: contrasts.flatMap((contrast) => {
			const station = stations.get(`${contrast.model}/${contrast.station}`);
			return station ? [{ ...contrast, stationName: station.name, type: station.type }] : [];
		})
	};
}

// The classes of duty are the sheets' to tell.
async function eventsByDuty(scope: ShopScope, sheets: readonly ModelSheet[]): Promise<GroupedEvents[]> {
	const [rows, pumps] = await Promise.all([
		eventsByGroup(scope, 'pump'),
		of(scope, 'pump').all({}, { attributes: ['id', 'model', 'duty'] })
	]);
	const sheetOf = new Map(sheets.map((sheet) => [sheet.model, sheet]));
	const groupOf = new Map(
		pumps.flatMap(({ id, model, duty }) => {
			const sheet = sheetOf.get(model);
			if (!sheet) return [];
			const { key } = dutyClassOf(duty, sheet);
			return [[id, sheet.duty.find((dutyClass) => dutyClass.key === key)?.name ?? 'Ordinary'] as const];
		})
	);
	return rows.flatMap((row) => {
		const group = groupOf.get(row.group);
		return group === undefined ? [] : [{ ...row, group }];
	});
}
