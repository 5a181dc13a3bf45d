// Putting a pump together: the plan from sheet and mirror, what may go in when, which bolt is next, what is still open.
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { demoSheet } from '../decide/testing';
import {
	allSteps,
	boltStates,
	itemsOf,
	keptOut,
	unitKeptOut,
	joinKey,
	staysIn,
	subAssembliesInScope,
	buildSteps,
	builtSteps,
	checkEntry,
	doneDespite,
	type BuildItem,
	entrySchema,
	fold,
	leftOf,
	mirroredKey,
	nextBolt,
	piecesIn,
	stationsInScope,
	together,
	type Entry,
	type ModelSheet
} from '.';
import { stateOf } from './testing';

/** Numbers of [0, 1) from a seed: a linear congruence of 32 bits is random enough to shuffle with. */
function pcg(seed: number): () => number {
	let state = seed >>> 0;
	return () => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
}

const JOB = '0197f000-0000-7000-8000-000000000001';
let count = 0;
const uuid = (n: number, of: string) => `0197f000-0000-7000-${of}-${n.toString(16).padStart(12, '0')}`;
const at = (n: number) => new Date(Date.UTC(2026, 2, 1) + n * 1000).toISOString();
const entry = (kind: string, payload: object, part?: string): Entry => {
	count += 1;
	const common = { id: uuid(count, '9000'), job: JOB, by: 'ines', at: at(count) };
	return entrySchema.parse({ ...common, kind, payload, ...(part ? { part } : {}) });
};

/** A job of which every part is decided on, as its log and as the check of the next entry sees it. */
function bench(sheet: ModelSheet, scope: string, verdict: 'reuse' | 'replace' = 'reuse') {
	const places = stationsInScope(sheet, { scope }).flatMap(({ key, per }) =>
		per === 'pump'
			? [{ station: key, cylinder: 0 }]
			: Array.from({ length: sheet.cylinders }, (_, i) => i + 1).map((cylinder) => ({ station: key, cylinder }))
	);
	const cells = places.map((place, i) => ({ ...place, part: uuid(i, 'a000') }));
	const partAt = (station: string, cylinder = 0) =>
		cells.find((cell) => cell.station === station && cell.cylinder === cylinder)!.part;
	const log: Entry[] = cells.map(({ part }) => entry('decision', { verdict, proposed: verdict }, part));
	// Entries are only added, so what follows from the log changes with its length.
	const kept = <T>(make: () => T) => {
		let made: { length: number; value: T } | undefined;
		return () => (made?.length === log.length ? made : (made = { length: log.length, value: make() })).value;
	};
	const state = kept(() => fold(log));
	const build = kept(() => together(sheet, { scope }, cells, state()));
	const opened = allSteps(sheet, { scope }).filter(({ stage }) => stage !== 'build' && stage !== 'prove');
	const check = (next: Entry, holdOrder = true) =>
		checkEntry(next, {
			sheet,
			scope,
			stationOfPart: new Map(cells.map(({ part, station }) => [part, station])),
			log: () => stateOf({ steps: opened.map(({ key }) => key), besides: state() }),
			holdOrder,
			together: build
		});
	const take = (next: Entry) => {
		const problem = check(next);
		if (!problem) log.push(next);
		return problem;
	};
	const piece = verdict === 'reuse' ? 'same' : 'new';
	const putIn = (station: string, cylinder = 0) => entry('putIn', { piece }, partAt(station, cylinder));
	const tighten = (station: string, cylinder = 0) =>
		entry('tightened', { pass: 0, bolt: 0 }, partAt(station, cylinder));
	return { cells, partAt, log, state, build, check, take, putIn, tighten };
}

