import * as core from '@exetasis/core/quantity';
import {
	unitLabel,
	type NumberProblem,
	type QuantityProblem,
	type Unit,
	type UnitPreference,
	shownUnit,
	dimensionOf
} from '@exetasis/core/quantity';
import * as page from '../ui/numbers';
import { inSentence, placeName } from './place';
import type { EntryKind, EntryProblem, RefusedBecause } from '@exetasis/core/record';

// On a page figures stand in its reader's own signs; the answer of a form is written on the server, which has no page.
const { formatNumber, formatQuantity } = typeof document === 'undefined' ? core : page;

/** The sentence beside a field whose text is no number. */
export function numberSentence(problem: NumberProblem, empty = 'Type a number first.'): string {
	switch (problem.code) {
		case 'empty':
			return empty;
		case 'notANumber':
			return `“${problem.text}” is not a number. Type digits with one decimal point, and a unit if it is not the one shown.`;
		case 'ambiguous':
			return `“${problem.text}” can be ${formatNumber(problem.grouped)} or ${problem.decimal}. Type ${problem.grouped} or ${problem.decimal}.`;
		case 'outOfRange':
			return `${beyond(problem.value, problem.least)}: type a number from ${formatNumber(problem.least)} to ${formatNumber(problem.most)}.`;
	}
}

const beyond = (value: number, least: number): string =>
	Number.isFinite(value) && Math.abs(value) < 1e15
		? `${formatNumber(value, Number.isInteger(value) ? 0 : 3)} is ${value < least ? 'below' : 'above'} what can be`
		: `This is ${value < least ? 'below' : 'above'} what can be`;

/** The sentence beside a field whose text is no quantity. */
export function quantitySentence(problem: QuantityProblem, empty = 'Type a reading first.'): string {
	switch (problem.code) {
		case 'unknownUnit':
			return `“${problem.text}” is not a unit that is known here. Leave it out, or type the one shown.`;
		case 'wrongDimension':
			return `${unitLabel(problem.unit)} does not measure this. Expected is ${unitLabel(problem.expected)}.`;
		case 'outOfRange': {
			const { value, least, most, unit } = problem;
			const [than, end] = value < least ? ['less', least] : ['more', most];
			return `This cannot be: ${than} than ${formatQuantity(end, unit, 0)}. Check the number and its unit.`;
		}
		default:
			return numberSentence(problem, empty);
	}
}

function implausible(
	{ value, nominal, unit, suspect }: Extract<EntryProblem, { code: 'implausible' }>,
	preference: UnitPreference
): string {
	const shown = shownUnit(dimensionOf(unit as Unit), preference);
	const sizes = `${formatQuantity(value, shown)} cannot be right for a part of ${formatQuantity(nominal, shown)}`;
	switch (suspect) {
		case 'inch':
			return `${sizes}. Was it read in inches, or in millimetres? Type the unit behind the number.`;
		case 'tenfold':
			return `${sizes}. Did the decimal point slip by one?`;
		case 'thousandfold':
			return `${sizes}. Was it read in metres or micrometres?`;
		default:
			return `${sizes}. Check the gauge and the unit, and read again.`;
	}
}

function deeperFirst({
	part,
	before,
	cylinder,
	why,
	sure,
	loose
}: Extract<RefusedBecause, { code: 'deeperFirst' }>): string {
	const first = placeName(before, cylinder);
	const wait = `Not yet: ${first} has to be ${loose ? 'tightened' : 'in'} before “${part}”.`;
	const from = sure === 'deduced' ? ' (The order is deduced, not stated by the maker.)' : '';
	return `${wait}${why ? ` ${why}` : ''}${from}`;
}

/** What people call each kind of entry. */
export const kindName: Readonly<Record<EntryKind, string>> = {
	asFound: 'how it was found',
	finding: 'Finding',
	clean: '“Nothing found”',
	reading: 'Reading',
	fitted: 'Size of the new part',
	mark: 'Mark on the surface',
	note: 'Note',
	photo: 'Photograph',
	decision: 'Decision',
	putIn: 'Part put in',
	unitIn: 'Sub-assembly put in',
	tightened: 'Bolt tightened',
	proof: 'Test of the pump',
	arrived: 'Parts that came in',
	step: 'Step signed off',
	cylinderDone: 'Step done at a cylinder',
	answer: 'Answer to a step',
	withdraw: 'Taking back',
	correction: 'Correction'
};

