import { requireThat } from '../number';

export const boltPatterns = [
	'cross',
	'alternating',
	'middleOutward',
	'circular',
	'innerThenOuter',
	'asListed'
] as const;
type BoltPattern = (typeof boltPatterns)[number];

/** A bolt's place seen from outside, mm from the middle; a guide pin's, one that stays shut, or the one that comes last. */
interface Bolt {
	readonly xMm: number;
	readonly yMm: number;
	readonly mark?: 'pin' | 'doNotTouch' | 'last';
}
/** Bolts, nuts or screws that are tightened together, as the model sheet gives them. */
export interface BoltGroup {
	readonly bolts: readonly Bolt[];
	readonly pattern: BoltPattern;
	readonly torqueNm?: number;
	readonly mostNm?: number;
	/** Shares of the torque, rising to the whole; once more round at the whole where `onceMore`. */
	readonly stages: readonly number[];
	readonly onceMore: boolean;
}
type NumberedBolt = Bolt & { readonly index: number };

/** One round over the bolts of a group. */
export interface TighteningPass {
	/** Share of the whole torque, rising from pass to pass; the last round at the whole torque may come once more. */
	readonly share: number;
	/** Left out where no one has stated a torque: by feel. */
	readonly torqueNm?: number;
	/** Places in the order in which they are tightened: numbers of the sheet's list, from 0. */
	readonly order: readonly number[];
}

/**
 * The order in which the bolts of a group are tightened, by its pattern: crosswise (each next one opposite, then where the
 * joint is held least), every second one round, from the middle outward (each ring crosswise), from the middle outward in
 * circles, the inner group before the outer one, or as the sheet lists them. Guide pins come once the others hold,
 * the one marked last at the very end; those that are not to be touched never.
 *
 * Shape: numbers of `bolts`, from 0, each at most once. Positions in mm from the middle, seen from outside. Errors:
 * PreconditionError for positions that are no numbers. Source: VDI 2230-1:2015, 8 and EN 1591-4:2013, annex A (crosswise and
 * in passes, so that a joint closes level); the patterns' names are the sheet format's.
 *
 * @example tighteningOrder({ pattern: 'cross', bolts: [tl, tr, bl, br] }) // [0, 3, 1, 2]
 */
export function tighteningOrder({ bolts, pattern }: Pick<BoltGroup, 'bolts' | 'pattern'>): number[] {
	for (const { xMm, yMm } of bolts)
		requireThat(Number.isFinite(xMm) && Number.isFinite(yMm), 'tighteningOrder', 'bolts', `${xMm}, ${yMm}`, 'numbers');
	const numbered = bolts.map((bolt, index): NumberedBolt => ({ ...bolt, index }));
	const of = (mark?: Bolt['mark']) => numbered.filter((bolt) => bolt.mark === mark);
	// The middle is that of the whole group: what is marked lies in it as the others do.
	const middle = middleOf(bolts);
	const inOrder = (some: readonly NumberedBolt[]) => byPattern(some, pattern, middle);
	return [...inOrder(of()), ...inOrder(of('pin')), ...of('last')].map(({ index }) => index);
}

function byPattern(bolts: readonly NumberedBolt[], pattern: BoltPattern, middle: Middle): readonly NumberedBolt[] {
	switch (pattern) {
		case 'cross':
			return crosswise(bolts, middle);
		case 'alternating':
			return everySecond(clockwise(bolts, middle));
		case 'middleOutward':
			return rings(bolts, middle).flatMap((ring) => crosswise(ring, middle));
		case 'circular':
			return rings(bolts, middle).flatMap((ring) => clockwise(ring, middle));
		case 'innerThenOuter':
			return innerAndOuter(bolts, middle).flatMap((group) => crosswise(group, middle));
		case 'asListed':
			return bolts;
	}
}

const apart = (a: Middle, b: Middle): number => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

type Middle = Pick<Bolt, 'xMm' | 'yMm'>;

