import { describe, expect, it } from 'vitest';
import { gaussLegendre, powerRule } from '../number';
import { LifeContext } from './context';
import { GammaTable } from './gammaTable';
import { PartWear, priorKnowledge, type WearHistory } from '.';

const knowledge = priorKnowledge({
	hoursToLimit: 4000,
	between: 0.4,
	within1000h: 0.25,
	priorWeight: 4,
	from: 'sheet'
});
const pump = { mean: 0, sd: 0.3 };
const after = (...worn: number[]): WearHistory => ({
	before: [{ hours: 0, weight: 1 }],
	inspections: worn.map((value, i) => ({ hours: 1500 * (i + 1), worn: value, u: 0.02 }))
});

describe('what forecasts have in common', () => {
	it('changes no answer, whatever was asked before', () => {
		const context = new LifeContext();
		const histories = [after(), after(0.3), after(0.3, 0.7), after(0.1, 0.15, 0.6), after(0.3)];
		for (const history of histories) {
			const shared = new PartWear(knowledge, pump, history, { context });
			expect(shared.risk(1500)).toEqual(new PartWear(knowledge, pump, history).risk(1500));
		}
	});
	it('is the rules and tables that it stands for', () => {
		const context = new LifeContext();
		for (const _ of [1, 2]) {
			expect(Array.from(context.rule(12).nodes)).toEqual(gaussLegendre(12).nodes);
			expect(context.singularRule(12, 0.4)).toEqual(powerRule(12, 0.4));
			expect(context.table(2.5).upper(1.7)).toBe(new GammaTable(2.5).upper(1.7));
			expect(context.cosines(3)[3]).toBeCloseTo(Math.cos(Math.PI / 6), 12);
		}
		expect(context.rule(12)).toBe(context.rule(12));
	});
	it('forgets the oldest where more is asked for than it keeps, and answers the same', () => {
		const context = new LifeContext();
		const first = context.singularRule(8, 0.5);
		for (let i = 0; i < 600; i++) context.singularRule(8, 1 + i / 1000);
		expect(context.singularRule(8, 0.5)).toEqual(first);
	});
	it('keeps an answer while what it rests on is the same object', () => {
		const context = new LifeContext();
		const [part, gauges, others] = [{}, {}, {}];
		let worked = 0;
		const ask = (restsOn: object) => context.kept(part, 'life', [restsOn], () => ++worked);
		expect([ask(gauges), ask(gauges), ask(others), ask(gauges)]).toEqual([1, 1, 2, 3]);
		expect(context.kept(part, 'other', [], () => 'told')).toBe('told');
		expect(new LifeContext().kept(part, 'life', [gauges], () => ++worked)).toBe(4);
	});
});
