import { requireThat } from '../number';
import type { ModelSheet } from '../record';
import { carriedBy } from './carriedBy';
import { followChains, type Chain, type Visit } from './chains';
import type { Observed } from './jointStates';
import { nextChecks } from './nextChecks';
import { findingsAt, type FindingAt, type RebuildEvidence } from './evidence';
import type { Cause, CauseNetwork } from './network';

/** What was done about a cause after a rebuild. */
export interface Action {
	/** Which rebuild, from 0. */
	readonly rebuild: number;
	readonly cause: string;
	readonly cylinder: number;
	/** P(it put an end to the cause). */
	readonly effectiveness: number;
}

/** A cause of the pump (cylinder 0) or of one cylinder. */
export interface CauseAt {
	readonly cause: string;
	readonly cylinder: number;
}

/** One cause of a pump over its rebuilds. */
export interface Belief extends CauseAt {
	/** P(at work), rebuild by rebuild: by what was known then, and by all that is known now. */
	readonly then: readonly number[];
	readonly now: readonly number[];
	/** Findings of the last rebuild that speak for and against it, the weightiest first; a factor on its odds. */
	readonly carriedBy: readonly (FindingAt & { readonly factor: number })[];
}

/** Something that no one has looked for yet, by how much it would tell a minute. */
interface NextCheck {
	readonly finding: string;
	readonly cylinder: number;
	readonly minutes: number;
	readonly pPresent: number;
	readonly bits: number;
	readonly bitsPerMinute: number;
}

export type Beliefs =
	| {
			readonly kind: 'believed';
			readonly beliefs: readonly Belief[];
			readonly next: readonly NextCheck[];
			readonly exact: boolean;
			/** Pairs of cause and cylinder that were too many to be held jointly and stay at the odds of their own rate. */
			readonly leftOut: readonly CauseAt[];
	  }
	| { readonly kind: 'contradicts'; readonly rebuild: number; readonly findings: readonly FindingAt[] };

// Where present findings tie more than sixteen together, so many of the pump and of each cylinder are held jointly.
const MOST_TIED = 16;
const MOST_OF_PUMP = 7;
const MOST_OF_CYLINDER = 6;
const WEAKEST_FACTOR = 1.05;

/**
 * What is believed of every cause of a pump over its rebuilds, what carries it, and what would tell most.
 *
 * A cause of the pump brings findings about on every cylinder, one of a cylinder on that cylinder and on the pump. Damage that was found
 * may bring about other damage by itself (`follows`): it adds to the background rate of that finding at its place.
 * Shape: rebuilds oldest first, at least one. Errors: PreconditionError for hours that run back.
 */
