import type { Input } from '../part';
import type { Unit } from '../quantity';
import type { JudgedCharacteristic, MeasuredCharacteristic } from './characteristic';
import type { JudgeInput, Judgement } from './judge';
import type { Outlook } from './outlook';

/** One step of the arithmetic behind a verdict: what went in, by which method, what came out. */
export interface Step {
	readonly name: string;
	readonly inputs: readonly Input[];
	/** The equation or rule, and its source. */
	readonly method: string;
	readonly result: { readonly value: number; readonly unit: Unit; readonly u?: number };
}

/**
 * The arithmetic behind a verdict, step by step in the order in which it was done: sizes, uncertainty, limits, wear,
 * forecast, figures, other ends. Every number that a reason names comes out of one of these steps.
 */
export function arithmeticOf(input: JudgeInput, judgement: Judgement): Step[] {
	return [
		...judgement.sizes.flatMap((size) => {
			const judged = judgement.measured.find((one) => one.sheet.key === size.sheet.key);
			return [...sizeSteps(size), ...(judged ? limitSteps(judged, judgement.outlook[size.sheet.key], input) : [])];
		}),
		...judgement.figures.map(({ name, inputs, method, value, unit, u }): Step => ({
			name,
			inputs,
			method,
			result: { value, unit, u }
		})),
		...otherSteps(input, judgement)
	];
}

function sizeSteps({ characteristic, sheet, worst, value, budget, places }: MeasuredCharacteristic): Step[] {
	if (value === undefined) return [];
	const { unit } = sheet;
	const of = characteristic.form ? places.map((place) => place.value) : worst.readings;
	const how = characteristic.form
		? characteristic.form === 'flatness'
			? 'Narrowest zone between two planes that holds all heights, by linear programming (ISO 12781)'
			: 'Largest range of the readings round one station'
		: 'Mean of the readings of the worst place, at 20 °C (ISO 1)';
	return [
		{
			name: characteristic.name,
			inputs: of.map((reading, i) => ({ name: `Reading ${i + 1}`, value: reading, unit })),
			method: how,
			result: { value, unit }
		},
		{
			name: `${characteristic.name}: how sure`,
			inputs: budget.contributions.map(({ source, u }) => ({ name: `u, ${source}`, value: u, unit })),
			method: `√Σu²${characteristic.form ? ', each √2-fold for a difference' : ''}; t(0.975) at ${
				budget.dof === Infinity ? '∞' : budget.dof.toFixed(0)
			} degrees of freedom, k = ${budget.k.toFixed(2)} (JCGM 100, Welch–Satterthwaite)`,
			result: { value: budget.U, unit }
		}
	];
}

function limitSteps(
	{ characteristic, sheet, value, limit, budget, conformity, wear, startIsNominal }: JudgedCharacteristic,
	outlook: Outlook | undefined,
	input: JudgeInput
): Step[] {
	const { unit } = sheet;
	const { name } = characteristic;
	const steps: Step[] = [
		{
			name: `${name}: chance of lying beyond the limit now`,
			inputs: [
				{ name: 'Value', value, unit },
				{ name: 'Standard uncertainty', value: budget.u, unit },
				{ name: `Limit, from the ${sheet.limitFrom}`, value: limit, unit },
				{ name: 'Accepted risk of keeping a bad part', value: input.policy.acceptBad, unit: 'share' },
				{ name: 'Accepted risk of scrapping a good one', value: input.policy.scrapGood, unit: 'share' }
			],
			method: 'Student’s t about the value (JCGM 106, 7 and 8.3)',
			result: { value: conformity.probabilityBeyond, unit: 'share' }
		},
		{
			name: `${name}: wear so far`,
			inputs: [
				{ name: startIsNominal ? 'Start: nominal' : 'Start: as fitted', value: sheet.nominal, unit },
				{ name: 'Wear allowed', value: wear.allowance, unit }
			],
			method: 'Distance from the start towards the limit',
			result: { value: wear.worn, unit }
		}
	];
	if (!startIsNominal)
		steps[1] = {
			...steps[1],
			inputs: [{ name: 'Start: as fitted', value: input.asFitted[sheet.key], unit }, steps[1].inputs[1]]
		};
	return outlook ? [...steps, forecastStep(name, unit, wear, outlook, input), paceStep(name, outlook)] : steps;
}

function forecastStep(
	name: string,
	unit: Unit,
	wear: JudgedCharacteristic['wear'],
	outlook: Outlook,
	{ life, policy }: JudgeInput
): Step {
	const { from, worth, lives, parts } = outlook.basis;
	const inputs: Input[] = [{ name: 'Wear so far', value: wear.worn, unit }];
	if (life?.age.kind === 'known') inputs.push({ name: 'Hours on the part', value: life.age.hours, unit: 'h' });
	inputs.push(
		{ name: 'Hours to the next service', value: policy.intervalHours, unit: 'h' },
		{ name: 'Wear in 1000 h, as its looks and its kind make it', value: outlook.ratePer1000h, unit },
		{
			name: from === 'sheet' ? 'The sheet’s prior is worth lives' : 'The part type’s own prior is worth lives',
			value: worth,
			unit: 'pieces'
		},
		{ name: 'The record is worth lives', value: lives, unit: 'pieces' },
		{ name: 'Parts on record', value: parts, unit: 'pieces' }
	);
	if (life)
		inputs.push({
			name: 'How hard its pump is on its parts, against the ordinary',
			value: Math.exp(life.pump.mean),
			unit: 'share'
		});
	return {
		name: `${name}: chance of passing the limit by the next service`,
		inputs,
		method:
			'Gamma process; the part’s rate, the scatter between and within parts, how wear bends, its pump, what the readings leave open and an unknown age are all integrated over (van Noortwijk 2009; Lawless & Crowder 2004)',
		result: { value: outlook.probability, unit: 'share' }
	};
}

const paceStep = (name: string, { faster }: Outlook): Step => ({
	name: `${name}: chance that it wears at least twice as fast as its kind in this pump`,
	inputs: [{ name: 'Its rate against its kind’s, mean', value: faster.ratio, unit: 'share' }],
	method: 'Share of the posterior of its rate, against the middle of its kind’s in this pump',
	result: { value: faster.probability, unit: 'share' }
});

function otherSteps({ life, policy }: JudgeInput, judgement: Judgement): Step[] {
	const { probability } = judgement.life.other(policy.intervalHours);
	const { events, lives, prior } = judgement.life.ends;
	const inputs: Input[] = [
		...(life?.age.kind === 'known' ? [{ name: 'Hours on the part', value: life.age.hours, unit: 'h' as const }] : []),
		{ name: 'Hours to the next service', value: policy.intervalHours, unit: 'h' },
		{ name: 'Ends on record, not by measured wear', value: events, unit: 'pieces' },
		{ name: 'Lives on record', value: lives, unit: 'pieces' },
		{ name: 'Prior: Weibull shape', value: prior.shape, unit: 'pieces' },
		{ name: 'Prior: Weibull scale', value: prior.scaleHours, unit: 'h' },
		{ name: 'The prior is worth lives', value: prior.worth, unit: 'pieces' }
	];
	const method =
		'P(T ≤ t + H | T > t) of Weibull distributions, over scale and shape as prior and record leave them; lives ended by measured wear are censored, finds at a strip-down lie between two looks (Meeker & Escobar 1998)';
	return [
		{
			name: 'Chance that something else ends it by the next service',
			inputs,
			method,
			result: { value: probability, unit: 'share' }
		}
	];
}
