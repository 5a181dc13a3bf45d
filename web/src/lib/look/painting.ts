import type { MarkShape, SurfaceMark } from '@exetasis/core/measure';

/** Marks that can be painted on a surface, with their names. */
export const markShapes: readonly (readonly [MarkShape, string])[] = [
	['line', 'Score'],
	['band', 'Band'],
	['point', 'Pit'],
	['crack', 'Crack']
];
export const markName = (shape: MarkShape): string => markShapes.find(([key]) => key === shape)![1];

/** A place on a surface: mm along the axis from the pressure side, degrees round it. */
export interface Spot {
	readonly mm: number;
	readonly deg: number;
}

/** Angles are painted in these steps, degrees. */
export const STEP_DEG = 5;

/** The mark of a shape that begins and ends here. */
export function markFrom(shape: MarkShape, from: Spot, to: Spot): SurfaceMark {
	const [fromMm, toMm] = shape === 'point' ? [from.mm, from.mm] : [Math.min(from.mm, to.mm), Math.max(from.mm, to.mm)];
	// A score runs along the part: it keeps the angle at which it was begun.
	const straight = shape === 'line' || shape === 'point';
	const [low, high] = straight ? [from.deg, from.deg] : [Math.min(from.deg, to.deg), Math.max(from.deg, to.deg)];
	const turn = Math.floor(low / 360) * 360;
	return { shape, fromMm, toMm, fromDeg: low - turn, toDeg: Math.min(high, low + 360) - turn };
}

/** Whether a mark has the extent that its shape needs; a touch without a stroke is none. */
export function hasExtent({ shape, fromMm, toMm, fromDeg, toDeg }: SurfaceMark): boolean {
	if (shape === 'line') return toMm > fromMm;
	return shape !== 'band' || (toMm > fromMm && toDeg > fromDeg);
}
