import type { ModelSheet, Station } from '../record';
import type { Customs } from './customs';
import { withPart, withPartChanged, type NewPart } from './edit';
import type { SheetDraft } from './newSheet';
import { withStepsDrafted } from './steps';

/** A part as it came off: what it is, and which way it lay, if that was seen. */
export interface LaidDown extends NewPart {
	readonly face?: Station['face'];
}

/**
 * The sheet with the parts that came off next, and the steps that take them off: behind the part of this key, for what was
 * forgotten, else behind all that it has. Directions are those that were seen; others are not stated. Errors: as `withPart`.
 */
export function withLaidDown(
	sheet: ModelSheet,
	parts: readonly LaidDown[],
	customs: Customs,
	behind?: string
): SheetDraft {
	const known = sheet.stations.findIndex(({ key }) => key === behind);
	const from = known < 0 ? sheet.stations.length : known + 1;
	const laid = parts.reduce<SheetDraft>((draft, { face, ...part }, i) => {
		const added = withPart(draft, from + i, part, customs[part.type]);
		return face ? withPartChanged(added.draft, added.key, { face }) : added.draft;
	}, sheet);
	return withStepsDrafted(laid);
}
