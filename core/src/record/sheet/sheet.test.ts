import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readSheet } from '../sheetText';
import {
	applies,
	cautionsFor,
	chosenProblem,
	piecesInPump,
	sheetJsonSchema,
	sheetSchema,
	stationsInScope,
	stepsInScope,
	type ModelSheet
} from '.';

const folder = new URL('../../../../demo/sheets/', import.meta.url);
const texts = readdirSync(folder).map((name) => readFileSync(new URL(name, folder), 'utf8'));

// A small sheet of this version, and the same one as version 1 wrote it.
const station = (key: string, change: object = {}) => ({
	key,
	name: `The ${key}`,
	short: key,
	type: 'plunger',
	per: 'cylinder',
	side: 'rod',
	in: 'rods',
	face: { toward: 'notStated' },
	renewal: 'inspect',
	scopes: ['full'],
	price: 10,
	...change
});
const facts = {
	format: 'exetasis/model-sheet',
	model: 'Teasel',
	maker: 'Nobody (invented)',
	layout: 'L1',
	revision: 1,
	cylinders: 3,
	strokeMm: 20,
	ratedPressureMPa: 10,
	ratedSpeedRpm: 900,
	openingCost: 100
};
const small = (change: object = {}) => ({
	...facts,
	version: 3,
	assemblies: [{ key: 'rods', name: 'Rods' }],
	scopes: [{ key: 'full', name: 'Everything', kind: 'full' }],
	steps: [{ key: 'isolate', text: 'Isolate.', scopes: ['full'], blocking: true }],
	stations: [station('plunger'), station('collar')],
	...change
});
const faultsOf = (raw: unknown): string[] => {
	const parsed = sheetSchema.safeParse(raw);
	return parsed.success ? [] : parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
};
const steps = (...list: object[]) =>
	small({ steps: list.map((step, i) => ({ key: `step${i}`, text: `Step ${i}`, scopes: ['full'], ...step })) });
const guides = [
	{
		key: 'guide',
		name: 'Style of guide',
		per: 'cylinder',
		choices: [
			{ key: 'flat', name: 'Flat inside' },
			{ key: 'u', name: 'U inside' }
		]
	},
	{
		key: 'retainers',
		name: 'Retainers',
		choices: [
			{ key: 'plastic', name: 'Plastic' },
			{ key: 'metal', name: 'Metal' }
		]
	}
];

