import { figureName } from './arithmetic';
import { inSentence, placeName } from './place';
import { slipSentence } from './slips';
import type { CustomKind, Reason } from '@exetasis/core/decide';
import { partType, patternName, type Severity } from '@exetasis/core/part';
import { dimensionOf, shownUnit, type UnitPreference } from '@exetasis/core/quantity';
import { formatDifference, formatNumber, formatProbability, formatQuantity } from '$lib/ui/numbers';
import type { Onset, Station, Verdict } from '@exetasis/core/record';

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
	lookAgain: 'Look again',
	open: 'Not looked at'
};

export const customName: Readonly<Record<CustomKind, string>> = {
	plungerRings: 'Rings at the plunger',
	valveRings: 'Rings under the valves',
	otherRings: 'Other rings and gaskets',
	plungerWashers: 'Washers at the plunger',
	seatsAndSprings: 'Valve seats and springs'
};

/** Names of sizes of a part, in the middle of a sentence. */
export const sizeNames = (station: Pick<Station, 'type'>, keys: readonly string[]): string[] =>
	keys.map((key) => {
		const known = partType(station.type).characteristics.find((one) => one.key === key);
		return known ? inSentence(known.name) : key;
	});

/** The sentence for one reason, in this person's units. */
export function reasonSentence(reason: Reason, station: Station, preference: UnitPreference): string {
	const sizeOf = (characteristic: string) => {
		const known = partType(station.type).characteristics.find(({ key }) => key === characteristic)!;
		const unit = shownUnit(dimensionOf(known.unit), preference);
		return {
			name: known.name,
			at: (value: number) => formatQuantity(value, unit),
			by: (difference: number) => formatDifference(difference, unit)
		};
	};
	switch (reason.code) {
		case 'singleUse':
			return 'Never reused: the sheet says always new.';
		case 'newAdvised':
			return `A new one is advised: ${reason.why}`;
		case 'softRenewed':
			return 'Soft part: your shop renews these whenever the pump is open.';
		case 'patternOut':
			return `${patternName(reason.pattern)}, ${severityName[reason.severity]} (${onsetName[reason.onset]}): out, whatever it measures.`;
		case 'cleanFirst':
			return `${patternName(reason.pattern)}: clean it, then look again.`;
		case 'remark':
			return `${patternName(reason.pattern)}, ${severityName[reason.severity]} (${onsetName[reason.onset]}): noted, not enough to condemn it.`;
		case 'longerThanNew': {
			const size = sizeOf(reason.characteristic);
			return `${size.name} ${size.at(reason.value)} is longer than new (${size.at(reason.nominal)}): it has been stretched and will not hold.`;
		}
		case 'beyondLimit': {
			const size = sizeOf(reason.characteristic);
			return `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)} is beyond the limit ${size.at(reason.limit)} (${formatProbability(reason.probability)} sure).`;
		}
		case 'tooClose': {
			const size = sizeOf(reason.characteristic);
			return `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)} is too close to the limit ${size.at(reason.limit)} to call: ${formatProbability(reason.probability)} chance that it is beyond.`;
		}
		case 'insideLimit': {
			const size = sizeOf(reason.characteristic);
			return `${size.name} ${size.at(reason.value)} ± ${size.by(reason.U)} is inside the limit ${size.at(reason.limit)}.`;
		}
		case 'wearsOut':
		case 'lasts': {
			const size = sizeOf(reason.characteristic);
			const used = `${size.by(Math.max(0, reason.worn))} worn of ${size.by(reason.allowance)} in ${reason.hours === undefined ? 'hours that nobody knows' : `${formatNumber(reason.hours)} h`}`;
			return `${size.name}: ${used}; ${formatProbability(reason.probability)} chance of passing the limit in ${formatNumber(reason.interval)} h.`;
		}
		case 'customRenewed':
			return `${customName[reason.kind]}: your shop always renews these, whatever they look like.`;
		case 'customInspected':
			return `${customName[reason.kind]}: your shop inspects these and keeps what passes.`;
		case 'withItsSet':
			return `Goes with its set: ${inSentence(placeName(reason.station, reason.cylinder))} is replaced.`;
		case 'figureBeyond':
		case 'figureTooClose': {
			const unit = shownUnit(dimensionOf(reason.unit), preference);
			const sure = reason.U === undefined ? '' : ` ± ${formatDifference(reason.U, unit)}`;
			const says = reason.code === 'figureBeyond' ? 'is beyond' : 'is too close to call against';
			return `${figureName({ key: reason.figure })}: ${formatQuantity(reason.value, unit)}${sure} ${says} ${formatQuantity(reason.limit, unit)}.`;
		}
		case 'mixedUp':
			return `Its sizes are those of the ${inSentence(reason.likeliest)} (${formatProbability(reason.odds)} sure): it does not belong here.`;
		case 'noneOfThem':
			return `Its sizes fit none of the sheet’s parts of this kind (${formatProbability(reason.fits)} chance for a sound one): a wrong part.`;
		case 'cannotTell':
			return `Its sizes do not tell which of the sheet’s look-alikes it is; likeliest the ${inSentence(reason.likeliest)} (${formatProbability(reason.odds)}). Measure more of it.`;
		case 'mateUnmeasured':
			return `It runs with the ${inSentence(reason.mate)}, which is not measured yet: measure it before this one is kept.`;
		case 'mateReplaced':
			return `Its mate, the ${inSentence(reason.mate)}, is replaced: a worn part beside a new one wears it out early.`;
		case 'wearsFast': {
			const size = sizeOf(reason.characteristic);
			return `${size.name} wears ${formatNumber(reason.ratio, 1)} times as fast as others of its kind in this pump: worth tracing.`;
		}
		case 'likelyToFail':
		case 'otherRisk': {
			const record = `${reason.events} such end${reason.events === 1 ? '' : 's'} in ${formatNumber(reason.lives)} lives on record`;
			return `${formatProbability(reason.probability)} chance (${formatProbability(reason.low)} to ${formatProbability(reason.high)}) that something other than measured wear ends it in ${formatNumber(reason.interval)} h, from ${record} and a prior worth ${formatNumber(reason.worth)}.`;
		}
		case 'questioned':
			return slipSentence(reason.slip, station, preference);
		case 'confirmed': {
			const { name, at } = sizeOf(reason.characteristic);
			return `${name} ${at(reason.value)} was confirmed: “${reason.why}”`;
		}
		case 'unmeasured': {
			const { name } = sizeOf(reason.characteristic);
			return reason.placesLeft === 1
				? `${name} not measured yet.`
				: `${name}: ${reason.placesLeft} places not measured yet.`;
		}
		case 'notThere':
			return 'Was not there when the pump was opened: a new one goes in.';
		case 'inPieces':
			return reason.lost
				? 'Came out in pieces, and one of them has not been found: a new one goes in.'
				: 'Came out in pieces, all of them found: a new one goes in.';
		case 'foundDoubled':
			return 'Was there twice when the pump was opened: one goes back.';
		case 'foundTurned':
			return 'Faced the wrong way when the pump was opened (earlier assembly).';
		case 'foundInLine':
			return 'Its joints lay in line when the pump was opened: a leak path (earlier assembly).';
		case 'nothingFound':
			return 'Looked at, nothing found.';
		case 'notJudged':
			return `What is on record of it cannot be worked with (${reason.what} is ${reason.value}, expected ${reason.expected}). Judge it by hand and eye.`;
		case 'notLooked':
			return 'Nobody has looked at it yet.';
	}
}
