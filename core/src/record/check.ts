import type { Entry } from './entry';
import { checkAnswer } from './kinds/answer';
import { checkAsFound } from './kinds/asFound';
import { checkDecision } from './kinds/decision';
import { checkFinding } from './kinds/finding';
import { checkFitted } from './kinds/fitted';
import { checkMark } from './kinds/mark';
import { checkReading } from './kinds/reading';
import type { EntryProblem } from './problem';
import { checkStep } from './kinds/step';
import { blockedBy, uncleaned } from './stepOrder';
import { stationsInScope, stepsInScope, type ModelSheet, type Opening } from './sheet';

/** What the check of an entry has to know of its job. */
export interface JobFacts extends Opening {
	readonly sheet: ModelSheet;
	/** Station key of each part on the mat, by part id. */
	readonly stationOfPart: ReadonlyMap<string, string>;
	/** Keys of the steps that are signed off, and whether their order is held: what was done off the network is past holding. */
	readonly stepsDone: ReadonlySet<string>;
	/** Questions of steps that are answered, by `askKey`. */
	readonly answers: ReadonlySet<string>;
	readonly holdOrder: boolean;
}

/** Whether an entry fits its job: the part is on the mat, the size is on the sheet, an overrule has its reason. */
export function checkEntry(entry: Entry, job: JobFacts): EntryProblem | undefined {
	if (entry.kind === 'step') return checkStep(entry, job);
	if (entry.kind === 'answer') return checkAnswer(entry, job);
	if (!('part' in entry) || !entry.part) return undefined;
	const stationKey = job.stationOfPart.get(entry.part);
	const station = stationsInScope(job.sheet, job).find(({ key }) => key === stationKey);
	if (!station) return { code: 'unknownPart' };
	const [open] = job.holdOrder ? blockedBy(stepsInScope(job.sheet, job), job.stepsDone) : [];
	if (open) return { code: 'notSafeYet', before: open.text };
	switch (entry.kind) {
		case 'asFound':
			return checkAsFound(entry, station, job.sheet);
		case 'clean': {
			const [dirty] = job.holdOrder ? uncleaned(stepsInScope(job.sheet, job), job.stepsDone) : [];
			return dirty && { code: 'notCleanedYet', before: dirty.text };
		}
		case 'finding':
			return checkFinding(entry, station);
		case 'reading':
			return checkReading(entry, station);
		case 'fitted':
			return checkFitted(entry.payload, station);
		case 'mark':
			return checkMark(entry, station);
		case 'decision':
			return checkDecision(entry);
		default:
			return undefined;
	}
}
