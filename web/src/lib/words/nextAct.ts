import type { MeasuringPoint, JudgedPart } from '@exetasis/core/mat';
import { characteristicOf, pointsToRead, type Station } from '@exetasis/core/record';
import { inSentence, placeName } from './place';
import { verdictName } from './reasons';

/** Where a reading goes, in words: "diameter, middle, 90°". */
export function pointName(station: Station, { characteristic, row, column }: MeasuringPoint): string {
	const sheet = station.characteristics.find(({ key }) => key === characteristic)!;
	const { rows, columns } = pointsToRead(sheet);
	return [
		characteristicOf(station, characteristic).name,
		...(rows.length > 1 ? [rows[row].toLowerCase()] : []),
		...(columns.length > 1 ? [columns[column]] : [])
	].join(', ');
}

interface InHand {
	readonly part: JudgedPart & { readonly inspected: boolean };
	readonly locked: boolean;
	/** What is typed and not yet taken. */
	readonly typed: string;
	/** The next place without a reading. */
	readonly unmeasured: MeasuringPoint | undefined;
	/** The part that comes next; undefined: this is the last one. */
	readonly then: Pick<JudgedPart, 'station' | 'cell'> | undefined;
}

/** What the next key or touch will do, for the status line. */
export function nextAct({ part, locked, typed, unmeasured, then }: InHand): string {
	if (locked) return 'Arrow keys or touch: next part. You cannot record anything here.';
	const on = then ? `go to ${inSentence(placeName(then.station.name, then.cell.cylinder))}` : 'this is the last part';
	if (typed.trim() !== '')
		return `Enter: saves ${typed.trim()}${unmeasured ? ` as ${inSentence(pointName(part.station, unmeasured))}` : ''}.`;
	if (!part.inspected) return 'Space: no damage. Letter: damage pattern. Digit: reading.';
	if (unmeasured) return `Type ${inSentence(pointName(part.station, unmeasured))}, then Enter.`;
	const { verdict } = part.judgement;
	return verdict === 'reuse' || verdict === 'replace'
		? `Enter: ${verdictName[verdict]}, then ${on}.`
		: `Enter: ${on}. Recheck this part later.`;
}
