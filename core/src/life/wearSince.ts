import type { LifeContext } from './context';
import type { RateGrid } from './rateGrid';
import { followWear, type StandAt } from './wearInspections';
import type { WearShape } from './wearPrior';
import { LEAST_U, type WearInspection } from './wearWindow';

/** What one path says of the wear since an inspection: the ln evidence of the later readings by rate, and where the process stands now. */
interface WearSince {
	readonly logEvidence: Float64Array;
	readonly standAt: StandAt;
}

/**
 * The wear since the first of these inspections as a history of its own, by path: as if the part had begun there.
 *
 * It is followed in differences from the first reading, whose uncertainty every difference carries. Where it stands now is what it
 * has grown since, added to the first reading; the last reading corrects that as both uncertainties allow. Wear is straight.
 * Shape: at least two inspections, hours ascending; the rest as `followWear`. Accuracy: first order in the uncertainty of a reading.
 * Units and errors: as `followWear`.
 */
export function followSince(
	inspections: readonly WearInspection[],
	paths: readonly Pick<WearShape, 'shapePer1000h' | 'exponent'>[],
	grid: RateGrid,
	context: LifeContext
): readonly WearSince[] {
	const [first, ...later] = inspections.map(({ hours, worn, u }) => ({
		hours: hours - inspections[0].hours,
		worn: Math.max(0, worn),
		u: Math.max(u, LEAST_U)
	}));
	const differences = later.map(({ hours, worn, u }) => ({
		hours,
		worn: worn - first.worn,
		u: Math.hypot(u, first.u)
	}));
	const history = { before: [{ hours: 0, weight: 1 }], inspections: differences };
	return followWear(history, paths, grid, 'fleet', context).map(([{ logEvidence, standAt }]) => ({
		logEvidence,
		standAt: addedTo(first, later.at(-1)!, standAt!)
	}));
}

/** Where what both readings leave open is taken, in standard deviations: the mean and the variance are those of a normal distribution. */
const OPEN = [-1, 1] as const;

// What has grown since the first reading, with what both readings say of where it began.
function addedTo(first: WearInspection, now: WearInspection, grown: StandAt): StandAt {
	const [p, q] = [1 / first.u ** 2, 1 / now.u ** 2];
	const kept = p / (p + q);
	const sd = 1 / Math.sqrt(p + q);
	const from = kept * first.worn + (1 - kept) * now.worn;
	return (value, rate) => {
		const nodes = OPEN.flatMap((z) => {
			const begin = from + z * sd;
			const { y, weights } = grown(Math.max(0, (value - begin) / kept), rate);
			return Array.from(y, (by, j) => ({ y: Math.max(0, begin + kept * by), weight: weights[j] / OPEN.length }));
		});
		nodes.sort((a, b) => a.y - b.y);
		return { y: Float64Array.from(nodes, ({ y }) => y), weights: Float64Array.from(nodes, ({ weight }) => weight) };
	};
}
