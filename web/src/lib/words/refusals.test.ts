import { describe, expect, it } from 'vitest';
import { metric, type UnitPreference } from '@exetasis/core/quantity';
import { refusedBecauseSchema, type RefusedBecause } from '@exetasis/core/record';
import { numberSentence, quantitySentence, refusalSentence } from './problems';

const inches: UnitPreference = { ...metric, length: 'in', pressure: 'psi' };
// Figures are set with spaces that do not break.
const plain = (sentence: string) => sentence.replaceAll(/[\u00a0\u202f]/g, ' ');
const say = (problem: RefusedBecause, units = metric) => plain(refusalSentence(problem, units));

const part = 'Inlet valve seat';
const step = 'Lock out the drive';
const before = 'Let the pressure off';

/** One of every refusal that there is, with what is said of it. */
const refusals: readonly (readonly [RefusedBecause, string])[] = [
	[{ code: 'unknownPart' }, 'This part does not lie on this mat. Reload the page to see the mat as it is.'],
	[{ code: 'patternNotOfPart', pattern: 'score', part }, 'The inlet valve seat does not show “score”.'],
	[
		{ code: 'characteristicNotOnSheet', characteristic: 'bore', part },
		'“bore” of the inlet valve seat is not on this model sheet.'
	],
	[{ code: 'placeNotOnGrid', row: 4, column: 9 }, 'The sheet has no such place to measure.'],
	[{ code: 'wrongUnit', typed: 'bar', expected: 'mm' }, 'bar does not measure this; expected is mm.'],
	[
		{ code: 'notAsTyped', value: 18, text: '17.5', unit: 'mm' },
		'What was typed (17.5 mm) is not the size that was sent. Type it again.'
	],
	[
		{ code: 'implausible', value: 0.708, nominal: 18, unit: 'mm', suspect: 'inch' },
		'0.708 mm cannot be right for a part of 18.000 mm. Was it read in inches, or in millimetres? Type the unit behind the number.'
	],
	[
		{ code: 'fittedBeyondLimit', value: 17.95, limit: 17.95, unit: 'mm' },
		'A new part of 17.950 mm is at its discard limit of 17.950 mm already. Measure it again, or take another part.'
	],
	[{ code: 'markOffSurface', part }, 'The mark does not lie on the surface of the inlet valve seat. Paint it again.'],
	[
		{ code: 'notAsFound', part },
		'“Inlet valve seat” cannot have been found so. Say again where it lay or which way it faced, under Strip.'
	],
	[{ code: 'overruleWithoutReason' }, 'Overruling the proposal needs a reason: write why, then decide again.'],
	[{ code: 'unknownStep', step }, 'The sheet has no such step.'],
	[
		{ code: 'unknownWay', step },
		'The sheet names no such way of doing “Lock out the drive”. Choose one of those shown under Strip.'
	],
	[
		{ code: 'cylindersLeft', step: 'Pull the cage', cylinders: [2, 3] },
		'“Pull the cage” is begun cylinder by cylinder, and not done at cylinder 2, cylinder 3.'
	],
	[{ code: 'stepTooEarly', step, before }, 'First sign off “Let the pressure off”, then “Lock out the drive”.'],
	[{ code: 'notSafeYet', before }, 'Not safe to work on yet: first sign off “Let the pressure off” under Strip.'],
	[
		{ code: 'notCleanedYet', before: 'Clean the valves' },
		'Nothing is called clean before the cleaning is signed off: “Clean the valves”'
	],
	[{ code: 'notDecided', part }, 'Decide on the inlet valve seat first: nothing goes in that nobody has judged.'],
	[
		{ code: 'otherPiece', part, decided: 'replace' },
		'It was decided to replace the inlet valve seat: a new one goes in. To refit the old one, change the decision first.'
	],
	[
		{ code: 'gateNotJudged', part: 'Packing', gate: 'Bore of the manifold' },
		'First judge the bore of the manifold: no packing goes into it before.'
	],
	[
		{ code: 'deeperFirst', part, before: 'V-packings', cylinder: 2, sure: 'stated', loose: false },
		'Not yet: V-packings, cylinder 2 has to be in before “Inlet valve seat”.'
	],
	[
		{
			code: 'deeperFirst',
			part: 'Cotter pin',
			before: 'Slotted nut',
			cylinder: 1,
			why: 'The pin goes in last.',
			sure: 'deduced',
			loose: true
		},
		'Not yet: Slotted nut, cylinder 1 has to be tightened before “Cotter pin”. The pin goes in last. (The order is deduced, not stated by the maker.)'
	],
	[
		{ code: 'notJoined', unit: 'Rear guide with its seal', part: 'Outer O-ring' },
		'The rear guide with its seal is not complete: join the outer O-ring first.'
	],
	[
		{ code: 'unknownUnit', unit: 'guideSet' },
		'This job has no sub-assembly “guideSet” at that cylinder. Reload the page.'
	],
	[
		{ code: 'shaftLocked', step: 'Turn', lock: 'The head is open.' },
		'The shaft must not turn now, whatever the reason: The head is open.'
	],
	[{ code: 'notInYet', part: 'Head bolts' }, 'Start the head bolts by hand and say that they are in, then tighten.'],
	[
		{ code: 'noSuchBolt', part: 'Head bolts', bolt: 9 },
		'The head bolts have no bolt 9 that is tightened in this pass.'
	],
	[
		{ code: 'turnedTooFar', part: 'Stem seat', turnDeg: 120, mostDeg: 90 },
		'Stem seat may be turned 90° past hand-tight, not 120°: more crushes what lies below. Loosen it, look at what it clamps, and count again.'
	],
	[
		{ code: 'boltTwice', part: 'Head bolts', bolt: 3, pass: 2 },
		'Bolt 3 of the head bolts is tight in pass 2 already. Somebody may have done it just now.'
	],
	[
		{ code: 'boltOutOfTurn', part: 'Head bolts', bolt: 3, before: 5, beforePass: 1 },
		'Not bolt 3 yet: next is bolt 5 in pass 1.'
	],
	[
		{ code: 'notAllIn', step: 'Close the head', part: 'Plunger', cylinder: 3 },
		'“Close the head” is not done: Plunger, cylinder 3 is not in.'
	],
	[
		{ code: 'notTight', step: 'Close the head', part: 'Head bolts' },
		'“Close the head” is not done: the head bolts are not tight yet.'
	],
	[
		{ code: 'unknownStation', station: 'sprocket' },
		'This job has no part “sprocket”. Choose one of those on its order.'
	],
	[
		{ code: 'notInKit', station: 'Plunger', kit: 'K2' },
		'Kit K2 holds no “Plunger”. Choose another kit, or say that it came by itself.'
	],
	[
		{ code: 'notTogether', before: 'Close the head' },
		'The pump is not together yet: first “Close the head” under Build.'
	],
	[
		{ code: 'noSuchPlace', place: 'behind' },
		'The sheet names no such place: behind. Choose one of those shown under Prove.'
	],
	[
		{ code: 'pressureRose', from: 10, to: 12 },
		'The pressure cannot rise while it is held: from 100 bar to 120 bar. Was it still being pumped? Hold it again.'
	],
	[
		{ code: 'tooLate', step, minutes: 15 },
		'The 15 minutes are over: what was coated has set. Clean it off, coat it again, and sign that step off anew.'
	],
	[{ code: 'notAnAnswer', step }, 'That is no answer to what “Lock out the drive” asks. Answer it again under Strip.'],
	[{ code: 'stepUnanswered', step }, 'First answer what “Lock out the drive” asks, then sign it off.'],
	[
		{ code: 'notAtCylinder', step: 'Pull the cage', cylinder: 3 },
		'“Pull the cage” is not done at cylinder 3 here: that one is closed, or the step is done once for the whole pump.'
	],
	[
		{ code: 'malformed', path: 'value', message: 'Expected number' },
		'The entry was not understood (value: Expected number).'
	],
	[{ code: 'unknownGauge' }, 'Your shop has no such gauge. Choose the gauge again and take the reading once more.'],
	[{ code: 'photoMissing' }, 'The photograph itself has not arrived. Send it again, or take it anew.'],
	[{ code: 'notYours' }, 'This was recorded under another sign-in. That person has to send it.'],
	[{ code: 'otherJob' }, 'This belongs to another job.'],
	[{ code: 'released' }, 'The job is released and takes no more entries. A lead can add a correction.'],
	[{ code: 'leadOnly' }, 'Only a lead can correct a released job.'],
	[{ code: 'idTaken' }, 'Another job already holds an entry of this number. Record it again.'],
	[
		{ code: 'notStorable' },
		'The server could not store this. Record it again; if it happens once more, tell whoever keeps the server.'
	]
];