describe('buildSteps', () => {
	const bulrush = demoSheet('bulrush');
	it('is the sheet’s own, and joins every sub-assembly before it goes in', () =>
		expect(buildSteps(bulrush, { scope: 'packing' }).map(({ key }) => key)).toEqual([
			'retainersOn',
			joinKey('sealCaseSet'),
			'sealsIn',
			'level',
			'screwsOn',
			'oilChecked'
		]));
	it('is the mirror of the strip where the sheet is silent, the sheet’s own step in its place', () => {
		const steps = bulrush.steps.filter(({ stage, key }) => stage !== 'build' || key === 'level');
		const silent: ModelSheet = { ...bulrush, steps, subAssemblies: [], order: [] };
		expect(buildSteps(silent, { scope: 'packing' }).map(({ key }) => key)).toEqual([
			...['sealRetainer', 'maleAdapter', 'highPressureSeal', 'caseORing', 'sealCase', 'lowPressureSeal'].map(
				mirroredKey
			),
			'level',
			mirroredKey('screws')
		]);
	});
	it('leaves out what a scope does not open of a sub-assembly, and the sub-assembly once nothing of it is open', () => {
		const plunger = subAssembliesInScope(bulrush, { scope: 'plunger' }).map(({ key }) => key);
		expect(plunger).toEqual(['sealCaseSet', 'plungerSet']);
		expect(subAssembliesInScope(bulrush, { scope: 'packing' }).map(({ key }) => key)).toEqual(['sealCaseSet']);
		const campion = demoSheet('campion');
		expect(subAssembliesInScope(campion, { scope: 'full' }).map(({ key }) => key)).toEqual(['adapterSet']);
		expect(subAssembliesInScope(campion, { scope: 'valves' }).map(({ key }) => key)).toContain('completeHead');
	});
	it.each([
		'marram',
		'bulrush',
		'campion',
		'thrift',
		'fescue',
		'larch',
		'nettle',
		'bracken',
		'comfrey',
		'sedge',
		'orache'
	])('puts every part of every scope of %s back exactly once', (model) => {
		const sheet = demoSheet(model);
		for (const { key: scope } of sheet.scopes) {
			const handled = buildSteps(sheet, { scope }).flatMap(({ stations }) => stations);
			const loose = stationsInScope(sheet, { scope }).filter((station) => !staysIn(station));
			const due = [...loose, ...subAssembliesInScope(sheet, { scope })].map(({ key }) => key);
			expect(handled.toSorted()).toEqual(due.toSorted());
		}
	});
	it('names in `after` nothing but earlier steps', () => {
		const plan = buildSteps(demoSheet('sedge'), { scope: 'full' });
		for (const [i, { after }] of plan.entries())
			for (const key of after) expect(plan.findIndex((step) => step.key === key)).toBeLessThan(i);
	});
});

describe('putting in', () => {
	const marram = demoSheet('marram');
	it('lets no one close the head over a forgotten plunger ring', () => {
		const { take, putIn, tighten } = bench(marram, 'packing');
		for (const cylinder of [1, 2, 3])
			for (const station of ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer']) {
				if (station === 'retainerBackup' && cylinder === 2) continue;
				const after = cylinder === 2 && ['plunger', 'plungerRetainer'].includes(station);
				const problem = take(putIn(station, cylinder));
				if (after) expect(problem).toMatchObject({ code: 'deeperFirst', cylinder: 2, sure: 'stated' });
				else expect(problem).toBeUndefined();
			}
		for (const cylinder of [1, 3]) expect(take(tighten('plungerRetainer', cylinder))).toBeUndefined();
		for (const cylinder of [1, 2, 3])
			for (const station of ['sealRetainer', 'wick']) expect(take(putIn(station, cylinder))).toBeUndefined();
		const unit = (cylinder: number) => entry('unitIn', { unit: 'wickedRetainer', cylinder });
		expect(take(unit(1))).toBeUndefined();
		expect(take(unit(2))).toMatchObject({ code: 'deeperFirst', before: 'Plunger retainer', cylinder: 2, loose: false });
		expect(take(putIn('manifold'))).toMatchObject({ code: 'deeperFirst', cylinder: 0, before: expect.any(String) });
	});
	it('wants a decision, and the piece that was decided on', () => {
		const { take, partAt, log } = bench(marram, 'packing');
		const gasket = partAt('retainerGasket', 1);
		expect(take(entry('putIn', { piece: 'new' }, gasket))).toEqual({
			code: 'otherPiece',
			part: marram.stations.find(({ key }) => key === 'retainerGasket')!.name,
			decided: 'reuse'
		});
		log.push(entry('decision', { verdict: 'lookAgain', proposed: 'lookAgain' }, gasket));
		expect(take(entry('putIn', { piece: 'same' }, gasket))).toMatchObject({ code: 'notDecided' });
	});
	it('puts no packing into a bore that is not judged', () => {
		const { take, putIn, partAt, log } = bench(marram, 'packing');
		const bore = partAt('packingBore', 2);
		log.push(entry('decision', { verdict: 'lookAgain', proposed: 'lookAgain' }, bore));
		expect(take(putIn('packing', 2))).toMatchObject({ code: 'gateNotJudged' });
		log.push(entry('decision', { verdict: 'reuse', proposed: 'reuse' }, bore));
		expect(take(putIn('packing', 2))?.code).not.toBe('gateNotJudged');
	});
	it('keeps what was put in off the network, in whatever order', () => {
		const { check, putIn } = bench(marram, 'packing');
		expect(check(putIn('manifold'))).toMatchObject({ code: 'deeperFirst' });
		expect(check(putIn('manifold'), false)).toBeUndefined();
	});
	it('never puts in what was never out', () => {
		const { take, putIn, build } = bench(marram, 'packing');
		expect(take(putIn('packingBore', 1))).toEqual({ code: 'unknownPart' });
		expect([...build().places.values()].some(({ station }) => station.key === 'packingBore')).toBe(false);
	});
	it('counts pieces in, and how many of them are new', () => {
		const { take, putIn, build } = bench(demoSheet('fescue'), 'packing', 'replace');
		for (const cylinder of [1, 2]) take(putIn('supportRing', cylinder));
		const { of } = piecesIn(build());
		expect(piecesIn(build())).toEqual({ in: 2, of, fresh: 2 });
		expect(of).toBe(6 * 3 + 1 + 8); // six stations of three cylinders, the head, its eight bolts
		// What lies joined on the bench is not in the pump.
		for (const station of ['rearGuide', 'lowPressureSeal', 'guideORing'])
			expect(take(putIn(station, 1))).toBeUndefined();
		expect(piecesIn(build()).in).toBe(2);
		for (const station of ['highPressureSeal', 'frontGuide']) take(putIn(station, 1));
		expect(take(entry('unitIn', { unit: 'guideSet', cylinder: 1 }))).toBeUndefined();
		expect(piecesIn(build()).in).toBe(7);
	});
});

