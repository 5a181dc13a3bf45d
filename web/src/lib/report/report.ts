import { tighteningPasses } from '@exetasis/core/build';
import { decideWhole } from '@exetasis/core/decide';
import { judgeMat, wholeInput, type JudgedPart } from '@exetasis/core/mat';
import { patternName } from '@exetasis/core/part';
import { dimensionOf, shownUnit, type UnitPreference } from '@exetasis/core/quantity';
import {
	fold,
	holdOn,
	lastProofs,
	scopeOf,
	standingDecision,
	stationsInScope,
	type JobState,
	allSteps,
	doneDespite,
	tightenedBy,
	together
} from '@exetasis/core/record';
import type { LateWork } from '@exetasis/server/benchLog/late';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Shop } from '@exetasis/server/shops';
import { formatNumber, formatProbability, formatQuantity, formatWithUncertainty } from '../ui/numbers';
import { day } from '../ui/time';
import { LATE_HEAD, lateWords } from '../words/late';
import { placeName } from '../words/place';
import { heldByWords, holdWords, unprovedWords, verdictWords } from '../words/proof';
import { reasonSentence, verdictName } from '../words/reasons';
import type { TraceVerdict } from '@exetasis/core/prove';
import { matDrawing } from './matDrawing';

type Content = object | string;

const head = (text: string): Content => ({ text, bold: true, fontSize: 12, margin: [0, 10, 0, 3] });
const table = (
	heads: readonly string[],
	widths: readonly (string | number)[],
	rows: readonly (readonly string[])[]
): Content => ({
	table: {
		headerRows: 1,
		widths: [...widths],
		body: [heads.map((text) => ({ text, bold: true })), ...rows.map((row) => [...row])]
	},
	layout: 'lightHorizontalLines'
});
const nothing = (text: string): Content => ({ text, color: '#5a626b' });

/**
 * The report of a job for whoever owns the pump: what was found and measured, what was replaced and why, how it was put
 * together and proved, and what it rests on. A definition for pdfmake.
 */
