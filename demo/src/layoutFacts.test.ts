import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { tighteningPasses } from '@exetasis/core/build';
import { goesInLubricated, partType } from '@exetasis/core/part';
import {
	allSteps,
	benchSide,
	buildSteps,
	facesUpAt,
	holderOf,
	orderFacts,
	readSheet,
	stationsInScope,
	stepsInScope,
	subAssembliesInScope,
	type ModelSheet,
	type Station,
	type Step
} from '@exetasis/core/record';
import { layoutFacts, type LayoutFacts } from './layoutFacts';

const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map((name): ModelSheet => {
	const read = readSheet(readFileSync(new URL(name, folder), 'utf8'));
	if (read.kind !== 'sheet') throw new Error(`${name} is no sheet: ${JSON.stringify(read.faults.slice(0, 3))}`);
	return read.sheet;
});
const lines = (text: string): string[] =>
	text
		.split('\n')
		.map((line) => line.trim())
		.filter((line) => line !== '');
const all = sheets.map((sheet) => [sheet.layout, sheet, layoutFacts[sheet.layout]] as const);
const stationOf = (sheet: ModelSheet, key: string): Station => {
	const station = sheet.stations.find((candidate) => candidate.key === key);
	if (!station) throw new Error(`${sheet.model} has no station "${key}"`);
	return station;
};

/** Whether, in a scope, one thing has to be in before another by the sheet's rules and sub-assemblies. */
function comesBefore(sheet: ModelSheet, scope: string, first: string, then: string): boolean {
	const plan = buildSteps(sheet, { scope });
	const joined = subAssembliesInScope(sheet, { scope });
	const outer = (key: string): string => {
		const holder = holderOf(joined, key);
		return holder ? outer(holder.key) : key;
	};
	// Two parts of one sub-assembly are ordered within it; else the whole sub-assembly goes in.
	const to = outer(first) === outer(then) ? then : outer(then);
	const next = (key: string): string[] => [
		...orderFacts(sheet, { scope }, plan).flatMap((fact) => (fact.first === key ? [fact.then] : [])),
		...(holderOf(joined, key) ? [holderOf(joined, key)!.key] : []),
		// A step is signed off once its parts are in.
		...plan.filter(({ stations }) => stations.includes(key)).map((step) => step.key)
	];
	const seen = new Set<string>();
	const open = [first];
	while (open.length > 0) {
		const key = open.pop()!;
		if (key === to || key === then) return true;
		if (seen.has(key)) continue;
		seen.add(key);
		open.push(...next(key));
	}
	return false;
}

const chains = ({ before }: LayoutFacts) =>
	Object.entries(before).flatMap(([scopes, text]) =>
		lines(text).flatMap((line) => {
			const keys = line.split(' < ');
			return keys.slice(1).map((then, i) => ({ scopes: scopes.split(' '), first: keys[i], then }));
		})
	);

/** The parts that a step handles, those of the sub-assemblies that it joins or loads included. */
function partsHandled(sheet: ModelSheet, step: Step): string[] {
	const within = (key: string): string[] => {
		const joined = sheet.subAssemblies.find((subAssembly) => subAssembly.key === key);
		return joined ? joined.parts.flatMap(within) : [key];
	};
	return [...step.stations, ...(step.joins ? [step.joins] : [])].flatMap(within);
}

/** The cautions that stand at a step: its own, and those of the parts that it handles, coming out or going in. */
function cautionsAt(sheet: ModelSheet, step: Step): string {
	const going = step.stage === 'build' ? 'in' : 'out';
	const handled = partsHandled(sheet, step);
	const ofParts = sheet.stations
		.filter(({ key }) => handled.includes(key))
		.flatMap(({ cautions }) => cautions.filter(({ when }) => when === 'both' || when === going));
	const loose = handled.some((key) => stationOf(sheet, key).fastening?.slots);
	return (
		[...step.cautions, ...ofParts].map(({ text, hazard }) => `${hazard} ${text}`).join(' ') + (loose ? ' loose' : '')
	);
}

