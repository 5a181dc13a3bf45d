import { dutyClassOf, ORDINARY } from '@exetasis/core/life';
import type { ModelSheet } from '@exetasis/core/record';
import { exactLife, intervalCensored, hasEnded, rightCensored, type ObservedLife } from '@exetasis/core/survival';
import { of, type ShopScope } from '../db/scope';
import { livesOfShop, type LifeInShop } from '../db/sql/livesOfShop';
import { newestSheet } from '../sheets';

/** What lives can be set side by side by. Never by person. */
export const groupings = [
	'none',
	'cylinder',
	'lot',
	'supplier',
	'kit',
	'mate',
	'duty',
	'liquid',
	'site',
	'pump'
] as const;
export type Grouping = (typeof groupings)[number];

/** One life for the arithmetic and for the list. */
export interface Life extends ObservedLife {
	readonly pump: string;
	readonly serial: string;
	readonly cylinder: number;
	readonly fittedHours: number;
	readonly group: string;
	/** Its hours, and whether the naive count would call it a failure: everything that was taken out. */
	readonly hours: number;
	readonly removed: boolean;
	readonly endReason: LifeInShop['endReason'];
}

export interface ShopLives {
	readonly lives: readonly Life[];
	/** Left out: no one knows when they were fitted. */
	readonly unknownAge: number;
	/** Left out where parts count from their pump’s first visit: those that had ended by then. */
	readonly endedUnwatched: number;
	/** Pumps with the hours that they have been watched, for mean cumulative replacements. */
	readonly watched: readonly {
		readonly pump: string;
		readonly from: number;
		readonly until: number;
		/** Its hours at each rebuild, ascending. */
		readonly visits: readonly number[];
		/** Hours at which a part was taken out here, of known age or not. */
		readonly replacedAt: readonly number[];
	}[];
}

/** From when a part that came with its pump counts: its fitting, as its last rebuild was told, or the pump's first visit here. */
export const entries = ['fitting', 'visit'] as const;
export type Entry = (typeof entries)[number];

/** The lives of one station of a model, each with what the record says of its end. */
export async function livesAt(
	scope: ShopScope,
	model: string,
	station: string,
	grouping: Grouping,
	entry: Entry = 'fitting'
): Promise<ShopLives> {
	const sheet = (await newestSheet(scope, model))?.body;
	// Only where it is asked does the record say how its mates were.
	const found = await livesOfShop(scope, model, station, grouping === 'mate' ? matesOf(sheet, station) : []);
	const pumpIds = [...new Set(found.map(({ pump }) => pump))];
	const jobs = await of(scope, 'job').all({ pumpId: pumpIds }, { attributes: ['pumpId', 'pumpHours'] });
	const visitsOf = new Map<string, number[]>();
	for (const { pumpId, pumpHours } of jobs) visitsOf.set(pumpId, [...(visitsOf.get(pumpId) ?? []), pumpHours]);
	for (const [pump, hours] of visitsOf)
		visitsOf.set(
			pump,
			[...new Set(hours)].sort((a, b) => a - b)
		);
	const known = found.filter((life): life is LifeInShop & { fittedHours: number } => life.fittedHours !== null);
	const watched = known.flatMap((life): (ObservedLife & { readonly of: typeof life })[] => {
		const observed = { ...observedOf(life), of: life };
		const came = (visitsOf.get(life.pump)?.at(0) ?? life.fittedHours) - life.fittedHours;
		if (entry === 'fitting' || came <= 0) return [observed];
		// Looked at on that visit, it held until then at least, or had ended unwatched.
		if (hasEnded(observed) && observed.by <= came) return [];
		return [{ ...observed, after: Math.max(observed.after, came), watchedFrom: came }];
	});
	return {
		unknownAge: found.length - known.length,
		endedUnwatched: known.length - watched.length,
		watched: pumpIds.map((pump) => ({
			pump,
			from: visitsOf.get(pump)?.at(0) ?? 0,
			until: visitsOf.get(pump)?.at(-1) ?? 0,
			visits: visitsOf.get(pump) ?? [],
			replacedAt: found.flatMap((life) => (life.pump === pump && life.removedHours !== null ? [life.removedHours] : []))
		})),
		lives: watched.map(({ of: life, ...observed }) => ({
			...observed,
			pump: life.pump,
			serial: life.serial,
			cylinder: life.cylinder,
			fittedHours: life.fittedHours,
			group: groupOf(life, grouping, sheet),
			hours: Math.max(0, (life.removedHours ?? visitsOf.get(life.pump)?.at(-1) ?? life.fittedHours) - life.fittedHours),
			removed: life.removedHours !== null,
			endReason: life.endReason
		}))
	};
}

/**
 * What the record says of one life. Taken out good, or hurt while stripping: it held so long. Taken out worn or damaged: it had ended by then,
 * and after the last inspection at which it was kept. Still running: it held to its last inspection, no longer.
 */
function observedOf({
	fittedHours,
	removedHours,
	endReason,
	inspectedHours
}: LifeInShop & { fittedHours: number }): ObservedLife {
	const inspected = Math.max(0, (inspectedHours ?? fittedHours) - fittedHours);
	if (removedHours === null) return rightCensored(inspected);
	const ran = Math.max(0, removedHours - fittedHours);
	if (endReason !== 'worn' && endReason !== 'damaged') return rightCensored(ran);
	return inspected < ran ? intervalCensored(inspected, ran) : exactLife(ran);
}

/** Stations of the parts that one runs with: those that it names, and those that name it. */
const matesOf = (sheet: ModelSheet | undefined, station: string): string[] =>
	(sheet?.stations ?? []).flatMap(({ key, mates }) =>
		mates.includes(station) ||
		sheet!.stations.some((candidate) => candidate.key === station && candidate.mates.includes(key))
			? [key]
			: []
	);

function groupOf(life: LifeInShop, grouping: Grouping, sheet: ModelSheet | undefined): string {
	switch (grouping) {
		case 'none':
			return '';
		case 'cylinder':
			return String(life.cylinder);
		case 'pump':
			return life.serial;
		case 'duty': {
			const { key } = sheet ? dutyClassOf(life.duty, sheet) : ORDINARY;
			return sheet?.duty.find((duty) => duty.key === key)?.name ?? 'Ordinary';
		}
		default:
			return life[grouping] ?? '';
	}
}