export function beliefsOf(
	network: CauseNetwork,
	sheet: Pick<ModelSheet, 'stations' | 'cylinders' | 'ratedPressureMPa' | 'ratedSpeedRpm'>,
	rebuilds: readonly RebuildEvidence[],
	actions: readonly Action[]
): Beliefs {
	requireThat(rebuilds.length > 0, 'beliefsOf', 'rebuilds', 'none', 'at least one');
	const found = rebuilds.map((rebuild) => findingsAt(network, sheet, rebuild));
	const seen = found.map((all) => all.filter(({ present }) => present !== undefined));
	const causes = causesAt(network, sheet.cylinders);
	const leftOut = tooMany(network, causes, seen);
	const held = causes.filter((cause) => !leftOut.includes(cause));
	const chains = held.map(({ of }): Chain => ({ prior: of.prior, perHour: of.per1000h / 1000 }));
	const observe = observing(network, held);
	const visits = seen.map((all, t): Visit => ({
		hours: t === 0 ? 0 : rebuilds[t].pumpHours - rebuilds[t - 1].pumpHours,
		observed: all.map((finding) => observe(finding, all)),
		actions: [
			...held.flatMap(({ of }, chain) => (of.endsByItself > 0 ? [{ chain, effectiveness: of.endsByItself }] : [])),
			...actions
				.filter(({ rebuild }) => rebuild === t)
				.flatMap(({ cause, cylinder, effectiveness }) => {
					const chain = held.findIndex(({ of, cylinder: at }) => of.key === cause && at === cylinder);
					return chain < 0 ? [] : [{ chain, effectiveness }];
				})
		]
	}));
	const answer = followChains(
		chains,
		visits,
		held.map(({ cylinder }) => cylinder)
	);
	if (answer.kind === 'contradicts')
		return { kind: 'contradicts', rebuild: answer.visit, findings: answer.observed.map((i) => seen[answer.visit][i]) };
	const last = seen.at(-1) ?? [];
	const carried = carriedBy(answer.last, visits.at(-1) ?? { observed: [] });
	const unmade = (found.at(-1) ?? []).filter(({ present }) => present === undefined);
	const minutes = new Map(network.findings.map((finding) => [finding.key, finding.minutes]));
	const checks = unmade.map((finding) => ({ ...observe(finding, last), minutes: minutes.get(finding.finding)! }));
	return {
		kind: 'believed',
		exact: answer.exact,
		leftOut: leftOut.map(nameOf),
		beliefs: held.map((pair, k) => ({
			...nameOf(pair),
			then: answer.filtered.map((p) => p[k]),
			now: answer.smoothed.map((p) => p[k]),
			carriedBy: carried
				.map(({ observed, factors }) => ({ ...last[observed], factor: factors[k] }))
				.filter(({ factor }) => factor > WEAKEST_FACTOR || factor < 1 / WEAKEST_FACTOR)
				.sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)))
		})),
		next: nextChecks(answer.last, checks).map(({ check, ...telling }) => ({
			finding: unmade[check].finding,
			cylinder: unmade[check].cylinder,
			minutes: checks[check].minutes,
			...telling
		}))
	};
}

interface Pair {
	readonly of: Cause;
	readonly cylinder: number;
}
const nameOf = ({ of, cylinder }: Pair): CauseAt => ({ cause: of.key, cylinder });

const causesAt = ({ causes }: CauseNetwork, cylinders: number): Pair[] =>
	causes.flatMap((of) =>
		of.on === 'pump' ? [{ of, cylinder: 0 }] : Array.from({ length: cylinders }, (_, i) => ({ of, cylinder: i + 1 }))
	);

const reaches = (pair: Pair, { cylinder }: FindingAt): boolean =>
	pair.cylinder === 0 || cylinder === 0 || pair.cylinder === cylinder;

// Damage of the pump as a whole reaches every cylinder, and a cylinder's reaches the pump.
const meets = (a: FindingAt, b: FindingAt): boolean =>
	a.cylinder === 0 || b.cylinder === 0 || a.cylinder === b.cylinder;

function observing({ findings, follows }: CauseNetwork, held: readonly Pair[]) {
	const backgroundRates = new Map(findings.map(({ key, backgroundRate }) => [key, backgroundRate]));
	return (findingAt: FindingAt, all: readonly FindingAt[]): Observed => {
		const spread = follows.filter(
			({ from, to }) =>
				to === findingAt.finding &&
				all.some((other) => other.finding === from && other.present === true && meets(other, findingAt))
		);
		return {
			present: findingAt.present === true,
			backgroundRate:
				1 -
				spread.reduce((absent, { strength }) => absent * (1 - strength), 1 - backgroundRates.get(findingAt.finding)!),
			links: held.flatMap((pair, chain) =>
				reaches(pair, findingAt)
					? pair.of.links
							.filter(({ finding }) => finding === findingAt.finding)
							.map(({ strength }) => ({ chain, strength }))
					: []
			)
		};
	};
}

