import {
	unitLabel,
	type NumberProblem,
	type QuantityProblem,
	type Unit,
	shownUnit,
	dimensionOf
} from '@exetasis/core/quantity';
import type { Format } from '../format/numbers';
import { inSentence, placeName } from './place';
import type { EntryKind, EntryProblem, RefusedBecause } from '@exetasis/core/record';

/** The sentence beside a field whose text is no number. */
export function numberSentence(problem: NumberProblem, format: Format, empty = 'Type a number first.'): string {
	switch (problem.code) {
		case 'empty':
			return empty;
		case 'notANumber':
			return `“${problem.text}” is not a number. Type digits with one decimal point. Add the unit if it differs from the one shown.`;
		case 'ambiguous':
			return `“${problem.text}” can mean ${format.number(problem.grouped)} or ${problem.decimal}. Type ${problem.grouped} or ${problem.decimal}.`;
		case 'outOfRange':
			return `${beyond(problem.value, problem.least, format)}. Type a number from ${format.number(problem.least)} to ${format.number(problem.most)}.`;
	}
}

const beyond = (value: number, least: number, format: Format): string =>
	Number.isFinite(value) && Math.abs(value) < 1e15
		? `${format.number(value, Number.isInteger(value) ? 0 : 3)} is too ${value < least ? 'small' : 'large'}`
		: `This number is too ${value < least ? 'small' : 'large'}`;

/** The sentence beside a field whose text is no quantity. */
export function quantitySentence(problem: QuantityProblem, format: Format, empty = 'Type a reading first.'): string {
	switch (problem.code) {
		case 'unknownUnit':
			return `“${problem.text}” is not a known unit. Leave the unit out, or type the one shown.`;
		case 'wrongDimension':
			return `${unitLabel(problem.unit)} is the wrong kind of unit. Use ${unitLabel(problem.expected)}.`;
		case 'outOfRange': {
			const { value, least, most, unit } = problem;
			const [than, end] = value < least ? ['less', least] : ['more', most];
			return `This value is ${than} than ${format.quantity(end, unit, 0)}. Check the number and its unit.`;
		}
		default:
			return numberSentence(problem, format, empty);
	}
}

