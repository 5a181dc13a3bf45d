import type { JobState } from './jobState';
import type { ModelSheet, Opening } from './sheet';
import type { Together } from './together';

/** What the check of an entry has to know of its job. */
export interface JobFacts extends Opening {
	readonly sheet: ModelSheet;
	/** Station key of each part on the mat, by part id. */
	readonly stationOfPart: ReadonlyMap<string, string>;
	/** Whether the order of things is held: what was done off the network is past holding. */
	readonly holdOrder: boolean;
	/** What the log says so far; asked for only where the check of an entry rests on it. */
	readonly log: () => JobState;
	/** How far the pump is together, asked for only where an entry is of that. */
	readonly together: () => Together;
}
