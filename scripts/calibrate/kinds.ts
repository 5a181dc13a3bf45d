// One kind of size in a small fleet: parts that wear faster than their like, few looks, and priors that are wrong.
import {
	LifeContext,
	fitFleetWear,
	openRate,
	scatterSpread,
	priorKnowledge,
	PartWear,
	unknownClass,
	unknownPump,
	type WearHistory,
	type WearPrior
} from '../../core/src/life';
import { Random } from '../../demo/src';

export const priorOf = (
	hoursToLimit: number,
	between: number,
	within1000h: number,
	priorWeight: number
): WearPrior => ({
	hoursToLimit,
	between,
	within1000h,
	priorWeight,
	from: 'sheet'
});

interface Truth {
	readonly hoursToLimit: number;
	readonly between: number;
	readonly within1000h: number;
}
const NEW = [{ hours: 0, weight: 1 }];
const FITTED: WearHistory = { before: NEW, inspections: [] };
const READING_U = 0.03; // of the allowance

interface Part {
	readonly rate: number;
	worn: number;
}
const partOf = ({ between }: Truth, random: Random): Part => ({ rate: Math.exp(random.normal(0, between)), worn: 0 });
function wear(part: Part, { hoursToLimit, within1000h }: Truth, hours: number, random: Random): void {
	const shapePer1000h = 1 / within1000h ** 2;
	part.worn += (random.gamma((shapePer1000h * hours) / 1000) / shapePer1000h) * part.rate * (1000 / hoursToLimit);
}

function inspection(part: Part, truth: Truth, intervals: readonly number[], random: Random): WearHistory {
	let hours = 0;
	const inspections = intervals.map((interval) => {
		wear(part, truth, interval, random);
		return { hours: (hours += interval), worn: part.worn + random.normal(0, READING_U), u: READING_U };
	});
	return { before: NEW, inspections };
}

const classOf = (pumps: number) => new Map(Array.from({ length: pumps }, (_, i) => [`${i}`, '']));
const fitOf = (prior: WearPrior, parts: { pump: string; history: WearHistory }[], pumps: number) =>
	fitFleetWear([{ key: 'k', prior, parts }], classOf(pumps));

/** The truth of one fleet, drawn from a prior. */
function drawn(prior: WearPrior, random: Random): Truth {
	const scattered = (value: number) => value * Math.exp(random.normal(0, scatterSpread(prior)));
	return {
		hoursToLimit: prior.hoursToLimit * Math.exp(random.normal(0, openRate(prior))),
		between: scattered(prior.between),
		within1000h: scattered(prior.within1000h)
	};
}

const INTERVAL = 1500;
// What the forecasts of this script have in common.
const context = new LifeContext();

/** Parts measured at 2.5 to 4 times the product's own mean for their kind over two intervals: what was said and what happened. */
export function fastParts(fleets: number, seed: number): { parts: number; said: number; happened: number } {
	const random = new Random(seed);
	const prior = priorOf(14_000, 0.45, 0.25, 4);
	let parts = 0;
	let said = 0;
	let happened = 0;
	for (let fleet = 0; fleet < fleets; fleet++) {
		const truth = drawn(prior, random);
		const all = Array.from({ length: 108 }, (_, i) => {
			const part = partOf(truth, random);
			return { part, pump: `${i % 12}`, history: inspection(part, truth, [INTERVAL, INTERVAL], random) };
		});
		const fit = fitOf(prior, all, 12);
		const typical = new PartWear(fit.kinds.k, unknownPump(unknownClass), FITTED, { context }).expected(
			2 * INTERVAL
		).worn;
		for (const { part, pump, history } of all) {
			const ratio = history.inspections[1].worn / typical;
			if (ratio < 2.5 || ratio > 4 || history.inspections[1].worn > 0.9) continue;
			parts++;
			said += new PartWear(fit.kinds.k, fit.pumps[pump], history, { context }).chance(INTERVAL);
			wear(part, truth, INTERVAL, random);
			if (part.worn > 1) happened++;
		}
	}
	return { parts, said: said / parts, happened: happened / parts };
}

const CHANGED = 0.05; // of the parts
const TRIPLED = 3;
const DRAWN = 20_000; // courses of wear that the reference weighs by the readings of one part

/**
 * The best possible forecast for one part, from the truth of its fleet and the knowledge that one rate in twenty triples at the second
 * inspection: courses of wear are drawn and weighed by the readings.
 */
function referenceChance(truth: Truth, { inspections }: WearHistory, random: Random): number {
	let all = 0;
	let beyond = 0;
	for (let i = 0; i < DRAWN; i++) {
		const early = partOf(truth, random);
		const later = { ...early, rate: early.rate * (random.chance(CHANGED) ? TRIPLED : 1) };
		let log = 0;
		for (const [k, { worn, u }] of inspections.entries()) {
			const part = k < 2 ? early : later;
			wear(part, truth, INTERVAL, random);
			log -= ((part.worn - worn) / u) ** 2 / 2;
			if (k === 1) later.worn = early.worn;
		}
		wear(later, truth, INTERVAL, random);
		const weight = Math.exp(log);
		all += weight;
		if (later.worn > 1) beyond += weight;
	}
	return all > 0 ? beyond / all : 0;
}

