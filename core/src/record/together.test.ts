// Putting a pump together: the plan from sheet and mirror, what may go in when, which bolt is next, what is still open.
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { demoSheet } from '../decide/testing';
import {
	allSteps,
	boltStates,
	buildSteps,
	builtSteps,
	checkEntry,
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
		per === 'pump' ? [{ station: key, cylinder: 0 }] : [1, 2, 3].map((cylinder) => ({ station: key, cylinder }))
	);
	const cells = places.map((place, i) => ({ ...place, part: uuid(i, 'a000') }));
	const partAt = (station: string, cylinder = 0) =>
		cells.find((cell) => cell.station === station && cell.cylinder === cylinder)!.part;
	const log: Entry[] = cells.map(({ part }) => entry('decision', { verdict, proposed: verdict }, part));
	const state = () => fold(log);
	const build = () => together(sheet, { scope }, cells, state().parts);
	const signed = () => new Map([...state().steps].map(([key, step]) => [key, Date.parse(step.at)]));
	const check = (next: Entry, holdOrder = true) =>
		checkEntry(next, {
			sheet,
			scope,
			stationOfPart: new Map(cells.map(({ part, station }) => [part, station])),
			stepsDone: new Map([
				...allSteps(sheet, { scope })
					.filter(({ stage }) => stage !== 'build' && stage !== 'prove')
					.map(({ key }) => [key, 0] as const),
				...signed()
			]),
			answers: new Set(state().answers.keys()),
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
	return { cells, partAt, log, state, build, signed, check, take, putIn };
}

describe('buildSteps', () => {
	const bulrush = demoSheet('bulrush');
	it('is the mirror of the strip where the sheet is silent, the sheet’s own step in its place', () =>
		expect(buildSteps(bulrush, { scope: 'packing' }).map(({ key }) => key)).toEqual([
			...['sealRetainer', 'maleAdapter', 'highPressureSeal', 'caseORing', 'sealCase', 'lowPressureSeal'].map(
				mirroredKey
			),
			'level',
			mirroredKey('screws')
		]));
	it('puts what handles nothing beside the step that follows it', () =>
		expect(buildSteps(demoSheet('heather'), { scope: 'valves' }).map(({ key }) => key)).toEqual([
			...['dischargeValveORing', 'inletValveORing', 'dischargeValve', 'inletValve'].map(mirroredKey),
			'sealCaps',
			'torqueCaps'
		]));
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
			const due = stationsInScope(sheet, { scope }).map(({ key }) => key);
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
	it('lets nobody close the head over a forgotten plunger ring', () => {
		const { take, putIn } = bench(marram, 'packing');
		for (const station of ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer'])
			for (const cylinder of [1, 2, 3])
				if (!(station === 'retainerBackup' && cylinder === 2)) expect(take(putIn(station, cylinder))).toBeUndefined();
		expect(take(putIn('sealRetainer', 1))).toBeUndefined();
		const shut = { code: 'deeperFirst', before: 'Plunger retainer backup ring', cylinder: 2 };
		expect(take(putIn('sealRetainer', 2))).toMatchObject({ code: 'deeperFirst', cylinder: 2 });
		expect(take(putIn('manifold'))).toMatchObject({ code: shut.code, cylinder: 2 });
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
	});
});

describe('a build step', () => {
	const marram = demoSheet('marram');
	const sign = (step: string) => entry('step', { step });
	it('is signed off only with its parts in, its bolts tight and what it comes after done', () => {
		const job = bench(marram, 'packing');
		expect(job.take(sign('wicksIn'))).toMatchObject({ code: 'stepTooEarly' });
		expect(job.take(sign('ringsFirst'))).toMatchObject({ code: 'notAllIn', cylinder: 1 });
		for (const cylinder of [1, 2, 3])
			for (const station of ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer'])
				expect(job.take(job.putIn(station, cylinder))).toBeUndefined();
		expect(job.take(sign('ringsFirst'))).toMatchObject({ code: 'notTight' });
		for (const cylinder of [1, 2, 3])
			job.take(entry('tightened', { pass: 0, bolt: 0 }, job.partAt('plungerRetainer', cylinder)));
		expect(job.take(sign('ringsFirst'))).toBeUndefined();
		expect(builtSteps(job.build(), job.signed(), job.state().answers)).toEqual(new Set(['ringsFirst']));
	});
	it('is open again once a part of it is taken out', () => {
		const job = bench(demoSheet('fescue'), 'packing');
		const step = job.build().steps[0];
		const ins = [1, 2, 3].map((cylinder) => job.putIn('supportRing', cylinder));
		ins.forEach(job.take);
		expect(builtSteps(job.build(), job.signed(), new Set()).has(step.key)).toBe(true);
		job.log.push(entry('withdraw', { entry: ins[1].id, why: 'opened again' }));
		expect(leftOf(job.build(), step, new Set()).notIn.map(({ cylinder }) => cylinder)).toEqual([2]);
	});
	it('comes too late where the sealer has set', () => {
		const heather = demoSheet('heather');
		const { workMinutes } = heather.products.find(({ key }) => key === 'seal')!;
		const job = bench(heather, 'valves');
		for (const station of ['dischargeValveORing', 'inletValveORing', 'dischargeValve', 'inletValve'])
			for (const cylinder of [1, 2, 3]) expect(job.take(job.putIn(station, cylinder))).toBeUndefined();
		expect(job.take(sign('sealCaps'))).toBeUndefined();
		for (const cylinder of [1, 2, 3]) expect(job.take(job.putIn('valveCap', cylinder))).toBeUndefined();
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

describe('tightening', () => {
	const fescue = demoSheet('fescue');
	const inPlace = () => {
		const job = bench(fescue, 'packing');
		for (const { key } of stationsInScope(fescue, { scope: 'packing' }).toReversed())
			for (const cylinder of [0, 1, 2, 3])
				if (job.cells.some((cell) => cell.station === key && cell.cylinder === cylinder))
					job.take(job.putIn(key, cylinder));
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
