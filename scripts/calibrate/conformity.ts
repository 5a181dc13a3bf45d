// The verdict on a limit where the truth is known: a bore or plunger of k places whose worst is exactly at its limit, or off it.
import { defaultPolicy, judgeCharacteristic, type ShopGauge } from '../../core/src/decide';
import type { Reading, SheetCharacteristic } from '../../core/src/record';
import { Random } from '../../demo/src';

const facts = {
	resolution: 0.001,
	calibrationU: 0.003,
	calibrationK: 2,
	repeatability: 0.0015,
	repeatabilityDof: 18,
	reproducibility: 0.001,
	expansionPerKelvin: 11.5e-6,
	overdue: false
};
const gauge: ShopGauge = { id: 'g', name: 'Micrometer', kind: 'micrometer', facts };
const LIMIT = 17.95;

/** How far each place is from the worst, as a share of the wear. */
export const shapes = {
	even: () => 1,
	tapered: (place: number, k: number) => (k === 1 ? 1 : 1 - (0.5 * place) / (k - 1)),
	oneSided: (place: number) => (place === 0 ? 1 : 0.3)
} as const;
export type Shape = keyof typeof shapes;

function zoneOf(k: number, shape: Shape, worst: number, random: Random): 'inside' | 'tooClose' | 'beyond' {
	const sheet = {
		key: 'diameter',
		nominal: 18,
		min: LIMIT,
		unit: 'mm',
		when: 'always',
		tolerance: 0,
		grid: { stations: Array.from({ length: k }, (_, i) => `${i}`), anglesDeg: [0] }
	} as unknown as SheetCharacteristic;
	// The gauge's zero and the person's hand are the same at every place; its scatter and display are not.
	const shared = random.normal(0, facts.calibrationU / facts.calibrationK) + random.normal(0, facts.reproducibility);
	const readings = Array.from({ length: k }, (_, row) => {
		const truth = 18 - (18 - worst) * shapes[shape](row, k);
		const shown = truth + shared + random.normal(0, facts.repeatability);
		const value = Math.round(shown / facts.resolution) * facts.resolution;
		return { payload: { characteristic: 'diameter', row, column: 0, value, gauge: 'g' } } as Reading;
	});
	const judged = judgeCharacteristic('plunger', sheet, readings, {
		gauges: [gauge],
		policy: defaultPolicy,
		asFitted: {}
	});
	return judged!.conformity.zone;
}

const U = Math.hypot(
	facts.calibrationU / 2,
	facts.reproducibility,
	facts.repeatability,
	facts.resolution / Math.sqrt(12)
);

/** Shares of verdicts for parts whose worst place is truly `off` standard uncertainties inside (above 0) or beyond its limit. */
export function verdicts(k: number, shape: Shape, off: number, parts: number, seed: number) {
	const random = new Random(seed);
	const count = { inside: 0, tooClose: 0, beyond: 0 };
	for (let i = 0; i < parts; i++) count[zoneOf(k, shape, LIMIT + off * U, random)]++;
	return { inside: count.inside / parts, tooClose: count.tooClose / parts, beyond: count.beyond / parts };
}
