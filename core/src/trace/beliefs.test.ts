import { describe, expect, it } from 'vitest';
import {
	beliefsOf,
	findingsAt,
	learnBackgroundRates,
	learnStrengths,
	readNetwork,
	startingNetwork,
	type Beliefs,
	type InspectedAt,
	type RebuildEvidence
} from '.';
import { demoNames, demoSheet } from '../decide/testing';
import type { PatternKey } from '../part';

const sheet = demoSheet('marram');
const stations = sheet.stations.filter(({ per }) => per === 'cylinder').map(({ key }) => key);

type Seen = Partial<Pick<InspectedAt, 'patterns' | 'seenBefore' | 'byAssembly' | 'ranHours' | 'failed'>>;
/** A rebuild in which every part was inspected, sound but for these. */
const rebuild = (
	pumpHours: number,
	found: Readonly<Record<string, Seen>> = {},
	more: Partial<RebuildEvidence> = {}
): RebuildEvidence => ({
	pumpHours,
	inspections: [1, 2, 3].flatMap((cylinder) =>
		stations.map((station) => ({
			station,
			cylinder,
			patterns: [],
			seenBefore: [],
			byAssembly: [],
			ranHours: null,
			failed: false,
			...found[`${station}/${cylinder}`]
		}))
	),
	asFound: [],
	sizes: [],
	sides: [],
	duty: {},
	...more
});
const believed = (beliefs: Beliefs): Extract<Beliefs, { kind: 'believed' }> => {
	if (beliefs.kind !== 'believed') throw new Error('contradicts');
	return beliefs;
};
const of = (rebuilds: readonly RebuildEvidence[], actions: Parameters<typeof beliefsOf>[3] = []) =>
	believed(beliefsOf(startingNetwork, sheet, rebuilds, actions));
const first = ({ beliefs }: ReturnType<typeof of>) =>
	beliefs.filter(({ cause }) => cause !== 'wornOut').toSorted((a, b) => b.now.at(-1)! - a.now.at(-1)!)[0];

describe('findingsAt', () => {
	const at = (evidence: RebuildEvidence, finding: string, cylinder: number) =>
		findingsAt(startingNetwork, sheet, evidence).find(
			(candidate) => candidate.finding === finding && candidate.cylinder === cylinder
		)?.present;
	it('tells present, looked for and absent, and not looked for apart', () => {
		const torn = rebuild(1000, { 'packing/2': { patterns: ['lipTorn'] } });
		expect(at(torn, 'sealTorn', 2)).toBe(true);
		expect(at(torn, 'sealTorn', 1)).toBe(false);
		expect(at({ ...torn, inspections: [] }, 'sealTorn', 1)).toBeUndefined();
		expect(at(torn, 'rigAir', 0)).toBeUndefined();
	});
	it('does not find a kept scratch again, and finds it kept', () => {
		const kept = rebuild(2000, { 'plunger/1': { seenBefore: ['axialScoring'] } });
		expect(at(kept, 'plungerScored', 1)).toBeUndefined();
		expect(at(kept, 'plungerScoredKept', 1)).toBe(true);
		expect(at(kept, 'plungerScored', 2)).toBe(false);
	});
	it('keeps the low-pressure seal apart from the packing', () =>
		expect(at(rebuild(1, { 'lowPressureSeal/1': { patterns: ['lipTorn'] } }), 'sealTorn', 1)).toBe(false));
	it('counts what an earlier assembly made only where that is asked', () => {
		const pinched = rebuild(1, { 'retainerORing/3': { byAssembly: ['pinched'] } });
		expect(at(pinched, 'ringPinched', 3)).toBe(true);
		expect(at(pinched, 'ringCut', 3)).toBe(false);
	});
	it('calls a packing gone early that failed young, and says nothing of one renewed young', () => {
		expect(at(rebuild(1, { 'packing/1': { ranHours: 300, failed: true } }), 'sealEarly', 1)).toBe(true);
		expect(at(rebuild(1, { 'packing/1': { ranHours: 300 } }), 'sealEarly', 1)).toBeUndefined();
		expect(at(rebuild(1, { 'packing/1': { ranHours: 3900, failed: true } }), 'sealEarly', 1)).toBe(false);
	});
	it('sees one-sided marks that face the same way', () => {
		const sides = (...degs: number[]) => ({
			sides: degs.map((deg, i) => ({ station: 'plunger', cylinder: i + 1, deg }))
		});
		expect(at(rebuild(1, {}, sides(350, 10, 5)), 'sameSide', 0)).toBe(true);
		expect(at(rebuild(1, {}, sides(0, 120, 240)), 'sameSide', 0)).toBe(false);
		expect(at(rebuild(1, {}, sides(10)), 'sameSide', 0)).toBeUndefined();
	});
});