describe('a refusal', () => {
	it.each(refusals)('of $code says what to do', (problem, sentence) => {
		expect(refusedBecauseSchema.parse(problem)).toEqual(problem);
		expect(say(problem)).toBe(sentence);
	});
	it('has a sentence whatever its code', () => {
		const codes = refusedBecauseSchema.options.map((option) => option.shape.code.value);
		expect(new Set(refusals.map(([{ code }]) => code))).toEqual(new Set(codes));
	});
	it('says what may have gone wrong with a size, as its factor suggests', () => {
		const off = (suspect?: 'tenfold' | 'thousandfold') =>
			say({ code: 'implausible', value: 180, nominal: 18, unit: 'mm', ...(suspect ? { suspect } : {}) });
		expect(off('tenfold')).toContain('Did the decimal point slip by one?');
		expect(off('thousandfold')).toContain('Was it read in metres or micrometres?');
		expect(off()).toContain('Check the gauge and the unit, and read again.');
	});
	it('speaks in the reader’s units', () => {
		expect(say({ code: 'fittedBeyondLimit', value: 25.4, limit: 25.4, unit: 'mm' }, inches)).toContain('1.0000 in');
		expect(say({ code: 'pressureRose', from: 10, to: 12 }, inches)).toContain('psi');
	});
	it('of the other piece says how to come by the old one, or by a new one', () => {
		expect(say({ code: 'otherPiece', part, decided: 'reuse' })).toBe(
			'It was decided to reuse the inlet valve seat: the old one goes back. To fit a new one, change the decision first.'
		);
	});
});

