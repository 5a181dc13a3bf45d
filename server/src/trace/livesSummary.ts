import { groupBy } from '@exetasis/core/list';
import {
	compareWeibull,
	endedShare,
	fitWeibull,
	hasEnded,
	isExact,
	isWatchedLate,
	leastScale,
	logRank,
	meanCumulative,
	repairTrend,
	stepCurves,
	turnbull,
	turnbullBand,
	withAge,
	type ExactLife,
	type ObservedLife,
	type PanelHistory
} from '@exetasis/core/survival';
import type { Life, ShopLives } from './lives';

const POINTS = 60;
const MOST_GROUPS = 12;
const ASSUMED_SHAPE = 2;

export interface GroupSummary {
	readonly name: string;
	readonly lives: number;
	readonly ended: number;
	readonly hours: number;
	readonly fit: ReturnType<typeof fitWeibull>;
	/** What the classic error would have said: everything that was taken out a failure. */
	readonly naive: ReturnType<typeof fitWeibull>;
	/** Without ends: the least scale that the record allows at an assumed shape. */
	readonly least?: { readonly scale: number; readonly shape: number };
	/** Fitted share that has ended, with its band, over hours. */
	readonly curve: readonly {
		readonly hours: number;
		readonly value: number;
		readonly low: number;
		readonly high: number;
	}[];
	/** Share that has ended without a shape assumed, between the hours at which the record lets it lie. */
	readonly masses: readonly { readonly after: number; readonly by: number; readonly ended: number }[];
	/** Hours to which lives held that are not known to have ended. */
	readonly censored: readonly number[];
}

/** Lives of one station in groups, worked out for charts and sentences. */
export function summaryOf({ lives, unknownAge, endedUnwatched, watched }: ShopLives, asked: readonly string[]) {
	const groups = [...groupBy(lives, ({ group }) => group)].toSorted(([, a], [, b]) => b.length - a.length);
	const shown = groups.slice(0, MOST_GROUPS);
	const chosen = asked.length === 2 ? groups.filter(([name]) => asked.includes(name)) : groups.slice(0, 2);
	// Only the fit can take parts that were not watched from their fitting on.
	const failures = (some: readonly Life[]): ExactLife[] =>
		some.filter((life) => !isWatchedLate(life)).map((life) => ({ hours: life.hours, ended: hasEnded(life) }));
	const histories = watched
		.filter(({ from, until }) => until > from)
		.map(({ from, until, replacedAt }) => ({
			until: until - from,
			// What was taken out at the first sight of the pump belongs to a time that no one watched.
			at: replacedAt.map((at) => at - from).filter((at) => at > 0 && at <= until - from)
		}));
	return {
		unknownAge,
		endedUnwatched,
		watchedLate: lives.filter(isWatchedLate).length,
		groups: shown.map(([name, some]) => groupSummary(name, some)),
		moreGroups: groups.length - shown.length,
		compared:
			chosen.length === 2
				? {
						names: chosen.map(([name]) => name),
						weibull: compareWeibull(chosen[0][1], chosen[1][1]),
						logRank: logRank(chosen.map(([, some]) => failures(some)))
					}
				: undefined,
		...survivalOf(lives, failures(lives)),
		replacements: meanCumulative(histories),
		trend: repairTrend(watched.filter(({ visits }) => visits.length > 0).map(panelOf)),
		pumps: histories.length
	};
}

// What was taken out at the first sight of a pump belongs to the time before it was watched.
const panelOf = ({ visits, replacedAt }: ShopLives['watched'][number]): PanelHistory => ({
	visits,
	replaced: visits.slice(1).map((hours) => replacedAt.filter((at) => at === hours).length)
});

/**
 * Survival of all lives: by Kaplan and Meier where every end is known to the hour; else by Turnbull, because at the hours at which
 * ends were found it would come out too high.
 */
function survivalOf(lives: readonly Life[], failures: readonly ExactLife[]) {
	const fromFitting = lives.filter((life) => !isWatchedLate(life));
	if (fromFitting.every((life) => !hasEnded(life) || isExact(life))) return { steps: stepCurves(failures), ranges: [] };
	const aged = withAge(fromFitting).lives;
	const longest = aged.reduce((most, { after, by }) => Math.max(most, by === Infinity ? after : by), 0);
	const hours = Array.from({ length: POINTS }, (_, i) => (longest * (i + 1)) / POINTS);
	return { steps: [], ranges: turnbullBand(aged, hours) };
}

function groupSummary(name: string, lives: readonly Life[]): GroupSummary {
	const fit = fitWeibull(lives);
	const longest = lives.reduce((most, { hours }) => Math.max(most, hours), 1);
	const aged = withAge(lives).lives;
	const ended = lives.filter(hasEnded).length;
	const fromFitting = aged.filter((life) => !isWatchedLate(life));
	return {
		name,
		lives: lives.length,
		ended,
		hours: lives.reduce((sum, { hours }) => sum + hours, 0),
		fit,
		naive: fitWeibull(
			lives.map(({ hours, removed }): ObservedLife => ({ after: hours, by: removed ? hours : Infinity }))
		),
		...(ended === 0 && aged.length > 0
			? { least: { scale: leastScale(lives, ASSUMED_SHAPE), shape: ASSUMED_SHAPE } }
			: {}),
		curve:
			fit.kind === 'fitted'
				? Array.from({ length: POINTS }, (_, i) => {
						const hours = (longest * 1.2 * (i + 1)) / POINTS;
						return { hours, ...endedShare(fit, hours) };
					})
				: [],
		masses: ended > 0 && fromFitting.length > 0 ? cumulated(turnbull(fromFitting).masses) : [],
		censored: lives.filter((life) => !hasEnded(life)).map(({ after }) => after)
	};
}

function cumulated(masses: readonly { readonly after: number; readonly by: number; readonly share: number }[]) {
	let sum = 0;
	return masses
		.filter(({ by }) => by !== Infinity)
		.map(({ after, by, share }) => ({ after, by, ended: (sum += share) }));
}
