// One shop of one world over the years, worked on with the product's own functions as its server calls them.
import {
	endReason,
	judge,
	knowledgeOfPump,
	leadersOf,
	learnFleet,
	partLifeOf,
	pastOf,
	withinSet,
	type FleetKnowledge,
	type JobOnRecord,
	type JudgeInput,
	type LifeOnRecord,
	type ShopGauge,
	type SizeOnRecord
} from '../../core/src/decide';
import { LifeContext } from '../../core/src/life';
import { fold, untouched, type ModelSheet } from '../../core/src/record';
import { gauges as demoGauges, lookAndMeasure, Random, visits, type Visit } from '../../demo/src';
import { ForecastBook, type Judged, type Place, type PumpState, type ShopForecasts } from './forecasts';
import { harshnessBefore, type Harshness } from './reference';
import { newPart, run, worlds, type World } from './world';

const GROWTH_BEFORE_REFIT = 1.5; // as the server does

/** Works through four years of one shop. */
export class SimulatedShop {
	readonly #world: World;
	readonly #sheet: ModelSheet;
	readonly #random: Random;
	readonly #gauges: readonly ShopGauge[];
	readonly #gaugeErrors: ReadonlyMap<string, number>;
	readonly #before: Harshness;
	readonly #pumps = new Map<string, PumpState>();
	readonly #jobs: JobOnRecord[] = [];
	readonly #lives: LifeOnRecord[] = [];
	readonly #sizes: SizeOnRecord[] = [];
	readonly #context = new LifeContext();
	#fleet: FleetKnowledge = { wear: {}, ends: {}, pumps: {}, classes: {}, settled: true };
	#fittedJobs = 0;
	#parts = 0;
	readonly #intervals = new Map<string, number[]>();
	readonly #forecasts: ForecastBook;

