import { figureName } from './figures';
import { inSentence, placeName } from './place';
import { slipSentence } from './slips';
import type { CustomKind, Reason } from '@exetasis/core/decide';
import { partType, patternName, type Severity } from '@exetasis/core/part';
import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
import type { Onset, Station, Verdict } from '@exetasis/core/record';
import type { Format } from '../format/numbers';

export const severityName: Readonly<Record<Severity, string>> = { 1: 'slight', 2: 'moderate', 3: 'severe' };
export const onsetName: Readonly<Record<Onset, string>> = {
	service: 'in service',
	handling: 'handling damage (this strip-down)',
	assembly: 'at the last assembly',
	unknown: 'unknown'
};
/** For a button; the whole name is read out. */
export const onsetShort: Readonly<Record<Onset, string>> = {
	service: 'in service',
	handling: 'handling',
	assembly: 'assembly',
	unknown: 'unknown'
};
export const verdictName: Readonly<Record<Verdict | 'open', string>> = {
	reuse: 'Reuse',
	replace: 'Replace',
	lookAgain: 'Recheck',
	open: 'Not inspected'
};

const customName: Readonly<Record<CustomKind, string>> = {
	plungerRings: 'Plunger O-rings',
	valveRings: 'Valve O-rings',
	otherRings: 'Other O-rings and gaskets',
	plungerWashers: 'Plunger washers',
	seatsAndSprings: 'Valve seats and springs'
};

/** What the full explanation holds besides: "2 more reasons and 1 more size in the full explanation." */
export function moreWords(reasons: number, sizes: number): string {
	const count = (number: number, name: string) =>
		number > 0 ? [`${number} more ${number === 1 ? name : `${name}s`}`] : [];
	return `${[...count(reasons, 'reason'), ...count(sizes, 'size')].join(' and ')} in the full explanation.`;
}

/** Names of sizes of a part, in the middle of a sentence. */
export const sizeNames = (station: Pick<Station, 'type'>, keys: readonly string[]): string[] =>
	keys.map((key) => {
		const known = partType(station.type).characteristics.find((characteristic) => characteristic.key === key);
		return known ? inSentence(known.name) : key;
	});

const limitWords = ({ assumed }: { readonly assumed?: true }): string =>
	assumed ? 'limit assumed from like parts,' : 'discard limit';

/** What sentences about a part's sizes are made with. */
interface Say {
	readonly format: Format;
	readonly station: Station;
	/** A size of the part: its name, and how a value and a difference of it are written. */
	readonly sizeOf: (characteristic: string) => {
		readonly name: string;
		readonly at: (value: number) => string;
		readonly by: (difference: number) => string;
	};
}
/** The reasons of a code; some kinds of reason have several. */
type ReasonOf<Code, Kind = Reason> = Kind extends Reason ? (Code extends Kind['code'] ? Kind : never) : never;
type Sentence<Code extends Reason['code']> = (reason: ReasonOf<Code>, say: Say) => string;

const wearSentence: Sentence<'wearsOut' | 'lasts'> = (reason, { sizeOf, format }) => {
	const size = sizeOf(reason.characteristic);
	const used = `worn ${size.by(Math.max(0, reason.worn))} of ${size.by(reason.allowance)}`;
	const age = reason.hours === undefined ? '; age unknown' : ` in ${format.number(reason.hours)} h`;
	return `${size.name}: ${used}${age}. ${format.probability(reason.probability)} chance of passing the ${reason.assumed ? 'assumed limit' : 'limit'} within ${format.number(reason.interval)} h.`;
};

const figureSentence: Sentence<'figureBeyond' | 'figureTooClose'> = (reason, { format }) => {
	const unit = shownUnit(dimensionOf(reason.unit), format.units);
	const sure = reason.U === undefined ? '' : ` ± ${format.difference(reason.U, unit)}`;
	const says = reason.code === 'figureBeyond' ? 'is beyond' : 'is too close to decide against';
	return `${figureName({ key: reason.figure })}: ${format.quantity(reason.value, unit)}${sure} ${says} ${format.quantity(reason.limit, unit)}.`;
};

const otherFailureSentence: Sentence<'likelyToFail' | 'otherRisk'> = (reason, { format }) => {
	const record = `${reason.events} such failure${reason.events === 1 ? '' : 's'} in ${format.number(reason.lives)} lives; prior weight ${format.number(reason.priorWeight)} lives`;
	return `${format.probability(reason.probability)} chance (${format.probability(reason.low)} to ${format.probability(reason.high)}) of failing some other way within ${format.number(reason.interval)} h (${record}).`;
};

