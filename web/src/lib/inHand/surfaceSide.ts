import type { SurfaceMark } from '@exetasis/core/measure';
import { STEP_DEG, type Spot } from '$lib/look/painting';
import { PROFILE } from './wornProfile';

const { left, right, middle, radius } = PROFILE;

/** Where mm along a part of this length lie on its drawing. */
export const alongSide =
	(lengthMm: number) =>
	(mm: number): number =>
		left + (Math.min(lengthMm, Math.max(0, mm)) / lengthMm) * (right - left);

/**
 * The place on the surface under a point of the drawing: seen from 90°, or from 270° once the part is turned over its length.
 * Points beside the part count as at its edge.
 */
export function spotOnSide(
	{ x, y }: { readonly x: number; readonly y: number },
	lengthMm: number,
	turned: boolean
): Spot {
	const mm = Math.round(((x - left) / (right - left)) * lengthMm);
	const up = Math.max(-1, Math.min(1, (middle - y) / radius));
	const deg = Math.round((Math.acos(up) * 180) / Math.PI / STEP_DEG) * STEP_DEG;
	return { mm: Math.min(lengthMm, Math.max(0, mm)), deg: turned ? deg + 180 : deg };
}

/** A mark on the side of a part that is seen, from 90° or turned over from 270°: its rectangle, and whether it lies on the side away from us. */
export function markOnSide(
	{ shape, fromMm, toMm, fromDeg, toDeg }: SurfaceMark,
	xOf: (mm: number) => number,
	turned = false
): {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
	readonly behind: boolean;
} {
	const rad = (deg: number) => ((turned ? deg - 180 : deg) * Math.PI) / 180;
	const up = (deg: number) => middle - radius * Math.cos(rad(deg));
	const behind = Math.sin(rad((fromDeg + toDeg) / 2)) < -1e-9;
	const allRound = shape === 'band' && toDeg - fromDeg >= 180;
	const [a, b] = allRound ? [middle - radius, middle + radius] : [up(fromDeg), up(toDeg)];
	return { x: xOf(fromMm), y: Math.min(a, b), width: xOf(toMm) - xOf(fromMm), height: Math.abs(a - b), behind };
}
