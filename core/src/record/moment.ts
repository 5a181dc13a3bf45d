/** When something was recorded, as an entry carries it. */
export interface Moment {
	readonly at: string;
	readonly offsetMs?: number;
	/** The moment that counts, once the server has the entry. */
	readonly effectiveAt?: string;
}

/**
 * The moment that counts for an entry's order, ms since 1970: the server's word once it has the entry, else the tablet's
 * own clock put right by what it was off when last compared.
 */
export const effectiveTime = ({ at, offsetMs = 0, effectiveAt }: Moment): number =>
	effectiveAt === undefined ? Date.parse(at) + offsetMs : Date.parse(effectiveAt);