export function reportOf(bench: Bench, shop: Shop, units: UnitPreference, late: readonly LateWork[] = []): object {
	const { sheet, job, entries } = bench;
	const state = fold(entries);
	const parts = judgeMat(bench, state.parts);
	const place = ({ station, cell }: JudgedPart) => placeName(station.name, cell.cylinder);
	const decided = (part: JudgedPart) => standingDecision(part.record)?.payload;
	const found = (part: JudgedPart) =>
		part.record.findings.map(({ payload }) => patternName(payload.pattern).toLowerCase()).join(', ');
	const because = (part: JudgedPart) =>
		decided(part)?.why ??
		(part.judgement.reasons[0] ? reasonSentence(part.judgement.reasons[0], part.station, units) : '');
	const replaced = parts.filter((part) => decided(part)?.verdict === 'replace');
	const kept = parts.filter((part) => decided(part)?.verdict !== 'replace' && found(part) !== '');
	const sizes = parts.flatMap((part) =>
		part.judgement.sizes.flatMap((size) => {
			if (size.value === undefined) return [];
			const unit = shownUnit(dimensionOf(size.sheet.unit), units);
			return [
				[
					place(part),
					size.characteristic.name,
					formatWithUncertainty(size.value, size.budget.U, unit),
					'limit' in size ? formatQuantity(size.limit as number, unit) : 'none',
					size.gauge
						? `${size.gauge.name}${size.gauge.facts.overdue ? ' (calibration overdue: counts twice)' : ''}`
						: 'shop caliper, assumed'
				]
			];
		})
	);
	const facts = [
		['Pump', `${job.serial}, ${sheet.model}${job.tag ? `, ${job.tag}` : ''}${job.site ? `, ${job.site}` : ''}`],
		['Work', `${scopeOf(sheet, job)?.name ?? job.scope}, for “${job.complaint}”`],
		['Hours', `${formatNumber(job.pumpHours)} h of the pump, ${formatNumber(job.meterHours)} h on its meter`],
		[
			'In and out',
			`${day(job.receivedAt)}${job.releasedAt ? `, released ${day(job.releasedAt)}` : ', not released yet'}`
		]
	];
	return {
		pageSize: 'A4',
		pageMargins: [40, 40, 40, 46],
		defaultStyle: { font: 'Helvetica', fontSize: 9, lineHeight: 1.15 },
		info: { title: `Rebuild report ${job.serial}` },
		footer: (page: number, of: number) => ({
			text: `${shop.name} · ${job.serial} · page ${page} of ${of}`,
			alignment: 'center',
			fontSize: 8,
			margin: [0, 14, 0, 0]
		}),
		content: [
			{ text: `Rebuild report: ${job.serial}`, fontSize: 17, bold: true },
			{ text: `${shop.name}${shop.demo ? ' · invented demo data' : ''}`, margin: [0, 0, 0, 8] },
			{ table: { widths: [70, '*'], body: facts.map((row) => [...row]) }, layout: 'noBorders' },
			head('The parts, as they lay'),
			{ svg: matDrawing(stationsInScope(sheet, job), sheet.cylinders, parts), fit: [515, 190] },
			{ text: 'N: a new part. !: stays, with something found. Empty: stays, nothing found.', fontSize: 8 },
			head(`Replaced: ${replaced.length}`),
			replaced.length > 0
				? table(
						['Part', 'Found', 'Because'],
						[150, 110, '*'],
						replaced.map((part) => [place(part), found(part) || 'nothing', because(part)])
					)
				: nothing('Nothing.'),
			head('Stays, and is to be watched'),
			kept.length > 0
				? table(
						['Part', 'Found', 'Decided'],
						[150, '*', 150],
						kept.map((part) => [place(part), found(part), verdictOf(decided(part))])
					)
				: nothing('Nothing was found on what stays.'),
			head('Measured'),
			sizes.length > 0
				? table(['Part', 'Size', 'Value ± U (95 %)', 'Limit', 'With'], [130, 90, 90, 60, '*'], sizes)
				: nothing('Nothing was measured.'),
			head('Put together'),
			...torques(bench, parts, units),
			...otherOrder(bench, state),
			...recordedLate(bench, late),
			head('Proved'),
			...proved(bench, state, units),
			head('Forecast, and the next service'),
			...forecast(bench, parts),
			{
				text: 'Probabilities and uncertainties rest on what was measured and on record; the maker’s sheet, local rules and licensed practice come first.',
				fontSize: 8,
				margin: [0, 12, 0, 0]
			}
		]
	};
}

const MOST_FORECAST = 6;
const WORTH_SAYING = 0.005;

/** How likely what goes out passes its limits or stops the pump by the next service, and the parts that carry most of it. */
function forecast(bench: Bench, parts: readonly JudgedPart[]): Content[] {
	const { intervalHours } = bench.policy;
	const whole = decideWhole(wholeInput(bench, parts));
	const byId = new Map(parts.map((part) => [part.cell.part, part]));
	const chances = whole.parts.map((part) => ({
		part: byId.get(part.id)!,
		...(part.decided === 'replace' ? part.fresh : part.reused)
	}));
	const any = (of: 'beyond' | 'stop') => 1 - chances.reduce((none, chance) => none * (1 - chance[of]), 1);
	const most = chances
		.filter(({ beyond }) => beyond >= WORTH_SAYING)
		.sort((a, b) => b.beyond - a.beyond)
		.slice(0, MOST_FORECAST);
	const goes =
		bench.handover?.to === 'service'
			? 'It went into service, hoses and covers back where they were.'
			: bench.handover
				? 'It went on the shelf: the hours count from the day it runs.'
				: undefined;
	return [
		...(goes ? [goes] : []),
		`Next service after ${formatNumber(intervalHours)} h more, by the rule in force. Until then some part passes a limit with ${formatProbability(any('beyond'))}, and the pump stops unplanned with ${formatProbability(any('stop'))}.`,
		...(most.length > 0
			? [
					table(
						['Most likely to pass a limit', 'It does', 'It stops the pump'],
						['*', 90, 100],
						most.map(({ part, beyond, stop }) => [
							placeName(part.station.name, part.cell.cylinder),
							formatProbability(beyond),
							formatProbability(stop)
						])
					)
				]
			: [])
	];
}