	constructor(world: string, sheet: ModelSheet, seed: number) {
		this.#sheet = sheet;
		this.#random = new Random(seed);
		this.#world = worlds[world](sheet, this.#random);
		this.#before = harshnessBefore(this.#world);
		this.#gauges = demoGauges.map(({ name, kind, expandedU, resolution, repeatability, reproducibility }) => ({
			id: name,
			name,
			kind,
			facts: {
				resolution,
				repeatability,
				reproducibility,
				repeatabilityDof: 18,
				calibrationU: expandedU,
				calibrationK: 2,
				expansionPerKelvin: 11.5e-6,
				overdue: false
			}
		}));
		this.#gaugeErrors = new Map(
			demoGauges.map(({ name, expandedU }) => [
				name,
				this.#world.gaugesOff * expandedU * (this.#random.chance(0.5) ? 1 : -1)
			])
		);
		this.#forecasts = new ForecastBook(this.#world, sheet, this.#gauges, this.#sizes, this.#before);
	}

	work(): ShopForecasts {
		const now = new Date('2026-01-01T00:00:00Z');
		const all = visits(now, this.#random, this.#world.fleet).filter(({ stage }) => stage === 'released');
		for (const { pump, interval } of all)
			this.#intervals.set(pump.serial, [...(this.#intervals.get(pump.serial) ?? []), interval]);
		for (const visit of all) this.#visit(visit);
		return this.#forecasts.made;
	}

	#receive({ pump }: Visit): PumpState {
		const known = this.#pumps.get(pump.serial);
		if (known) return known;
		const random = this.#random;
		const meter = random.between(this.#world.firstMeter.from, this.#world.firstMeter.to);
		const places = this.#sheet.stations.flatMap((station) =>
			Array.from({ length: station.per === 'pump' ? 1 : this.#sheet.cylinders }, (_, i): Place => {
				const age = random.chance(this.#world.asOldAsPump) ? meter : random.between(0, meter);
				const truth = newPart(this.#world, station, random);
				run(this.#world, truth, station, age, pump.harshness, random);
				const cylinder = station.per === 'pump' ? 0 : i + 1;
				return {
					station,
					cylinder,
					part: `p${++this.#parts}`,
					truth,
					fittedHours: null,
					fromHours: meter,
					inspectedHours: []
				};
			})
		);
		const made: PumpState = {
			pump,
			jobs: [],
			places,
			gone: this.#before.log.slice(),
			pending: [],
			rebuilds: 0
		};
		this.#pumps.set(pump.serial, made);
		return made;
	}

	#visit(visit: Visit): void {
		const { pump } = visit;
		const isNew = !this.#pumps.has(pump.serial);
		const state = this.#receive(visit);
		const hours = isNew ? state.places[0].fromHours : state.jobs.at(-1)!.pumpHours + visit.interval;
		if (!isNew) {
			for (const { truth, station } of state.places)
				run(this.#world, truth, station, visit.interval, pump.harshness, this.#random);
			this.#forecasts.settle(state, this.#lives.length / this.#sheet.stations.length);
		}
		const duty = { liquid: pump.liquid, pressureMPa: pump.pressureMPa, speedRpm: 950 };
		state.jobs.push({ pump: pump.serial, pumpHours: hours, duty });
		const places = state.places.filter(({ station }) => station.scopes.includes(visit.scope));
		const judged = this.#inspect(visit, state, places);
		const next = this.#intervals.get(pump.serial)![state.rebuilds + 1];
		if (next !== undefined) this.#forecasts.say(state, judged, next, this.#fleet);
		this.#release(state, judged);
	}

	#inspect(visit: Visit, state: PumpState, places: readonly Place[]): Judged[] {
		const { pumpHours } = state.jobs.at(-1)!;
		const cells = places.map(({ part, station, cylinder, truth }) => ({
			part,
			station: station.key,
			cylinder,
			asFitted: {},
			truth
		}));
		const entries = lookAndMeasure(
			{
				job: 'j',
				by: 'b',
				at: visit.at,
				pump: visit.pump,
				sheet: this.#sheet,
				scope: visit.scope,
				cells,
				gauges: this.#gauges,
				gaugeErrors: this.#gaugeErrors,
				population: this.#world.population,
				policy: this.#world.policy,
				interval: visit.interval,
				years: 0,
				progress: 'whole',
				makeId: () => `e${this.#random.uniform()}`
			},
			this.#random
		);
		const records = fold(entries).parts;
		const known = knowledgeOfPump(this.#fleet, state.jobs.at(-1)!, this.#sheet);
		const judged = places.map((place): Judged => {
			const { station, part, fittedHours, fromHours } = place;
			const record = records.get(part) ?? untouched;
			const hours = fittedHours === null ? null : pumpHours - fittedHours;
			const begun = { part, fromHours, hours, asFitted: {} };
			const own = this.#sizes.filter((size) => size.part === part);
			const past = pastOf(begun, station, this.#sheet, state.jobs, own, this.#gauges);
			const wear = Object.fromEntries(
				station.characteristics.flatMap(({ key }) => {
					const fitted = this.#fleet.wear[`${station.key}/${key}`];
					return fitted ? [[key, fitted]] : [];
				})
			);
			const input: JudgeInput = {
				station,
				record,
				asFitted: {},
				gauges: this.#gauges,
				policy: this.#world.policy,
				stations: this.#sheet.stations,
				ratedPressure: this.#sheet.ratedPressureMPa,
				context: this.#context,
				life: { ...past, ...known, wear, ends: this.#fleet.ends[station.key] }
			};
			const judgement = judge(input);
			const life = partLifeOf(input, judgement.measured);
			return { place, record, judgement, life, station, cylinder: place.cylinder, replaced: false };
		});
		const leaders = leadersOf(judged, this.#world.policy);
		for (const other of judged) {
			other.judgement = withinSet(other, leaders, this.#world.policy);
			other.replaced = other.judgement.verdict === 'replace';
			other.place.inspectedHours.push(pumpHours);
			for (const { key } of other.station.characteristics) {
				const readings = other.record.readings
					.filter(({ payload }) => payload.characteristic === key)
					.map(({ payload }) => payload);
				if (readings.length > 0)
					this.#sizes.push({
						part: other.place.part,
						pump: state.pump.serial,
						characteristic: key,
						pumpHours,
						readings
					});
			}
		}
		return judged;
	}
	#release(state: PumpState, judged: readonly Judged[]): void {
		const { pumpHours } = state.jobs.at(-1)!;
		for (const { place, judgement, station, replaced } of judged) {
			if (!replaced) continue;
			for (const [f, log] of (place.evidence ?? []).entries()) state.gone[f] += log;
			this.#lives.push({
				part: place.part,
				pump: state.pump.serial,
				station: station.key,
				fittedHours: place.fittedHours,
				firstSeenHours: place.fittedHours ?? place.fromHours,
				removedHours: pumpHours,
				endReason: endReason(judgement, station),
				inspectedHours: place.inspectedHours,
				asFitted: {}
			});
			Object.assign(place, {
				part: `p${++this.#parts}`,
				truth: newPart(this.#world, station, this.#random),
				fittedHours: pumpHours,
				fromHours: pumpHours,
				inspectedHours: [],
				evidence: undefined
			});
		}
		state.rebuilds++;
		this.#jobs.push(state.jobs.at(-1)!);
		this.#refit();
	}

	#refit(): void {
		if (this.#jobs.length <= this.#fittedJobs * GROWTH_BEFORE_REFIT) return;
		this.#fittedJobs = this.#jobs.length;
		const running = [...this.#pumps.values()].flatMap(({ pump, places, jobs }) =>
			jobs.length === 0
				? []
				: places.map(({ station, part, fittedHours, fromHours, inspectedHours }) => ({
						part,
						pump: pump.serial,
						station: station.key,
						fittedHours,
						firstSeenHours: fittedHours ?? fromHours,
						removedHours: null,
						endReason: null,
						inspectedHours,
						asFitted: {}
					}))
		);
		const jobs = [...this.#jobs].sort((a, b) => a.pump.localeCompare(b.pump) || a.pumpHours - b.pumpHours);
		this.#fleet = learnFleet(
			this.#sheet,
			{ jobs, lives: [...this.#lives, ...running], sizes: this.#sizes },
			this.#gauges
		);
	}
}
