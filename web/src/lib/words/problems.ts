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

const refusals: {
	readonly [Code in RefusedBecause['code']]: (
		problem: Extract<RefusedBecause, { code: Code }>,
		format: Format
	) => string;
} = {
	implausible: (problem, format) => implausible(problem, format),
	unknownPart: () => 'This part is not in this job. Reload the page to see the current parts.',
	patternNotOfPart: (problem) =>
		`“${problem.pattern}” is not a damage pattern of the ${inSentence(problem.part)}. Choose one from its list.`,
	characteristicNotOnSheet: (problem) =>
		`“${problem.characteristic}” of the ${inSentence(problem.part)} is not on this model sheet.`,
	pointNotOnGrid: () => 'The model sheet does not have this measuring point. Reload the page and measure again.',
	wrongUnit: (problem) => `${problem.typed} is the wrong kind of unit. Use ${problem.expected}.`,
	notAsTyped: (problem) =>
		`The typed value (${problem.text} ${problem.unit}) and the size sent do not agree. Type it again.`,
	fittedBeyondLimit: (problem, format) => {
		const shown = shownUnit(dimensionOf(problem.unit as Unit), format.units);
		return `A new part of ${format.quantity(problem.value, shown)} is already at its discard limit of ${format.quantity(problem.limit, shown)}. Measure it again or use another part.`;
	},
	cylindersLeft: (problem) =>
		`“${problem.step}” is not finished at ${problem.cylinders.map((cylinder) => `cylinder ${cylinder}`).join(', ')}.`,
	stepTooEarly: (problem) => `First sign off “${problem.before}”, then “${problem.step}”.`,
	notCleanedYet: (problem) =>
		`Sign off “${problem.before}” first. A part can be recorded as undamaged only after cleaning.`,
	notSafeYet: (problem) => `Not safe to work on yet. First sign off “${problem.before}” under Strip.`,
	unknownGauge: () => 'Your shop does not have this gauge. Choose a gauge and read again.',
	photoMissing: () => 'The photograph did not arrive. Send it again or take a new one.',
	notStorable: () => 'The server could not store this. Record it again. If it fails again, tell your administrator.',
	markOffSurface: (problem) => `The mark is outside the surface of the ${inSentence(problem.part)}. Draw it again.`,
	overruleWithoutReason: () => 'To overrule the proposal, write a reason. Then decide again.',
	notAnAnswer: (problem) =>
		`This answer does not match the question of “${problem.step}”. Answer it again under Strip.`,
	stepUnanswered: (problem) => `Answer the questions of “${problem.step}”, then sign it off.`,
	unknownWay: (problem) =>
		`This method is not on the sheet for “${problem.step}”. Choose one of the methods shown under Strip.`,
	notAsFound: (problem) => `This condition as found does not apply to “${problem.part}”. Record it again under Strip.`,
	notDecided: (problem) =>
		`Decide on the ${inSentence(problem.part)} first. A part can be fitted only after a decision.`,
	otherPiece: (problem) =>
		problem.decided === 'replace'
			? `The ${inSentence(problem.part)} is to be replaced, so fit a new one. To refit the old one, change the decision first.`
			: `The ${inSentence(problem.part)} is to be reused, so refit the old one. To fit a new one, change the decision first.`,
	gateNotJudged: (problem) =>
		`Decide on the ${inSentence(problem.gate)} first. The ${inSentence(problem.part)} is fitted into it.`,
	deeperFirst: (problem) => deeperFirst(problem),
	notJoined: (problem) =>
		`The ${inSentence(problem.unit)} is not complete. Join the ${inSentence(problem.part)} first.`,
	unknownUnit: (problem) =>
		`This job does not have the sub-assembly “${problem.unit}” at that cylinder. Reload the page.`,
	shaftLocked: (problem) => `The shaft must not turn now. ${problem.lock}`,
	notInYet: (problem) => `Start the ${inSentence(problem.part)} by hand and mark them as fitted, then tighten.`,
	noSuchBolt: (problem) => `Bolt ${problem.bolt} of the ${inSentence(problem.part)} is not tightened in this pass.`,
	turnedTooFar: (problem, format) =>
		`${problem.part} may be turned ${format.number(problem.mostDeg)}° past hand-tight, not ${format.number(problem.turnDeg)}°. Turning further crushes the parts below. Loosen it, check the clamped parts, and count again.`,
	boltTwice: (problem) =>
		`Bolt ${problem.bolt} of the ${inSentence(problem.part)} is already tight in pass ${problem.pass}. A colleague may have tightened it just now.`,
	boltOutOfTurn: (problem) =>
		`Tighten bolt ${problem.before} in pass ${problem.beforePass} before bolt ${problem.bolt}.`,
	notAllIn: (problem) =>
		`“${problem.step}” is not finished. Fit ${inSentence(placeName(problem.part, problem.cylinder))} first.`,
	notTight: (problem) => `“${problem.step}” is not finished. Tighten the ${inSentence(problem.part)} first.`,
	unknownStation: (problem) => `“${problem.station}” is not a part of this job. Choose a part from its order.`,
	notInKit: (problem) =>
		`Kit ${problem.kit} does not contain “${problem.station}”. Choose another kit, or record it as a single part.`,
	notTogether: (problem) => `The pump is not assembled yet. First sign off “${problem.before}” under Build.`,
	noSuchPlace: (problem) => `“${problem.place}” is not on the sheet. Choose one of the places shown under Prove.`,
	pressureRose: (problem, format) => {
		const shown = shownUnit('pressure', format.units);
		return `The pressure rose from ${format.quantity(problem.from, shown)} to ${format.quantity(problem.to, shown)} during the hold. Check that the pump is off and repeat the test.`;
	},
	tooLate: (problem, format) =>
		`The ${format.number(problem.minutes)} minutes are over and the sealant has set. Clean it off, apply it again and sign that step off again.`,
	unknownStep: () => 'This step is not on the model sheet. Reload the page.',
	notAtCylinder: (problem) =>
		`“${problem.step}” does not apply to cylinder ${problem.cylinder}. The cylinder is closed, or the step is for the whole pump.`,
	malformed: (problem) =>
		`The server could not read this entry (${problem.path}: ${problem.message}). Reload the page and record it again.`,
	notYours: () => 'Not saved: it was recorded by another person. Ask them to sign in and send it.',
	otherJob: () => 'Not saved: this entry belongs to another job.',
	released: () => 'The job is released and closed for entries. A lead can add a correction.',
	leadOnly: () => 'Only a lead can correct a released job.',
	idTaken: () => 'An entry with this number exists in another job. Record it again.'
};

/** The sentence for an entry that was not taken, saying what to do. */
export function refusalSentence(problem: RefusedBecause, format: Format): string {
	const sentence = refusals[problem.code] as (problem: RefusedBecause, format: Format) => string;
	return sentence(problem, format);
}