const sentences: { readonly [Code in Reason['code']]: Sentence<Code> } = {
	singleUse: () => 'Single use: the model sheet says always fit a new one.',
	newAdvised: (reason) => `A new part is advised: ${reason.why}`,
	softRenewed: () => 'Soft part: your shop replaces these at every rebuild.',
	patternOut: (reason) =>
		`${patternName(reason.pattern)}, ${severityName[reason.severity]} (${onsetName[reason.onset]}): replace, regardless of size.`,
	cleanFirst: (reason) => `${patternName(reason.pattern)}: clean the part, then inspect it again.`,
	remark: (reason) =>
		`${patternName(reason.pattern)}, ${severityName[reason.severity]} (${onsetName[reason.onset]}): acceptable.`,
	longerThanNew: (reason, { sizeOf }) => {
		const size = sizeOf(reason.characteristic);
		return `${size.name} ${size.at(reason.value)} is longer than new (${size.at(reason.nominal)}). It has been stretched and will not hold.`;
	},
	beyondLimit: (reason, { sizeOf, format }) => {
		const size = sizeOf(reason.characteristic);
		return `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)} is beyond the ${limitWords(reason)} ${size.at(reason.limit)} (${format.probability(reason.probability)} probability).`;
	},
	tooClose: (reason, { sizeOf, format }) => {
		const size = sizeOf(reason.characteristic);
		return `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)} is too close to the ${limitWords(reason)} ${size.at(reason.limit)} to decide (${format.probability(reason.probability)} chance that it is beyond).`;
	},
	insideLimit: (reason, { sizeOf }) => {
		const size = sizeOf(reason.characteristic);
		const read = `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)}`;
		return reason.assumed
			? `${read} has not reached the ${limitWords(reason)} ${size.at(reason.limit)}. No limit is stated.`
			: `${read} is within the discard limit ${size.at(reason.limit)}.`;
	},
	wearsOut: wearSentence,
	lasts: wearSentence,
	customRenewed: (reason) => `${customName[reason.kind]}: your shop always replaces these, regardless of condition.`,
	customInspected: (reason) => `${customName[reason.kind]}: your shop inspects these and reuses the ones that pass.`,
	withItsSet: (reason) =>
		`Replaced with its set: ${inSentence(placeName(reason.station, reason.cylinder))} is replaced.`,
	figureBeyond: figureSentence,
	figureTooClose: figureSentence,
	mixedUp: (reason, { format }) =>
		`Its sizes match the ${inSentence(reason.likeliest)} (${format.probability(reason.probability)} probability). It does not belong here.`,
	noneOfThem: (reason, { format }) =>
		`Its sizes match no part of this kind on the sheet (${format.probability(reason.fits)} chance for a correct part). It is probably a wrong part.`,
	cannotTell: (reason, { format }) =>
		`Its sizes match more than one similar part. Most likely it is the ${inSentence(reason.likeliest)} (${format.probability(reason.probability)}). Measure another size.`,
	mateUnmeasured: (reason) =>
		`The part it runs against (${inSentence(reason.mate)}) is not measured yet. Measure that part before you reuse this one.`,
	mateReplaced: (reason) =>
		`The part it runs against (${inSentence(reason.mate)}) is being replaced, and a worn partner shortens a new part’s life.`,
	wearsFast: (reason, { sizeOf, format }) => {
		const size = sizeOf(reason.characteristic);
		return `${size.name} wears ${format.number(reason.ratio, 1)} times as fast as similar parts in this pump. Trace the cause.`;
	},
	likelyToFail: otherFailureSentence,
	otherRisk: otherFailureSentence,
	questioned: (reason, { format, station }) => slipSentence(reason.slip, station, format),
	confirmed: (reason, { sizeOf }) => {
		const { name, at } = sizeOf(reason.characteristic);
		return `${name} ${at(reason.value)} was confirmed: “${reason.why}”`;
	},
	unmeasured: (reason, { sizeOf }) => {
		const { name } = sizeOf(reason.characteristic);
		return reason.pointsLeft === 1
			? `${name} not measured yet.`
			: `${name}: ${reason.pointsLeft} points not measured yet.`;
	},
	notThere: () => 'Missing when the pump was opened. Fit a new part.',
	inPieces: (reason) =>
		reason.lost
			? 'Came out in pieces, and one piece has not been found. Fit a new part.'
			: 'Came out in pieces, all found. Fit a new part.',
	foundDoubled: () => 'Fitted twice when the pump was opened. Refit only one.',
	foundTurned: () => 'Fitted the wrong way round at an earlier assembly.',
	foundInLine: () => 'Its joints were in line, which is a leak path (earlier assembly).',
	nothingFound: () => 'Inspected, no damage found.',
	notJudged: (reason) =>
		`The history of this part contains a value that cannot be used (${reason.what} is ${reason.value}, expected ${reason.expected}). Judge the part by eye.`,
	notLooked: () => 'Not inspected yet.'
};

/** The sentence for one reason, in this person's units. */
export function reasonSentence(reason: Reason, station: Station, format: Format): string {
	const sizeOf = (characteristic: string) => {
		const known = partType(station.type).characteristics.find(({ key }) => key === characteristic)!;
		const unit = shownUnit(dimensionOf(known.unit), format.units);
		return {
			name: known.name,
			at: (value: number) => format.quantity(value, unit),
			by: (difference: number) => format.difference(difference, unit)
		};
	};
	const sentence = sentences[reason.code] as (reason: Reason, say: Say) => string;
	return sentence(reason, { format, station, sizeOf });
}
