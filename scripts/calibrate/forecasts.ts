// What is said at each rebuild, by the product and by the reference, and what comes true of it.
import {
	anyInPump,
	knowledgeOfPump,
	sizeAtInspection,
	type FleetKnowledge,
	type JobOnRecord,
	type Judgement,
	type PartLife,
	type ShopGauge,
	type SizeOnRecord
} from '../../core/src/decide';
import { ageNodes, dutyClassOf, LifeContext, PartWear, priorKnowledge, wearPriorOf } from '../../core/src/life';
import { exponentials } from '../../core/src/life/fleetWear';
import type { ModelSheet, PartRecord, Station } from '../../core/src/record';
import { allowanceOf, isDamaged, type DemoPump, type TruePart } from '../../demo/src';
import { chanceOfDamage, ReferenceSize, type Harshness } from './reference';
import type { World } from './world';

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

export interface Place {
	readonly station: Station;
	readonly cylinder: number;
	part: string;
	truth: TruePart;
	fittedHours: number | null;
	fromHours: number;
	inspectedHours: number[];
	/** What its looks say of the pump's harshness, to the reference; undefined before the first. */
	evidence?: Float64Array;
}
export interface PumpState {
	readonly pump: DemoPump;
	readonly jobs: JobOnRecord[];
	readonly places: Place[];
	/** What the reference believes of its harshness by the parts that are gone: logarithms. */
	readonly gone: Float64Array;
	/** What was said at the last rebuild and has not come true or not yet. */
	pending: Pending[];
	rebuilds: number;
}
interface Pending {
	readonly place: Place;
	readonly said: number;
	/** The same at each point of the pump's factor. */
	readonly byPump: readonly number[];
	readonly reference: Float64Array;
	readonly kept: boolean;
	readonly ageKnown: boolean;
	readonly wasDamaged: boolean;
	readonly sizes: readonly { readonly key: string; readonly said: number; readonly reference: Float64Array }[];
}

/** A part on the mat, judged and decided. */
export interface Judged {
	readonly place: Place;
	readonly record: PartRecord;
	readonly station: Station;
	readonly cylinder: number;
	judgement: Judgement;
	readonly life: PartLife;
	replaced: boolean;
}

const wearing = (station: Station, life: PartLife) =>
	station.characteristics.filter(({ key, when }) => when === 'always' && life.wearOf(key));

/** The forecasts of one shop. */
export class ForecastBook {
	readonly #world: World;
	readonly #sheet: ModelSheet;
	readonly #gauges: readonly ShopGauge[];
	/** The shop's record of sizes, which grows. */
	readonly #sizes: readonly SizeOnRecord[];
	readonly #before: Harshness;
	readonly #context = new LifeContext();
	/** By pump, the reference's belief in each harshness when it last spoke. */
	readonly #weights = new Map<PumpState, Float64Array>();
	readonly made = {
		pumps: [] as Forecast[],
		parts: [] as (Forecast & { kept: boolean })[],
		sizes: [] as Forecast[]
	};

	constructor(
		world: World,
		sheet: ModelSheet,
		gauges: readonly ShopGauge[],
		sizes: readonly SizeOnRecord[],
		before: Harshness
	) {
		this.#world = world;
		this.#sheet = sheet;
		this.#gauges = gauges;
		this.#sizes = sizes;
		this.#before = before;
	}

