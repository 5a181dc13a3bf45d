export * from './arrival';
export { customerSchema, LOGO_MOST, type Customer } from './customer';
export * from './batch';
export * from './bolts';
export { firstUnbuilt, keptOut, unitKeptOut, windowMinutes } from './checkBuild';
export * from './curing';
export * from './entry';
export * from './flowTest';
export * from './fold';
export {
	askedAt,
	askKey,
	consequences,
	differenceOf,
	placesAsked,
	tooFarApart,
	unanswered,
	type Answer,
	type Consequence
} from './kinds/answer';
export { BY_ITSELF } from './kinds/arrived';
export {
	brokenUp,
	foundLay,
	foundRan,
	foundWrong,
	hasDirection,
	type AsFound,
	type FoundWhere,
	type FoundWrong
} from './kinds/asFound';
export { isInspected } from './kinds/clean';
export { standingDecision, verdicts, verdictSchema, type Decision, type Verdict } from './kinds/decision';
export { onsets, type Finding, type Onset } from './kinds/finding';
export { checkFitted, type Fitted } from './kinds/fitted';
export type { Proof } from './kinds/proof';
export type { PutIn } from './kinds/putIn';
export type { Tightened } from './kinds/tightened';
export type { UnitIn } from './kinds/unitIn';
export { PHOTO_MOST, photoName } from './kinds/photo';
export type { Mark } from './kinds/mark';
export { BENCH_C, type Reading } from './kinds/reading';
export { checkPlausible } from './kinds/size';
export * from './jobFacts';
export * from './jobFile';
export { untouched, type JobState, type PartRecord } from './jobState';
export { effectiveTime } from './moment';
export * from './onTheBench';
export * from './problem';
export * from './proved';
export * from './reconcile';
export * from './runningLog';
export * from './powerTools';
export { nameText } from './nameText';
export * from './sheet';
export * from './sheetText';
export * from './stepOrder';
export * from './outOfOrder';
export * from './together';
