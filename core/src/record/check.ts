import { checkBolt, checkBuildStep, checkPutIn, checkUnitIn, checkWindow, firstUnbuilt } from './checkBuild';
import { effectiveTime, type Entry, type EntryOf } from './entry';
import { checkArrived } from './kinds/arrived';
import { checkAnswer } from './kinds/answer';
import { checkAsFound } from './kinds/asFound';
import { checkCylinderDone } from './kinds/cylinderDone';
import { checkDecision } from './kinds/decision';
import { checkFinding } from './kinds/finding';
import { checkFitted } from './kinds/fitted';
import { checkMark } from './kinds/mark';
import { checkProof } from './kinds/proof';
import { checkReading } from './kinds/reading';
import type { EntryProblem } from './problem';
import { checkStep } from './kinds/step';
import { blockedBy, uncleaned } from './stepOrder';
import { allSteps, stationsInScope, stepsInScope, type ModelSheet, type Opening } from './sheet';
import type { Together } from './together';

/** What the check of an entry has to know of its job. */
export interface JobFacts extends Opening {
	readonly sheet: ModelSheet;
	/** Station key of each part on the mat, by part id. */
	readonly stationOfPart: ReadonlyMap<string, string>;
	/** Steps that are signed off, with the moment that counts, ms since 1970. */
	readonly stepsDone: ReadonlyMap<string, number>;
	/** Of steps that are repeated, the cylinders at which they are done; left out where none is begun. */
	readonly cylindersDone?: ReadonlyMap<string, ReadonlySet<number>>;
	/** Questions of steps that are answered, by `askKey`. */
	readonly answers: ReadonlySet<string>;
	/** Whether the order of things is held: what was done off the network is past holding. */
	readonly holdOrder: boolean;
	/** How far the pump is together, asked for only where an entry is of that. */
	readonly together: () => Together;
}

/** Whether an entry fits its job: the part is on the mat, the size is on the sheet, an overrule has its reason. */
export function checkEntry(entry: Entry, job: JobFacts): EntryProblem | undefined {
	if (entry.kind === 'step') return checkStep(entry, job) ?? checkClosingStep(entry, job);
	if (entry.kind === 'cylinderDone') return checkCylinderDone(entry, job);
	if (entry.kind === 'answer') return checkAnswer(entry, job);
	if (entry.kind === 'arrived') return checkArrived(entry, job);
	if (entry.kind === 'proof') return checkProof(entry, job.sheet) ?? notTogether(job);
	if (entry.kind === 'unitIn') return notSafe(job) ?? checkUnitIn(entry, job.together(), job.holdOrder);
	if (!('part' in entry) || !entry.part) return undefined;
	const stationKey = job.stationOfPart.get(entry.part);
	const station = stationsInScope(job.sheet, job).find(({ key }) => key === stationKey);
	if (!station) return { code: 'unknownPart' };
	const unsafe = notSafe(job);
	if (unsafe) return unsafe;
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
		case 'putIn':
			return checkPutIn(entry, job.together(), job.holdOrder);
		case 'tightened':
			return checkBolt(entry, job.together(), job.holdOrder);
		default:
			return undefined;
	}
}

// What putting together and proving ask for besides: what is done off the network is past holding.
function checkClosingStep(entry: EntryOf<'step'>, job: JobFacts): EntryProblem | undefined {
	const step = allSteps(job.sheet, job).find(({ key }) => key === entry.payload.step)!;
	const closes = step.stage === 'build' || step.stage === 'prove';
	if (!job.holdOrder || !closes) return undefined;
	const late = checkWindow(step, effectiveTime(entry), job.stepsDone, job.sheet.products);
	if (step.stage === 'build')
		return checkBuildStep(step, job.together(), job.answers, entry.payload.despite !== undefined) ?? late;
	return notTogether(job) ?? late;
}

// Nothing is recorded of a pump that is not made safe.
function notSafe({ holdOrder, sheet, stepsDone, ...job }: JobFacts): EntryProblem | undefined {
	const [open] = holdOrder ? blockedBy(stepsInScope(sheet, job), stepsDone) : [];
	return open && { code: 'notSafeYet', before: open.text };
}

// Nothing is proved of a pump that is not together.
function notTogether({ holdOrder, together, answers }: JobFacts): EntryProblem | undefined {
	const open = holdOrder ? firstUnbuilt(together(), answers) : undefined;
	return open && { code: 'notTogether', before: open.text };
}
