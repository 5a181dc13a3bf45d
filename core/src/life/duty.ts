import { requireThat } from '../number';
import type { DutyClass, ModelSheet } from '../record';

/** What is declared of a pump's duty at receipt; what is not declared is left out. MPa, revolutions a minute. */
export interface DeclaredDuty {
	readonly liquid?: string | null;
	readonly pressureMPa?: number | null;
	readonly speedRpm?: number | null;
}

/** The duty of a pump of which nothing is declared, or that fits no class of the sheet: ordinary. */
export const ORDINARY = { key: '', wearFactor: 1 } as const;

type Rated = Pick<ModelSheet, 'duty' | 'ratedPressureMPa' | 'ratedSpeedRpm'>;

/** The class of the sheet into which a declared duty falls: the first whose every condition holds; else ordinary. */
export function dutyClassOf(declared: DeclaredDuty, sheet: Rated): Pick<DutyClass, 'key' | 'wearFactor'> {
	const { liquid, pressureMPa, speedRpm } = declared;
	const reaches = (value: number | null | undefined, rated: number, share: number | undefined) =>
		share === undefined || (typeof value === 'number' && value >= share * rated);
	return (
		sheet.duty.find(
			({ when }) =>
				reaches(pressureMPa, sheet.ratedPressureMPa, when.pressureShare) &&
				reaches(speedRpm, sheet.ratedSpeedRpm, when.speedShare) &&
				(when.liquids === undefined || (!!liquid && when.liquids.some((text) => sameWords(text, liquid))))
		) ?? ORDINARY
	);
}

const sameWords = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** One stretch of a pump's running: up to this count of its hours it ran in a duty of this factor. */
export interface Stretch {
	readonly untilHours: number;
	readonly wearFactor: number;
}

/**
 * Duty hours between two counts of a pump's hours: each hour weighs its duty's factor. Past the last stretch its duty goes on;
 * without any, hours are ordinary.
 * Shape: stretches ascending. Errors: PreconditionError where the counts are not finite or in order.
 */
export function dutyHours(stretches: readonly Stretch[], from: number, to: number): number {
	requireThat(
		Number.isFinite(from) && Number.isFinite(to) && to >= from,
		'dutyHours',
		'hours',
		`${from} … ${to}`,
		'finite, in order'
	);
	let sum = 0;
	let at = from;
	for (const { untilHours, wearFactor } of stretches) {
		requireThat(Number.isFinite(untilHours), 'dutyHours', 'untilHours', untilHours, 'a finite number');
		requireThat(wearFactor > 0 && wearFactor < 1e3, 'dutyHours', 'wearFactor', wearFactor, 'above 0');
		if (untilHours <= at) continue;
		const end = Math.min(untilHours, to);
		sum += (end - at) * wearFactor;
		at = end;
		if (at >= to) return sum;
	}
	return sum + (to - at) * (stretches.at(-1)?.wearFactor ?? 1);
}
