import type { GridPlace } from '@exetasis/core/mat';
import { characteristicOf, placesToRead, type Station } from '@exetasis/core/record';
import type { BenchPart } from '$lib/log/bench.svelte';
import { inSentence, placeName } from './place';
import { verdictName } from './reasons';

/** Where a reading goes, in words: "diameter, middle, 90°". */
export function readingPlace(station: Station, { characteristic, row, column }: GridPlace): string {
	const sheet = station.characteristics.find(({ key }) => key === characteristic)!;
	const { rows, columns } = placesToRead(sheet);
	return [
		characteristicOf(station, characteristic).name,
		...(rows.length > 1 ? [rows[row].toLowerCase()] : []),
		...(columns.length > 1 ? [columns[column]] : [])
	].join(', ');
}

interface InHand {
	readonly part: BenchPart;
	readonly locked: boolean;
	/** What is typed and not yet taken. */
	readonly typed: string;
	/** The next place without a reading. */
	readonly unmeasured: GridPlace | undefined;
	/** The part that comes next; undefined: this is the last one. */
	readonly then: BenchPart | undefined;
}

/** What the next key or touch will do, for the status line. */
export function nextAct({ part, locked, typed, unmeasured, then }: InHand): string {
	if (locked) return 'Arrows or a touch: another part. Nothing can be recorded here.';
	const on = then
		? `on to ${inSentence(placeName(then.station.name, then.cell.cylinder))}`
		: 'the last part of the mat';
	if (typed.trim() !== '')
		return `Enter: takes ${typed.trim()}${unmeasured ? ` as ${inSentence(readingPlace(part.station, unmeasured))}` : ''}.`;
	if (!part.looked) return 'Space: clean. A letter: its pattern. A digit: a reading.';
	if (unmeasured) return `A digit: ${inSentence(readingPlace(part.station, unmeasured))}. Enter takes it.`;
	const { verdict } = part.judgement;
	return verdict === 'reuse' || verdict === 'replace'
		? `Enter: ${verdictName[verdict]}, then ${on}.`
		: `Enter: ${on}; this one waits for a second look.`;
}
