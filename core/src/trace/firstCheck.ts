import { placeKey } from '../mat';
import type { ModelSheet } from '../record';
import { stationsOf } from './evidence';
import type { Cause, CauseNetwork, FindingNode } from './network';

/** Where a finding is looked for on a pump: its place on the mat, and the size that is measured there where it is one. */
export interface WhereToLook {
	readonly place: string;
	readonly size?: string;
}

/** The first place of a cylinder at which a finding of the network can be seen; undefined where the sheet has none. Cylinder 0: the pump as a whole. */
export function whereToLook(
	finding: FindingNode,
	sheet: Pick<ModelSheet, 'stations'>,
	cylinder: number
): WhereToLook | undefined {
	for (const { key, per, characteristics } of stationsOf(finding, sheet)) {
		const place = placeKey(key, per === 'pump' ? 0 : Math.max(1, cylinder));
		if (finding.by !== 'size') return { place };
		const size = characteristics.find((characteristic) => finding.sizes.includes(characteristic.key));
		if (size) return { place, size: size.key };
	}
	return undefined;
}

export interface FirstCheck extends WhereToLook {
	/** The finding that is looked for, in the network's words. */
	readonly name: string;
	readonly minutes: number;
}

/**
 * What to look at first where a cause is suspected: what the cause brings about most surely, a size before a mark, since a
 * gauge says more than an inspection. Undefined where nothing of it can be seen on this pump's parts. Minutes as the network has them.
 * Source: our own custom; what would tell most for a pump's own record is `nextChecks`.
 */
export function firstCheck(
	{ findings }: Pick<CauseNetwork, 'findings'>,
	{ links }: Pick<Cause, 'links'>,
	sheet: Pick<ModelSheet, 'stations'>,
	cylinder: number
): FirstCheck | undefined {
	const seen = links.flatMap(({ finding: key, strength }) => {
		const finding = findings.find((candidate) => candidate.key === key);
		const where = finding && whereToLook(finding, sheet, cylinder);
		return where ? [{ ...where, strength, name: finding.name, minutes: finding.minutes }] : [];
	});
	const [first] = seen.sort(
		(a, b) => Number(b.size !== undefined) - Number(a.size !== undefined) || b.strength - a.strength
	);
	if (!first) return undefined;
	const { strength: _, ...check } = first;
	return check;
}