describe('beliefsOf', () => {
	const oneSided = { 'packing/2': { patterns: ['oneSidedWear'] }, 'plunger/2': { patterns: ['oneSidedWear'] } };
	it('names the cylinder whose rod is out of line, and no other cause', () => {
		const beliefs = of([rebuild(1000, oneSided), rebuild(2500, { 'packing/2': { patterns: ['oneSidedWear'] } })]);
		expect(first(beliefs)).toMatchObject({ cause: 'rodOutOfLine', cylinder: 2 });
		expect(first(beliefs).now.at(-1)).toBeGreaterThan(0.9);
		const others = beliefs.beliefs.filter(({ cause, cylinder }) => cause === 'rodOutOfLine' && cylinder !== 2);
		for (const { now } of others) expect(now.at(-1)).toBeLessThan(0.05);
	});
	it('blames the whole pump where every cylinder shows it, the same way round', () => {
		const all = Object.fromEntries([1, 2, 3].map((c) => [`packing/${c}`, { patterns: ['oneSidedWear'] }]));
		const sides = [1, 2, 3].map((cylinder) => ({ station: 'plunger', cylinder, deg: 90 }));
		expect(first(of([rebuild(1000, all, { sides })]))).toMatchObject({ cause: 'headOutOfLine', cylinder: 0 });
	});
	it('finds the scored plunger by its mate', () => {
		const again = {
			'packing/1': { patterns: ['lipTorn'], ranHours: 400, failed: true },
			'plunger/1': { seenBefore: ['axialScoring'] }
		};
		expect(first(of([rebuild(1000), rebuild(1400, again)]))).toMatchObject({ cause: 'wornMate', cylinder: 1 });
	});
	it('lets go of it after an action and a quiet rebuild', () => {
		const rebuilds = [rebuild(1000, oneSided), rebuild(2500)];
		const action = { rebuild: 0, cause: 'rodOutOfLine', cylinder: 2, effectiveness: 0.9 };
		const at = (beliefs: ReturnType<typeof of>) =>
			beliefs.beliefs.find(({ cause, cylinder }) => cause === 'rodOutOfLine' && cylinder === 2)!.now;
		expect(at(of(rebuilds, [action]))[1]).toBeLessThan(0.1);
		expect(at(of(rebuilds))[1]).toBeGreaterThan(0.5);
	});
	it('says what carries a belief, for and against', () => {
		const { beliefs } = of([rebuild(1000, { 'plunger/2': { patterns: ['oneSidedWear'] } })]);
		const { carriedBy } = beliefs.find(({ cause, cylinder }) => cause === 'rodOutOfLine' && cylinder === 2)!;
		const factor = (key: string) =>
			carriedBy.find(({ finding, cylinder }) => finding === key && cylinder === 2)!.factor;
		expect(factor('plungerOneSided')).toBeGreaterThan(3);
		expect(factor('sealOneSided')).toBeLessThan(0.5);
	});
	it('asks next for what tells most: the runout of the cylinder in question', () => {
		const doubtful = of([rebuild(1000, { 'plunger/2': { patterns: ['oneSidedWear'] } })]);
		const runout = doubtful.next.filter(({ finding }) => finding === 'runout');
		expect(runout.toSorted((a, b) => b.bits - a.bits)[0].cylinder).toBe(2);
	});
	it('stays at its priors where nothing was inspected', () => {
		const { beliefs } = of([{ ...rebuild(0), inspections: [] }]);
		for (const { cause, now } of beliefs)
			expect(now[0]).toBeCloseTo(startingNetwork.causes.find(({ key }) => key === cause)!.prior, 12);
	});
	it('refuses hours that run back', () => expect(() => of([rebuild(2000), rebuild(1000)])).toThrow('hours'));
	it('holds a pump on which everything was found at once', () => {
		const all = Object.fromEntries(
			stations.flatMap((station) =>
				[1, 2, 3].map((c) => [
					`${station}/${c}`,
					{ patterns: ['oneSidedWear', 'lipTorn', 'pitted', 'hammered', 'short', 'axialScoring'] }
				])
			)
		);
		const beliefs = of([rebuild(1000, all), rebuild(2000, all)]);
		expect(beliefs.leftOut.length).toBeGreaterThan(0);
		for (const { now } of beliefs.beliefs) expect(now[1]).toBeGreaterThanOrEqual(0);
	});
});

