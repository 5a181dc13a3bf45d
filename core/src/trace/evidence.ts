import { groupBy } from '../list';
import { placeKey } from '../mat';
import { partType, type PartTypeKey, type PatternKey } from '../part';
import type { FoundWrong, ModelSheet, Station } from '../record';
import type { CountedInspection } from './countedInspections';
import type { CauseNetwork, FindingNode } from './network';

/** One part as a rebuild found it. */
export interface InspectedAt extends Pick<CountedInspection, 'station' | 'cylinder' | 'patterns' | 'seenBefore'> {
	/** Patterns that an earlier assembly made. */
	readonly byAssembly: readonly string[];
	/** Hours that it had run; null where no one knows. */
	readonly ranHours: number | null;
	/** Whether it was taken out worn or damaged. */
	readonly failed: boolean;
}

/** All that one rebuild of a pump says of causes. */
export interface RebuildEvidence {
	readonly pumpHours: number;
	readonly inspections: readonly InspectedAt[];
	readonly asFound: readonly { readonly station: string; readonly cylinder: number; readonly wrong?: FoundWrong }[];
	readonly sizes: readonly {
		readonly station: string;
		readonly cylinder: number;
		readonly characteristic: string;
		readonly beyond: boolean;
	}[];
	/** Where round the shaft one-sided marks were painted, in degrees. */
	readonly sides: readonly { readonly station: string; readonly cylinder: number; readonly deg: number }[];
	readonly duty: {
		readonly temperatureC?: number | null;
		readonly pressureMPa?: number | null;
		readonly speedRpm?: number | null;
	};
	/** What the trace on the rig was most probably of; left out where none was taken. */
	readonly rig?: { readonly what: string; readonly cylinder?: number };
}

/** A finding at one place of one rebuild: on a cylinder, or 0 for the pump. `present` undefined: not looked for. */
export interface FindingAt {
	readonly finding: string;
	readonly cylinder: number;
	readonly present?: boolean;
}

type Sheet = Pick<ModelSheet, 'stations' | 'cylinders' | 'ratedPressureMPa' | 'ratedSpeedRpm'>;

/**
 * What a rebuild says of every finding of the network, cylinder by cylinder: present, looked for and absent, or not looked for.
 * Damage done while stripping counts nowhere; what an earlier assembly did only for the findings that ask for it. A mark that was there
 * before and was kept is not found again. Shape: findings whose parts the sheet does not have are left out.
 */
export function findingsAt(network: CauseNetwork, sheet: Sheet, rebuild: RebuildEvidence): FindingAt[] {
	const looksAt = groupBy(rebuild.inspections, ({ station, cylinder }) => placeKey(station, cylinder));
	return network.findings.flatMap((finding) => {
		const stations = stationsOf(finding, sheet);
		return placesOf(finding, stations, sheet).map((cylinder) => ({
			finding: finding.key,
			cylinder,
			present: presence(
				finding,
				{ stations, cylinder, inspections: stations.flatMap(({ key }) => looksAt.get(placeKey(key, cylinder)) ?? []) },
				sheet,
				rebuild
			)
		}));
	});
}

type Where = Extract<FindingNode, { parts: unknown }>;
const isMeant = (
	{ parts, only, except }: Pick<Where, 'parts' | 'only' | 'except'>,
	{ type, key }: Pick<Station, 'type' | 'key'>
) => (parts as readonly PartTypeKey[]).includes(type) && (only?.includes(key) ?? true) && !except?.includes(key);

/** Stations of a sheet that a finding of the network can be seen at; none for what is no part's. */
export const stationsOf = (finding: FindingNode, { stations }: Pick<ModelSheet, 'stations'>): readonly Station[] =>
	'parts' in finding ? stations.filter((station) => isMeant(finding, station)) : [];

const onCylinders = (cylinders: number): number[] => Array.from({ length: cylinders }, (_, i) => i + 1);

function placesOf(finding: FindingNode, all: readonly Station[], sheet: Sheet): number[] {
	if (finding.by === 'duty') return [0];
	if (finding.by === 'rig') return finding.what === 'air' ? [0] : onCylinders(sheet.cylinders);
	const stations = all.filter(
		(station) => finding.by !== 'size' || station.characteristics.some(({ key }) => finding.sizes.includes(key))
	);
	if (stations.length === 0) return [];
	if (finding.by === 'sameSide') return sheet.cylinders > 1 ? [0] : [];
	const onPump = stations.some(({ per }) => per === 'pump');
	const onEach = stations.some(({ per }) => per === 'cylinder');
	return [...(onPump ? [0] : []), ...(onEach ? onCylinders(sheet.cylinders) : [])];
}