function implausible(
	{ value, nominal, unit, suspect }: Extract<EntryProblem, { code: 'implausible' }>,
	format: Format
): string {
	const shown = shownUnit(dimensionOf(unit as Unit), format.units);
	const sizes = `${format.quantity(value, shown)} is not plausible for a part of ${format.quantity(nominal, shown)}`;
	switch (suspect) {
		case 'inch':
			return `${sizes}. Was it read in inches or in millimetres? Type the unit after the number.`;
		case 'tenfold':
			return `${sizes}. Did the decimal point slip by one?`;
		case 'thousandfold':
			return `${sizes}. Was it read in metres or in micrometres?`;
		default:
			return `${sizes}. Check the gauge and the unit, and read it again.`;
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
	const wait = `First ${loose ? 'tighten' : 'fit'} ${inSentence(first)}, then “${part}”.`;
	const from = sure === 'deduced' ? ' (This order is deduced. The maker does not state it.)' : '';
	return `${wait}${why ? ` ${why}` : ''}${from}`;
}

/** What people call each kind of entry. */
export const kindName: Readonly<Record<EntryKind, string>> = {
	asFound: 'Condition as found',
	finding: 'Finding',
	clean: 'No damage found',
	reading: 'Reading',
	fitted: 'Size of the new part',
	mark: 'Mark on the surface',
	note: 'Note',
	photo: 'Photograph',
	decision: 'Decision',
	putIn: 'Part fitted',
	unitIn: 'Sub-assembly fitted',
	tightened: 'Bolt tightened',
	proof: 'Pump test',
	arrived: 'Parts received',
	step: 'Step signed off',
	cylinderDone: 'Step done at a cylinder',
	answer: 'Answer to a step',
	withdraw: 'Undo',
	correction: 'Correction'
};

/** The sentence for an entry that was not taken, saying what to do. */
export function refusalSentence(problem: RefusedBecause, format: Format): string {
	switch (problem.code) {
		case 'implausible':
			return implausible(problem, format);
		case 'unknownPart':
			return 'This part is not in this job. Reload the page to see the current parts.';
		case 'patternNotOfPart':
			return `“${problem.pattern}” is not a damage pattern of the ${inSentence(problem.part)}. Choose one from its list.`;
		case 'characteristicNotOnSheet':
			return `“${problem.characteristic}” of the ${inSentence(problem.part)} is not on this model sheet.`;
		case 'placeNotOnGrid':
			return 'The model sheet does not have this measuring place. Reload the page and measure again.';
		case 'wrongUnit':
			return `${problem.typed} is the wrong kind of unit. Use ${problem.expected}.`;
		case 'notAsTyped':
			return `The typed value (${problem.text} ${problem.unit}) and the size sent do not agree. Type it again.`;
		case 'fittedBeyondLimit': {
			const shown = shownUnit(dimensionOf(problem.unit as Unit), format.units);
			return `A new part of ${format.quantity(problem.value, shown)} is already at its discard limit of ${format.quantity(problem.limit, shown)}. Measure it again or use another part.`;
		}
		case 'cylindersLeft':
			return `“${problem.step}” is not finished at ${problem.cylinders.map((cylinder) => `cylinder ${cylinder}`).join(', ')}.`;
		case 'stepTooEarly':
			return `First sign off “${problem.before}”, then “${problem.step}”.`;
		case 'notCleanedYet':
			return `Sign off “${problem.before}” first. A part can be recorded as undamaged only after cleaning.`;
		case 'notSafeYet':
			return `Not safe to work on yet. First sign off “${problem.before}” under Strip.`;
		case 'unknownGauge':
			return 'Your shop does not have this gauge. Choose a gauge and read again.';
		case 'photoMissing':
			return 'The photograph did not arrive. Send it again or take a new one.';
		case 'notStorable':
			return 'The server could not store this. Record it again. If it fails again, tell your administrator.';
		case 'markOffSurface':
			return `The mark is outside the surface of the ${inSentence(problem.part)}. Draw it again.`;
		case 'overruleWithoutReason':
			return 'To overrule the proposal, write a reason. Then decide again.';
		case 'notAnAnswer':
			return `This answer does not match the question of “${problem.step}”. Answer it again under Strip.`;
		case 'stepUnanswered':
			return `Answer the questions of “${problem.step}”, then sign it off.`;
		case 'unknownWay':
			return `This method is not on the sheet for “${problem.step}”. Choose one of the methods shown under Strip.`;
		case 'notAsFound':
			return `This condition as found does not apply to “${problem.part}”. Record it again under Strip.`;
		case 'notDecided':
			return `Decide on the ${inSentence(problem.part)} first. A part can be fitted only after a decision.`;
		case 'otherPiece':
			return problem.decided === 'replace'
				? `The ${inSentence(problem.part)} is to be replaced, so fit a new one. To refit the old one, change the decision first.`
				: `The ${inSentence(problem.part)} is to be reused, so refit the old one. To fit a new one, change the decision first.`;
		case 'gateNotJudged':
			return `Decide on the ${inSentence(problem.gate)} first. The ${inSentence(problem.part)} is fitted into it.`;
		case 'deeperFirst':
			return deeperFirst(problem);
		case 'notJoined':
			return `The ${inSentence(problem.unit)} is not complete. Join the ${inSentence(problem.part)} first.`;
		case 'unknownUnit':
			return `This job does not have the sub-assembly “${problem.unit}” at that cylinder. Reload the page.`;
		case 'shaftLocked':
			return `The shaft must not turn now. ${problem.lock}`;
		case 'notInYet':
			return `Start the ${inSentence(problem.part)} by hand and mark them as fitted, then tighten.`;
		case 'noSuchBolt':
			return `Bolt ${problem.bolt} of the ${inSentence(problem.part)} is not tightened in this pass.`;
		case 'turnedTooFar':
			return `${problem.part} may be turned ${format.number(problem.mostDeg)}° past hand-tight, not ${format.number(problem.turnDeg)}°. Turning further crushes the parts below. Loosen it, check the clamped parts, and count again.`;
		case 'boltTwice':
			return `Bolt ${problem.bolt} of the ${inSentence(problem.part)} is already tight in pass ${problem.pass}. A colleague may have tightened it just now.`;
		case 'boltOutOfTurn':
			return `Tighten bolt ${problem.before} in pass ${problem.beforePass} before bolt ${problem.bolt}.`;
		case 'notAllIn':
			return `“${problem.step}” is not finished. Fit ${inSentence(placeName(problem.part, problem.cylinder))} first.`;
		case 'notTight':
			return `“${problem.step}” is not finished. Tighten the ${inSentence(problem.part)} first.`;
		case 'unknownStation':
			return `“${problem.station}” is not a part of this job. Choose a part from its order.`;
		case 'notInKit':
			return `Kit ${problem.kit} does not contain “${problem.station}”. Choose another kit, or record it as a single part.`;
		case 'notTogether':
			return `The pump is not assembled yet. First sign off “${problem.before}” under Build.`;
		case 'noSuchPlace':
			return `“${problem.place}” is not on the sheet. Choose one of the places shown under Prove.`;
		case 'pressureRose': {
			const shown = shownUnit('pressure', format.units);
			return `The pressure rose from ${format.quantity(problem.from, shown)} to ${format.quantity(problem.to, shown)} during the hold. Check that the pump is off and repeat the test.`;
		}
		case 'tooLate':
			return `The ${format.number(problem.minutes)} minutes are over and the sealant has set. Clean it off, apply it again and sign that step off again.`;
		case 'unknownStep':
			return 'This step is not on the model sheet. Reload the page.';
		case 'notAtCylinder':
			return `“${problem.step}” does not apply to cylinder ${problem.cylinder}. The cylinder is closed, or the step is for the whole pump.`;
		case 'malformed':
			return `The server could not read this entry (${problem.path}: ${problem.message}). Reload the page and record it again.`;
		case 'notYours':
			return 'Not saved: it was recorded by another person. Ask them to sign in and send it.';
		case 'otherJob':
			return 'Not saved: this entry belongs to another job.';
		case 'released':
			return 'The job is released and closed for entries. A lead can add a correction.';
		case 'leadOnly':
			return 'Only a lead can correct a released job.';
		case 'idTaken':
			return 'An entry with this number exists in another job. Record it again.';
	}
}