describe('a sheet', () => {
	it('of the demo, and a small one, holds', () => {
		expect(faultsOf(small())).toEqual([]);
		for (const text of texts) expect(readSheet(text)).toMatchObject({ kind: 'sheet', sheet: { version: 3 } });
	});
	it.each<[string, object, string]>([
		['an assembly that is none', { stations: [station('plunger', { in: 'attic' })] }, 'stations.0.in: "attic"'],
		[
			'a key twice',
			{
				assemblies: [
					{ key: 'rods', name: 'A' },
					{ key: 'rods', name: 'B' }
				]
			},
			'assemblies.1.key: "rods"'
		],
		[
			'two parts at one place',
			{ stations: [station('plunger'), station('plunger')] },
			'stations.1.key: "plunger" is used'
		],
		[
			'a scope that is none',
			{ stations: [station('plunger', { scopes: ['full', 'some'] })] },
			'scopes.1: "some" is not'
		],
		[
			'a scope that opens nothing',
			{ scopes: [...small().scopes, { key: 'valves', name: 'Valves', kind: 'valves' }] },
			'scopes.1: opens no station'
		],
		['a scope that offers none', { scopes: [{ ...small().scopes[0], offers: ['more'] }] }, 'offers.0: "more" is not'],
		['a tool that is none', { stations: [station('a', { tools: [{ tool: 'spoon' }] })] }, 'tools.0.tool: "spoon"'],
		['a product that is none', { stations: [station('a', { products: [{ product: 'glue', where: 'x' }] })] }, '"glue"'],
		[
			'a variant that is none',
			{ stations: [station('a', { onlyWith: { colour: ['red'] } })] },
			'colour: "colour" is not'
		],
		[
			'a choice that is none',
			{ variants: guides, stations: [station('a', { onlyWith: { guide: ['round'] } })] },
			'stations.0.onlyWith.guide.0: "guide" has no choice "round"'
		],
		['a mate of itself', { stations: [station('a', { mates: ['a'] })] }, 'stations.0.mates: names the station itself'],
		['a mate that is none', { stations: [station('a', { mates: ['b'] })] }, 'stations.0.mates.0: "b" is not'],
		[
			'a mate twice',
			{ stations: [station('a', { mates: ['b', 'b'] }), station('b')] },
			'mates.1: "b" stands here twice'
		],
		[
			'gates that go in a circle',
			{ stations: [station('a', { gates: ['b'] }), station('b', { gates: ['c'] }), station('c', { gates: ['a'] })] },
			'stations.0.gates: goes in a circle: a → b → c → a'
		],
		[
			'a direction toward a mate that is not opened with it',
			{
				scopes: [...small().scopes, { key: 'valves', name: 'Valves', kind: 'valves' }],
				stations: [
					station('a', { scopes: ['full', 'valves'], face: { toward: 'mate', what: 'cone', mate: 'b' } }),
					station('b')
				]
			},
			'stations.0.face.mate: "b" is not opened in the scope "valves"'
		],
		[
			'a sub-assembly that contains itself',
			{
				stations: [station('a'), station('b')],
				subAssemblies: [
					{ key: 'inner', name: 'Inner', per: 'cylinder', parts: ['a', 'outer'] },
					{ key: 'outer', name: 'Outer', per: 'cylinder', parts: ['inner', 'b'] }
				]
			},
			'subAssemblies.0.parts: "inner" contains itself'
		],
		[
			'a part in two sub-assemblies',
			{
				stations: [station('a'), station('b'), station('c')],
				subAssemblies: [
					{ key: 'one', name: 'One', per: 'cylinder', parts: ['a', 'b'] },
					{ key: 'two', name: 'Two', per: 'cylinder', parts: ['b', 'c'] }
				]
			},
			'subAssemblies.1.parts.0: "b" is a part of "one" already'
		],
		[
			'a sub-assembly of nothing known',
			{ subAssemblies: [{ key: 'one', name: 'One', per: 'cylinder', parts: ['plunger', 'x'] }] },
			'"x" is not a station or sub-assembly'
		],
		[
			'an order that contradicts itself',
			{
				stations: [station('a'), station('b'), station('c')],
				order: [
					{ first: ['a', 'b', 'c'], why: 'as they lie' },
					{ first: ['c', 'a'], why: 'the other way' }
				]
			},
			'order: in the scope "full" the order goes in a circle: a → b → c → a'
		],
		['an order of nothing known', { order: [{ first: ['plunger', 'x'], why: 'x' }] }, 'order.0.first.1: "x" is not'],
		[
			'a product on what it attacks',
			{
				products: [{ key: 'oil', name: 'Oil', kind: 'oil', notOn: ['EPDM'] }],
				stations: [station('a', { elastomer: 'EPDM', products: [{ product: 'oil', where: 'x' }] })]
			},
			'stations.0.products.0.product: "oil" attacks EPDM'
		],
		[
			'a kit for another variant',
			{
				variants: guides,
				stations: [station('a', { onlyWith: { retainers: ['metal'] } })],
				kits: [
					{
						number: 'K1',
						name: 'Kit',
						price: 5,
						onlyWith: { retainers: ['plastic'] },
						holds: [{ station: 'a', pieces: 3 }]
					}
				]
			},
			'kits.0.holds.0.station: "a" is of another variant than the kit'
		],
		[
			'throws for other cylinders',
			{ crank: { phasesDeg: [0, 180], rodMm: 90, access: 'front' } },
			'one angle for each of 3'
		],
		[
			'look-alikes that are none',
			{ lookAlikes: [{ stations: ['plunger', 'x'], are: 'same', text: 'x' }] },
			'"x" is not'
		]
	])('with %s is refused', (_, change, message) => {
		expect(faultsOf(small(change)).join('\n')).toContain(message);
	});
	it.each<[string, object, string]>([
		[
			'two bolts at one spot',
			{
				bolts: [
					{ xMm: 1, yMm: 2 },
					{ xMm: 1, yMm: 2 }
				]
			},
			'bolts.1: lies at the same spot as bolt 1'
		],
		['stages that fall', { stages: [0.8, 0.5, 1] }, 'stages: must rise and end at 1'],
		['stages short of the whole', { stages: [0.5] }, 'stages: must rise and end at 1'],
		['a most torque below its torque', { torqueNm: 20, mostNm: 20 }, 'mostNm: must be above the torque'],
		['nothing to tighten', { bolts: [{ xMm: 0, yMm: 0, mark: 'pin' }] }, 'bolts: has no bolt that is tightened']
	])('whose bolts have %s is refused', (_, change, message) => {
		const fastening = { bolts: [{ xMm: 0, yMm: 0 }], torqueFrom: 'maker', pattern: 'cross', ...change };
		expect(faultsOf(small({ stations: [station('a', { fastening })] })).join('\n')).toContain(message);
	});
	it.each<[string, object[], string]>([
		['waits for a later one', [{ after: ['step1'] }, {}], 'steps.0.after: "step1" is not an earlier step'],
		['waits for itself', [{ after: ['step0'] }], 'is not an earlier step'],
		['recalls a later one', [{ recalls: ['step1'] }, {}], 'steps.0.recalls: "step1" is not an earlier step'],
		['recalls one that asks nothing', [{}, { recalls: ['step0'] }], 'steps.1.recalls: "step0" asks nothing'],
		['blocks after one that does not', [{}, { blocking: true }], 'steps.1.blocking: blocking steps come before'],
		[
			'goes back a stage',
			[{ stage: 'build' }, { stage: 'strip' }],
			'steps.1.stage: stands after a step of the stage "build"'
		],
		[
			'locks until an earlier one',
			[{}, { locks: { what: 'shaft', until: 'step0', text: 'x' } }],
			'"step0" is not a later'
		],
		['has a window without a time', [{}, { within: { of: 'step0' } }], 'within.minutes: either minutes or a product'],
		[
			'has a window of a later one',
			[{ within: { of: 'step1', minutes: 5 } }, {}],
			'within.of: "step1" is not an earlier'
		],
		['lays what is none', [{ lays: { assembly: 'x', up: 'P' } }], 'lays.assembly: "x" is not an assembly'],
		['counts what is none', [{ asks: [{ kind: 'count', station: 'x' }] }], 'asks.0.station: "x" is not a station'],
		['asks for no size', [{ asks: [{ kind: 'size', station: 'plunger', characteristic: 'x' }] }], 'has no size "x"'],
		[
			'names one choice twice',
			[
				{
					asks: [
						{
							kind: 'choice',
							text: 'Oil',
							choices: ['a', 'a'].map((text) => ({ text, means: 'harmless' }))
						}
					]
				}
			],
			'asks.0.choices: names one choice twice'
		],
		[
			'draws what a part does not show',
			[
				{
					asks: [
						{
							kind: 'choice',
							text: 'Oil',
							choices: [
								{ text: 'a', means: { finding: { station: 'plunger', pattern: 'milkyOil' } } },
								{ text: 'b', means: 'harmless' }
							]
						}
					]
				}
			],
			'choices.0.means.finding.pattern: a plunger does not show "milkyOil"'
		],
		['turns a fourth crank', [{ crank: { stand: 'forward', cylinder: 4 } }], 'there are 3 cylinders'],
		['forgets a part', [{ stations: ['plunger'] }], 'scopes.0: no strip step takes out "collar"']
	])('with a step that %s is refused', (_, list, message) => {
		expect(faultsOf(steps(...list)).join('\n')).toContain(message);
	});
	it('whatever its gates are is checked, and every circle is found', () =>
		fc.assert(
			fc.property(fc.array(fc.array(fc.nat(5), { maxLength: 3 }), { minLength: 6, maxLength: 6 }), (edges) => {
				const stations = edges.map((to, i) =>
					station(`s${i}`, { gates: [...new Set(to)].filter((value) => value !== i).map((value) => `s${value}`) })
				);
				// By the definition: following gates, does one come back to where one began?
				const reaches = (from: number, to: number, seen = new Set<number>()): boolean =>
					edges[from].some((next) => {
						if (next === from) return false;
						if (next === to) return true;
						return !seen.has(next) && reaches(next, to, seen.add(next));
					});
				const circular = edges.some((_, i) => reaches(i, i));
				expect(faultsOf(small({ stations })).some((fault) => fault.includes('circle'))).toBe(circular);
			})
		));
});

