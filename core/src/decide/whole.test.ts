import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { decideWhole, defaultPolicy, economicInterval, type JudgeInput, type WholeInput } from '.';
import { ran } from './testing';
import { fold, readSheet, untouched, type Entry, type ModelSheet } from '../record';

const text = readFileSync(new URL('../../../demo/sheets/marram.json', import.meta.url), 'utf8');
const { sheet } = readSheet(text) as { sheet: ModelSheet };
let counter = 0;
function recordOf(...drafts: { kind: Entry['kind']; payload: object }[]) {
	const entries = drafts.map(
		(draft) =>
			({
				id: `e${++counter}`,
				job: 'j',
				part: 'p',
				by: 'ines',
				at: new Date(Date.UTC(2026, 0, 1) + counter * 1000).toISOString(),
				...draft
			}) as Entry
	);
	return fold(entries).parts.get('p') ?? untouched;
}
const clean = { kind: 'clean' as const, payload: {} };
const read = (characteristic: string, value: number) => ({
	kind: 'reading' as const,
	payload: { characteristic, row: 0, column: 0, value, typed: { text: '', unit: 'mm' } }
});

const input = (key: string, record = recordOf(clean)): Omit<JudgeInput, 'policy'> => ({
	station: sheet.stations.find((station) => station.key === key)!,
	record,
	life: ran(
		sheet.stations.find((station) => station.key === key)!,
		1500
	),
	asFitted: {},
	gauges: []
});
const whole = (change: Partial<WholeInput> = {}): WholeInput => ({
	parts: [
		{ id: 'packing', cylinder: 1, input: input('packing', recordOf(clean, read('insideDiameter', 17.7))) },
		{ id: 'backup', cylinder: 1, input: input('caseORing') },
		{
			id: 'cracked',
			cylinder: 1,
			input: input(
				'maleAdapter',
				recordOf({ kind: 'finding', payload: { pattern: 'crushed', severity: 1, onset: 'service' } })
			)
		},
		{ id: 'unseen', cylinder: 1, input: input('collar', untouched) }
	],
	policy: defaultPolicy,
	openingCost: 400,
	...change
});
const says = (decision: ReturnType<typeof decideWhole>, id: string) =>
	decision.parts.find((part) => part.id === id)!.says;

describe('decideWhole', () => {
	it('says what each policy would say, side by side', () => {
		const decision = decideWhole(whole());
		expect(says(decision, 'backup')).toMatchObject({ renewSoft: 'replace', onCondition: 'reuse' });
		expect(says(decision, 'cracked')).toEqual({ renewSoft: 'replace', onCondition: 'replace', leastCost: 'replace' });
		expect(says(decision, 'unseen').leastCost).toBe('open');
		expect(decision.parts.map(({ out }) => out)).toEqual([false, false, true, false]);
	});
	it('gives every part risk, and charges only what stops the pump', () => {
		for (const { reused, fresh } of decideWhole(whole()).parts) {
			expect(reused.beyond).toBeGreaterThan(0);
			expect(reused.stop).toBeLessThan(reused.beyond);
			expect(fresh.stop).toBeLessThan(fresh.beyond);
		}
		const { cost } = decideWhole(whole());
		expect(cost.onCondition.pAnyFailure).toBeLessThan(cost.onCondition.pAnyBeyond);
	});
	it('by least cost is no dearer than either other policy', () => {
		for (const intervalHours of [500, 2000, 4000]) {
			const { cost } = decideWhole(whole({ policy: { ...defaultPolicy, intervalHours } }));
			expect(cost.leastCost.total).toBeLessThanOrEqual(Math.min(cost.renewSoft.total, cost.onCondition.total) + 1e-9);
		}
	});
	it('says "out" of a part that a rule puts out, in place of a small chance', () => {
		const scored = recordOf({ kind: 'finding', payload: { pattern: 'axialScoring', severity: 3, onset: 'service' } });
		const { parts } = decideWhole(
			whole({
				parts: [
					{ id: 'scored', cylinder: 1, input: input('plunger', scored) },
					{ id: 'sound', cylinder: 2, input: input('plunger', recordOf(clean, read('diameter', 17.99))) }
				]
			})
		);
		expect(parts.map(({ id, out, says }) => [id, out, says.renewSoft])).toEqual([
			['scored', true, 'replace'],
			['sound', false, 'lookAgain']
		]);
	});
	it('leaves standing decisions standing', () => {
		const kept = recordOf(
			{ kind: 'finding', payload: { pattern: 'crushed', severity: 1, onset: 'service' } },
			{ kind: 'decision', payload: { verdict: 'reuse', proposed: 'replace', why: 'spare lost' } }
		);
		const { parts, cost } = decideWhole(
			whole({ parts: [{ id: 'kept', cylinder: 1, input: input('maleAdapter', kept) }] })
		);
		expect(parts[0].decided).toBe('reuse');
		expect(parts[0].out).toBe(false); // it was decided otherwise
		expect(cost.renewSoft.parts).toBe(0);
	});
	it('renews a worn part the sooner, the longer it has to last', () => {
		const worn = {
			parts: [{ id: 'spring', cylinder: 1, input: input('inletSpring', recordOf(clean, read('freeLength', 21.5))) }]
		};
		const at = (intervalHours: number) =>
			says(decideWhole(whole({ ...worn, policy: { ...defaultPolicy, intervalHours } })), 'spring').leastCost;
		expect([at(50), at(4000)]).toEqual(['reuse', 'replace']);
	});
	it('of an empty mat decides nothing', () => expect(decideWhole(whole({ parts: [] })).cost.leastCost.total).toBe(0));
});

describe('economicInterval', () => {
	it('names the interval of the lowest point of its curve', () => {
		const { best, curve } = economicInterval(whole())!;
		expect(best.per1000h).toBe(Math.min(...curve.map(({ per1000h }) => per1000h)));
		expect(curve.every(({ pAnyFailure }, i) => i === 0 || pAnyFailure >= 0)).toBe(true);
	});
	it('comes sooner where an unplanned stop is dear', () => {
		const at = (downtimeCost: number) =>
			economicInterval(whole({ policy: { ...defaultPolicy, downtimeCost } }))!.best.hours;
		expect(at(50_000)).toBeLessThan(at(100));
	});
	it('of a mat at which no one has looked is not there, and at the end of its range says so', () => {
		const unseen = { parts: [{ id: 'unseen', cylinder: 1, input: input('collar', untouched) }] };
		expect(economicInterval(whole(unseen))).toBeUndefined();
		expect(economicInterval(whole({ policy: { ...defaultPolicy, downtimeCost: 0 }, openingCost: 5000 }))!.atLeast).toBe(
			true
		);
	});
});
