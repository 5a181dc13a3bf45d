import { requireThat } from '../number';

export type MarkShape = 'line' | 'band' | 'point' | 'crack';

/**
 * A mark painted on the unrolled surface of a plunger, sleeve, bore or seat: mm along the axis, degrees round it.
 * An arc may run over 360° into the next turn (350 to 370); a full band runs from 0 to 360.
 */
export interface SurfaceMark {
	readonly shape: MarkShape;
	readonly fromMm: number;
	readonly toMm: number;
	readonly fromDeg: number;
	readonly toDeg: number;
}

/** The surface that is unrolled: its length, and the part of it over which the seal runs. */
export interface Surface {
	readonly lengthMm: number;
	readonly track: { readonly fromMm: number; readonly toMm: number };
}

interface SurfaceStatistics {
	/** Share of the sealing stroke on which some mark lies, whatever its angle. */
	readonly strokeShare: number;
	/** Share of the track's area under marks; lines and points have none. */
	readonly areaShare: number;
	/** Longest unbroken axial run of lines and cracks that lie within 5° of each other, mm. */
	readonly longestScore: number;
	/** Undefined without a mark that has a side. */
	readonly direction?: Direction;
}

export interface Direction {
	/** Where the marks point, degrees from 0 to 360. */
	readonly meanDeg: number;
	/** 0 all round, 1 all at one angle. */
	readonly resultant: number;
	readonly marks: number;
	/** Rayleigh test: chance that so one-sided a picture arises where no side is preferred. Undefined below `FEWEST_FOR_TEST` marks. */
	readonly p?: number;
}

/** With fewer marks the Rayleigh test has no power worth the name. */
const FEWEST_FOR_TEST = 4;
const SAME_SCORE_DEG = 5;
const JOINED_MM = 0.5; // a gap that a finger leaves when it paints one score in two strokes
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * What the marks on an unrolled surface say: how much of the sealing stroke is touched, the longest axial score, and
 * whether they lie on one side.
 *
 * Direction: each mark counts once, with the mean direction of its own arc, so that a band all round has none.
 * Units: mm and degrees. An empty list gives zeros. Errors: PreconditionError for marks upside down or off the surface.
 * Source: K. Mardia, P. Jupp, Directional Statistics (2000), 2.2 and 6.3.1; p-value by D. Wilkie, Appl. Stat. 32 (1983) 311–312.
 */
export function surfaceStatistics(marks: readonly SurfaceMark[], { lengthMm, track }: Surface): SurfaceStatistics {
	requireThat(track.toMm > track.fromMm, 'surfaceStatistics', 'track', track.toMm, `above ${track.fromMm}`);
	for (const { fromMm, toMm, fromDeg, toDeg } of marks) {
		requireThat(
			fromMm >= 0 && toMm <= lengthMm,
			'surfaceStatistics',
			'mark',
			`${fromMm} … ${toMm}`,
			`0 … ${lengthMm} mm`
		);
		requireThat(toMm >= fromMm, 'surfaceStatistics', 'toMm', toMm, `at least ${fromMm}`);
		requireThat(toDeg >= fromDeg && toDeg - fromDeg <= 360, 'surfaceStatistics', 'toDeg', toDeg, 'within one turn');
	}
	const onTrack = marks.flatMap((mark) => {
		const fromMm = Math.max(mark.fromMm, track.fromMm);
		const toMm = Math.min(mark.toMm, track.toMm);
		return toMm >= fromMm ? [{ ...mark, fromMm, toMm }] : [];
	});
	const length = track.toMm - track.fromMm;
	return {
		strokeShare: covered(onTrack.map(({ fromMm, toMm }) => [fromMm, toMm])) / length,
		areaShare: area(onTrack) / (length * 360),
		longestScore: longestScore(marks),
		direction: directionOf(marks)
	};
}

// Length of a union of intervals.
function covered(intervals: readonly (readonly [number, number])[]): number {
	let sum = 0;
	let end = -Infinity;
	for (const [from, to] of [...intervals].sort((a, b) => a[0] - b[0])) {
		sum += Math.max(0, to - Math.max(from, end));
		end = Math.max(end, to);
	}
	return sum;
}

