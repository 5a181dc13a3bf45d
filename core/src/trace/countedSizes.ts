import { requireThat } from '../number';

/** One size of one part as it was read at one rebuild, by the pump's hours. */
export interface SizeInspection {
	readonly part: string;
	readonly characteristic: string;
	readonly pumpHours: number;
	/** The pump's hours when the part was fitted; null where no one knows. */
	readonly fittedHours: number | null;
	readonly beyond: boolean;
}

/**
 * Over how many hours each reading of a size watched for it to pass its limit: since it was last read, or the part fitted. A size that
 * is beyond once stays so, and is watched no longer; where no one knows since when, the reading does not count.
 * Shape: readings of one pump in any order; those that count, by the pump's hours. Errors: PreconditionError for hours not finite.
 */
export function countedSizes<L extends SizeInspection>(inspections: readonly L[]): (L & { readonly hours: number })[] {
	for (const { pumpHours, fittedHours } of inspections) {
		requireThat(Number.isFinite(pumpHours), 'countedSizes', 'pumpHours', pumpHours, 'a finite number');
		const known = Number.isFinite(fittedHours ?? 0);
		requireThat(known, 'countedSizes', 'fittedHours', fittedHours, 'a finite number, or null');
	}
	const watchedFrom = new Map<string, number>();
	return inspections
		.toSorted((a, b) => a.pumpHours - b.pumpHours)
		.flatMap((inspection) => {
			const key = `${inspection.part}/${inspection.characteristic}`;
			const from = watchedFrom.get(key) ?? inspection.fittedHours ?? Infinity;
			const wasBeyond = watchedFrom.get(key) === Infinity;
			watchedFrom.set(key, inspection.beyond || wasBeyond ? Infinity : inspection.pumpHours);
			return inspection.pumpHours > from ? [{ ...inspection, hours: inspection.pumpHours - from }] : [];
		});
}
