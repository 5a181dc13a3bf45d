import { describe, expect, it } from 'vitest';
import { metric } from '@exetasis/core/quantity';
import { refusedBecauseSchema, type RefusedBecause } from '@exetasis/core/record';
import { numberSentence, quantitySentence, refusalSentence } from './problems';
import { defaultFormat, formatFor } from '../format/numbers';

const inches = formatFor(() => ({ units: { ...metric, length: 'in', pressure: 'psi' }, numerals: 'point-space' }));
// Figures are set with spaces that do not break.
const plain = (sentence: string) => sentence.replaceAll(/[\u00a0\u202f]/g, ' ');
const say = (problem: RefusedBecause, format = defaultFormat) => plain(refusalSentence(problem, format));

const part = 'Inlet valve seat';
const step = 'Lock out the drive';
const before = 'Let the pressure off';

/** One of every refusal that there is, with what is said of it. */
const refusals: readonly (readonly [RefusedBecause, string])[] = [
	[{ code: 'unknownPart' }, 'This part is not in this job. Reload the page to see the current parts.'],
	[
		{ code: 'patternNotOfPart', pattern: 'score', part },
		'“score” is not a damage pattern of the inlet valve seat. Choose one from its list.'
	],
	[
		{ code: 'characteristicNotOnSheet', characteristic: 'bore', part },
		'“bore” of the inlet valve seat is not on this model sheet.'
	],
	[
		{ code: 'pointNotOnGrid', row: 4, column: 9 },
		'The model sheet does not have this measuring point. Reload the page and measure again.'
	],
	[{ code: 'wrongUnit', typed: 'bar', expected: 'mm' }, 'bar is the wrong kind of unit. Use mm.'],
	[
		{ code: 'notAsTyped', value: 18, text: '17.5', unit: 'mm' },
		'The typed value (17.5 mm) and the size sent do not agree. Type it again.'
	],
	[
		{ code: 'implausible', value: 0.708, nominal: 18, unit: 'mm', suspect: 'inch' },
		'0.708 mm is not plausible for a part of 18.000 mm. Was it read in inches or in millimetres? Type the unit after the number.'
	],
	[
		{ code: 'fittedBeyondLimit', value: 17.95, limit: 17.95, unit: 'mm' },
		'A new part of 17.950 mm is already at its discard limit of 17.950 mm. Measure it again or use another part.'
	],
	[{ code: 'markOffSurface', part }, 'The mark is outside the surface of the inlet valve seat. Draw it again.'],
	[
		{ code: 'notAsFound', part },
		'This condition as found does not apply to “Inlet valve seat”. Record it again under Strip.'
	],
	[{ code: 'overruleWithoutReason' }, 'To overrule the proposal, write a reason. Then decide again.'],
	[{ code: 'unknownStep', step }, 'This step is not on the model sheet. Reload the page.'],
	[
		{ code: 'unknownWay', step },
		'This method is not on the sheet for “Lock out the drive”. Choose one of the methods shown under Strip.'
	],
	[
		{ code: 'cylindersLeft', step: 'Pull the cage', cylinders: [2, 3] },
		'“Pull the cage” is not finished at cylinder 2, cylinder 3.'
	],
	[{ code: 'stepTooEarly', step, before }, 'First sign off “Let the pressure off”, then “Lock out the drive”.'],
	[{ code: 'notSafeYet', before }, 'Not safe to work on yet. First sign off “Let the pressure off” under Strip.'],
	[
		{ code: 'notCleanedYet', before: 'Clean the valves' },
		'Sign off “Clean the valves” first. A part can be recorded as undamaged only after cleaning.'
	],
	[{ code: 'notDecided', part }, 'Decide on the inlet valve seat first. A part can be fitted only after a decision.'],
	[
		{ code: 'otherPiece', part, decided: 'replace' },
		'The inlet valve seat is to be replaced, so fit a new one. To refit the old one, change the decision first.'
	],
	[
		{ code: 'gateNotJudged', part: 'Packing', gate: 'Bore of the manifold' },
		'Decide on the bore of the manifold first. The packing is fitted into it.'
	],
	[
		{ code: 'deeperFirst', part, before: 'V-packings', cylinder: 2, sure: 'stated', loose: false },
		'First fit V-packings, cylinder 2, then “Inlet valve seat”.'
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
		'First tighten slotted nut, cylinder 1, then “Cotter pin”. The pin goes in last. (This order is deduced. The maker does not state it.)'
	],
	[
		{ code: 'notJoined', unit: 'Rear guide with its seal', part: 'Outer O-ring' },
		'The rear guide with its seal is not complete. Join the outer O-ring first.'
	],
	[
		{ code: 'unknownUnit', unit: 'guideSet' },
		'This job does not have the sub-assembly “guideSet” at that cylinder. Reload the page.'
	],
	[{ code: 'shaftLocked', step: 'Turn', lock: 'The head is open.' }, 'The shaft must not turn now. The head is open.'],
	[{ code: 'notInYet', part: 'Head bolts' }, 'Start the head bolts by hand and mark them as fitted, then tighten.'],
	[{ code: 'noSuchBolt', part: 'Head bolts', bolt: 9 }, 'Bolt 9 of the head bolts is not tightened in this pass.'],
	[
		{ code: 'turnedTooFar', part: 'Stem seat', turnDeg: 120, mostDeg: 90 },
		'Stem seat may be turned 90° past hand-tight, not 120°. Turning further crushes the parts below. Loosen it, check the clamped parts, and count again.'
	],
	[
		{ code: 'boltTwice', part: 'Head bolts', bolt: 3, pass: 2 },
		'Bolt 3 of the head bolts is already tight in pass 2. A colleague may have tightened it just now.'
	],
	[
		{ code: 'boltOutOfTurn', part: 'Head bolts', bolt: 3, before: 5, beforePass: 1 },
		'Tighten bolt 5 in pass 1 before bolt 3.'
	],
	[
		{ code: 'notAllIn', step: 'Close the head', part: 'Plunger', cylinder: 3 },
		'“Close the head” is not finished. Fit plunger, cylinder 3 first.'
	],
	[
		{ code: 'notTight', step: 'Close the head', part: 'Head bolts' },
		'“Close the head” is not finished. Tighten the head bolts first.'
	],
	[
		{ code: 'unknownStation', station: 'sprocket' },
		'“sprocket” is not a part of this job. Choose a part from its order.'
	],
	[
		{ code: 'notInKit', station: 'Plunger', kit: 'K2' },
		'Kit K2 does not contain “Plunger”. Choose another kit, or record it as a single part.'
	],
	[
		{ code: 'notTogether', before: 'Close the head' },
		'The pump is not assembled yet. First sign off “Close the head” under Build.'
	],
	[
		{ code: 'noSuchPlace', place: 'behind' },
		'“behind” is not on the sheet. Choose one of the places shown under Prove.'
	],
	[
		{ code: 'pressureRose', from: 10, to: 12 },
		'The pressure rose from 100 bar to 120 bar during the hold. Check that the pump is off and repeat the test.'
	],
	[
		{ code: 'tooLate', step, minutes: 15 },
		'The 15 minutes are over and the sealant has set. Clean it off, apply it again and sign that step off again.'
	],
	[
		{ code: 'notAnAnswer', step },
		'This answer does not match the question of “Lock out the drive”. Answer it again under Strip.'
	],
	[{ code: 'stepUnanswered', step }, 'Answer the questions of “Lock out the drive”, then sign it off.'],
	[
		{ code: 'notAtCylinder', step: 'Pull the cage', cylinder: 3 },
		'“Pull the cage” does not apply to cylinder 3. The cylinder is closed, or the step is for the whole pump.'
	],
	[
		{ code: 'malformed', path: 'value', message: 'Expected number' },
		'The server could not read this entry (value: Expected number). Reload the page and record it again.'
	],
	[{ code: 'unknownGauge' }, 'Your shop does not have this gauge. Choose a gauge and read again.'],
	[{ code: 'photoMissing' }, 'The photograph did not arrive. Send it again or take a new one.'],
	[{ code: 'notYours' }, 'Not saved: it was recorded by another person. Ask them to sign in and send it.'],
	[{ code: 'otherJob' }, 'Not saved: this entry belongs to another job.'],
	[{ code: 'released' }, 'The job is released and closed for entries. A lead can add a correction.'],
	[{ code: 'leadOnly' }, 'Only a lead can correct a released job.'],
	[{ code: 'idTaken' }, 'An entry with this number exists in another job. Record it again.'],
	[
		{ code: 'notStorable' },
		'The server could not store this. Record it again. If it fails again, tell your administrator.'
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
		expect(off('thousandfold')).toContain('Was it read in metres or in micrometres?');
		expect(off()).toContain('Check the gauge and the unit, and read it again.');
	});
	it('speaks in the reader’s units', () => {
		expect(say({ code: 'fittedBeyondLimit', value: 25.4, limit: 25.4, unit: 'mm' }, inches)).toContain('1.0000 in');
		expect(say({ code: 'pressureRose', from: 10, to: 12 }, inches)).toContain('psi');
	});
	it('of the other piece says how to come by the old one, or by a new one', () => {
		expect(say({ code: 'otherPiece', part, decided: 'reuse' })).toBe(
			'The inlet valve seat is to be reused, so refit the old one. To fit a new one, change the decision first.'
		);
	});
});

