import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { defaultPolicy, policySchema, type Reason } from '@exetasis/core/decide';
import { inputName, stepMethod, stepName } from './arithmetic';
import { figureName } from './figures';
import { customChoices } from './customs';
import { metric, parseQuantity, type Unit } from '@exetasis/core/quantity';
import { readSheet, untouched, type ModelSheet, type PartRecord } from '@exetasis/core/record';
import { layoutName } from './layout';
import { directionWords, refitWords } from './orientation';
import { askWords, crankWords } from './steps';
import { inSentence, placeName } from './place';
import { quantitySentence, refusalSentence } from './problems';
import { reasonSentence } from './reasons';
import { setAsideSentence } from './slips';
import { defaultFormat, formatFor, type Format } from '../format/numbers';

const demoSheet = (name: string): ModelSheet => {
	const text = readFileSync(new URL(`../../../../demo/sheets/${name}.json`, import.meta.url), 'utf8');
	return (readSheet(text) as { sheet: ModelSheet }).sheet;
};
const demoStation = (name: string, key: string) => demoSheet(name).stations.find((station) => station.key === key)!;
const sheet = demoSheet('marram');
const station = (key: string) => sheet.stations.find((station) => station.key === key)!;
const inches = formatFor(() => ({ units: { ...metric, length: 'in' }, numerals: 'point-space' }));
const say = (reason: Reason, format = defaultFormat) =>
	reasonSentence(reason, station('plunger'), format).replaceAll(/[\u00a0\u202f]/g, ' ');

describe('reasonSentence', () => {
	const size = { characteristic: 'diameter', value: 17.981, U: 0.0036, limit: 17.95 };
	it.each<[Reason, string]>([
		[{ code: 'singleUse' }, 'Single use: the model sheet says always fit a new one.'],
		[
			{ code: 'patternOut', pattern: 'crack', severity: 1, onset: 'service' },
			'Crack, slight (in service): replace, regardless of size.'
		],
		[
			{ code: 'remark', pattern: 'wearBand', severity: 1, onset: 'unknown' },
			'Polished or matt wear band, slight (unknown): acceptable.'
		],
		[{ code: 'cleanFirst', pattern: 'deposit' }, 'Scale or residue: clean the part, then inspect it again.'],
		[
			{ code: 'insideLimit', ...size, probability: 0 },
			'Diameter 17.981 mm ± 0.004 mm is within the discard limit 17.950 mm.'
		],
		[
			{ code: 'tooClose', ...size, value: 17.951, probability: 0.3 },
			'Diameter 17.951 mm ± 0.004 mm is too close to the discard limit 17.950 mm to decide (30 % chance that it is beyond).'
		],
		[
			{
				code: 'lasts',
				characteristic: 'diameter',
				worn: 0.034,
				allowance: 0.05,
				probability: 0.12,
				hours: 1480,
				interval: 2000
			},
			'Diameter: worn 0.034 mm of 0.050 mm in 1 480 h. 12 % chance of passing the limit within 2 000 h.'
		],
		[
			{ code: 'withItsSet', set: 'valves', station: 'Inlet valve seat', cylinder: 2 },
			'Replaced with its set: inlet valve seat, cylinder 2 is replaced.'
		],
		[
			{ code: 'figureBeyond', figure: 'interference', value: 0.06, limit: 0.08, unit: 'mm', U: 0.01 },
			'Interference with the mating part: 0.060 mm ± 0.010 mm is beyond 0.080 mm.'
		],
		[
			{ code: 'mixedUp', likeliest: 'Discharge valve spring', probability: 0.998 },
			'Its sizes match the discharge valve spring (> 99 % probability). It does not belong here.'
		],
		[
			{
				code: 'otherRisk',
				probability: 0.031,
				low: 0.01,
				high: 0.08,
				interval: 2000,
				events: 1,
				lives: 42,
				priorWeight: 2
			},
			'3 % chance (1 % to 8 %) of failing some other way within 2 000 h (1 such failure in 42 lives; prior weight 2 lives).'
		],
		[
			{ code: 'customRenewed', kind: 'plungerRings' },
			'Plunger O-rings: your shop always replaces these, regardless of condition.'
		],
		[{ code: 'unmeasured', characteristic: 'diameter', pointsLeft: 1 }, 'Diameter not measured yet.'],
		[{ code: 'unmeasured', characteristic: 'diameter', pointsLeft: 4 }, 'Diameter: 4 points not measured yet.'],
		[{ code: 'nothingFound' }, 'Inspected, no damage found.'],
		[{ code: 'notLooked' }, 'Not inspected yet.']
	])('%j', (reason, sentence) => expect(say(reason)).toBe(sentence));
	it('speaks in the reader’s units', () =>
		expect(say({ code: 'beyondLimit', ...size, value: 17.93, probability: 0.999 }, inches)).toBe(
			'Diameter 0.7059 in ± 0.0001 in is beyond the discard limit 0.7067 in (> 99 % probability).'
		));
	it('calls a stretched spring what it is', () => {
		const reason: Reason = { code: 'longerThanNew', characteristic: 'freeLength', value: 22.6, nominal: 22, U: 0.05 };
		expect(reasonSentence(reason, station('inletSpring'), defaultFormat)).toContain(
			'has been stretched and will not hold'
		);
	});
});