const verdictOf = (decision: { verdict: keyof typeof verdictName } | undefined): string =>
	decision ? verdictName[decision.verdict].toLowerCase() : 'not decided';

function torques({ gauges }: Pick<Bench, 'gauges'>, parts: readonly JudgedPart[], units: UnitPreference): Content[] {
	const rows = parts.flatMap(({ station, cell, record }) => {
		const { fastening } = station;
		if (!fastening || record.tightened.length === 0) return [];
		const passes = tighteningPasses(fastening);
		const read = record.tightened.flatMap(({ payload }) => (payload.read ? [payload.read.valueNm] : []));
		const torque = (nm: number) => formatQuantity(nm, units.torque);
		const turned = record.tightened.at(-1)?.payload.turnDeg;
		const used = [...new Set(record.tightened.flatMap(({ payload }) => payload.wrench ?? []))].map(
			(id) => gauges.find((gauge) => gauge.id === id)?.name ?? 'a wrench no longer listed'
		);
		const how = tightenedBy(station, record) === 'feel' ? 'by feel' : 'clicked';
		const byFeel = turned ? `${formatNumber(turned)}° past hand-tight` : how;
		return [
			[
				placeName(station.name, cell.cylinder),
				fastening.torqueNm === undefined ? 'no value stated' : torque(fastening.torqueNm),
				`${record.tightened.length} in ${passes.length} passes`,
				[read.length > 0 ? `read ${torque(Math.min(...read))} to ${torque(Math.max(...read))}` : byFeel, ...used].join(
					', '
				)
			]
		];
	});
	return rows.length > 0
		? [table(['Bolts', 'Torque', 'Tightened', 'Wrench'], [150, 90, '*', 130], rows)]
		: [nothing('No torque is on record.')];
}

function otherOrder({ sheet, job, cells, people }: Bench, state: JobState): Content[] {
	const rows = doneDespite(together(sheet, job, cells, state), allSteps(sheet, job), state.steps).map(
		({ name, cylinder, reason, by }) => [placeName(name, cylinder), reason, people[by] ?? '']
	);
	return rows.length > 0 ? [table(['Done in another order', 'Reason', 'By'], [180, '*', 90], rows)] : [];
}

function recordedLate({ people }: Bench, late: readonly LateWork[]): Content[] {
	if (late.length === 0) return [];
	return [
		table(
			[LATE_HEAD, 'By'],
			['*', 90],
			late.map((one) => [lateWords(one), people[one.by] ?? ''])
		)
	];
}

function proved(bench: Bench, { proofs }: JobState, units: UnitPreference): Content[] {
	const { sheet, gauges, unbuilt } = bench;
	const last = lastProofs(proofs);
	const held = holdOn(sheet, last, gauges);
	const drips = { none: 'no drips', stopping: 'a few drips, stopping', steady: 'drips steadily' } as const;
	const lines = [
		...(held && sheet.proof ? [`${holdWords(held, sheet.proof, units)} ${heldByWords(held)}`] : []),
		...[...last.drips].map(([place, { seen }]) => `${place}: ${drips[seen]}.`),
		...(last.flow
			? [
					`Flow ${formatQuantity(last.flow.flow.value, 'Lmin')} at ${formatQuantity(last.flow.pressure.value, units.pressure)}.`
				]
			: []),
		...(last.trace
			? [
					`By its pressure trace: ${verdictWords(last.trace.verdicts[0] as TraceVerdict).toLowerCase()} (${formatProbability(last.trace.verdicts[0].probability)}).`
				]
			: []),
		...(unbuilt
			? [
					`Let go though not all was put together and proved here: “${unbuilt.why}” ${unbuilt.tests.map(unprovedWords).join(' ')}`
				]
			: [])
	];
	return lines.length > 0 ? lines : [nothing('No test is on record.')];
}
