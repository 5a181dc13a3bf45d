import { LRUCache } from 'lru-cache';
import { dutyClassOf } from '@exetasis/core/life';
import { groupBy } from '@exetasis/core/list';
import {
	comparePlaces,
	type ComparedPlace,
	FALSE_ALARM,
	falseDiscovery,
	harshnessOf,
	type PumpHarshness,
	type RateComparison,
	type ShrunkenRate
} from '@exetasis/core/trace';
import { of, type ShopScope } from '../db/scope';
import { fleetEvents, type EventsOnRecord } from '../db/sql/fleetEvents';
import { newestSheets } from '../sheets';
import { casesOf, type CaseState } from './cases';
import { upToDate } from './upToDate';

/** One pattern at one place of one pump, held against all the shop's pumps of its model. */
export interface ShopRecurrence {
	readonly pump: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly model: string;
	readonly site: string | null;
	readonly liquid: string | null;
	readonly station: string;
	readonly stationName: string;
	readonly type: string;
	readonly cylinder: number;
	readonly pattern: string;
	readonly events: number;
	readonly hours: number;
	/** Events expected here at the rate of the other pumps; undefined where these had none at all. */
	readonly expected?: number;
	/** Its rate by that of the fleet, where the fleet's own rates are spread; else by that of all others taken together, exactly. */
	readonly shrunken?: ShrunkenRate;
	readonly crude?: RateComparison;
	/** The chance of it, all the shop's comparisons allowed for; 1 where it could not be compared. */
	readonly q: number;
	readonly replaced: number;
	/** Openings on its account, shared with what else took a part out then. */
	readonly openings: number;
	/** Price of the parts replaced on its account, and of the openings. */
	readonly cost: number;
	readonly since: Date;
	readonly last: Date;
	/** An open or closed case on it. */
	readonly caseId?: string;
	readonly caseState?: CaseState;
}

/** A pump all of whose parts together are damaged more often than those of its model's other pumps. */
interface HarshPump extends PumpHarshness {
	readonly serial: string;
	readonly tag: string | null;
	/** The chance of it, all the shop's pumps allowed for. */
	readonly q: number;
}

interface ShopTrace {
	/** Pumps that stand out as a whole, harshest first: their places are held against their own factor. */
	readonly harsh: readonly HarshPump[];
	readonly recurrences: readonly ShopRecurrence[];
	/** Comparisons made: every place and pattern with events, and those that had none but could have. */
	readonly comparisons: number;
	readonly pumps: number;
	readonly hours: number;
	readonly standing: number;
}

const MOST_SHOWN = 200;

/**
 * What recurs in the shop, dearest first. Each place of a pump is held against the same station of the *other* pumps of its model and duty by
 * gamma–Poisson shrinkage; false discovery is held over all places at which the pattern could have come up.
 */