describe('the published JSON Schema', () => {
	it('is the one that is in force', () => {
		const published = readFileSync(new URL('../../../../docs/model-sheet.schema.json', import.meta.url), 'utf8');
		expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(sheetJsonSchema())));
	});
	it('lets out what has a default, and nothing that has none', () => {
		const { required, properties } = sheetJsonSchema() as { required: string[]; properties: object };
		expect(required).toContain('stations');
		expect(required).not.toContain('kits');
		expect(Object.keys(properties)).toContain('variants');
	});
});

describe('variants', () => {
	it('decide which cautions hold for this pump, as a part goes out or in', () => {
		interface Told {
			readonly text: string;
			readonly when?: 'out' | 'in' | 'both';
			readonly onlyWith?: Record<string, string[]>;
		}
		const cautions: Told[] = [
			{ text: 'cracks', when: 'both', onlyWith: { manifold: ['plastic'] } },
			{ text: 'scratches', when: 'out' },
			{ text: 'shears', when: 'in' },
			{ text: 'heavy' }
		];
		const texts = (...of: [Parameters<typeof cautionsFor>[1], ('out' | 'in')?]) =>
			cautionsFor({ cautions }, ...of).map(({ text }) => text);
		expect(texts({ manifold: 'metal' }, 'out')).toEqual(['scratches', 'heavy']);
		expect(texts({ manifold: 'plastic' }, 'in')).toEqual(['cracks', 'shears', 'heavy']);
		expect(texts(undefined)).toEqual(['cracks', 'scratches', 'shears', 'heavy']); // not answered: nothing is hidden
	});
	it('decide what applies, at each cylinder; what no one asked about hides nothing', () => {
		const flat = { guide: ['flat'] };
		expect(applies(undefined, { guide: 'u' })).toBe(true);
		expect(applies(flat)).toBe(true);
		expect(applies(flat, { guide: ['flat', 'u', 'u'] }, 1)).toBe(true);
		expect(applies(flat, { guide: ['flat', 'u', 'u'] }, 2)).toBe(false);
		expect(applies(flat, { guide: ['flat', 'u', 'u'] })).toBe(true); // one cylinder has it
		expect(applies(flat, { guide: ['u', 'u', 'u'] })).toBe(false);
		expect(applies({ ...flat, retainers: ['metal'] }, { guide: ['flat'], retainers: 'plastic' }, 1)).toBe(false);
	});
	it('say how many pieces a pump has of a station', () => {
		const sheet = sheetSchema.parse(
			small({
				variants: guides,
				stations: [
					station('nuts', { per: 'pump', pieces: 8 }),
					station('flat', { pieces: 2, onlyWith: { guide: ['flat'] } })
				]
			})
		);
		expect(piecesInPump(sheet, 'nuts')).toBe(8);
		expect(piecesInPump(sheet, 'flat')).toBe(6);
		expect(piecesInPump(sheet, 'flat', { variants: { guide: ['flat', 'u', 'u'] } })).toBe(2);
		expect(piecesInPump(sheet, 'flat', { arrival: { cylinders: [2] } })).toBe(2);
		expect(piecesInPump(sheet, 'nuts', { arrival: { cylinders: [2] } })).toBe(8);
		expect(piecesInPump(sheet, 'nothing')).toBe(0);
	});
	it('prune stations and steps', () => {
		const sheet: ModelSheet = sheetSchema.parse(
			small({
				variants: guides,
				stations: [station('plunger'), station('damper', { onlyWith: { retainers: ['metal'] } })],
				steps: [
					{ key: 'isolate', text: 'Isolate.', scopes: ['full'] },
					{ key: 'legs', text: 'Legs.', scopes: ['full'], onlyWith: { retainers: ['metal'] } },
					{ key: 'close', text: 'Close.', scopes: ['full'], stage: 'build' }
				]
			})
		);
		const keys = (retainers?: string) => {
			const opening = { scope: 'full', ...(retainers ? { variants: { retainers } } : {}) };
			return [stationsInScope(sheet, opening), stepsInScope(sheet, opening)].map((list) => list.map(({ key }) => key));
		};
		expect(keys('plastic')).toEqual([['plunger'], ['isolate']]);
		expect(keys('metal')).toEqual([
			['plunger', 'damper'],
			['isolate', 'legs']
		]);
		expect(keys()).toEqual(keys('metal'));
	});
	it.each([
		[{ colour: 'red' }, 'unknownVariant'],
		[{ retainers: 'wood' }, 'unknownChoice'],
		[{ retainers: ['metal'] }, 'notEachCylinder'],
		[{ guide: 'flat' }, 'notEachCylinder'],
		[{ guide: ['flat', 'u'] }, 'notEachCylinder'],
		[{ guide: ['flat', 'u', 'round'] }, 'unknownChoice'],
		[{ guide: ['flat', 'u', 'u'], retainers: 'metal' }, undefined],
		[{}, undefined]
	])('%j: %s', (chosen, problem) => {
		const { variants, cylinders } = sheetSchema.parse(small({ variants: guides }));
		expect(chosenProblem({ variants, cylinders }, chosen)?.problem).toBe(problem);
	});
});