describe('the order in which parts go in', () => {
	const models = [
		'marram',
		'bulrush',
		'campion',
		'thrift',
		'fescue',
		'heather',
		'juniper',
		'larch',
		'mallow',
		'nettle'
	];
	const more = ['bracken', 'comfrey', 'orache'];
	const jobs = [...models, ...more].flatMap((model) => {
		const sheet = demoSheet(model);
		return sheet.scopes.map(({ key }) => [model, key, sheet] as const);
	});
	type Job = ReturnType<typeof bench>;
	const put = (job: Job, item: BuildItem, despite?: string) => {
		const reason = despite ? { despite } : {};
		return item.kind === 'part'
			? entry('putIn', { piece: 'same', ...reason }, item.place.part)
			: entry('unitIn', { unit: item.place.unit.key, cylinder: item.cylinder, ...reason });
	};
	const isIn = (item: BuildItem) =>
		item.kind === 'part' ? item.place.record.putIn !== undefined : item.place.putIn !== undefined;
	// Tightens what is in, answers and signs off what can be.
	const settle = (job: Job) => {
		for (const { station, part } of job.build().places.values()) {
			for (let next = nextBolt(station, job.state().parts.get(part)!); next;) {
				if (job.take(entry('tightened', { pass: next.pass, bolt: next.bolt }, part))) break;
				next = nextBolt(station, job.state().parts.get(part)!);
			}
		}
		for (const step of job.build().steps)
			if (!step.mirrored && !job.state().steps.has(step.key))
				job.take(entry('step', { step: step.key, ...wayOf(step) }));
	};
	const wayOf = ({ ways }: { readonly ways: readonly { readonly key: string }[] }) =>
		ways.length > 0 ? { way: ways[0].key } : {};
	const answered = (job: Job) => {
		for (const step of job.build().steps)
			step.asks.forEach((ask, i) => {
				const value =
					ask.kind === 'tick' ? true : ask.kind === 'count' ? 1 : ask.kind === 'choice' ? ask.choices[0].text : 'x';
				job.log.push(entry('answer', { step: step.key, ask: i, value }));
			});
	};
	it.each(jobs)('of %s, %s: any order that keeps to the rules is taken, to the last part', (_, scope, sheet) => {
		const random = pcg(scope.length * 7 + sheet.stations.length);
		const job = bench(sheet, scope);
		answered(job);
		for (let turn = 0; turn < 2000; turn++) {
			const build = job.build();
			const open = build.steps.flatMap((step) => itemsOf(build, step)).filter((item) => !isIn(item));
			if (open.length === 0) break;
			const may = open.filter((item) =>
				item.kind === 'part' ? !keptOut(build, item.place.part) : !unitKeptOut(build, item.place)
			);
			if (may.length === 0) {
				const before = job.log.length;
				settle(job);
				expect(job.log.length, `${scope}: nothing may go in, ${open.length} left`).toBeGreaterThan(before);
				continue;
			}
			expect(job.take(put(job, may[Math.floor(random() * may.length)]))).toBeUndefined();
		}
		for (let before = -1; before < job.log.length; settle(job)) before = job.log.length;
		expect(job.build().steps.filter(({ key }) => !builtSteps(job.build(), job.state().answers).has(key))).toEqual([]);
	});
	it.each(jobs)('of %s, %s: what goes against a rule asks for a reason, and is kept with it', (_, scope, sheet) => {
		const random = pcg(99 + sheet.stations.length);
		const fresh = bench(sheet, scope);
		const build = fresh.build();
		const { facts, steps } = build;
		const all = steps.flatMap((step) => itemsOf(build, step));
		const placed = (key: string) => all.filter((item) => keyOf(item) === key);
		const keyOf = (item: BuildItem) => (item.kind === 'part' ? item.place.station.key : item.place.unit.key);
		const tried = facts
			.filter(({ then }) => placed(then).some(({ kind }) => kind === 'part'))
			.filter(() => random() < 0.25);
		for (const { then } of tried) {
			const job = bench(sheet, scope);
			const item = placed(then)[0];
			expect(job.check(put(job, item)), then).toMatchObject({ code: 'deeperFirst' });
			expect(job.take(put(job, item, 'The first one is on order')), then).toBeUndefined();
			expect(doneDespite(job.build(), steps, job.state().steps)).toMatchObject([
				{ reason: 'The first one is on order' }
			]);
		}
	});
	it('puts in no sub-assembly that is not joined, whatever the reason', () => {
		const job = bench(demoSheet('heather'), 'packing');
		const unit = (despite?: string) =>
			entry('unitIn', { unit: 'guideSet', cylinder: 1, ...(despite ? { despite } : {}) });
		expect(job.take(unit('in a hurry'))).toMatchObject({ code: 'notJoined', part: 'Rear guide' });
		expect(job.take(job.putIn('lowPressureSeal', 1))).toMatchObject({
			code: 'deeperFirst',
			before: 'Backup ring in the guide'
		});
		for (const station of ['rearGuide', 'guideBackup', 'lowPressureSeal', 'guideORing'])
			expect(job.take(job.putIn(station, 1))).toBeUndefined();
		expect(job.take(unit())).toMatchObject({ code: 'deeperFirst' });
		expect(job.take(unit('the front guide is being made'))).toBeUndefined();
		expect(job.take(entry('unitIn', { unit: 'nothing', cylinder: 1 }))).toMatchObject({ code: 'unknownUnit' });
		expect(job.take(entry('unitIn', { unit: 'guideSet', cylinder: 4 }))).toMatchObject({ code: 'unknownUnit' });
	});
	it('never gives way on what makes the pump safe, nor on the locked shaft', () => {
		const comfrey = demoSheet('comfrey');
		const job = bench(comfrey, 'full');
		const turning = {
			...comfrey.steps.find(({ key }) => key === 'handTurns')!,
			crank: { stand: 'forward', cylinder: 'each' } as const
		};
		const sheet = { ...comfrey, steps: comfrey.steps.map((step) => (step.key === 'handTurns' ? turning : step)) };
		const facts = {
			sheet,
			scope: 'full',
			stationOfPart: new Map(),
			holdOrder: true,
			together: job.build
		};
		const despite = 'It is only for a moment';
		const sign = (step: string) => entry('step', { step, despite });
		const first = checkEntry(sign('scopeHead'), { ...facts, log: () => fold([]) });
		expect(first).toMatchObject({ code: 'stepTooEarly', before: comfrey.steps[0].text });
		const open = () => stateOf({ steps: ['isolate', 'release', 'scopeHead', 'manifoldOff'] });
		expect(checkEntry(sign('handTurns'), { ...facts, log: open })).toMatchObject({ code: 'shaftLocked' });
	});
});

