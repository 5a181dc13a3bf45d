import {
	formatQuantity,
	unitLabel,
	type QuantityProblem,
	type Unit,
	type UnitPreference,
	shownUnit,
	dimensionOf
} from '@exetasis/core/quantity';
import type { EntryProblem } from '@exetasis/core/record';
import type { RefusedBecause } from '$lib/server/benchLog';

/** The sentence beside a field whose text is no quantity. */
export function quantitySentence(problem: QuantityProblem): string {
	switch (problem.code) {
		case 'empty':
			return 'Type a reading first.';
		case 'notANumber':
			return `“${problem.text}” is not a number. Type digits with one decimal point, and a unit if it is not the one shown.`;
		case 'unknownUnit':
			return `“${problem.text}” is not a unit that is known here. Leave it out, or type the one shown.`;
		case 'wrongDimension':
			return `${unitLabel(problem.unit)} does not measure this. Expected is ${unitLabel(problem.expected)}.`;
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

/** The sentence for an entry that was not taken, saying what to do. */
export function refusalSentence(problem: RefusedBecause, preference: UnitPreference): string {
	switch (problem.code) {
		case 'implausible':
			return implausible(problem, preference);
		case 'unknownPart':
			return 'This part does not lie on this mat. Reload the page to see the mat as it is.';
		case 'patternNotOfPart':
			return `A ${problem.part} does not show “${problem.pattern}”.`;
		case 'characteristicNotOnSheet':
			return `“${problem.characteristic}” of the ${problem.part} is not on this model sheet.`;
		case 'placeNotOnGrid':
			return 'The sheet has no such place to measure.';
		case 'wrongUnit':
			return `${problem.typed} does not measure this; expected is ${problem.expected}.`;
		case 'markOffSurface':
			return `The mark does not lie on the surface of the ${problem.part}. Paint it again.`;
		case 'overruleWithoutReason':
			return 'Overruling the proposal needs a reason: write why, then decide again.';
		case 'unknownStep':
			return 'The sheet has no such step.';
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