describe('what is typed and is no number', () => {
	it('is answered with what may be typed', () => {
		expect(numberSentence({ code: 'empty' })).toBe('Type a number first.');
		expect(numberSentence({ code: 'empty' }, 'Type the hours first.')).toBe('Type the hours first.');
		expect(numberSentence({ code: 'notANumber', text: 'deep' })).toBe(
			'“deep” is not a number. Type digits with one decimal point, and a unit if it is not the one shown.'
		);
		expect(plain(numberSentence({ code: 'ambiguous', text: '12,450', grouped: 12450, decimal: 12.45 }))).toBe(
			'“12,450” can be 12 450 or 12.45. Type 12450 or 12.45.'
		);
	});
	it('is told between what it may lie, and is not repeated where it has no end', () => {
		const range = { code: 'outOfRange', least: 0, most: 200000 } as const;
		expect(plain(numberSentence({ ...range, value: -3 }))).toBe(
			'−3 is below what can be: type a number from 0 to 200 000.'
		);
		expect(plain(numberSentence({ ...range, value: 1e6 }))).toBe(
			'1 000 000 is above what can be: type a number from 0 to 200 000.'
		);
		expect(plain(numberSentence({ ...range, value: 1e300 }))).toBe(
			'This is above what can be: type a number from 0 to 200 000.'
		);
	});
	it('is told the unit where that is what is wrong', () => {
		expect(quantitySentence({ code: 'unknownUnit', text: 'furlong' })).toBe(
			'“furlong” is not a unit that is known here. Leave it out, or type the one shown.'
		);
		expect(quantitySentence({ code: 'wrongDimension', unit: 'bar', expected: 'mm' })).toBe(
			'bar does not measure this. Expected is mm.'
		);
		expect(plain(quantitySentence({ code: 'outOfRange', value: -400, least: -273, most: 1000, unit: 'C' }))).toBe(
			'This cannot be: less than −273 °C. Check the number and its unit.'
		);
		expect(plain(quantitySentence({ code: 'outOfRange', value: 4000, least: -273, most: 1000, unit: 'C' }))).toBe(
			'This cannot be: more than 1 000 °C. Check the number and its unit.'
		);
		expect(quantitySentence({ code: 'empty' })).toBe('Type a reading first.');
	});
});