	/** Says what is to come within `next` hours, after the parts of a rebuild are decided. */
	say(state: PumpState, judged: readonly Judged[], next: number, fleet: FleetKnowledge): void {
		const { pumpHours } = state.jobs.at(-1)!;
		const log = this.#harshnessOf(state, judged);
		state.pending = judged.map((other): Pending => {
			const { place, life, station, replaced } = other;
			const start = place.fittedHours ?? place.fromHours;
			const wears = wearing(station, life).map(({ key }) => {
				const wear = replaced
					? new ReferenceSize(
							this.#world,
							{ station, key, before: [{ hours: 0, weight: 1 }], inspections: [] },
							this.#before
						)
					: new ReferenceSize(this.#world, this.#seen(other.place, key), this.#before);
				return { key, reference: wear.chance(replaced ? 0 : pumpHours - start, next, this.#before) };
			});
			const ages = replaced
				? [{ hours: 0, weight: 1 }]
				: this.#ages(place).map(({ hours, weight }) => ({ hours: hours + pumpHours - start, weight }));
			const damage = chanceOfDamage(this.#world, station, ages, next);
			const chances = replaced ? life.fresh(next) : life.reused(next);
			return {
				place,
				said: chances.beyond,
				byPump: chances.byPump.beyond,
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
					said: (replaced ? this.#newOne(station, key, state, fleet) : life.wearOf(key)!).chance(life.duty(next))
				}))
			};
		});
		this.#weights.set(state, exponentials(log));
	}
	// ln of what the reference believes of a pump's harshness: by its parts that are gone, and by all that are in it, also those
	// that lie in no part of this rebuild.
	#harshnessOf(state: PumpState, judged: readonly Judged[]): Float64Array {
		for (const { place, station, life } of judged) {
			place.evidence = new Float64Array(state.gone.length);
			for (const { key } of wearing(station, life)) {
				const { logEvidence } = new ReferenceSize(this.#world, this.#seen(place, key), this.#before);
				for (let f = 0; f < logEvidence.length; f++) place.evidence[f] += logEvidence[f];
			}
		}
		const log = state.gone.slice();
		for (const { evidence } of state.places) if (evidence) for (let f = 0; f < log.length; f++) log[f] += evidence[f];
		return log;
	}

	#seen(place: Place, key: string) {
		const { station, part, fittedHours, fromHours } = place;
		const sheet = station.characteristics.find((characteristic) => characteristic.key === key)!;
		const allowance = allowanceOf(sheet);
		const start = fittedHours ?? fromHours;
		const inspections = this.#sizes
			.filter((size) => size.part === part && size.characteristic === key)
			.map((size) => {
				const { value, u } = sizeAtInspection(station, sheet, size, this.#gauges)!;
				return {
					hours: size.pumpHours - start,
					worn: (value - sheet.nominal) / ((sheet.min ?? sheet.max!) - sheet.nominal),
					u: u / allowance
				};
			});
		return { station, key, before: this.#ages(place), inspections };
	}
	#ages({ fittedHours, fromHours }: Place) {
		if (fittedHours !== null) return [{ hours: 0, weight: 1 }];
		if (this.#world.asOldAsPump === 1) return [{ hours: fromHours, weight: 1 }];
		return ageNodes({ kind: 'unknown', seenFor: 0, atMost: fromHours });
	}

	#newOne(station: Station, key: string, state: PumpState, fleet: FleetKnowledge): PartWear {
		const sheet = station.characteristics.find((characteristic) => characteristic.key === key)!;
		const known = fleet.wear[`${station.key}/${key}`] ?? priorKnowledge(wearPriorOf(station.type, sheet)!);
		const { pump } = knowledgeOfPump(fleet, state.jobs.at(-1)!, this.#sheet);
		return new PartWear(
			known,
			pump,
			{ before: [{ hours: 0, weight: 1 }], inspections: [] },
			{ context: this.#context }
		);
	}

	/** Holds what was said at the last rebuild against what has come true; `lives` of a kind are on record by now. */
	settle(state: PumpState, lives: number): void {
		const weights = this.#weights.get(state)!;
		const average = (values: Float64Array) => values.reduce((sum, value, f) => sum + value * weights[f], 0);
		const { pump, pending } = state;
		const common = {
			lives,
			rebuild: state.rebuilds,
			dutyClass: dutyClassOf(state.jobs.at(-1)!.duty, this.#sheet).key || 'ordinary',
			harshness: pump.harshness
		};
		let any = false;
		for (const { place, said, reference, kept, ageKnown, sizes, wasDamaged } of pending) {
			const beyond = sizes.map(
				({ key }) =>
					place.truth.wear.get(key)! >
					allowanceOf(place.station.characteristics.find((characteristic) => characteristic.key === key)!)
			);
			const happened = (!wasDamaged && isDamaged(place.truth)) || beyond.some(Boolean);
			any ||= happened;
			this.made.parts.push({ ...common, said, reference: average(reference), happened, kept, ageKnown });
			for (const [i, size] of sizes.entries())
				this.made.sizes.push({
					...common,
					said: size.said,
					reference: average(size.reference),
					happened: beyond[i],
					ageKnown
				});
		}
		if (pending.length === 0) return;
		const said = anyInPump(pending.map(({ byPump }) => byPump));
		const joint = Float64Array.from(
			weights,
			(_, f) => 1 - pending.reduce((holds, { reference }) => holds * (1 - reference[f]), 1)
		);
		this.made.pumps.push({
			...common,
			said,
			reference: average(joint),
			happened: any,
			ageKnown: pending.every(({ ageKnown }) => ageKnown)
		});
	}
}
