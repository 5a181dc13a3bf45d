import type { Input } from '../part';
import type { Unit } from '../quantity';
import type { JudgedCharacteristic, MeasuredCharacteristic } from './characteristic';
import { wearModelOf, type JudgeInput, type Judgement } from './judge';
import { meanRate } from './gammaProcess';
import type { Outlook } from './forecast';

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
	return outlook ? [...steps, forecastStep(name, unit, wear, budget.u, outlook, input, sheet)] : steps;
}

function forecastStep(
	name: string,
	unit: Unit,
	wear: JudgedCharacteristic['wear'],
	u: number,
	outlook: Outlook,
	input: JudgeInput,
	sheet: JudgedCharacteristic['sheet']
): Step {
	const model = wearModelOf(input, sheet);
	const inputs: Input[] = [
		{ name: 'Wear so far', value: wear.worn, unit },
		{ name: 'its standard uncertainty', value: u, unit },
		{ name: 'Hours on the part', value: input.hours!, unit: 'h' },
		{ name: 'Hours to the next service', value: input.policy.intervalHours, unit: 'h' }
	];
	if (model) {
		const { process, basis } = model;
		const mean = meanRate(process);
		inputs.push({ name: 'Shape per 1000 h, a', value: process.shapePerHour * 1000, unit: 'pieces' });
		inputs.push({ name: 'Shape of the rates, δ', value: process.rateShape, unit: 'pieces' });
		inputs.push({ name: 'Scale of the rates, γ', value: process.rateScale, unit });
		if (Number.isFinite(mean)) inputs.push({ name: 'Mean wear of its kind in 1000 h', value: mean * 1000, unit });
		if (basis.kind === 'fleet') inputs.push({ name: 'Parts it was fitted to', value: basis.parts, unit: 'pieces' });
	}
	return {
		name: `${name}: chance of passing the limit by the next service`,
		inputs,
		method: model
			? `Gamma process with a random rate per part, X/(X + γ + w) ~ Beta, over the measuring uncertainty (Lawless & Crowder 2004); ${
					model.basis.kind === 'fleet' ? 'fitted to your fleet' : 'the model sheet’s prior, too few parts on record'
				}`
			: 'Its own mean rate carried on, with 30 % scatter assumed (JCGM 100, 5.1.2); too few like it on record and no prior on the sheet',
		result: { value: outlook.probability, unit: 'share' }
	};
}

function otherSteps({ otherEnds, hours, policy }: JudgeInput, { other }: Judgement): Step[] {
	if (!otherEnds || other === undefined || hours === undefined) return [];
	const inputs: Input[] = [
		{ name: 'Hours on the part', value: hours, unit: 'h' },
		{ name: 'Hours to the next service', value: policy.intervalHours, unit: 'h' },
		{ name: 'Ends on record, not by measured wear', value: otherEnds.events, unit: 'pieces' },
		{ name: 'Lives on record', value: otherEnds.lives, unit: 'pieces' }
	];
	const name = 'Chance that something else ends it by the next service';
	if (otherEnds.kind === 'weibull') {
		inputs.push({ name: 'Weibull shape', value: otherEnds.shape, unit: 'pieces' });
		inputs.push({ name: 'Weibull scale', value: otherEnds.scale, unit: 'h' });
		const method =
			'P(T ≤ t + H | T > t) of a Weibull distribution; lives ended by measured wear are censored, finds at a strip-down lie between two looks (Meeker & Escobar 1998)';
		return [{ name, inputs, method, result: { value: other, unit: 'share' } }];
	}
	inputs.push({ name: 'Hours on record', value: otherEnds.hours, unit: 'h' });
	const why = otherEnds.because === 'fewEvents' ? 'too few ends for a shape' : 'the Weibull fit did not converge';
	const method = `1 − (T/(T + H))^(r + ½), a constant rate: ${why} (Jeffreys’ prior)`;
	return [{ name, inputs, method, result: { value: other, unit: 'share' } }];
}
