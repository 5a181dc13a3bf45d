// What ends lives besides measured wear, at one station with 300 recorded lives: what is said of a part, and what is true.
import { fitCompetingFailures, riskOfCompetingFailure, type LifePrior, type OtherLife } from '../../core/src/life';
import { Random } from '../../demo/src';

const LIVES = 300;
const OLDEST = 3000; // hours
const INTERVAL = 1000; // between inspections
const NEW = [{ hours: 0, weight: 1 }];
const prior: LifePrior = { scaleHours: 20_000, shape: 1.3, priorWeight: 2, from: 'sheet' };

/**
 * Shops whose lives end by a Weibull distribution of this shape, so many of 300 on average: the mean of what is said of a part of
 * this age for the next 2000 h, its 5 and 95 % over the shops, and the truth.
 */
export function otherEnds(shape: number, expected: number, age: number, shops: number, seed: number) {
	const random = new Random(seed);
	const scale = OLDEST / ((expected / LIVES) * (shape + 1)) ** (1 / shape);
	const said = Array.from({ length: shops }, () => {
		const lives = Array.from({ length: LIVES }, (): OtherLife => {
			const hours = OLDEST * random.uniform();
			const ended = scale * (-Math.log(1 - random.uniform())) ** (1 / shape);
			if (ended >= hours) return { before: NEW, held: hours };
			const held = Math.floor(ended / INTERVAL) * INTERVAL;
			return { before: NEW, held, endedBy: Math.min(hours, held + INTERVAL) };
		});
		const { s } = fitCompetingFailures([{ station: 's', type: 't', prior, lives }]);
		return riskOfCompetingFailure(s, { kind: 'known', hours: age }, 2000).probability;
	}).sort((a, b) => a - b);
	const ended = (hours: number) => (hours / scale) ** shape;
	return {
		truth: -Math.expm1(ended(age) - ended(age + 2000)),
		said: said.reduce((sum, value) => sum + value, 0) / shops,
		low: said[Math.floor(0.05 * (shops - 1))],
		high: said[Math.floor(0.95 * (shops - 1))]
	};
}