describe('a build step', () => {
	const marram = demoSheet('marram');
	const sign = (step: string) => entry('step', { step });
	it('is signed off only with its parts in, its bolts tight and what it comes after done', () => {
		const job = bench(marram, 'packing');
		expect(job.take(sign('level'))).toMatchObject({ code: 'stepTooEarly' });
		expect(job.take(sign('ringsFirst'))).toMatchObject({ code: 'stepUnanswered' });
		job.log.push(entry('answer', { step: 'ringsFirst', ask: 0, value: true }));
		expect(job.take(sign('ringsFirst'))).toMatchObject({ code: 'notAllIn', cylinder: 1 });
		for (const cylinder of [1, 2, 3])
			for (const station of ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer'])
				expect(job.take(job.putIn(station, cylinder))).toBeUndefined();
		expect(job.take(sign('ringsFirst'))).toMatchObject({ code: 'notTight' });
		for (const cylinder of [1, 2, 3]) job.take(job.tighten('plungerRetainer', cylinder));
		expect(job.take(sign('ringsFirst'))).toBeUndefined();
		expect(builtSteps(job.build(), job.state().answers)).toEqual(new Set(['ringsFirst']));
	});
	it('is open again once a part of it is taken out', () => {
		const job = bench(demoSheet('fescue'), 'packing');
		const step = job.build().steps.find(({ key }) => key === 'stackIn')!;
		const ins = [1, 2, 3].map((cylinder) => job.putIn('supportRing', cylinder));
		ins.forEach(job.take);
		const empty = leftOf(job.build(), step, new Set()).notIn.length;
		job.log.push(entry('withdraw', { entry: ins[1].id, why: 'opened again' }));
		const { notIn } = leftOf(job.build(), step, new Set());
		expect(notIn).toHaveLength(empty + 1);
		expect(notIn).toContainEqual({ name: 'Support ring', cylinder: 2 });
	});
	it('comes too late where the sealer has set', () => {
		const heather = demoSheet('heather');
		const { workMinutes } = heather.products.find(({ key }) => key === 'seal')!;
		const job = bench(heather, 'valves');
		for (const station of ['dischargeValveORing', 'inletValveORing', 'dischargeValve', 'inletValve'])
			for (const cylinder of [1, 2, 3]) expect(job.take(job.putIn(station, cylinder))).toBeUndefined();
		expect(job.take(job.putIn('valveCap', 1))).toMatchObject({
			code: 'deeperFirst',
			before: expect.stringContaining('Coat')
		});
		expect(job.take(sign('sealCaps'))).toBeUndefined();
		for (const cylinder of [1, 2, 3]) {
			expect(job.take(job.putIn('valveCap', cylinder))).toBeUndefined();
			for (const bolt of [0, 1])
				expect(job.take(entry('tightened', { pass: 0, bolt }, job.partAt('valveCap', cylinder)))).toBeUndefined();
		}
		const later = (minutes: number) => {
			const coated = Date.parse(job.state().steps.get('sealCaps')!.at);
			return { ...sign('torqueCaps'), at: new Date(coated + 60_000 * minutes).toISOString() };
		};
		expect(job.check(later(workMinutes! + 0.5))).toMatchObject({ code: 'tooLate', minutes: workMinutes });
		expect(job.check(later(workMinutes! - 0.5))).toBeUndefined();
	});
	it('of proving waits until everything is built', () => {
		const job = bench(marram, 'packing');
		job.log.push(entry('answer', { step: 'handTurns', ask: 0, value: true }));
		expect(job.take(sign('handTurns'))).toMatchObject({ code: 'notTogether' });
	});
});

/** Puts in and signs off everything that comes before a step, and that step's own parts. */
function fill(job: ReturnType<typeof bench>, until: string): void {
	for (const step of job.build().steps) {
		for (const item of itemsOf(job.build(), step)) {
			const { cylinder } = item;
			if (item.kind === 'part') job.take(job.putIn(item.place.station.key, cylinder));
			else job.take(entry('unitIn', { unit: item.place.unit.key, cylinder }));
		}
		if (step.key === until) return;
		for (const [i] of step.asks.entries()) job.log.push(entry('answer', { step: step.key, ask: i, value: true }));
		expect(job.take(entry('step', { step: step.key }))?.code).toBeOneOf([undefined, 'unknownStep']);
	}
}

describe('tightening', () => {
	const fescue = demoSheet('fescue');
	const inPlace = () => {
		const job = bench(fescue, 'packing');
		fill(job, 'headBoltsOn');
		const bolts = job.partAt('headBolts');
		const tighten = (pass: number, bolt: number, read?: object) =>
			entry('tightened', { pass, bolt, ...(read ? { read } : {}) }, bolts);
		const now = () =>
			nextBolt(
				fescue.stations.find(({ key }) => key === 'headBolts')!,
				job.state().parts.get(bolts)!
			);
		return { ...job, tighten, now };
	};
	const nm = (valueNm: number) => ({ valueNm, typed: { text: String(valueNm), unit: 'Nm' } });
	it('goes bolt by bolt and pass by pass, each once', () => {
		const { take, tighten, now } = inPlace();
		expect(take(tighten(0, 3))).toMatchObject({ code: 'boltOutOfTurn', before: 1, beforePass: 1 });
		expect(take(tighten(0, 0))).toBeUndefined();
		expect(take(tighten(0, 0))).toMatchObject({ code: 'boltTwice', bolt: 1, pass: 1 });
		expect(take(tighten(1, 0))).toMatchObject({ code: 'boltOutOfTurn' });
		for (let left = 23; left > 0; left--) {
			const { pass, bolt } = now()!;
			expect(take(tighten(pass, bolt))).toBeUndefined();
		}
		expect(now()).toBeUndefined();
	});
	it('keeps a reading outside of its window, and asks for the bolt again', () => {
		const { take, tighten, now } = inPlace();
		expect(take(tighten(0, 0, nm(11)))).toBeUndefined(); // 13 N·m ± 4 %
		expect(now()).toEqual({ pass: 0, bolt: 0, against: 'below' });
		expect(take(tighten(0, 0, nm(13.6)))).toBeUndefined();
		expect(now()).toEqual({ pass: 0, bolt: 0, against: 'beyond' });
		expect(take(tighten(0, 0, nm(13.2)))).toBeUndefined();
		expect(now()).toMatchObject({ pass: 0, bolt: 7 });
	});
	it('keeps how far past hand-tight it was turned, and refuses more than the sheet allows', () => {
		const limited = fescue.stations.map((station) =>
			station.key === 'headBolts' ? { ...station, fastening: { ...station.fastening!, mostTurnDeg: 90 } } : station
		);
		const job = bench({ ...fescue, stations: limited }, 'packing');
		const turned = (turnDeg: number) => entry('tightened', { pass: 0, bolt: 0, turnDeg }, job.partAt('headBolts'));
		expect(job.check(turned(105))).toMatchObject({ code: 'turnedTooFar', turnDeg: 105, mostDeg: 90 });
		expect(job.check(turned(90))).toMatchObject({ code: 'notInYet' });
		expect(() => turned(-5)).toThrow();
	});
	it('refuses a bolt that is none, a unit that is no torque, digits that are another number, bolts that are not in', () => {
		const { check, tighten } = inPlace();
		expect(check(tighten(0, 20))).toMatchObject({ code: 'noSuchBolt', bolt: 21 });
		expect(check(tighten(5, 0))).toMatchObject({ code: 'noSuchBolt' });
		expect(check(tighten(0, 0, { valueNm: 13, typed: { text: '13', unit: 'bar' } }))).toMatchObject({
			code: 'wrongUnit'
		});
		expect(check(tighten(0, 0, { valueNm: 13, typed: { text: '14', unit: 'Nm' } }))).toMatchObject({
			code: 'notAsTyped'
		});
		const cold = bench(fescue, 'packing');
		expect(cold.check(entry('tightened', { pass: 0, bolt: 0 }, cold.partAt('headBolts')))).toMatchObject({
			code: 'notInYet'
		});
	});
	it('ends with every bolt within its window, whatever was read on the way', () =>
		fc.assert(
			fc.property(fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { maxLength: 60 }), (readings) => {
				const { take, tighten, now, state, partAt } = inPlace();
				for (const value of readings) {
					const next = now();
					if (next) take(tighten(next.pass, next.bolt, nm(Math.round(value * 10) / 10)));
				}
				const station = fescue.stations.find(({ key }) => key === 'headBolts')!;
				const states = boltStates(station, state().parts.get(partAt('headBolts'))!);
				const open = states.findIndex(({ against }) => against !== 'within');
				for (const later of states.slice(open + 1)) if (open >= 0) expect(later.against).toBeUndefined();
			}),
			{ seed: 5, numRuns: 20 }
		));
});