describe('every reason', () => {
	const all: Reason[] = [
		{ code: 'softRenewed' },
		{ code: 'customInspected', kind: 'seatsAndSprings' },
		{ code: 'figureTooClose', figure: 'compressionSet', value: 0.58, limit: 0.6, unit: 'share', U: 0.05 },
		{ code: 'noneOfThem', fits: 1e-7 },
		{ code: 'cannotTell', likeliest: 'Inlet valve spring', probability: 0.7 },
		{ code: 'mateUnmeasured', mate: 'V-packings (pair)' },
		{ code: 'mateReplaced', mate: 'Ceramic plunger' },
		{
			code: 'likelyToFail',
			probability: 0.3,
			low: 0.2,
			high: 0.4,
			interval: 2000,
			events: 8,
			lives: 60,
			priorWeight: 2
		},
		{ code: 'wearsFast', characteristic: 'diameter', ratio: 2.6, probability: 0.8 },
		{
			code: 'wearsOut',
			characteristic: 'diameter',
			worn: 0.04,
			allowance: 0.05,
			probability: 0.6,
			hours: 900,
			interval: 2000
		}
	];
	it.each(all)('$code is a sentence', (reason) => {
		const sentence = say(reason);
		expect(sentence).toMatch(/^[A-Z\d].+\.$/);
		expect(sentence).not.toMatch(/undefined|NaN|\[object/);
	});
	it('keeps a name that begins with a letter and a dash as it is written', () => {
		expect(say({ code: 'mateUnmeasured', mate: 'V-packings (pair)' })).toContain('V-packings (pair)');
		expect(inSentence('O-ring')).toBe('O-ring');
		expect(inSentence('Ceramic plunger')).toBe('ceramic plunger');
	});
	it('speaks of shares in per cent and of leaks in the reader’s small unit', () => {
		expect(say(all[2])).toBe('Compression set: 58.0 % ± 5.0 % is too close to decide against 60.0 %.');
		expect(say({ code: 'figureBeyond', figure: 'holdTestLeak', value: 0.012, limit: 0.01, unit: 'Lmin' })).toBe(
			'Leakage from hold test: 12.0 mL/min is beyond 10.0 mL/min.'
		);
	});
});

describe('customs', () => {
	it('offer what the policy knows, nothing else, and its default among it', () => {
		for (const [name, label, choices] of customChoices) {
			expect(label).not.toBe('');
			expect(
				choices.map(([value]) => value),
				name
			).toContain(defaultPolicy[name]);
			for (const [value] of choices)
				expect(policySchema.safeParse({ ...defaultPolicy, [name]: value }).success).toBe(true);
		}
		const words = Object.entries(defaultPolicy).filter(
			([name, value]) => typeof value === 'string' && name !== 'renewalPolicy'
		);
		expect(customChoices.map(([name]) => name).sort()).toEqual(words.map(([name]) => name).sort());
	});
});

describe('what is said about bad input', () => {
	it.each([
		[{ code: 'empty' } as const, 'Type a reading first.'],
		[{ code: 'notANumber', text: '17.9x8' } as const, '“17.9x8” is not a number.'],
		[{ code: 'unknownUnit', text: 'furlongs' } as const, '“furlongs” is not a known unit'],
		[{ code: 'wrongDimension', unit: 'bar', expected: 'mm' } as const, 'bar is the wrong kind of unit. Use mm.']
	])('%j', (problem, sentence) => expect(quantitySentence(problem, defaultFormat)).toContain(sentence));
	it.each([
		['inch', 'read in inches'],
		['tenfold', 'decimal point slip'],
		['thousandfold', 'metres or in micrometres'],
		[undefined, 'Check the gauge and the unit']
	] as const)('a size off by %s', (suspect, sentence) =>
		expect(
			refusalSentence({ code: 'implausible', value: 3, nominal: 18, unit: 'mm', suspect }, defaultFormat)
		).toContain(sentence)
	);
	it('says what to do about every refusal', () => {
		for (const code of [
			'unknownPart',
			'overruleWithoutReason',
			'released',
			'leadOnly',
			'notYours',
			'idTaken',
			'otherJob'
		] as const) {
			expect(refusalSentence({ code }, defaultFormat)).toMatch(/^[A-Z].+\.$/);
		}
	});
});

describe('setAsideSentence', () => {
	const reading = { pump: 'p', serial: 'MAR-0007', station: 'plunger', characteristic: 'diameter', pumpHours: 3400 };
	const say = (format: Format, key = 'plunger') =>
		setAsideSentence({ ...reading, station: key, value: 16, ran: 1200.4 }, sheet, format).replaceAll(
			/[\u00a0\u202f]/g,
			' '
		);
	it('names the reading, its pump, and what to do', () => {
		expect(say(defaultFormat)).toBe(
			'MAR-0007 at 3 400 h, ceramic plunger: diameter 16.000 mm is not used in forecasts. Wear cannot do this in 1 200 h. If it was misread, a lead can correct it.'
		);
		expect(say(inches)).toContain('0.6299 in');
	});
	it('names it by its keys where a newer sheet has no such part', () =>
		expect(say(defaultFormat, 'gone')).toContain('MAR-0007'));
});

describe('directionWords', () => {
	it('turns one rule over with the manifold: lips to pressure are down while the crank face is up', () => {
		const packing = station('packing');
		const lying = (benchFaceUp: 'P' | 'C') =>
			directionWords(packing, { assemblies: [{ key: 'manifold', name: 'Manifold', up: benchFaceUp }] });
		expect(lying('C')).toBe(
			'Fit with the open groove toward the pressure side (P), down as the manifold lies now (deduced)'
		);
		expect(lying('P')).toContain('pressure side (P), up as the manifold lies now');
	});
	it('names feature and side apart, and the part beside it', () => {
		const face = { toward: 'C', what: 'piston face', near: 'the inlet valve', reversible: false } as const;
		expect(directionWords({ face, in: 'rod', type: 'piston', inferred: [] }, sheet)).toBe(
			'Fit with the piston face toward the inlet valve, crank side (C)'
		);
	});
	it('marks what the maker does not state, direction and way of fitting each by itself', () => {
		const cup = { ...station('packing'), fit: 'Press it home', inferred: ['fit' as const] };
		expect(refitWords(cup, sheet)).toMatch(/as the manifold lies now; Press it home \(deduced\)$/);
		expect(refitWords({ ...cup, inferred: ['face', 'fit'] }, sheet)).toMatch(
			/now \(deduced\); Press it home \(deduced\)$/
		);
		expect(refitWords({ ...cup, inferred: [] }, sheet)).not.toContain('deduced');
	});
	it('says so where a direction is not stated, and then how the part was found', () => {
		const collar = station('collar');
		expect(directionWords(collar, sheet)).toBe('Direction not stated. Note it as found');
		const lay = { payload: { lay: { what: 'Chamfer', toward: 'C' } } } as PartRecord['lay'];
		expect(directionWords(collar, sheet, undefined, { ...untouched, lay })).toBe(
			'As found: Chamfer toward the crank side (C)'
		);
	});
	it('says nothing of a part that is alike from both sides, and either way round only where that is stated', () => {
		expect(directionWords(station('caseORing'), sheet)).toBe('');
		expect(refitWords(station('caseORing'), sheet)).toBe('In its groove');
		expect(directionWords(station('keyholeWasher'), sheet)).toBe('Either way round');
	});
	it('follows the mounted manifold, the clock and the side that ran', () => {
		const seal = demoStation('campion', 'highPressureSeal');
		const campion = demoSheet('campion');
		expect(directionWords(seal, campion, new Map([['inlet', 'mounted']]))).toContain('away from you as the');
		expect(directionWords(station('wick'), sheet)).toContain('the long tail at 6 o’clock (down)');
		const ran = { payload: { ran: 'B' } } as PartRecord['ran'];
		const valve = demoStation('thrift', 'inletValve');
		expect(directionWords(valve, demoSheet('thrift'), undefined, { ...untouched, ran })).toContain(
			'side B was used last'
		);
	});
});

describe('placeName and layoutName', () => {
	it('count cylinders, and name the cylinder of anything else', () => {
		expect(placeName('Ceramic plunger', 2)).toBe('Ceramic plunger, cylinder 2');
		expect(placeName('Ceramic cylinder', 2)).toBe('Ceramic cylinder no. 2');
		expect(placeName('Manifold', 0)).toBe('Manifold');
	});
	it('call a layout by its name, and one that is unknown by its code', () => {
		expect(layoutName('L1')).toBe('V-packed plunger block (L1)');
		expect(layoutName('L99')).toBe('L99');
	});
});

describe('what cannot be', () => {
	const say = (text: string, unit: Unit) => {
		const parsed = parseQuantity(text, unit);
		return parsed.kind === 'problem'
			? quantitySentence(parsed.problem, defaultFormat).replaceAll(/[\u00a0\u202f]/g, ' ')
			: 'taken';
	};
	it('is said in the unit that the person thinks in', () => {
		expect(say('-5', 'bar')).toBe('This value is less than 0 bar. Check the number and its unit.');
		expect(say('-300', 'F')).toBe('This value is less than −76 °F. Check the number and its unit.');
		expect(say('1,000', 'h')).toBe('“1,000” can mean 1 000 or 1. Type 1000 or 1.');
	});
});

describe('the words of the arithmetic', () => {
	const result = { value: 0.02, unit: 'share' } as const;
	it('name the size, the step and its source', () => {
		const step = { key: 'beyondNow', characteristic: 'diameter', inputs: [], result } as const;
		expect(stepName(step, 'plunger')).toBe('Diameter: chance of being beyond the limit now');
		expect(stepMethod(step)).toContain('JCGM 106');
	});
	it('name a figure, and the ring that comes nearest', () => {
		expect(stepName({ key: 'interference', inputs: [], result }, 'vRing')).toBe('Interference with the mating part');
		expect(figureName({ key: 'ringSize', nearest: { dash: '119', insideDiameter: 23.47, section: 2.62 } })).toContain(
			'dash 119, 23.47 × 2.62 mm'
		);
	});
	it('number the readings and name the mate', () => {
		expect(inputName({ key: 'reading', value: 1, unit: 'mm' }, 2)).toBe('Reading 3');
		expect(inputName({ key: 'mateDiameter', of: 'Ceramic plunger', value: 1, unit: 'mm' }, 0)).toBe(
			'Ceramic plunger, diameter now'
		);
	});
});

describe('the words of steps', () => {
	const several = sheet.stations.find(({ pieces }) => pieces > 1)!;
	it('ask for what a step wants', () => {
		expect(askWords({ kind: 'count', station: several.key }, sheet)).toBe(`Count: ${inSentence(several.name)}`);
		expect(askWords({ kind: 'setting', name: 'screw out', unit: 'mm', when: 'found' }, sheet)).toBe(
			'Record the setting: screw out (mm), as found'
		);
		expect(
			askWords(
				{
					kind: 'choice',
					text: 'Oil',
					per: 'pump',
					choices: ['clear', 'milky'].map((text) => ({ text, means: 'harmless' as const }))
				},
				sheet
			)
		).toBe('Oil: clear, milky?');
		expect(askWords({ kind: 'tick', text: 'It turns' }, sheet)).toBe('Check: It turns');
		expect(askWords({ kind: 'photo', text: 'the hoses' }, sheet)).toBe('Photograph: the hoses');
		expect(askWords({ kind: 'note', text: 'where each hose went' }, sheet)).toBe('Note: where each hose went');
		expect(askWords({ kind: 'size', station: 'plunger', characteristic: 'diameter' }, sheet)).toBe(
			'Measure: ceramic plunger'
		);
	});
	it('say where the crank stands', () => {
		expect(crankWords({ stand: 'outerLevel', cylinder: 'outer' })).toContain('equally far');
		expect(crankWords({ stand: 'forward', cylinder: 2 })).toBe(
			'turned by hand until the plunger of cylinder 2 is fully forward'
		);
		expect(crankWords({ stand: 'back', cylinder: 'each' })).toContain('each plunger in turn is fully back');
	});
});
