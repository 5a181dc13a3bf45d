/**
 * What a gauge's certificate and the shop's own study say about it. Lengths in mm (or the base unit of what it measures).
 */
export interface GaugeFacts {
	/** Smallest step of the display or scale. */
	readonly resolution: number;
	/** Expanded uncertainty of the calibration, and its coverage factor. */
	readonly calibrationU: number;
	readonly calibrationK: number;
	/** Standard deviation of repeated readings of one point by one person (pooled, from the gauge study), with its degrees of freedom. */
	readonly repeatability: number;
	readonly repeatabilityDof: number;
	/** Standard deviation between technicians, 0 where not studied. */
	readonly reproducibility: number;
	/** Thermal expansion of the gauge's frame or scale, 1/K. */
	readonly expansionPerKelvin: number;
	/** True where the certificate is past its date: usable, but its share is widened (see `OVERDUE_FACTOR`). */
	readonly overdue: boolean;
}

/** An overdue certificate still counts, with twice its stated uncertainty: our own convention, shown to the user. */
export const OVERDUE_FACTOR = 2;
