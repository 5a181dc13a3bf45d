import type { Fastening, ModelSheet, Station } from '../record';
import type { Customs } from './customs';
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