/**
 * One part in twenty wears three times as fast from its second inspection on, and is inspected `since` times after that: the chance
 * stated for the next interval and how often it came true, for those parts and for all; for those also the best that could be said.
 */
export function changedRates(fleets: number, seed: number, since: 0 | 1) {
	const random = new Random(seed);
	const prior = priorOf(14_000, 0.45, 0.25, 4);
	const made = () => ({ parts: 0, said: 0, happened: 0 });
	const [changed, all] = [made(), made()];
	let atBest = 0;
	for (let fleet = 0; fleet < fleets; fleet++) {
		const truth = drawn(prior, random);
		const parts = Array.from({ length: 108 }, (_, i) => {
			const part = partOf(truth, random);
			const { inspections } = inspection(part, truth, [INTERVAL, INTERVAL], random);
			const faster = random.chance(CHANGED);
			const now = { ...part, rate: part.rate * (faster ? TRIPLED : 1) };
			const later = inspection(now, truth, Array<number>(since).fill(INTERVAL), random).inspections;
			const all = [
				...inspections,
				...later.map((wearInspection) => ({ ...wearInspection, hours: wearInspection.hours + 2 * INTERVAL }))
			];
			return { now, faster, pump: `${i % 12}`, history: { before: NEW, inspections: all } };
		});
		const fit = fitOf(prior, parts, 12);
		for (const { now, faster, pump, history } of parts) {
			if (now.worn > 0.95) continue;
			const said = new PartWear(fit.kinds.k, fit.pumps[pump], history, { context }).chance(INTERVAL);
			if (faster) atBest += referenceChance(truth, history, new Random(seed + all.parts));
			wear(now, truth, INTERVAL, random);
			for (const row of faster ? [changed, all] : [all]) {
				row.parts++;
				row.said += said;
				if (now.worn > 1) row.happened++;
			}
		}
	}
	const shares = ({ parts, said, happened }: ReturnType<typeof made>) => ({
		parts,
		said: said / parts,
		happened: happened / parts
	});
	return { changed: { ...shares(changed), atBest: atBest / changed.parts }, all: shares(all) };
}

/** True chance that a new part is beyond its limit after some hours. */
function trueChance(truth: Truth, hours: number, random: Random): number {
	const DRAWS = 4000;
	let beyond = 0;
	for (let i = 0; i < DRAWS; i++) {
		const part = partOf(truth, random);
		wear(part, truth, hours, random);
		if (part.worn > 1) beyond++;
	}
	return beyond / DRAWS;
}

/**
 * Six parts seen once each, the prior centred on the truth and worth twelve lives: what fits say of a new part, 5 and 95 %;
 * in the pump that they came from, or in one of which it is known that it is ordinary.
 */
export function oneInspectionALife(fits: number, seed: number, pumps: number, hardnessKnown = false) {
	const random = new Random(seed);
	const truth = { hoursToLimit: 2960, between: 0.3, within1000h: 0.25 };
	const prior = priorOf(truth.hoursToLimit, truth.between, truth.within1000h, 12);
	const said = Array.from({ length: fits }, () => {
		const parts = Array.from({ length: 6 }, (_, i) => ({
			pump: `${i % pumps}`,
			history: inspection(partOf(truth, random), truth, [INTERVAL], random)
		}));
		const fit = fitOf(prior, parts, pumps);
		const pump = hardnessKnown ? { mean: 0, sd: 0 } : fit.pumps['0'];
		return new PartWear(fit.kinds.k, pump, FITTED, { context }).chance(INTERVAL);
	}).sort((a, b) => a - b);
	const at = (share: number) => said[Math.floor(share * (fits - 1))];
	return { truth: trueChance(truth, INTERVAL, random), low: at(0.05), middle: at(0.5), high: at(0.95) };
}

/** A prior whose centre is wrong by a factor: what is said of a new part after so many lives, and what is true. */
export function wrongPrior(factor: number, lives: number, fleets: number, seed: number) {
	const random = new Random(seed);
	const truth = { hoursToLimit: 2600, between: 0.35, within1000h: 0.4 };
	const prior = priorOf(truth.hoursToLimit * factor, truth.between, truth.within1000h, 4);
	const said = Array.from({ length: fleets }, () => {
		if (lives === 0)
			return new PartWear(priorKnowledge(prior), unknownPump(unknownClass), FITTED, { context }).chance(INTERVAL);
		const parts = Array.from({ length: lives }, (_, i) => ({
			pump: `${i % 5}`,
			history: inspection(partOf(truth, random), truth, [INTERVAL / 2, INTERVAL / 2], random)
		}));
		const fit = fitOf(prior, parts, 5);
		return new PartWear(fit.kinds.k, fit.pumps['0'], FITTED, { context }).chance(INTERVAL);
	});
	return { said: said.reduce((a, b) => a + b, 0) / fleets, happened: trueChance(truth, INTERVAL, random) };
}
