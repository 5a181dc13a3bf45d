import { groupBy } from '../list';
import { requireThat } from '../number';
import type { EventsAtPlace } from './comparePlaces';
import { compareRates } from './exactTests';
import { againstFleet, fleetRate } from './shrinkage';

/** How harshly one pump treats its parts: events of all kinds on record, and those expected of it at its model's rates. */
export interface PumpHarshness {
	readonly pump: string;
	readonly model: string;
	readonly events: number;
	readonly expected: number;
	/** The pump's rate by that of its model's other pumps, all kinds together, with 95 % limits. */
	readonly ratio: number;
	readonly low: number;
	readonly high: number;
	/** P(as many events or more, were it one of the others). 1 where it has no other pump to be held against. */
	readonly p: number;
}

/** What a kind of event takes of the pump's factor, that kind itself left out. */
export interface PumpFactor {
	/** Times the rate of the model's pumps. */
	readonly factor: number;
	/** Squared coefficient of variation of that factor. */
	readonly variation: number;
}

export interface ModelHarshness {
	readonly pumps: readonly PumpHarshness[];
	readonly factorOf: (pump: string, kind: string) => PumpFactor;
}

interface Cell {
	readonly pump: string;
	readonly kind: string;
	readonly events: number;
	readonly hours: number;
}

const ROUNDS = 60;
const SETTLED = 1e-9;
const UNKNOWN: PumpFactor = { factor: 1, variation: 0 };

/** What a pump's factor is told apart by: a pattern at a station. */
export const kindOf = ({ station, pattern }: Pick<EventsAtPlace, 'station' | 'pattern'>) => `${station}/${pattern}`;

/**
 * How harshly each pump of a model treats its parts: one factor a pump on the rates of all kinds of event (a pattern at a station), so that
 * a pump on a hard duty is named once and not at each of its places. The factors are spread over the model's pumps as a gamma; what is held
 * against a pump's factor takes it without its own kind.
 *
 * Shape: rows of one model, as for `comparePlaces`. Errors: PreconditionError for counts or hours that cannot be.
 * Source: main effects of a table of counts by iterative scaling (Deming, Stephan, Ann. Math. Stat. 11 (1940) 427–444); gamma–Poisson
 * shrinkage as in `fleetRate`.
 */
export function harshnessOf(model: string, rows: readonly EventsAtPlace[]): ModelHarshness {
	for (const { events, hours } of rows) {
		requireThat(Number.isInteger(events) && events >= 0, 'harshnessOf', 'events', events, 'a count');
		requireThat(hours >= 0 && Number.isFinite(hours), 'harshnessOf', 'hours', hours, 'at least 0');
	}
	const cells = cellsOf(rows);
	const expected = expectedAlike(cells);
	const totals = [...groupBy(cells, ({ pump }) => pump)].map(([pump, own]) => ({
		pump,
		events: own.reduce((sum, { events }) => sum + events, 0),
		exposure: own.reduce((sum, cell) => sum + expected.get(cell)!, 0)
	}));
	const counted = totals.filter(({ exposure }) => exposure > 0);
	const fleet = fleetRate(counted);
	const shape = fleet.kind === 'spread' ? fleet.shape : Infinity;
	const mean = fleet.kind === 'none' ? 1 : fleet.mean;
	const totalOf = new Map(counted.map((count) => [count.pump, count]));
	const cellOf = new Map(cells.map((cell) => [`${cell.pump}/${cell.kind}`, cell]));
	return {
		pumps: counted.map((count) => ({ pump: count.pump, model, ...against(count, counted) })),
		factorOf: (pump, kind) => {
			const total = totalOf.get(pump);
			if (!total || shape === Infinity) return UNKNOWN;
			const own = cellOf.get(`${pump}/${kind}`);
			const events = total.events - (own?.events ?? 0);
			const exposure = mean * (total.exposure - (own ? expected.get(own)! : 0));
			return { factor: (shape + events) / (shape + Math.max(0, exposure)), variation: 1 / (shape + events) };
		}
	};
}

/** The kinds of one pump and station that are on record for the model at all; a pump without an event of a kind counts with its hours. */
function cellsOf(rows: readonly EventsAtPlace[]): Cell[] {
	const hours = new Map<string, number>();
	const events = new Map<string, number>();
	const kinds = new Map<string, Pick<EventsAtPlace, 'station' | 'pattern'>>();
	for (const row of rows) {
		if (row.pattern === null) {
			const key = `${row.pump}/${row.station}`;
			hours.set(key, (hours.get(key) ?? 0) + row.hours);
		} else {
			const key = `${row.pump}/${kindOf(row)}`;
			events.set(key, (events.get(key) ?? 0) + row.events);
			kinds.set(kindOf(row), row);
		}
	}
	const pumps = [...new Set(rows.map(({ pump }) => pump))];
	return [...kinds].flatMap(([kind, { station }]) =>
		pumps.flatMap((pump): Cell[] => {
			const run = hours.get(`${pump}/${station}`) ?? 0;
			return run > 0 ? [{ pump, kind, hours: run, events: events.get(`${pump}/${kind}`) ?? 0 }] : [];
		})
	);
}

// Events that each cell would have, were its pump as harsh as the model's pumps are: its kind's rate, the pumps' factors allowed for.
function expectedAlike(cells: readonly Cell[]): Map<Cell, number> {
	const byKind = [...groupBy(cells, ({ kind }) => kind).values()];
	const byPump = [...groupBy(cells, ({ pump }) => pump).entries()];
	const factor = new Map(byPump.map(([pump]) => [pump, 1]));
	const rate = new Map<string, number>();
	for (let round = 0; round < ROUNDS; round++) {
		let moved = 0;
		for (const own of byKind) {
			const events = own.reduce((sum, cell) => sum + cell.events, 0);
			const run = own.reduce((sum, cell) => sum + cell.hours * factor.get(cell.pump)!, 0);
			rate.set(own[0].kind, run > 0 ? events / run : 0);
		}
		for (const [pump, own] of byPump) {
			const events = own.reduce((sum, cell) => sum + cell.events, 0);
			const alike = own.reduce((sum, cell) => sum + cell.hours * rate.get(cell.kind)!, 0);
			const next = alike > 0 ? events / alike : 1;
			moved = Math.max(moved, Math.abs(next - factor.get(pump)!));
			factor.set(pump, next);
		}
		if (moved < SETTLED) break;
	}
	return new Map(cells.map((cell) => [cell, cell.hours * rate.get(cell.kind)!]));
}

interface Total {
	readonly pump: string;
	readonly events: number;
	readonly exposure: number;
}

function against(total: Total, all: readonly Total[]) {
	const others = all.filter(({ pump }) => pump !== total.pump);
	const exposure = others.reduce((sum, other) => sum + other.exposure, 0);
	const events = others.reduce((sum, other) => sum + other.events, 0);
	const counted = { events: total.events, expected: total.exposure };
	if (events === 0) return { ...counted, ratio: 1, low: 0, high: Infinity, p: 1 };
	const atOthers = { ...counted, expected: (events / exposure) * total.exposure };
	const fleet = fleetRate(others);
	if (fleet.kind === 'spread') return { ...atOthers, ...againstFleet(total, fleet)! };
	const { ratio = Infinity, low, high = Infinity, p } = compareRates(total, { events, exposure });
	// One-sided: only a pump that wears more is called harsh.
	return { ...atOthers, ratio, low, high, p: ratio > 1 ? p / 2 : 1 };
}