describe('damage that makes damage', () => {
	const sheets = demoNames.map(demoSheet);
	it.each(startingNetwork.follows.map(({ from, to }) => [from, to]))('%s and %s lie on one pump', (from, to) => {
		const meet = sheets.some((sheet) => {
			const places = findingsAt(startingNetwork, sheet, { ...rebuild(0), inspections: [] });
			const at = (finding: string) =>
				places.filter((place) => place.finding === finding).map((place) => place.cylinder);
			return at(from).some((a) => at(to).some((b) => a === 0 || b === 0 || a === b));
		});
		expect(meet).toBe(true);
	});
	it('leaves less to be explained by causes: on the same cylinder, and from the pump to its cylinders', () => {
		const seals = sheets.find((sheet) =>
			['oilPan', 'oilSeal'].every((type) => sheet.stations.some((at) => at.type === type))
		)!;
		const at = (type: string) => seals.stations.find((station) => station.type === type)!;
		const inspection = (type: string, cylinder: number, patterns: PatternKey[]): InspectedAt => ({
			station: at(type).key,
			cylinder: at(type).per === 'pump' ? 0 : cylinder,
			patterns,
			seenBefore: [],
			byAssembly: [],
			ranHours: null,
			failed: false
		});
		const blamed = (oil: PatternKey[]) => {
			const inspections = [inspection('oilPan', 0, oil), inspection('oilSeal', 1, ['lipFlat'])];
			const { beliefs } = believed(beliefsOf(startingNetwork, seals, [{ ...rebuild(4000), inspections }], []));
			const worn = beliefs.find(({ cause, cylinder }) => cause === 'wornOut' && cylinder === 1)!;
			return worn.carriedBy.find(({ finding }) => finding === 'oilSealBad')!.factor;
		};
		expect(blamed(['milkyOil'])).toBeLessThan(blamed([]));
		expect(blamed(['milkyOil'])).toBeGreaterThan(1);
	});
});

describe('learning', () => {
	const told = (present: boolean) => ({
		cause: 'rodOutOfLine',
		cylinder: 2,
		findings: [{ finding: 'runout', cylinder: 2, present }]
	});
	const link = (network: typeof startingNetwork) =>
		network.causes.find(({ key }) => key === 'rodOutOfLine')!.links.find(({ finding }) => finding === 'runout')!;
	it('moves a strength by confirmed cases as Beta counts do', () => {
		const { strength, priorWeight } = link(startingNetwork);
		const learnt = link(learnStrengths(startingNetwork, [told(true), told(false), told(true)]));
		expect(learnt.strength).toBeCloseTo((strength * priorWeight + 2) / (priorWeight + 3), 12);
		expect(learnt.priorWeight).toBe(priorWeight + 3);
	});
	it('learns nothing from what was not looked for, and forgets a case that was taken back', () => {
		const silent = { ...told(true), findings: [{ finding: 'runout', cylinder: 2 }] };
		expect(learnStrengths(startingNetwork, [silent])).toEqual(startingNetwork);
		expect(learnStrengths(startingNetwork, [])).toEqual(startingNetwork);
	});
	it('lets a find that is common everywhere tell less, and never lowers a background rate', () => {
		const backgroundRate = (network: typeof startingNetwork) =>
			network.findings.find(({ key }) => key === 'sealTorn')!.backgroundRate;
		expect(
			backgroundRate(learnBackgroundRates(startingNetwork, [{ finding: 'sealTorn', inspected: 170, present: 80 }]))
		).toBeGreaterThan(0.35);
		expect(
			backgroundRate(learnBackgroundRates(startingNetwork, [{ finding: 'sealTorn', inspected: 500, present: 0 }]))
		).toBe(backgroundRate(startingNetwork));
	});
});

describe('readNetwork', () => {
	const changed = (
		change: (network: { causes: { links: { strength: number; finding: string }[] }[]; follows: object[] }) => void
	) => {
		const copy = structuredClone(startingNetwork) as never;
		change(copy);
		return readNetwork(copy);
	};
	const codes = (answer: ReturnType<typeof readNetwork>) =>
		'faults' in answer ? answer.faults.map(({ code }) => code) : [];
	it('takes what every shop begins with', () => expect(readNetwork(startingNetwork)).toHaveProperty('network'));
	it('refuses a strength of 1.2, and says where', () => {
		const answer = changed((network) => (network.causes[0].links[0].strength = 1.2));
		expect('faults' in answer && answer.faults[0]).toMatchObject({
			code: 'shape',
			path: ['causes', 0, 'links', 0, 'strength']
		});
	});
	it('refuses damage that follows itself, a link to nothing, and one twice', () => {
		expect(codes(changed((network) => network.follows.push({ from: 'oilSealBad', to: 'lowSealWorn', strength: 0.1 }, { from: 'lowSealWorn', to: 'oilSealBad', strength: 0.1 })))).toContain('cycle'); // prettier-ignore
		expect(codes(changed((network) => (network.causes[0].links[0].finding = 'nowhere')))).toContain('unknownFinding');
		expect(codes(changed((network) => network.causes[0].links.push(network.causes[0].links[0])))).toContain(
			'linkedTwice'
		);
	});
	it.each([null, 3, 'x', {}, { version: 1 }])('refuses %j', (input) =>
		expect(readNetwork(input)).toHaveProperty('faults')
	);
});
