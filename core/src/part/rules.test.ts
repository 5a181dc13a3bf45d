import { describe, expect, it } from 'vitest';
import { partTypes, type PartTypeKey, type PatternKey, type PartType } from '.';

// What ends a part's life at the first sight (1), when clear (2) or when severe (3), by the customs of the trade.
const rules: readonly [PartTypeKey, PatternKey, 1 | 2 | 3 | undefined][] = [
	['plunger', 'crack', 1],
	['plunger', 'chip', 1],
	['plunger', 'axialScoring', 2],
	['plunger', 'heatChecks', 2],
	['plunger', 'wearBand', 3],
	['plunger', 'deposit', undefined],
	['sleeve', 'crack', 1],
	['sleeve', 'pitted', 2],
	['cylinder', 'crack', 1],
	['cylinder', 'scoredBore', 2],
	['vRing', 'lipTorn', 1],
	['vRing', 'glazed', 1],
	['vRing', 'insideWear', 2],
	['lipSeal', 'lipTorn', 1],
	['lipSeal', 'springOut', 1],
	['cup', 'split', 1],
	['cup', 'lipFlat', 2],
	['oRing', 'cut', 1],
	['oRing', 'pinched', 1],
	['oRing', 'flatSet', 2],
	['spring', 'stretched', 1],
	['spring', 'broken', 1],
	['spring', 'wrongPart', 1],
	['spring', 'short', 2],
	['valveSeat', 'wireDrawn', 1],
	['valveSeat', 'loose', 1],
	['valveSeat', 'pitted', 2],
	['valveSeat', 'deposit', undefined],
	['valve', 'bent', 1],
	['valve', 'faceWorn', 2],
	['cage', 'crack', 1],
	['cage', 'postWorn', 2],
	['diaphragm', 'crack', 1],
	['diaphragm', 'hole', 1],
	['manifold', 'crack', 1],
	['manifold', 'warped', 2],
	['valvePlate', 'crack', 1],
	['regulatorPacking', 'crushed', 1],
	['regulatorStem', 'bevelled', 2],
	['regulatorSeat', 'wireDrawn', 1],
	['regulatorSeat', 'rounded', 2],
	['rod', 'bent', 1],
	['rod', 'grooveWorn', 2],
	['adapter', 'crushed', 1],
	['adapter', 'reversed', undefined],
	['fastener', 'galled', 1],
	['slinger', 'missing', 1]
];

describe('hard rules', () => {
	it.each(rules)('%s: %s ends its life from severity %s', (type, pattern, from) => {
		const rule = partTypes[type].patterns.find((patternRule) => patternRule.pattern === pattern);
		expect(rule, `${type} knows ${pattern}`).toBeDefined();
		expect((rule as { outFrom?: number }).outFrom).toBe(from);
	});
	it('dirt is cleaned before it is judged', () => {
		for (const [type, pattern] of [
			['plunger', 'deposit'],
			['valveSeat', 'deposit'],
			['bore', 'residue'],
			['gasket', 'residue'],
			['manifold', 'blocked']
		] as const)
			expect(
				(partTypes[type] as PartType).patterns.find((rule) => rule.pattern === pattern)?.cleanFirst,
				`${type} ${pattern}`
			).toBe(true);
	});
	it('what puts the unit in question, and nothing else does', () => {
		const stops = Object.values(partTypes as Record<string, PartType>).flatMap(({ key, patterns }) =>
			patterns.filter(({ stopsUnitFrom }) => stopsUnitFrom !== undefined).map(({ pattern }) => `${key} ${pattern}`)
		);
		expect(stops.sort()).toEqual(
			[
				'crossheadBore metalInOil',
				'crossheadBore scoredBore',
				'crossheadBore worn',
				'manifold crack',
				'oilPan metalInOil',
				'oilSeal metalInOil',
				'rod axialScoring',
				'rod bent',
				'rod loose'
			].sort()
		);
	});
	it('a wear that is measured names sizes that its part has', () => {
		for (const { key, patterns, characteristics } of Object.values(partTypes as Record<string, PartType>))
			for (const { wearOf = [] } of patterns)
				for (const size of wearOf)
					expect(
						characteristics.map((characteristic) => characteristic.key),
						key
					).toContain(size);
	});
	it('design values are named once, and look-alikes are told by sizes that are measured', () => {
		for (const { key, design = [], toldApartBy = [], characteristics } of Object.values(
			partTypes as Record<string, PartType>
		)) {
			expect(new Set(design.map((value) => value.key)).size, key).toBe(design.length);
			for (const size of toldApartBy)
				expect(
					characteristics.map((characteristic) => characteristic.key),
					key
				).toContain(size);
			expect(new Set(characteristics.map((characteristic) => characteristic.key)).size, key).toBe(
				characteristics.length
			);
		}
	});
});
