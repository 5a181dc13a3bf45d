// One shop of one world over the years, worked on with the product's own functions as its server calls them.
import {
	endReason,
	judge,
	knowledgeOfPump,
	leadersOf,
	learnFleet,
	pastOf,
	sizeAtLook,
	withinSet,
	type FleetKnowledge,
	type JobOnRecord,
	type Judgement,
	type LifeOnRecord,
	type ShopGauge,
	type SizeOnRecord
} from '../../core/src/decide';
import { ageNodes, dutyClassOf, PartWear, priorKnowledge, wearPriorOf } from '../../core/src/life';
import { fold, untouched, type ModelSheet, type Reading, type Station } from '../../core/src/record';
import {
	allowanceOf,
	gauges as demoGauges,
	isDamaged,
	lookAndMeasure,
	Random,
	visits,
	type DemoPump,
	type TruePart,
	type Visit
} from '../../demo/src';
import { chanceOfDamage, harshnessBefore, ReferenceSize, type Harshness } from './reference';
import { newPart, run, worlds, type World } from './world';

/** What was said of one thing, what the reference would have said, and what came true. */
export interface Forecast {
	readonly said: number;
	readonly reference: number;
	readonly happened: boolean;
	/** Wear on record of this model when it was said, in lives of one kind; and the rebuilds of the pump. */
	readonly lives: number;
	readonly rebuild: number;
	readonly dutyClass: string;
	readonly harshness: number;
	readonly ageKnown: boolean;
}
export interface ShopForecasts {
	/** P(any size beyond or damaged by the next rebuild), one a pump and rebuild. */
	readonly pumps: readonly Forecast[];
	/** P(one part beyond or damaged), kept parts and new ones. */
	readonly parts: readonly (Forecast & { readonly kept: boolean })[];
	/** P(one always-measured size beyond), of kept parts and new ones. */
	readonly sizes: readonly Forecast[];
}