export async function traceOfShop(scope: ShopScope): Promise<ShopTrace> {
	const counted = await upToDate(scope);
	const [{ compared, harshness, watched, hours: hoursOnRecord }, pumps, sheets, cases] = await Promise.all([
		placesCompared(scope, counted),
		of(scope, 'pump').all<{
			id: string;
			serial: string;
			tag: string | null;
			model: string;
			duty: { liquid?: string };
			site: { name: string } | null;
		}>({}, { include: [{ association: 'site', attributes: ['name'] }] }),
		newestSheets(scope),
		casesOf(scope)
	]);
	const pumpOf = new Map(pumps.map((pump) => [pump.id, pump]));
	const stationOf = new Map(
		sheets.flatMap((sheet) => sheet.stations.map((station) => [`${sheet.model}/${station.key}`, station] as const))
	);
	const openingCost = new Map(sheets.map((sheet) => [sheet.model, sheet.openingCost]));
	const caseOf = new Map(cases.map((traceCase) => [caseKey({ ...traceCase, pump: traceCase.pumpId }), traceCase]));
	const qs = falseDiscovery(compared.map(({ p }) => p));
	const recurrences = compared.flatMap(({ row, hours, expected, shrunken, crude }, i): ShopRecurrence[] => {
		const pump = pumpOf.get(row.pump);
		const station = pump && stationOf.get(`${pump.model}/${row.station}`);
		if (!pump || !station || row.events < 2 || row.pattern === null) return [];
		const known = caseOf.get(caseKey(row));
		return [
			{
				pump: pump.id,
				serial: pump.serial,
				tag: pump.tag,
				model: pump.model,
				site: pump.site?.name ?? null,
				liquid: pump.duty.liquid ?? null,
				station: row.station,
				stationName: station.name,
				type: station.type,
				cylinder: row.cylinder,
				pattern: row.pattern,
				events: row.events,
				hours,
				expected,
				shrunken,
				crude,
				q: qs[i],
				replaced: row.replaced,
				openings: row.openings,
				cost: row.replaced * station.price + row.openings * openingCost.get(pump.model)!,
				since: row.first!,
				last: row.last!,
				...(known ? { caseId: known.id, caseState: known.state } : {})
			}
		];
	});
	const shown = recurrences
		.toSorted((a, b) => Number(b.q <= FALSE_ALARM) - Number(a.q <= FALSE_ALARM) || b.cost - a.cost || a.q - b.q)
		.slice(0, MOST_SHOWN);
	const harshQs = falseDiscovery(harshness.map(({ p }) => p));
	const harsh = harshness.flatMap((pumpHarshness, i): HarshPump[] => {
		const pump = pumpOf.get(pumpHarshness.pump);
		return pump && harshQs[i] <= FALSE_ALARM
			? [{ ...pumpHarshness, serial: pump.serial, tag: pump.tag, q: harshQs[i] }]
			: [];
	});
	return {
		harsh: harsh.toSorted((a, b) => b.ratio - a.ratio),
		recurrences: shown,
		comparisons: compared.length,
		pumps: watched,
		hours: hoursOnRecord,
		standing: recurrences.filter(({ q }) => q <= FALSE_ALARM).length
	};
}

interface Compared {
	readonly compared: readonly ComparedPlace<EventsOnRecord>[];
	readonly harshness: readonly PumpHarshness[];
	readonly watched: number;
	readonly hours: number;
}
// Of each shop the last one, with how far its record had come: all readers ask for the same.
const known = new LRUCache<string, { readonly counted: string; readonly answer: Compared }>({ max: 100 });

async function placesCompared(scope: ShopScope, counted: string): Promise<Compared> {
	const last = known.get(scope.shopId);
	if (last?.counted === counted) return last.answer;
	const [rows, pumps, sheets] = await Promise.all([
		fleetEvents(scope),
		of(scope, 'pump').all({}, { attributes: ['id', 'model', 'duty'] }),
		newestSheets(scope)
	]);
	const modelOf = new Map(pumps.map(({ id, model }) => [id, model]));
	const sheetOf = new Map(sheets.map((sheet) => [sheet.model, sheet]));
	const dutyOf = new Map(
		pumps.flatMap(({ id, model, duty }) => {
			const sheet = sheetOf.get(model);
			return sheet ? [[id, dutyClassOf(duty, sheet).key] as const] : [];
		})
	);
	const ofModels = rows.filter(({ pump }) => modelOf.has(pump));
	const byModel = new Map(
		[...groupBy(ofModels, ({ pump }) => modelOf.get(pump)!)].map(([model, own]) => [model, harshnessOf(model, own)])
	);
	const answer = {
		compared: comparePlaces(
			rows,
			(pump) => modelOf.get(pump),
			(pump) => dutyOf.get(pump),
			byModel
		),
		harshness: [...byModel.values()].flatMap((modelHarshness) => modelHarshness.pumps),
		watched: new Set(rows.map(({ pump }) => pump)).size,
		hours: rows.reduce((sum, row) => (row.pattern === null ? sum + row.hours : sum), 0)
	};
	known.set(scope.shopId, { counted, answer });
	return answer;
}

const caseKey = ({
	pump,
	station,
	cylinder,
	pattern
}: {
	readonly pump: string;
	readonly station: string;
	readonly cylinder: number;
	readonly pattern: string | null;
}) => `${pump}/${station}/${cylinder}/${pattern}`;