describe('what is typed and is no number', () => {
	it('is answered with what may be typed', () => {
		expect(numberSentence({ code: 'empty' }, defaultFormat)).toBe('Type a number first.');
		expect(numberSentence({ code: 'empty' }, defaultFormat, 'Type the hours first.')).toBe('Type the hours first.');
		expect(numberSentence({ code: 'notANumber', text: 'deep' }, defaultFormat)).toBe(
			'“deep” is not a number. Type digits with one decimal point. Add the unit if it differs from the one shown.'
		);
		expect(
			plain(numberSentence({ code: 'ambiguous', text: '12,450', grouped: 12450, decimal: 12.45 }, defaultFormat))
		).toBe('“12,450” can mean 12 450 or 12.45. Type 12450 or 12.45.');
	});
	it('is told between what it may lie, and is not repeated where it has no end', () => {
		const range = { code: 'outOfRange', least: 0, most: 200000 } as const;
		expect(plain(numberSentence({ ...range, value: -3 }, defaultFormat))).toBe(
			'−3 is too small. Type a number from 0 to 200 000.'
		);
		expect(plain(numberSentence({ ...range, value: 1e6 }, defaultFormat))).toBe(
			'1 000 000 is too large. Type a number from 0 to 200 000.'
		);
		expect(plain(numberSentence({ ...range, value: 1e300 }, defaultFormat))).toBe(
			'This number is too large. Type a number from 0 to 200 000.'
		);
	});
	it('is told the unit where that is what is wrong', () => {
		expect(quantitySentence({ code: 'unknownUnit', text: 'furlong' }, defaultFormat)).toBe(
			'“furlong” is not a known unit. Leave the unit out, or type the one shown.'
		);
		expect(quantitySentence({ code: 'wrongDimension', unit: 'bar', expected: 'mm' }, defaultFormat)).toBe(
			'bar is the wrong kind of unit. Use mm.'
		);
		expect(
			plain(quantitySentence({ code: 'outOfRange', value: -400, least: -273, most: 1000, unit: 'C' }, defaultFormat))
		).toBe('This value is less than −273 °C. Check the number and its unit.');
		expect(
			plain(quantitySentence({ code: 'outOfRange', value: 4000, least: -273, most: 1000, unit: 'C' }, defaultFormat))
		).toBe('This value is more than 1 000 °C. Check the number and its unit.');
		expect(quantitySentence({ code: 'empty' }, defaultFormat)).toBe('Type a reading first.');
	});
});
