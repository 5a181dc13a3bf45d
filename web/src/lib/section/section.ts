import type { PartTypeKey } from '@exetasis/core/part';
import type { Station, ToolKind } from '@exetasis/core/record';

/** Units of the drawing: the box of one part type's own section is 48 × 48, its axis in the middle. */
export const BOX = 48;

type Drawn = Pick<Station, 'key' | 'type' | 'in' | 'mates'>;

/** Where a part lies along the axis, from the pressure side; `through`: it runs through the parts that it fits. */
interface Piece<S extends Drawn> {
	readonly station: S;
	readonly from: number;
	readonly to: number;
	readonly through: boolean;
}

/** One cylinder cut along its axis: its parts in the order of the stack, and the assemblies that they sit in. */
interface CylinderSection<S extends Drawn> {
	readonly pieces: readonly Piece<S>[];
	readonly assemblies: readonly { readonly key: string; readonly from: number; readonly to: number }[];
	readonly width: number;
}

const running: readonly PartTypeKey[] = ['plunger', 'piston', 'sleeve', 'rod'];
const rings: readonly PartTypeKey[] = [
	'oRing',
	'backupRing',
	'gasket',
	'flatSeal',
	'washer',
	'conicalWasher',
	'sealingWasher',
	'shim',
	'slinger'
];
const RING_WIDTH = 20;
const WIDTH = 34;

const widthOf = (type: PartTypeKey): number => (rings.includes(type) ? RING_WIDTH : WIDTH);

/** A name under the drawing: where its middle lies, and in which line it stands so that it meets no other. */
export interface Label {
	readonly key: string;
	readonly at: number;
	readonly line: number;
}

const LETTER = 5; // of a label's type, on average

/** Sets names under what they name, each in the first line in which it meets no other, and none beyond the drawing's ends. */
export function labelled(
	names: readonly { readonly key: string; readonly name: string; readonly from: number; readonly to: number }[],
	width: number
): Label[] {
	const ends: number[] = [];
	return names
		.toSorted((a, b) => a.from + a.to - b.from - b.to)
		.map(({ key, name, from, to }) => {
			const half = Math.min(width / 2, (name.length * LETTER) / 2);
			const at = Math.min(width - half, Math.max(half, (from + to) / 2));
			const free = ends.findIndex((end) => at - half >= end + LETTER);
			const line = free < 0 ? ends.length : free;
			ends[line] = at + half;
			return { key, at, line };
		});
}

/** A tool above the section: what it is, where the middle of its picture lies, and the place that it points to. */
interface ToolAbove {
	readonly kind: ToolKind;
	readonly at: number;
	readonly over: number;
}

/** Sets tools above the parts that take them: once for neighbours that take the same, and none over another or beyond the ends. */
export function toolsAbove(
	parts: readonly { readonly kind: ToolKind | undefined; readonly from: number; readonly to: number }[],
	width: number,
	toolWidth: number
): ToolAbove[] {
	const above: ToolAbove[] = [];
	for (const { kind, from, to } of parts.toSorted((a, b) => a.from + a.to - b.from - b.to)) {
		const last = above.at(-1);
		if (!kind || kind === last?.kind) continue;
		const over = (from + to) / 2;
		const at = Math.max(toolWidth / 2, Math.min(width - toolWidth / 2, over));
		if (!last || at - last.at >= toolWidth) above.push({ kind, at, over });
	}
	return above;
}

const MOST_LEGIBLE = 24;
const LEAST_SHOWN = 8;

/**
 * The stations to draw so that those in hand are legible: all of them, or of a long stack the assemblies in hand, with their
 * neighbours if they are short.
 */
export function zoomed<S extends Drawn>(stations: readonly S[], inHand: readonly string[]): readonly S[] {
	const held = new Set(stations.filter(({ key }) => inHand.includes(key)).map((station) => station.in));
	if (stations.length <= MOST_LEGIBLE || held.size === 0) return stations;
	const places = stations.flatMap((station, i) => (held.has(station.in) ? [i] : []));
	const beside = Math.ceil(Math.max(0, LEAST_SHOWN - places.length) / 2);
	return stations.filter((_, i) => places.some((place) => Math.abs(place - i) <= beside));
}

/** A long stack in rows in which every part is legible. A row ends between two assemblies if they meet near its middle length. */
export function inRows<S extends Drawn>(stations: readonly S[]): readonly (readonly S[])[] {
	const rows = Math.ceil(stations.length / MOST_LEGIBLE);
	if (rows < 2) return [stations];
	const length = Math.ceil(stations.length / rows);
	const meets = stations.flatMap((station, i) => (i > 0 && stations[i - 1].in !== station.in ? [i] : []));
	const nearest = meets.toSorted((a, b) => Math.abs(a - length) - Math.abs(b - length))[0] ?? length;
	const end = Math.abs(nearest - length) <= length / 4 ? nearest : length;
	return [stations.slice(0, end), ...inRows(stations.slice(end))];
}

/** Lays a cylinder's stations out along its axis: one behind the other, what runs in them through them all. */
export function cylinderSection<S extends Drawn>(stations: readonly S[]): CylinderSection<S> {
	const fitting = ({ key }: S) => stations.filter(({ mates }) => mates.includes(key));
	const runs = (station: S) => running.includes(station.type) && fitting(station).length > 0;
	let width = 0;
	const slots = new Map<string, Piece<S>>();
	for (const station of stations.filter((candidate) => !runs(candidate))) {
		const from = width;
		width += widthOf(station.type);
		slots.set(station.key, { station, from, to: width, through: false });
	}
	const pieces = stations.map((station): Piece<S> => {
		const own = slots.get(station.key);
		if (own) return own;
		const around = fitting(station).flatMap(({ key }) => slots.get(key) ?? []);
		const from = Math.min(...around.map((piece) => piece.from), width);
		const to = Math.max(...around.map((piece) => piece.to), from + BOX);
		return { station, from, to, through: true };
	});
	const assemblies = new Map<string, { key: string; from: number; to: number }>();
	for (const { station, from, to, through } of pieces) {
		if (through) continue;
		const known = assemblies.get(station.in);
		assemblies.set(station.in, {
			key: station.in,
			from: Math.min(from, known?.from ?? from),
			to: Math.max(to, known?.to ?? to)
		});
	}
	return { pieces, assemblies: [...assemblies.values()], width: Math.max(BOX, width, ...pieces.map(({ to }) => to)) };
}
