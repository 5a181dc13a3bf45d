import { requireThat } from '../number';

interface Lapping {
	/** What has to come off to get below the deepest pit, mm. */
	readonly toCleanUp: number;
	/** Height left after that. */
	readonly left: number;
	/** What may then still come off before the limit; below 0 it cannot be lapped clean. */
	readonly reserve: number;
}

/**
 * Whether a pitted or grooved seat can be lapped clean: height − (pit depth + a finishing cut) against its least height.
 * Units: mm. Errors: PreconditionError for values below 0 or a height not above 0.
 *
 * @example lapping({ height: 8, deepest: 0.12, finishing: 0.02, leastHeight: 7.7 }).reserve // 0.16
 */
export function lapping(seat: {
	readonly height: number;
	readonly deepest: number;
	readonly finishing: number;
	readonly leastHeight: number;
}): Lapping {
	const { height, deepest, finishing, leastHeight } = seat;
	requireThat(height > 0 && Number.isFinite(height), 'lapping', 'height', height, 'above 0');
	for (const [name, value] of Object.entries({ deepest, finishing, leastHeight }))
		requireThat(value >= 0 && Number.isFinite(value), 'lapping', name, value, 'at least 0');
	const toCleanUp = deepest + finishing;
	return { toCleanUp, left: height - toCleanUp, reserve: height - toCleanUp - leastHeight };
}

/** Section of a wire-drawn groove, taken as half an ellipse, mm². Errors: PreconditionError for values below 0. */
export function grooveArea(width: number, depth: number): number {
	for (const [name, value] of Object.entries({ width, depth }))
		requireThat(value >= 0 && Number.isFinite(value), 'grooveArea', name, value, 'at least 0');
	return (Math.PI / 4) * width * depth;
}
