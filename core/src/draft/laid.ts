import { partType, type PartTypeKey } from '../part';
import type { Fastening, ModelSheet, Station } from '../record';
import { usualSize, type Customs } from './customs';
import { withPart, withPartChanged, type NewPart } from './edit';
import type { SheetDraft } from './newSheet';
import { withStepsDrafted } from './steps';

/** A part as it came off: what it is, which way it lay and where its bolts sat, if that was seen. */
export interface LaidDown extends NewPart {
	readonly face?: Station['face'];
	readonly bolts?: Fastening['bolts'];
}

/** A group of bolts with known places and nothing else stated. */
export const boltsAlone = (bolts: Fastening['bolts']): Fastening => ({
	bolts,
	torqueFrom: 'maker',
	pattern: 'cross',
	stages: [1],
	onceMore: false
});

/** How many bolts of a group are taken out: all but those that stay shut. */
export const boltsOut = ({ bolts }: Pick<Fastening, 'bolts'>): number =>
	bolts.filter(({ mark }) => mark !== 'doNotTouch').length;

/**
 * The sheet with the parts that came off next, and the steps that take them off: behind the part of this key, for what was
 * forgotten, else behind all that it has; and the keys of those parts. Directions are those that were seen; others are not stated.
 * Errors: as `withPart`.
 */
export function withLaidDown(
	sheet: ModelSheet,
	parts: readonly LaidDown[],
	customs: Customs,
	behind?: string
): { readonly draft: SheetDraft; readonly keys: readonly string[] } {
	const known = sheet.stations.findIndex(({ key }) => key === behind);
	const from = known < 0 ? sheet.stations.length : known + 1;
	const keys: string[] = [];
	const laid = parts.reduce<SheetDraft>((draft, { face, bolts, ...part }, i) => {
		const added = withPart(draft, from + i, part, customs[part.type]);
		const fastening = bolts && bolts.length > 0 ? boltsAlone(bolts) : undefined;
		keys.push(added.key);
		return withPartChanged(added.draft, added.key, {
			...(face ? { face } : {}),
			...(fastening ? { fastening, pieces: boltsOut(fastening) } : {})
		});
	}, sheet);
	return { draft: withStepsDrafted(laid), keys };
}

/** A size that is measured from now on, with what a new part measures there in the base unit of the size. */
export interface NewSize {
	readonly station: string;
	readonly characteristic: string;
	readonly nominal: number;
}

/** Whether a limit can be assumed for a size of such a part, from like parts; a few sizes need none. */
export const canBeAdded = (type: PartTypeKey, characteristic: string, customs: Customs): boolean =>
	partType(type).characteristics.some(({ key, limitless }) => key === characteristic && limitless) ||
	customs[type]?.sizes.find(({ key }) => key === characteristic)?.allowance !== undefined;

/**
 * The sheet with a new size of a part. Its limit is what like parts are usually allowed, marked as assumed. The same sheet where it
 * has this size; undefined where it has no such part, no known sheet limits such a size, or a new part measures something else
 * there. Errors: as `usualSize`.
 */
export function withNewSize(
	sheet: ModelSheet,
	{ station: key, characteristic, nominal }: NewSize,
	customs: Customs
): SheetDraft | undefined {
	const station = sheet.stations.find((candidate) => candidate.key === key);
	const known = station && partType(station.type).characteristics.find((candidate) => candidate.key === characteristic);
	if (!known) return undefined;
	const there = station.characteristics.find((size) => size.key === characteristic);
	if (there) return there.nominal === nominal ? sheet : undefined;
	if (!canBeAdded(station.type, characteristic, customs)) return undefined;
	const custom = customs[station.type]?.sizes.find((size) => size.key === characteristic);
	const size = usualSize(characteristic, known.unit, nominal, custom);
	return withPartChanged(sheet, key, { characteristics: [...station.characteristics, size] });
}
