import { z } from 'zod';
import { checkBuildStep, checkWindow, notTogether } from '../checkBuild';
import type { JobFacts } from '../jobFacts';
import { effectiveTime } from '../moment';
import { locksInForce, mayTurn } from '../onTheBench';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders } from '../sheet';
import { blockedBy, waitsFor } from '../stepOrder';
import { unanswered } from './answer';
import { common, schemaOf, words } from './common';
import { jobKind } from './kind';

const key = z.string().min(1).max(60);
/** A step of the model sheet signed off, with the way in which it was done where good people differ. */
const schema = schemaOf(
	'step',
	common,
	z.strictObject({
		step: key,
		way: key.optional(),
		/** Why it was done before something that should come first. */
		despite: words.optional()
	})
);
export type StepDone = z.infer<typeof schema>;

export const step = jobKind({
	schema,
	add: ({ steps }, entry) => steps.set(entry.payload.step, entry),
	check: (entry, job) => checkStep(entry, job) ?? checkClosingStep(entry, job),
	bearsOnBuild: true,
	ordered: true
});

function checkStep({ payload }: StepDone, { sheet, log, holdOrder, ...job }: JobFacts): EntryProblem | undefined {
	const steps = allSteps(sheet, job);
	const step = steps.find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	if (payload.way !== undefined && !step.ways.some(({ key }) => key === payload.way))
		return { code: 'unknownWay', step: step.text };
	if (!holdOrder) return undefined;
	const { steps: done, cylindersDone, answers } = log();
	// What makes the pump safe, and the shaft that must not turn, are held for any reason.
	const [unsafe] = step.blocking ? [] : blockedBy(steps, done);
	if (unsafe) return { code: 'stepTooEarly', step: step.text, before: unsafe.text };
	if (step.crank && !mayTurn(steps, done, step)) {
		const [{ text }] = locksInForce(steps, done);
		return { code: 'shaftLocked', step: step.text, lock: text };
	}
	const [before] = payload.despite && !step.blocking ? [] : waitsFor(steps, step, done);
	if (before) return { code: 'stepTooEarly', step: step.text, before: before.text };
	// Once it is counted by cylinder, all of them count.
	const begun = cylindersDone.get(step.key);
	const left = begun ? openedCylinders(sheet, job).filter((cylinder) => !begun.has(cylinder)) : [];
	if (left.length > 0) return { code: 'cylindersLeft', step: step.text, cylinders: left };
	return unanswered(step, answers, openedCylinders(sheet, job)).length > 0
		? { code: 'stepUnanswered', step: step.text }
		: undefined;
}

// What putting together and proving ask for besides: what is done off the network is past holding.
function checkClosingStep(entry: StepDone, job: JobFacts): EntryProblem | undefined {
	const step = allSteps(job.sheet, job).find(({ key }) => key === entry.payload.step)!;
	const closes = step.stage === 'build' || step.stage === 'prove';
	if (!job.holdOrder || !closes) return undefined;
	const { steps, answers } = job.log();
	const late = checkWindow(step, effectiveTime(entry), steps, job.sheet.products);
	if (step.stage === 'build')
		return checkBuildStep(step, job.together(), answers, entry.payload.despite !== undefined) ?? late;
	return notTogether(job) ?? late;
}
