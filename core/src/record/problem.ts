import { z } from 'zod';

const words = z.string();
const code = <C extends string, S extends z.ZodRawShape = Record<never, never>>(name: C, shape = {} as S) =>
	z.object({ code: z.literal(name), ...shape });

/** A reading that is off by a factor that unit mistakes make: 25.4 (inches for millimetres), 10 or 1000 (a slipped point). */
const unitSuspicions = ['inch', 'tenfold', 'thousandfold'] as const;
export type UnitSuspicion = (typeof unitSuspicions)[number];

const size = { value: z.number(), nominal: z.number(), unit: words };
const ofJob = [
	code('unknownPart'),
	code('patternNotOfPart', { pattern: words, part: words }),
	code('characteristicNotOnSheet', { characteristic: words, part: words }),
	code('pointNotOnGrid', { row: z.number(), column: z.number() }),
	code('wrongUnit', { typed: words, expected: words }),
	code('notAsTyped', { value: z.number(), text: words, unit: words }),
	code('implausible', { ...size, suspect: z.enum(unitSuspicions).optional() }),
	code('fittedBeyondLimit', { value: z.number(), limit: z.number(), unit: words }),
	code('markOffSurface', { part: words }),
	code('notAsFound', { part: words }),
	code('overruleWithoutReason'),
	code('unknownStep', { step: words }),
	code('unknownWay', { step: words }),
	code('cylindersLeft', { step: words, cylinders: z.array(z.number()) }),
	code('stepTooEarly', { step: words, before: words }),
	code('notSafeYet', { before: words }),
	code('notCleanedYet', { before: words }),
	code('notDecided', { part: words }),
	code('otherPiece', { part: words, decided: z.enum(['reuse', 'replace']) }),
	code('gateNotJudged', { part: words, gate: words }),
	code('deeperFirst', {
		part: words,
		before: words,
		cylinder: z.number(),
		/** Left out if none is stated. */
		why: words.optional(),
		sure: z.enum(['stated', 'deduced']),
		/** It is in, and not tightened. */
		loose: z.boolean()
	}),
	code('notJoined', { unit: words, part: words }),
	code('unknownUnit', { unit: words }),
	code('shaftLocked', { step: words, lock: words }),
	code('notInYet', { part: words }),
	code('noSuchBolt', { part: words, bolt: z.number() }),
	code('turnedTooFar', { part: words, turnDeg: z.number(), mostDeg: z.number() }),
	code('boltTwice', { part: words, bolt: z.number(), pass: z.number() }),
	code('boltOutOfTurn', { part: words, bolt: z.number(), before: z.number(), beforePass: z.number() }),
	code('notAllIn', { step: words, part: words, cylinder: z.number() }),
	code('notTight', { step: words, part: words }),
	code('unknownStation', { station: words }),
	code('notInKit', { station: words, kit: words }),
	code('notTogether', { before: words }),
	code('noSuchPlace', { place: words }),
	code('pressureRose', { from: z.number(), to: z.number() }),
	code('tooLate', { step: words, minutes: z.number() }),
	code('notAnAnswer', { step: words }),
	code('stepUnanswered', { step: words }),
	code('notAtCylinder', { step: words, cylinder: z.number() })
] as const;

/** Why an entry that is well formed does not belong into this job. Sentences for the codes are the interface's. */
export type EntryProblem = z.infer<(typeof ofJob)[number]>;

/** Why the server did not take an entry. */
export const refusedBecauseSchema = z.discriminatedUnion('code', [
	...ofJob,
	code('malformed', { path: words, message: words }),
	code('unknownGauge'),
	code('photoMissing'),
	code('notYours'),
	code('otherJob'),
	code('released'),
	code('leadOnly'),
	code('idTaken'),
	code('notStorable')
]);
export type RefusedBecause = z.infer<typeof refusedBecauseSchema>;