// Present where anything shows it, absent where something was inspected and nothing shows it.
const anyOf = <T>(inspected: readonly T[], shows: (item: T) => boolean): boolean | undefined =>
	inspected.length === 0 ? undefined : inspected.some(shows);

/** Where a finding is looked for, and the inspections there. */
interface At {
	readonly stations: readonly Station[];
	readonly cylinder: number;
	readonly inspections: readonly InspectedAt[];
}

function presence(
	finding: FindingNode,
	{ stations, cylinder, inspections }: At,
	sheet: Sheet,
	rebuild: RebuildEvidence
): boolean | undefined {
	if (finding.by === 'duty') return dutyPresence(finding, sheet, rebuild);
	if (finding.by === 'rig')
		return (
			rebuild.rig && rebuild.rig.what === finding.what && (finding.what === 'air' || rebuild.rig.cylinder === cylinder)
		);
	const keys = new Set(stations.map(({ key }) => key));
	const here = <T extends { station: string; cylinder: number }>(some: readonly T[]) =>
		some.filter((candidate) => keys.has(candidate.station) && candidate.cylinder === cylinder);
	const has = (patterns: readonly string[]) =>
		'patterns' in finding && patterns.some((pattern) => finding.patterns.includes(pattern as PatternKey));
	switch (finding.by) {
		case 'mark': {
			if (finding.seen === 'kept') return anyOf(inspections, ({ seenBefore }) => has(seenBefore));
			// A part whose only such mark is an old one says nothing new.
			const fresh = inspections.filter(({ patterns, seenBefore }) => has(patterns) || !has(seenBefore));
			return anyOf(fresh, ({ patterns }) => has(patterns));
		}
		case 'assembly':
			return anyOf(inspections, ({ byAssembly }) => has(byAssembly));
		case 'asFound':
			return anyOf(here(rebuild.asFound), ({ wrong }) => wrong !== undefined);
		case 'size':
			return anyOf(
				here(rebuild.sizes).filter(({ characteristic }) => finding.sizes.includes(characteristic)),
				({ beyond }) => beyond
			);
		case 'early': {
			const soon = (station: string) => finding.share * lastsHours(stations.find(({ key }) => key === station)!);
			const told = inspections.filter(
				({ station, ranHours, failed }) => ranHours !== null && (failed || ranHours >= soon(station))
			);
			return anyOf(told, ({ station, ranHours, failed }) => failed && ranHours! < soon(station));
		}
		case 'sameSide':
			return sameSide(rebuild.sides.filter(({ station }) => keys.has(station)));
	}
}

function dutyPresence(
	{ what, from }: Extract<FindingNode, { by: 'duty' }>,
	{ ratedPressureMPa, ratedSpeedRpm }: Sheet,
	{ duty }: RebuildEvidence
): boolean | undefined {
	const value = what === 'hot' ? duty.temperatureC : what === 'highPressure' ? duty.pressureMPa : duty.speedRpm;
	const rated = what === 'hot' ? 1 : what === 'highPressure' ? ratedPressureMPa : ratedSpeedRpm;
	return typeof value === 'number' ? value > from * rated : undefined;
}

/** What parts of a station last: until their first size is at its limit, or where nothing is measured, until something else ends them. */
const lastsHours = ({ type }: Station): number => {
	const { hoursToLimit, competingFailures } = partType(type).lasts;
	return hoursToLimit ?? competingFailures.scaleHours;
};

const SAME_SIDE = 0.8;

// The mean of the directions as vectors: its length is 1 where all point one way. One direction a cylinder.
function sameSide(sides: RebuildEvidence['sides']): boolean | undefined {
	const byCylinder = new Map<number, { x: number; y: number }>();
	for (const { cylinder, deg } of sides) {
		const sum = byCylinder.get(cylinder) ?? { x: 0, y: 0 };
		const angle = (deg * Math.PI) / 180;
		byCylinder.set(cylinder, { x: sum.x + Math.cos(angle), y: sum.y + Math.sin(angle) });
	}
	if (byCylinder.size < 2) return undefined;
	const units = [...byCylinder.values()].map(({ x, y }) => ({ x: x / Math.hypot(x, y), y: y / Math.hypot(x, y) }));
	const mean = units.reduce((sum, { x, y }) => ({ x: sum.x + x / units.length, y: sum.y + y / units.length }), {
		x: 0,
		y: 0
	});
	return Math.hypot(mean.x, mean.y) >= SAME_SIDE;
}