/** The sentence for an entry that was not taken, saying what to do. */
export function refusalSentence(problem: RefusedBecause, preference: UnitPreference): string {
	switch (problem.code) {
		case 'implausible':
			return implausible(problem, preference);
		case 'unknownPart':
			return 'This part does not lie on this mat. Reload the page to see the mat as it is.';
		case 'patternNotOfPart':
			return `The ${inSentence(problem.part)} does not show “${problem.pattern}”.`;
		case 'characteristicNotOnSheet':
			return `“${problem.characteristic}” of the ${inSentence(problem.part)} is not on this model sheet.`;
		case 'placeNotOnGrid':
			return 'The sheet has no such place to measure.';
		case 'wrongUnit':
			return `${problem.typed} does not measure this; expected is ${problem.expected}.`;
		case 'notAsTyped':
			return `What was typed (${problem.text} ${problem.unit}) is not the size that was sent. Type it again.`;
		case 'fittedBeyondLimit': {
			const shown = shownUnit(dimensionOf(problem.unit as Unit), preference);
			return `A new part of ${formatQuantity(problem.value, shown)} is at its discard limit of ${formatQuantity(problem.limit, shown)} already. Measure it again, or take another part.`;
		}
		case 'cylindersLeft':
			return `“${problem.step}” is begun cylinder by cylinder, and not done at ${problem.cylinders.map((cylinder) => `cylinder ${cylinder}`).join(', ')}.`;
		case 'stepTooEarly':
			return `First sign off “${problem.before}”, then “${problem.step}”.`;
		case 'notCleanedYet':
			return `Nothing is called clean before the cleaning is signed off: “${problem.before}”`;
		case 'notSafeYet':
			return `Not safe to work on yet: first sign off “${problem.before}” under Strip.`;
		case 'unknownGauge':
			return 'Your shop has no such gauge. Choose the gauge again and take the reading once more.';
		case 'photoMissing':
			return 'The photograph itself has not arrived. Send it again, or take it anew.';
		case 'notStorable':
			return 'The server could not store this. Record it again; if it happens once more, tell whoever keeps the server.';
		case 'markOffSurface':
			return `The mark does not lie on the surface of the ${inSentence(problem.part)}. Paint it again.`;
		case 'overruleWithoutReason':
			return 'Overruling the proposal needs a reason: write why, then decide again.';
		case 'notAnAnswer':
			return `That is no answer to what “${problem.step}” asks. Answer it again under Strip.`;
		case 'stepUnanswered':
			return `First answer what “${problem.step}” asks, then sign it off.`;
		case 'unknownWay':
			return `The sheet names no such way of doing “${problem.step}”. Choose one of those shown under Strip.`;
		case 'notAsFound':
			return `“${problem.part}” cannot have been found so. Say again where it lay or which way it faced, under Strip.`;
		case 'notDecided':
			return `Decide on the ${inSentence(problem.part)} first: nothing goes in that nobody has judged.`;
		case 'otherPiece':
			return problem.decided === 'replace'
				? `It was decided to replace the ${inSentence(problem.part)}: a new one goes in. To refit the old one, change the decision first.`
				: `It was decided to reuse the ${inSentence(problem.part)}: the old one goes back. To fit a new one, change the decision first.`;
		case 'gateNotJudged':
			return `First judge the ${inSentence(problem.gate)}: no ${inSentence(problem.part)} goes into it before.`;
		case 'deeperFirst':
			return deeperFirst(problem);
		case 'notJoined':
			return `The ${inSentence(problem.unit)} is not complete: join the ${inSentence(problem.part)} first.`;
		case 'unknownUnit':
			return `This job has no sub-assembly “${problem.unit}” at that cylinder. Reload the page.`;
		case 'shaftLocked':
			return `The shaft must not turn now, whatever the reason: ${problem.lock}`;
		case 'notInYet':
			return `Start the ${inSentence(problem.part)} by hand and say that they are in, then tighten.`;
		case 'noSuchBolt':
			return `The ${inSentence(problem.part)} have no bolt ${problem.bolt} that is tightened in this pass.`;
		case 'turnedTooFar':
			return `${problem.part} may be turned ${formatNumber(problem.mostDeg)}° past hand-tight, not ${formatNumber(problem.turnDeg)}°: more crushes what lies below. Loosen it, look at what it clamps, and count again.`;
		case 'boltTwice':
			return `Bolt ${problem.bolt} of the ${inSentence(problem.part)} is tight in pass ${problem.pass} already. Somebody may have done it just now.`;
		case 'boltOutOfTurn':
			return `Not bolt ${problem.bolt} yet: next is bolt ${problem.before} in pass ${problem.beforePass}.`;
		case 'notAllIn':
			return `“${problem.step}” is not done: ${placeName(problem.part, problem.cylinder)} is not in.`;
		case 'notTight':
			return `“${problem.step}” is not done: the ${inSentence(problem.part)} are not tight yet.`;
		case 'unknownStation':
			return `This job has no part “${problem.station}”. Choose one of those on its order.`;
		case 'notInKit':
			return `Kit ${problem.kit} holds no “${problem.station}”. Choose another kit, or say that it came by itself.`;
		case 'notTogether':
			return `The pump is not together yet: first “${problem.before}” under Build.`;
		case 'noSuchPlace':
			return `The sheet names no such place: ${problem.place}. Choose one of those shown under Prove.`;
		case 'pressureRose': {
			const shown = shownUnit('pressure', preference);
			return `The pressure cannot rise while it is held: from ${formatQuantity(problem.from, shown)} to ${formatQuantity(problem.to, shown)}. Was it still being pumped? Hold it again.`;
		}
		case 'tooLate':
			return `The ${formatNumber(problem.minutes)} minutes are over: what was coated has set. Clean it off, coat it again, and sign that step off anew.`;
		case 'unknownStep':
			return 'The sheet has no such step.';
		case 'notAtCylinder':
			return `“${problem.step}” is not done at cylinder ${problem.cylinder} here: that one is closed, or the step is done once for the whole pump.`;
		case 'malformed':
			return `The entry was not understood (${problem.path}: ${problem.message}).`;
		case 'notYours':
			return 'This was recorded under another sign-in. That person has to send it.';
		case 'otherJob':
			return 'This belongs to another job.';
		case 'released':
			return 'The job is released and takes no more entries. A lead can add a correction.';
		case 'leadOnly':
			return 'Only a lead can correct a released job.';
		case 'idTaken':
			return 'Another job already holds an entry of this number. Record it again.';
	}
}