// Of causes that present findings tie together, those that are least probable to have brought any about, where they are too many.
function tooMany(network: CauseNetwork, causes: readonly Pair[], seen: readonly (readonly FindingAt[])[]): Pair[] {
	const present = seen.flat().filter((finding) => finding.present);
	const weight = new Map(
		causes.map((pair) => [
			pair,
			present.reduce((sum, other) => {
				const link = reaches(pair, other) ? pair.of.links.find(({ finding }) => finding === other.finding) : undefined;
				return sum + (link ? link.strength * pair.of.prior : 0);
			}, 0)
		])
	);
	const tied = causes.filter((pair) => weight.get(pair)! > 0);
	if (tied.length <= MOST_TIED) return [];
	const places = [...new Set(tied.map(({ cylinder }) => cylinder))];
	return places.flatMap((cylinder) =>
		tied
			.filter((pair) => pair.cylinder === cylinder)
			.sort((a, b) => weight.get(b)! - weight.get(a)!)
			.slice(cylinder === 0 ? MOST_OF_PUMP : MOST_OF_CYLINDER)
	);
}

/** A case that someone confirmed: the cause, and what was found and looked for at the rebuild that it was confirmed on. */
export interface Confirmed extends CauseAt {
	readonly findings: readonly FindingAt[];
}

/**
 * The network as confirmed cases have taught it: each link's strength by the Beta counts of its prior weight and of the cases in which its
 * finding was looked for at the cause's place. Nothing is learnt from a case that no one confirmed.
 * Source: A. Gelman et al., Bayesian Data Analysis (2013), 2.4.
 */
export function learnStrengths(network: CauseNetwork, confirmed: readonly Confirmed[]): CauseNetwork {
	return {
		...network,
		causes: network.causes.map((cause) => ({
			...cause,
			links: cause.links.map(({ finding, strength, priorWeight }) => {
				const told = confirmed
					.filter((candidate) => candidate.cause === cause.key)
					.flatMap((other) => {
						const here = other.findings.filter(
							(seen) =>
								seen.finding === finding &&
								seen.present !== undefined &&
								(other.cylinder === 0 || seen.cylinder === 0 || seen.cylinder === other.cylinder)
						);
						return here.length === 0 ? [] : [here.some(({ present }) => present)];
					});
				const cases = told.length;
				const shown = told.filter(Boolean).length;
				return {
					finding,
					strength: (strength * priorWeight + shown) / (priorWeight + cases),
					priorWeight: priorWeight + cases
				};
			})
		}))
	};
}

/** How often a finding was looked for in a fleet, and how often it was there. */
export interface LookedFor {
	readonly finding: string;
	readonly inspected: number;
	readonly present: number;
}

/** Weight of a background rate of the network beside the fleet, in inspections. */
const BACKGROUND_WEIGHT = 30;
const MOST_LEAK = 0.95;

/**
 * The network with its background rates as the fleet has them: what is found everywhere tells of no cause. Every presence is taken to have come of
 * itself, which is too often where a cause was at work, so that beliefs err towards none. A background rate is never lowered below the network's own.
 * Errors: PreconditionError for counts that cannot be. Source: A. Gelman et al., Bayesian Data Analysis (2013), 2.4.
 */
export function learnBackgroundRates(network: CauseNetwork, fleet: readonly LookedFor[]): CauseNetwork {
	const counts = new Map(fleet.map((wanted) => [wanted.finding, wanted]));
	return {
		...network,
		findings: network.findings.map((finding) => {
			const { inspected = 0, present = 0 } = counts.get(finding.key) ?? {};
			requireThat(
				inspected >= 0 && Number.isFinite(inspected),
				'learnBackgroundRates',
				'inspected',
				inspected,
				'a count'
			);
			requireThat(
				present >= 0 && present <= inspected,
				'learnBackgroundRates',
				'present',
				present,
				`a count up to ${inspected}`
			);
			const learnt = (finding.backgroundRate * BACKGROUND_WEIGHT + present) / (BACKGROUND_WEIGHT + inspected);
			return { ...finding, backgroundRate: Math.min(MOST_LEAK, Math.max(finding.backgroundRate, learnt)) };
		})
	};
}
