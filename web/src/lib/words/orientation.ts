import { inSentence } from './place';
import {
	benchSide,
	foundLay,
	foundRan,
	type Face,
	type Lie,
	type ModelSheet,
	type PartRecord,
	type Station
} from '@exetasis/core/record';
import { partType } from '@exetasis/core/part';

const sideName = (side: Face): string => (side === 'P' ? 'pressure side (P)' : 'crank side (C)');
const benchWord = { up: 'up', down: 'down', towardYou: 'toward you', awayFromYou: 'away from you' } as const;

/** Said after a fact that the maker does not state: it was deduced, or comes from another model. */
const deduced = ' (deduced)';

/** A place round the axis, as on a clock seen from the pressure side. */
function clockWords(deg: number): string {
	const hour = Math.round(deg / 30) % 12 || 12;
	const word = hour === 12 ? ' (up)' : hour === 6 ? ' (down)' : '';
	return `${hour} o’clock${word}`;
}

/**
 * Which way a part faces once it is in, in words for the way its assembly lies: one rule ("lip to pressure") sounds opposite when
 * the assembly is turned over. Stored is the side; the bench word is made here. `up` says how each assembly lies; left out, as the
 * sheet lays it down; null: the part is in hand, outside of it. `record` says how a part without a stated direction was found.
 * A direction that the maker does not state says that it is deduced. Empty for a part that is alike from both sides.
 */
export function directionWords(
	{ face, in: key, type, inferred }: Pick<Station, 'face' | 'in' | 'type' | 'inferred'>,
	{ assemblies }: Pick<ModelSheet, 'assemblies'>,
	up: ReadonlyMap<string, Lie> | null = new Map(),
	record?: PartRecord
): string {
	const { toward, what, near } = face;
	const sure = inferred.includes('face') ? deduced : '';
	const lies = assemblies.find((assembly) => assembly.key === key);
	const lie = up === null ? undefined : (up.get(key) ?? lies?.up);
	const onBench = (side: Face) =>
		lies && lie
			? `, ${benchWord[benchSide(side, lie)]} as the ${inSentence(lies.name)} ${lie === 'mounted' ? 'is mounted' : 'lies now'}`
			: '';
	const round = face.clock?.of && !face.clock.not ? `; ${face.clock.of} at ${clockWords(face.clock.deg)}` : '';
	const ran = record && foundRan(record);
	const turned = face.reversible ? `; either side may be used${ran ? `, side ${ran} was used last` : ''}` : '';
	switch (toward) {
		case 'either':
			return partType(type).symmetric ? '' : `Either way round${round}${sure}`;
		case 'notStated': {
			const lay = record && foundLay(record);
			if (lay) return `As found: ${lay.what} toward the ${sideName(lay.toward)}${onBench(lay.toward)}${round}`;
			return `Direction not stated. Note it as found${round}`;
		}
		case 'mate':
			return `Fit with the ${what}${round}${turned}${sure}`;
		default:
			return `Fit with the ${what} toward ${near ? `${near}, ` : 'the '}${sideName(toward)}${onBench(toward)}${round}${turned}${sure}`;
	}
}

const fitWords = ({ fit, inferred }: Station): string[] =>
	fit ? [`${fit}${inferred.includes('fit') ? deduced : ''}`] : [];

/** Direction, and what is done in fitting it. */
export function refitWords(
	station: Station,
	sheet: ModelSheet,
	up?: ReadonlyMap<string, Lie> | null,
	record?: PartRecord
): string {
	const words = [directionWords(station, sheet, up, record), ...fitWords(station)].filter((part) => part !== '');
	const text = words.join('; ');
	return text === '' ? '' : text[0].toUpperCase() + text.slice(1);
}