function middleOf(bolts: readonly Bolt[]): Middle {
	const n = bolts.length;
	return {
		xMm: bolts.reduce((sum, { xMm }) => sum + xMm / n, 0),
		yMm: bolts.reduce((sum, { yMm }) => sum + yMm / n, 0)
	};
}

const NEARLY = 1e-6; // of two that are alike but for rounding, the first that is listed

function best<T>(list: readonly T[], worth: (item: T) => number): T {
	return list.reduce((top, other) => (worth(other) > worth(top) + NEARLY ? other : top));
}

function crosswise(bolts: readonly NumberedBolt[], middle: Middle): NumberedBolt[] {
	const order: NumberedBolt[] = [];
	const left = [...bolts];
	const take = (bolt: NumberedBolt) => order.push(...left.splice(left.indexOf(bolt), 1));
	while (left.length > 0) {
		// Where the joint is held least: furthest from every bolt that holds.
		take(order.length === 0 ? left[0] : best(left, (bolt) => Math.min(...order.map((held) => apart(held, bolt)))));
		const last = order.at(-1)!;
		const opposite = { xMm: 2 * middle.xMm - last.xMm, yMm: 2 * middle.yMm - last.yMm };
		if (left.length > 0) take(best(left, (bolt) => -apart(bolt, opposite)));
	}
	return order;
}

// From the top, as the clock goes.
function clockwise(bolts: readonly NumberedBolt[], middle: Middle): NumberedBolt[] {
	const angle = ({ xMm, yMm }: NumberedBolt) => {
		const turned = Math.atan2(xMm - middle.xMm, yMm - middle.yMm);
		return turned < -NEARLY ? turned + 2 * Math.PI : turned;
	};
	return bolts.toSorted((a, b) => angle(a) - angle(b) || a.index - b.index);
}

function everySecond(bolts: readonly NumberedBolt[]): NumberedBolt[] {
	if (bolts.length % 2 === 1) return bolts.map((_, i) => bolts[(2 * i) % bolts.length]);
	return [...bolts.filter((_, i) => i % 2 === 0), ...bolts.filter((_, i) => i % 2 === 1)];
}

const SAME_RING_MM = 1;

// Places equally far from the middle, the nearest first.
function rings(bolts: readonly NumberedBolt[], middle: Middle): NumberedBolt[][] {
	const groups: NumberedBolt[][] = [];
	for (const bolt of bolts.toSorted((a, b) => apart(a, middle) - apart(b, middle) || a.index - b.index)) {
		const ring = groups.at(-1);
		if (ring && apart(bolt, middle) - apart(ring[0], middle) < SAME_RING_MM) ring.push(bolt);
		else groups.push([bolt]);
	}
	return groups.map((ring) => ring.toSorted((a, b) => a.index - b.index));
}

// Parted where the distances from the middle leap most.
function innerAndOuter(bolts: readonly NumberedBolt[], middle: Middle): NumberedBolt[][] {
	const groups = rings(bolts, middle);
	const radius = (ring: readonly NumberedBolt[]) => apart(ring[0], middle);
	if (groups.length < 2) return groups;
	const leap = best(groups.slice(1), (ring) => radius(ring) - radius(groups[groups.indexOf(ring) - 1]));
	const outer = groups.indexOf(leap);
	return [groups.slice(0, outer).flat(), groups.slice(outer).flat()];
}

/**
 * The rounds in which a group is tightened: each stage of its torque over all bolts in their order, and once more at the
 * whole torque where the sheet says so. Torque in N·m. Errors and source: as `tighteningOrder`.
 */
export function tighteningPasses(group: BoltGroup): TighteningPass[] {
	const order = tighteningOrder(group);
	const { stages, torqueNm, onceMore } = group;
	return [...stages, ...(onceMore ? [1] : [])].map((share) => ({
		share,
		...(torqueNm === undefined ? {} : { torqueNm: share * torqueNm }),
		order
	}));
}
