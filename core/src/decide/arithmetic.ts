import type { ContributionSource } from '../measure';
import type { Figure, FigureInput, FigureKey, Input } from '../part';
import type { Unit } from '../quantity';
import type { JudgedCharacteristic, MeasuredCharacteristic } from './characteristic';
import type { JudgeInput, Judgement } from './judge';
import type { Outlook } from './outlook';

/** What a step works out; with it go its equation, its source and its name in words. */
export type StepKey =
	| 'meanOfWorstPoint'
	| 'narrowestZone'
	| 'largestRange'
	| 'howSure'
	| 'howSureOfForm'
	| 'beyondNow'
	| 'wornSoFar'
	| 'beyondAtService'
	| 'pace'
	| 'competingFailure'
	| FigureKey;

/** A number that goes into a step. */
export type StepInput =
	| 'reading'
	| ContributionSource
	| 'degreesOfFreedom'
	| 'coverageFactor'
	| 'value'
	| 'standardUncertainty'
	| 'limitOfMaker'
	| 'limitOfShop'
	| 'limitAssumed'
	| 'acceptBad'
	| 'scrapGood'
	| 'startNominal'
	| 'startAsFitted'
	| 'wearAllowed'
	| 'wearSoFar'
	| 'hoursOnPart'
	| 'hoursToService'
	| 'wearIn1000h'
	| 'sheetPriorWeight'
	| 'ownPriorWeight'
	| 'recordWeight'
	| 'partsOnRecord'
	| 'pumpsHardness'
	| 'rateAgainstKind'
	| 'competingFailuresOnRecord'
	| 'livesOnRecord'
	| 'priorShape'
	| 'priorScale'
	| 'priorWeight'
	| FigureInput;

/** One step of the arithmetic behind a verdict: what went in and what came out. */
export interface Step {
	readonly key: StepKey;
	/** The size that it is about, by its key on the part type. */
	readonly characteristic?: string;
	readonly inputs: readonly Input<StepInput>[];
	readonly result: { readonly value: number; readonly unit: Unit; readonly u?: number };
	/** The ring that a figure found nearest. */
	readonly nearest?: Figure['nearest'];
}

/**
 * The arithmetic behind a verdict, step by step in the order in which it was done: sizes, uncertainty, limits, wear,
 * forecast, figures, other ends. Every number that a reason names comes out of one of these steps.
 */
export function arithmeticOf(input: JudgeInput, judgement: Judgement): Step[] {
	return [
		...judgement.sizes.flatMap((size) => {
			const judged = judgement.measured.find(
				(judgedCharacteristic) => judgedCharacteristic.sheet.key === size.sheet.key
			);
			return [...sizeSteps(size), ...(judged ? limitSteps(judged, judgement.outlook[size.sheet.key], input) : [])];
		}),
		...judgement.figures.map(({ key, inputs, nearest, value, unit, u }): Step => ({
			key,
			inputs,
			nearest,
			result: { value, unit, u }
		})),
		competingFailureStep(input, judgement)
	];
}

function sizeSteps({ characteristic, sheet, worst, value, budget, points }: MeasuredCharacteristic): Step[] {
	if (value === undefined) return [];
	const { unit } = sheet;
	const { form } = characteristic;
	const of = form ? points.map((point) => point.value) : worst.readings;
	return [
		{
			key: form === 'flatness' ? 'narrowestZone' : form ? 'largestRange' : 'meanOfWorstPoint',
			characteristic: sheet.key,
			inputs: of.map((reading) => ({ key: 'reading', value: reading, unit })),
			result: { value, unit }
		},
		{
			key: form ? 'howSureOfForm' : 'howSure',
			characteristic: sheet.key,
			inputs: [
				...budget.contributions.map(({ source, u }) => ({ key: source, value: u, unit })),
				...(budget.dof === Infinity ? [] : [number('degreesOfFreedom', budget.dof)]),
				number('coverageFactor', budget.k)
			],
			result: { value: budget.U, unit }
		}
	];
}

const limitKey = { maker: 'limitOfMaker', shop: 'limitOfShop', assumed: 'limitAssumed' } as const;

function limitSteps(
	{ sheet, value, limit, budget, conformity, wear, startIsNominal }: JudgedCharacteristic,
	outlook: Outlook | undefined,
	input: JudgeInput
): Step[] {
	const { unit, key: characteristic } = sheet;
	const steps: Step[] = [
		{
			key: 'beyondNow',
			characteristic,
			inputs: [
				{ key: 'value', value, unit },
				{ key: 'standardUncertainty', value: budget.u, unit },
				{ key: limitKey[sheet.limitFrom], value: limit, unit },
				share('acceptBad', input.policy.acceptBad),
				share('scrapGood', input.policy.scrapGood)
			],
			result: { value: conformity.probabilityBeyond, unit: 'share' }
		},
		{
			key: 'wornSoFar',
			characteristic,
			inputs: [
				startIsNominal
					? { key: 'startNominal', value: sheet.nominal, unit }
					: { key: 'startAsFitted', value: input.asFitted[sheet.key], unit },
				{ key: 'wearAllowed', value: wear.allowance, unit }
			],
			result: { value: wear.worn, unit }
		}
	];
	return outlook
		? [...steps, forecastStep(characteristic, unit, wear, outlook, input), paceStep(characteristic, outlook)]
		: steps;
}

function forecastStep(
	characteristic: string,
	unit: Unit,
	wear: JudgedCharacteristic['wear'],
	outlook: Outlook,
	{ life, policy }: JudgeInput
): Step {
	const { from, priorWeight, lives, parts } = outlook.basis;
	return {
		key: 'beyondAtService',
		characteristic,
		inputs: [
			{ key: 'wearSoFar', value: wear.worn, unit },
			...hoursOnPart(life),
			hours('hoursToService', policy.intervalHours),
			{ key: 'wearIn1000h', value: outlook.ratePer1000h, unit },
			number(from === 'sheet' ? 'sheetPriorWeight' : 'ownPriorWeight', priorWeight),
			number('recordWeight', lives),
			number('partsOnRecord', parts),
			...(life ? [share('pumpsHardness', Math.exp(life.pump.mean))] : [])
		],
		result: { value: outlook.risk.probability, unit: 'share' }
	};
}

const paceStep = (characteristic: string, { faster }: Outlook): Step => ({
	key: 'pace',
	characteristic,
	inputs: [share('rateAgainstKind', faster.ratio)],
	result: { value: faster.probability, unit: 'share' }
});

function competingFailureStep({ life, policy }: JudgeInput, { other }: Judgement): Step {
	const { events, lives, prior } = other.ends;
	return {
		key: 'competingFailure',
		inputs: [
			...hoursOnPart(life),
			hours('hoursToService', policy.intervalHours),
			number('competingFailuresOnRecord', events),
			number('livesOnRecord', lives),
			number('priorShape', prior.shape),
			hours('priorScale', prior.scaleHours),
			number('priorWeight', prior.priorWeight)
		],
		result: { value: other.risk.probability, unit: 'share' }
	};
}

const number = (key: StepInput, value: number) => ({ key, value, unit: 'pieces' as const });
const share = (key: StepInput, value: number) => ({ key, value, unit: 'share' as const });
const hours = (key: StepInput, value: number) => ({ key, value, unit: 'h' as const });
const hoursOnPart = (life: JudgeInput['life']) =>
	life?.age.kind === 'known' ? [hours('hoursOnPart', life.age.hours)] : [];