describe.each(all)('%s', (_, sheet, facts) => {
	it('goes together in the order that its parts ask for, in every scope', () => {
		for (const { scopes, first, then } of chains(facts)) {
			for (const scope of scopes) {
				const known = new Set([
					...stationsInScope(sheet, { scope }).map(({ key }) => key),
					...allSteps(sheet, { scope }).map(({ key }) => key)
				]);
				for (const key of [first, then]) expect(known.has(key), `${sheet.model} ${scope}: ${key}`).toBe(true);
				expect(comesBefore(sheet, scope, first, then), `${sheet.model} ${scope}: ${first} < ${then}`).toBe(true);
				expect(comesBefore(sheet, scope, then, first), `${sheet.model} ${scope}: ${then} < ${first}`).toBe(false);
			}
		}
	});
	it('has its own build steps for every part of every scope', () => {
		for (const { key: scope } of sheet.scopes)
			for (const step of buildSteps(sheet, { scope }))
				expect(step.mirrored && !step.joined, `${sheet.model} ${scope}: ${step.key}`).toBe(false);
	});
	it('joins on the bench what goes in as one, in its order', () => {
		for (const line of lines(facts.joined)) {
			const keys = line.split(' + ');
			const holder = sheet.subAssemblies.find(({ parts }) => keys.every((key) => parts.includes(key)));
			expect(holder, `${sheet.model}: ${line}`).toBeDefined();
			expect(
				holder!.parts.filter((part) => keys.includes(part)),
				sheet.model
			).toEqual(keys);
		}
	});
	it('says which way a part points for the person who loads it', () => {
		for (const line of lines(facts.loaded)) {
			const [scope, key, side] = line.split(' ');
			const { face, in: assembly } = stationOf(sheet, key);
			const plan = buildSteps(sheet, { scope });
			const step = plan.find((buildStep) => [...buildStep.stations, ...(buildStep.joined?.parts ?? [])].includes(key))!;
			// What is joined first is loaded with its sub-assembly.
			const holder = sheet.subAssemblies.find(({ parts }) => parts.includes(key));
			const loads = holder ? plan.find(({ stations }) => stations.includes(holder.key))! : step;
			const lie = facesUpAt(sheet, stepsInScope(sheet, { scope }), plan, loads).get(assembly);
			expect(['P', 'C'], `${sheet.model}: ${key}`).toContain(face.toward);
			expect(benchSide(face.toward as 'P' | 'C', lie!), `${sheet.model}: ${key}`).toBe(side);
		}
	});
	it('tightens everything that is threaded, to a torque or by feel with its risk', () => {
		const threaded = facts.tightened.split(' ');
		expect(sheet.stations.flatMap(({ key, fastening }) => (fastening ? [key] : [])).sort(), sheet.model).toEqual(
			threaded.toSorted()
		);
		for (const key of threaded) {
			const { fastening, pieces, type } = stationOf(sheet, key);
			const turned = fastening!.bolts.filter(({ mark }) => mark !== 'doNotTouch').length;
			// A cover is held by bolts of its own.
			if (type !== 'cover') expect(turned, `${sheet.model}: ${key} on its map`).toBe(pieces);
			expect(tighteningPasses(fastening!)[0].order.length).toBe(turned);
			if (fastening!.torqueNm === undefined) expect(fastening!.byFeel, `${sheet.model}: ${key}`).toBeTruthy();
		}
		for (const step of sheet.steps)
			for (const key of step.stage === 'build' ? step.stations : [])
				expect(
					sheet.stations.some((station) => station.key === key) ||
						sheet.subAssemblies.some((subAssembly) => subAssembly.key === key)
				).toBe(true);
	});
	it('warns at the step that does the damage', () => {
		for (const line of lines(facts.cautions)) {
			const [key, ...words] = line.split(' ');
			const step = sheet.steps.find((candidate) => candidate.key === key);
			expect(step, `${sheet.model}: step ${key}`).toBeDefined();
			expect(cautionsAt(sheet, step!), `${sheet.model}: ${key}`).toContain(words.join(' '));
		}
	});
	it('asks whether rings and seals are lubricated wherever one goes in', () => {
		const rubbed = ['oRing', 'backupRing', 'lipSeal', 'vRing', 'cup', 'ropePacking', 'oilSeal', 'regulatorPacking'];
		const asksForIt = ({ stage, asks }: Step) =>
			stage === 'build' && asks.some((ask) => ask.kind === 'tick' && /lubricated|greased/.test(ask.text));
		const asked = sheet.steps.filter(asksForIt).flatMap((step) => partsHandled(sheet, step));
		for (const { type } of sheet.stations) expect(goesInLubricated(type), type).toBe(rubbed.includes(type));
		for (const { key, type } of sheet.stations)
			if (rubbed.includes(type)) expect(asked, `${sheet.model}: ${key}`).toContain(key);
	});
	it('has a consequence for every answer', () => {
		const given = sheet.steps.flatMap(({ key, asks }) =>
			asks.flatMap((ask) => (ask.kind === 'choice' ? ask.choices.map((choice) => ({ key, ...choice })) : []))
		);
		for (const { key, text, means } of given) expect(means, `${sheet.model} ${key}: ${text}`).not.toBe('notStated');
		for (const line of lines(facts.answers)) {
			const [said, leadsTo] = line.split(': ');
			const [key, ...answer] = said.split(' ');
			const known = given.find((other) => other.key === key && other.text.startsWith(answer.join(' ')));
			expect(known, `${sheet.model}: ${line}`).toBeDefined();
			expect(typeof known!.means, `${sheet.model}: ${line}`).toBe('object');
			const means = known!.means as Exclude<NonNullable<typeof known>['means'], string>;
			const to = 'finding' in means ? means.finding.pattern : 'hold' in means ? 'hold' : 'unit';
			expect(to, `${sheet.model}: ${line}`).toBe(leadsTo);
		}
	});
	it('pairs the parts whose sizes belong together', () => {
		for (const line of lines(facts.sizes)) {
			const [key, mate] = line.split(' ');
			expect(stationOf(sheet, key).mates, `${sheet.model}: ${key}`).toContain(mate);
		}
	});
	it('says which end cylinder 1 is, and asks for the oil before an oil seal is opened', () => {
		expect(sheet.cylinderOne?.text).toBeTruthy();
		const opens = (key: string) =>
			sheet.steps.findIndex(({ stage, stations }) => stage === 'strip' && stations.includes(key));
		for (const { key, type } of sheet.stations)
			if (type === 'oilSeal') {
				const oil = sheet.steps.findIndex(({ key: step }) => step === 'oil');
				expect(oil, sheet.model).toBeGreaterThanOrEqual(0);
				expect(oil, sheet.model).toBeLessThan(opens(key));
			}
	});
	it('says “either way round” only of parts that are alike from both sides, or where the layout says so', () => {
		const stated = ['valveCap', 'keyholeWasher'];
		for (const { key, type, face } of sheet.stations)
			if (face.toward === 'either' && !partType(type).symmetric)
				expect(stated, `${sheet.model}: ${key}`).toContain(key);
	});
});
