import { requireThat } from '../number';
import type { Onset } from '../record';
import type { Inspection } from './recurrence';

/** What one inspection at one part found, by the pump's hours. */
export interface PartInspection {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
	readonly pumpHours: number;
	/** The pump's hours when the part was fitted; null where no one knows. */
	readonly fittedHours: number | null;
	readonly marks: readonly { readonly pattern: string; readonly severity: number; readonly onset: Onset }[];
}

/** An inspection as it counts: what happened in service since the inspection before, over how many hours. */
export interface CountedInspection extends Omit<Inspection, 'hours'> {
	readonly pumpHours: number;
	/** Hours since the place was last looked at or its part fitted; undefined where neither is on record, and it cannot count. */
	readonly hours?: number;
	/** Patterns that were there at an earlier inspection at the same part and have not grown since: the same mark, not a new event. */
	readonly seenBefore: readonly string[];
	/** Marks that service did not make, or no one knows what did. */
	readonly keptOut: readonly Exclude<Onset, 'service'>[];
}

/**
 * What each inspection at one pump counts for.
 *
 * An event is a pattern made in service that is first seen in its part's life, or has grown in severity since the part's last
 * inspections. Exposure runs from look to look at a place, and no further back than the fitting of the part that lies there.
 * Shape: the looks at one pump in any order; answered by the pump's hours. Errors: PreconditionError for hours not finite.
 */
export function countedInspections<L extends PartInspection>(
	inspections: readonly L[]
): (Omit<L, 'marks'> & CountedInspection)[] {
	for (const { cylinder, pumpHours, fittedHours } of inspections) {
		requireThat(Number.isInteger(cylinder), 'countedInspections', 'cylinder', cylinder, 'a whole number');
		requireThat(Number.isFinite(pumpHours), 'countedInspections', 'pumpHours', pumpHours, 'a finite number');
		requireThat(
			Number.isFinite(fittedHours ?? 0),
			'countedInspections',
			'fittedHours',
			fittedHours,
			'a finite number, or null'
		);
	}
	const worst = new Map<string, number>();
	const lastInspection = new Map<string, number>();
	const inOrder = inspections.toSorted((a, b) => a.pumpHours - b.pumpHours);
	return inOrder.map(({ marks, ...inspection }) => {
		const place = `${inspection.station}/${inspection.cylinder}`;
		const from = Math.max(lastInspection.get(place) ?? -Infinity, inspection.fittedHours ?? -Infinity);
		lastInspection.set(place, inspection.pumpHours);
		const patterns: string[] = [];
		const seenBefore: string[] = [];
		for (const [pattern, severity] of worstInService(marks)) {
			const key = `${inspection.part}/${pattern}`;
			const before = worst.get(key) ?? 0;
			(severity > before ? patterns : seenBefore).push(pattern);
			worst.set(key, Math.max(before, severity));
		}
		const keptOut = marks.flatMap(({ onset }) => (onset === 'service' ? [] : [onset]));
		const hours = inspection.pumpHours - from;
		return { ...inspection, patterns, seenBefore, keptOut, ...(Number.isFinite(hours) && hours > 0 ? { hours } : {}) };
	});
}

function worstInService(marks: PartInspection['marks']): Map<string, number> {
	const worst = new Map<string, number>();
	for (const { pattern, severity, onset } of marks)
		if (onset === 'service') worst.set(pattern, Math.max(severity, worst.get(pattern) ?? 0));
	return worst;
}
