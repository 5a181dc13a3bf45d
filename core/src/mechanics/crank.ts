import { finiteAnswer, requireThat } from '../number';

/** A crank drive: what turns into what, angles in degrees, lengths in mm. */
export interface CrankDrive {
	readonly strokeMm: number;
	/** Length of the connecting rods, between their centres. */
	readonly rodMm: number;
	/** Where each cylinder's throw stands, cylinder 1 first. */
	readonly phasesDeg: readonly number[];
}

const RAD = Math.PI / 180;
/** An angle in [0, 360). */
const turn = (deg: number): number => ((deg % 360) + 360) % 360;

function checked(fn: string, { strokeMm, rodMm, phasesDeg }: CrankDrive): void {
	requireThat(strokeMm > 0 && Number.isFinite(strokeMm), fn, 'strokeMm', strokeMm, 'above 0');
	requireThat(
		rodMm > strokeMm / 2 && Number.isFinite(rodMm),
		fn,
		'rodMm',
		rodMm,
		`above half the stroke, ${strokeMm / 2}: else the crank cannot go round`
	);
	requireThat(phasesDeg.length > 0 && phasesDeg.every(Number.isFinite), fn, 'phasesDeg', phasesDeg, 'finite angles');
}

function throwOf(fn: string, { phasesDeg }: CrankDrive, cylinder: number): number {
	const phase = phasesDeg[cylinder - 1];
	requireThat(phase !== undefined, fn, 'cylinder', cylinder, `1 to ${phasesDeg.length}`);
	return phase;
}

/**
 * How far a plunger has drawn back from where it stands furthest forward, exactly:
 * x = r(1 − cos θ) + l − √(l² − r² sin² θ), with θ the crank's angle plus the throw's phase.
 *
 * Units: degrees, mm; 0 is furthest forward (toward the pressure side), the stroke is full back. Errors: PreconditionError
 * for a rod that is not longer than half the stroke, an unknown cylinder, an angle that is no number.
 * Source: the slider–crank without offset, e.g. Norton, Design of Machinery, 4.
 *
 * @example drawnBackMm({ strokeMm: 24, rodMm: 84, phasesDeg: [0, 120, 240] }, 90, 1) // 12.862
 */
export function drawnBackMm(drive: CrankDrive, angleDeg: number, cylinder: number): number {
	checked('drawnBackMm', drive);
	requireThat(Number.isFinite(angleDeg), 'drawnBackMm', 'angleDeg', angleDeg, 'a finite angle');
	const theta = (angleDeg + throwOf('drawnBackMm', drive, cylinder)) * RAD;
	const r = drive.strokeMm / 2;
	const aside = r * Math.sin(theta);
	// l − √(l² − aside²), written so that nothing is lost where the rod is long.
	const tilt = aside ** 2 / (drive.rodMm * (1 + Math.sqrt(1 - (aside / drive.rodMm) ** 2)));
	return finiteAnswer('drawnBackMm', r * (1 - Math.cos(theta)) + tilt);
}

/**
 * The angles of the crank at which a plunger stands furthest forward or full back, or both outer plungers equally far
 * out; of those the one further out first.
 *
 * Shape: one angle for a single plunger, two for the outer pair, degrees in [0, 360); where both outer throws stand alike
 * every angle will do, and the first is where they are furthest forward. Errors: as `drawnBackMm`.
 * Source: the stroke is the same for θ and −θ, so throws at φ₁ and φₙ are level at −(φ₁ + φₙ)/2 and half a turn on.
 */
export function anglesFor(drive: CrankDrive, stand: 'outerLevel' | 'forward' | 'back', cylinder = 1): number[] {
	checked('anglesFor', drive);
	if (stand !== 'outerLevel') {
		const phase = throwOf('anglesFor', drive, cylinder);
		return [turn((stand === 'forward' ? 0 : 180) - phase)];
	}
	const [first, last] = [drive.phasesDeg[0], drive.phasesDeg.at(-1)!];
	const level = turn(-(first + last) / 2);
	return [level, turn(level + 180)].sort((a, b) => drawnBackMm(drive, a, 1) - drawnBackMm(drive, b, 1));
}

/** How far to turn on from one angle to another, the way the crank is turned: degrees in [0, 360). Errors: PreconditionError for what is no number. */
export function turnOn(fromDeg: number, toDeg: number): number {
	requireThat(Number.isFinite(fromDeg), 'turnOn', 'fromDeg', fromDeg, 'a finite angle');
	requireThat(Number.isFinite(toDeg), 'turnOn', 'toDeg', toDeg, 'a finite angle');
	return turn(toDeg - fromDeg);
}