interface Place {
	readonly station: Station;
	readonly cylinder: number;
	part: string;
	truth: TruePart;
	fittedHours: number | null;
	fromHours: number;
	lookedHours: number[];
}
interface PumpState {
	readonly pump: DemoPump;
	readonly jobs: JobOnRecord[];
	readonly places: Place[];
	/** What its removed parts say of its harshness, to the reference. */
	readonly logEvidence: Float64Array;
	/** What was said at the last rebuild and has not come true or not yet. */
	pending: Pending[];
	rebuilds: number;
}
interface Pending {
	readonly place: Place;
	readonly said: number;
	readonly reference: Float64Array;
	readonly kept: boolean;
	readonly ageKnown: boolean;
	readonly wasDamaged: boolean;
	readonly sizes: readonly { readonly key: string; readonly said: number; readonly reference: Float64Array }[];
}

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
	#fleet: FleetKnowledge = { wear: {}, ends: {}, pumps: {}, classes: {}, settled: true };
	#fittedJobs = 0;
	#parts = 0;
	readonly forecasts = {
		pumps: [] as Forecast[],
		parts: [] as (Forecast & { kept: boolean })[],
		sizes: [] as Forecast[]
	};

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
	}

	work(): ShopForecasts {
		const now = new Date('2026-01-01T00:00:00Z');
		const all = visits(now, this.#random, this.#world.fleet).filter(({ stage }) => stage === 'released');
		for (const { pump, interval } of all)
			this.#intervals.set(pump.serial, [...(this.#intervals.get(pump.serial) ?? []), interval]);
		for (const visit of all) this.#visit(visit);
		return this.forecasts;
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
					lookedHours: []
				};
			})
		);
		const made: PumpState = {
			pump,
			jobs: [],
			places,
			logEvidence: this.#before.log.slice(),
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
			this.#settle(state);
		}
		const duty = { liquid: pump.liquid, pressureMPa: pump.pressureMPa, speedRpm: 950 };
		state.jobs.push({ pump: pump.serial, pumpHours: hours, duty });
		const places = state.places.filter(({ station }) => station.scopes.includes(visit.scope));
		const judged = this.#inspect(visit, state, places);
		this.#forecast(state, judged);
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
				cells,
				gauges: this.#gauges,
				gaugeErrors: this.#gaugeErrors,
				population: this.#world.population,
				policy: this.#world.policy,
				interval: visit.interval,
				fixed: false,
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
			const begun = { part, fromHours, hours: fittedHours === null ? null : pumpHours - fittedHours };
			const own = this.#sizes.filter((size) => size.part === part);
			const past = pastOf(begun, station, this.#sheet, state.jobs, own, this.#gauges);
			const wear = Object.fromEntries(
				station.characteristics.flatMap(({ key }) => {
					const fitted = this.#fleet.wear[`${station.key}/${key}`];
					return fitted ? [[key, fitted]] : [];
				})
			);
			const judgement = judge({
				station,
				record,
				asFitted: {},
				gauges: this.#gauges,
				policy: this.#world.policy,
				stations: this.#sheet.stations,
				ratedPressure: this.#sheet.ratedPressureMPa,
				life: { ...past, ...known, wear, ends: this.#fleet.ends[station.key] }
			});
			return { place, record, judgement, station, cylinder: place.cylinder, replaced: false };
		});
		const leaders = leadersOf(judged, this.#world.policy);
		for (const one of judged) {
			one.judgement = withinSet(one, leaders, this.#world.policy);
			one.replaced = one.judgement.verdict === 'replace';
			one.place.lookedHours.push(pumpHours);
			for (const { key } of one.station.characteristics) {
				const readings = one.record.readings
					.filter(({ payload }) => payload.characteristic === key)
					.map(({ payload }) => payload);
				if (readings.length > 0)
					this.#sizes.push({ part: one.place.part, pump: state.pump.serial, characteristic: key, pumpHours, readings });
			}
		}
		return judged;
	}
	// ── forecasts ──
	#seen({ place }: Judged, key: string) {
		const { station, part, fittedHours, fromHours } = place;
		const sheet = station.characteristics.find((one) => one.key === key)!;
		const allowance = allowanceOf(sheet);
		const start = fittedHours ?? fromHours;
		const looks = this.#sizes
			.filter((size) => size.part === part && size.characteristic === key)
			.map((size) => {
				const { value, u } = sizeAtLook(station, sheet, size, this.#gauges)!;
				return {
					hours: size.pumpHours - start,
					worn:
						(Math.abs(value - sheet.nominal) *
							Math.sign((value - sheet.nominal) * ((sheet.min ?? sheet.max!) - sheet.nominal))) /
						allowance,
					u: u / allowance
				};
			});
		return { station, key, before: this.#ages(place), looks };
	}
	#ages({ fittedHours, fromHours }: Place) {
		if (fittedHours !== null) return [{ hours: 0, weight: 1 }];
		if (this.#world.asOldAsPump === 1) return [{ hours: fromHours, weight: 1 }];
		return ageNodes({ kind: 'unknown', seenFor: 0, atMost: fromHours });
	}

	#forecast(state: PumpState, judged: readonly Judged[]): void {
		const next = this.#nextInterval(state);
		if (next === undefined) return;
		const { pumpHours } = state.jobs.at(-1)!;
		const log = state.logEvidence.slice();
		state.pending = judged.map((one): Pending => {
			const { place, judgement, station, replaced } = one;
			const always = station.characteristics.filter(({ key, when }) => when === 'always' && judgement.life.wearOf(key));
			const start = place.fittedHours ?? place.fromHours;
			const wears = always.map(({ key }) => {
				const old = new ReferenceSize(this.#world, this.#seen(one, key), this.#before);
				for (let f = 0; f < log.length; f++) log[f] += old.logEvidence[f];
				if (replaced) for (let f = 0; f < log.length; f++) state.logEvidence[f] += old.logEvidence[f];
				const wear = replaced
					? new ReferenceSize(this.#world, { station, key, before: [{ hours: 0, weight: 1 }], looks: [] }, this.#before)
					: old;
				return { key, reference: wear.chance(replaced ? 0 : pumpHours - start, next, this.#before) };
			});
			const ages = replaced
				? [{ hours: 0, weight: 1 }]
				: this.#ages(place).map(({ hours, weight }) => ({ hours: hours + pumpHours - start, weight }));
			const damage = chanceOfDamage(this.#world, station, ages, next);
			const chances = replaced ? judgement.life.fresh(next) : judgement.life.reused(next);
			return {
				place,
				said: chances.beyond,
				kept: !replaced,
				ageKnown: replaced || place.fittedHours !== null,
				wasDamaged: !replaced && isDamaged(place.truth),
				reference: Float64Array.from(
					log,
					(_, f) => 1 - wears.reduce((holds, { reference }) => holds * (1 - reference[f]), 1 - damage)
				),
				sizes: wears.map(({ key, reference }) => ({
					key,
					reference,
					said: (replaced ? this.#newOne(station, key, state) : judgement.life.wearOf(key)!).chance(
						judgement.life.duty(next)
					)
				}))
			};
		});
		this.#weights.set(state, weightsOf(log));
	}
	#newOne(station: Station, key: string, state: PumpState): PartWear {
		const sheet = station.characteristics.find((one) => one.key === key)!;
		const known = this.#fleet.wear[`${station.key}/${key}`] ?? priorKnowledge(wearPriorOf(station.type, sheet)!);
		const { pump } = knowledgeOfPump(this.#fleet, state.jobs.at(-1)!, this.#sheet);
		return new PartWear(known, pump, { before: [{ hours: 0, weight: 1 }], looks: [] });
	}
	readonly #weights = new Map<PumpState, Float64Array>();
	readonly #intervals = new Map<string, number[]>();
	#nextInterval(state: PumpState): number | undefined {
		return this.#intervals.get(state.pump.serial)![state.rebuilds + 1];
	}

	// What was said at the last rebuild is held against what has come true.
	#settle(state: PumpState): void {
		const weights = this.#weights.get(state)!;
		const average = (values: Float64Array) => values.reduce((sum, value, f) => sum + value * weights[f], 0);
		const { pump, pending } = state;
		const common = {
			lives: this.#lives.length / this.#sheet.stations.length,
			rebuild: state.rebuilds,
			dutyClass: dutyClassOf(state.jobs.at(-1)!.duty, this.#sheet).key || 'ordinary',
			harshness: pump.harshness
		};
		let any = false;
		for (const { place, said, reference, kept, ageKnown, sizes, wasDamaged } of pending) {
			const beyond = sizes.map(
				({ key }) =>
					place.truth.wear.get(key)! > allowanceOf(place.station.characteristics.find((one) => one.key === key)!)
			);
			const happened = (!wasDamaged && isDamaged(place.truth)) || beyond.some(Boolean);
			any ||= happened;
			this.forecasts.parts.push({ ...common, said, reference: average(reference), happened, kept, ageKnown });
			for (const [i, size] of sizes.entries())
				this.forecasts.sizes.push({
					...common,
					said: size.said,
					reference: average(size.reference),
					happened: beyond[i],
					ageKnown
				});
		}
		if (pending.length === 0) return;
		const said = 1 - pending.reduce((holds, one) => holds * (1 - one.said), 1);
		const joint = Float64Array.from(
			weights,
			(_, f) => 1 - pending.reduce((holds, { reference }) => holds * (1 - reference[f]), 1)
		);
		this.forecasts.pumps.push({
			...common,
			said,
			reference: average(joint),
			happened: any,
			ageKnown: pending.every(({ ageKnown }) => ageKnown)
		});
	}

	#release(state: PumpState, judged: readonly Judged[]): void {
		const { pumpHours } = state.jobs.at(-1)!;
		for (const { place, judgement, station, replaced } of judged) {
			if (!replaced) continue;
			this.#lives.push({
				part: place.part,
				pump: state.pump.serial,
				station: station.key,
				fittedHours: place.fittedHours,
				firstSeenHours: place.fittedHours ?? place.fromHours,
				removedHours: pumpHours,
				endReason: endReason(judgement, station),
				lookedHours: place.lookedHours,
				asFitted: {}
			});
			Object.assign(place, {
				part: `p${++this.#parts}`,
				truth: newPart(this.#world, station, this.#random),
				fittedHours: pumpHours,
				fromHours: pumpHours,
				lookedHours: []
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
				: places.map(({ station, part, fittedHours, fromHours, lookedHours }) => ({
						part,
						pump: pump.serial,
						station: station.key,
						fittedHours,
						firstSeenHours: fittedHours ?? fromHours,
						removedHours: null,
						endReason: null,
						lookedHours,
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

interface Judged {
	readonly place: Place;
	readonly record: { readonly readings: readonly Reading[] } & Parameters<typeof judge>[0]['record'];
	readonly station: Station;
	readonly cylinder: number;
	judgement: Judgement;
	replaced: boolean;
}

function weightsOf(log: Float64Array): Float64Array {
	const largest = Math.max(...log);
	const weights = log.map((one) => Math.exp(one - largest));
	const total = weights.reduce((a, b) => a + b, 0);
	return weights.map((one) => one / total);
}