// Area of a union of rectangles, mm·degrees: strips between all axial ends, the covered angle of each. Arcs over 360° are cut in two.
function area(marks: readonly SurfaceMark[]): number {
	const ends = [...new Set(marks.flatMap(({ fromMm, toMm }) => [fromMm, toMm]))].sort((a, b) => a - b);
	return ends.slice(1).reduce((sum, end, i) => {
		const middle = (ends[i] + end) / 2;
		const arcs = marks.filter(({ fromMm, toMm }) => fromMm <= middle && toMm >= middle).flatMap(unwrapped);
		return sum + (end - ends[i]) * covered(arcs);
	}, 0);
}

function unwrapped({ fromDeg, toDeg }: SurfaceMark): [number, number][] {
	const from = ((fromDeg % 360) + 360) % 360;
	const to = from + (toDeg - fromDeg);
	return to <= 360
		? [[from, to]]
		: [
				[from, 360],
				[0, to - 360]
			];
}

const middleOf = ({ fromDeg, toDeg }: SurfaceMark) => (fromDeg + toDeg) / 2;
const apart = (a: number, b: number) => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

function longestScore(marks: readonly SurfaceMark[]): number {
	const scores = marks.filter(({ shape }) => shape === 'line' || shape === 'crack').sort((a, b) => a.fromMm - b.fromMm);
	const runs: { deg: number; fromMm: number; toMm: number }[] = [];
	for (const score of scores) {
		const run = runs.find(
			(candidate) =>
				apart(candidate.deg, middleOf(score)) <= SAME_SCORE_DEG && score.fromMm <= candidate.toMm + JOINED_MM
		);
		if (run) run.toMm = Math.max(run.toMm, score.toMm);
		else runs.push({ deg: middleOf(score), fromMm: score.fromMm, toMm: score.toMm });
	}
	return Math.max(0, ...runs.map(({ fromMm, toMm }) => toMm - fromMm));
}

function directionOf(marks: readonly SurfaceMark[]): Direction | undefined {
	if (marks.length === 0) return undefined;
	let [c, s] = [0, 0];
	for (const mark of marks) {
		const half = radians(mark.toDeg - mark.fromDeg) / 2;
		const own = half === 0 ? 1 : Math.sin(half) / half; // mean resultant of an evenly marked arc
		c += own * Math.cos(radians(middleOf(mark)));
		s += own * Math.sin(radians(middleOf(mark)));
	}
	const n = marks.length;
	const resultant = Math.min(1, Math.hypot(c, s) / n);
	if (resultant < 1e-9) return undefined;
	const meanDeg = ((Math.atan2(s, c) * 180) / Math.PI + 360) % 360;
	return { meanDeg, resultant, marks: n, ...(n >= FEWEST_FOR_TEST ? { p: rayleigh(resultant, n) } : {}) };
}

/**
 * Rayleigh test of uniformity: P(a mean resultant this long or longer | no direction preferred).
 *
 * Shape: mean resultant in [0, 1] of n directions. Accuracy: within 0.005 of the exact value from n = 5 on, better for small p.
 * Errors: PreconditionError outside these. Source: Wilkie 1983; Mardia & Jupp 2000, 6.3.1.
 */
export function rayleigh(resultant: number, n: number): number {
	requireThat(resultant >= 0 && resultant <= 1, 'rayleigh', 'resultant', resultant, 'from 0 to 1');
	requireThat(Number.isSafeInteger(n) && n >= 1, 'rayleigh', 'n', n, 'a count above 0');
	const length = n * resultant;
	return Math.min(1, Math.exp(Math.sqrt(1 + 4 * n + 4 * (n * n - length * length)) - (1 + 2 * n)));
}

/**
 * Whether the same side is worn on several cylinders: the mean of their directions, and how well they agree.
 * Shape: one direction a cylinder, degrees, at least two. Resultant 1 means all the same way; `p` as for `rayleigh`.
 */
export function commonDirection(degrees: readonly number[]): { meanDeg: number; resultant: number; p: number } {
	requireThat(degrees.length >= 2, 'commonDirection', 'degrees', degrees.length, 'at least two directions');
	const c = degrees.reduce((sum, d) => sum + Math.cos(radians(d)), 0);
	const s = degrees.reduce((sum, d) => sum + Math.sin(radians(d)), 0);
	const resultant = Math.min(1, Math.hypot(c, s) / degrees.length);
	const meanDeg = ((Math.atan2(s, c) * 180) / Math.PI + 360) % 360;
	return { meanDeg, resultant, p: rayleigh(resultant, degrees.length) };
}
