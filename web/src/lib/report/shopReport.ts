import { tighteningPasses } from '@exetasis/core/build';
import { anyInPump, decideWhole } from '@exetasis/core/decide';
import { wholeInput } from '@exetasis/core/mat';
import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
import { allSteps, doneDespite, scopeOf, stationsInScope, tightenedBy, together } from '@exetasis/core/record';
import type { LateWork } from '@exetasis/server/benchLog/late';
import type { PdfDocument } from '@exetasis/server/pdf';
import type { Shop } from '@exetasis/server/shops';
import { day } from '$lib/format/time';
import { LATE_HEAD, lateWords } from '../words/late';
import { placeName } from '../words/place';
import { verdictName } from '../words/reasons';
import { handoverWords } from '../words/report';
import { matDrawing } from './matDrawing';
import { a4, facts, head, soft, table, type Content } from './page';
import { provedSentences } from './proved';
import { alike, byStation, namesOf, type Reported, type ReportedPart } from './reportParts';

/**
 * The report of a job for the shop: everything that was found and measured, what was replaced and why, how it was put together
 * and proved, and every chance that the next service rests on.
 */
export function shopReport(reported: Reported, shop: Shop, late: readonly LateWork[]): PdfDocument {
	const { bench, parts, format } = reported;
	const { sheet, job } = bench;
	const replaced = parts.filter(({ verdict }) => verdict === 'replace');
	const watched = parts.filter(({ verdict, found }) => verdict !== 'replace' && found !== '');
	return a4(`Shop report ${job.serial}`, `${shop.name} · ${job.serial} · for the shop`, [
		{ text: `Shop report: ${job.serial}`, fontSize: 17, bold: true },
		soft(`${shop.name}${shop.demo ? ' · invented demo data' : ''}`),
		facts(particulars(reported)),
		head('Parts by cylinder'),
		{ svg: matDrawing(stationsInScope(sheet, job), sheet.cylinders, parts), fit: [515, 190] },
		{ text: 'N: new part. !: reused, with damage found. Empty: reused, no damage found.', fontSize: 8 },
		head(`Replaced: ${replaced.length}`),
		replaced.length > 0
			? table(
					['Reason', 'Parts'],
					['*', 250],
					alike(replaced, ({ because }) => because).map(({ says, parts: these }) => [
						says || 'No reason was given.',
						withFindings(these)
					])
				)
			: soft('Nothing.'),
		head('Reused parts to watch'),
		watched.length > 0
			? table(
					['Found', 'Parts', 'Decided'],
					[120, '*', 90],
					alike(watched, ({ found, verdict }) => `${found}\n${verdict ? verdictName[verdict] : 'Not decided'}`).map(
						({ says, parts: these }) => [says.split('\n')[0], namesOf(these), says.split('\n')[1]]
					)
				)
			: soft('No damage was found on the reused parts.'),
		head('Measurements'),
		...measured(reported),
		head('Assembly'),
		...torques(reported),
		...otherOrder(reported),
		...(late.length > 0
			? [
					table(
						[LATE_HEAD, 'By'],
						['*', 90],
						late.map((lateWork) => [lateWords(lateWork, format), bench.people[lateWork.by] ?? ''])
					)
				]
			: []),
		head('Tests'),
		...proved(reported),
		head('Forecast and next service'),
		...forecast(reported),
		{
			text: 'Probabilities and uncertainties follow from the measurements and the history. The maker’s sheet, local rules and licensed practice come first.',
			fontSize: 8,
			margin: [0, 12, 0, 0]
		}
	]);
}

function particulars({ bench, format }: Reported): [string, string][] {
	const { job, sheet } = bench;
	const { customer } = job;
	return [
		['Pump', [job.serial, sheet.model, job.tag, job.site].filter(Boolean).join(', ')],
		...(customer.name
			? [
					[
						'Customer',
						[customer.name, customer.orderNumber && `order ${customer.orderNumber}`].filter(Boolean).join(', ')
					] as [string, string]
				]
			: []),
		['Work', `${scopeOf(sheet, job)?.name ?? job.scope}, for “${job.complaint}”`],
		['Hours', `${format.number(job.pumpHours)} h of the pump, ${format.number(job.meterHours)} h on its meter`],
		[
			'Dates',
			[
				day(job.receivedAt),
				customer.promisedOn && `promised ${day(customer.promisedOn)}`,
				job.releasedAt ? `released ${day(job.releasedAt)}` : 'not released yet'
			]
				.filter(Boolean)
				.join(', ')
		]
	];
}

// What was found stands with the parts it was found on; parts without findings come last.
const withFindings = (parts: readonly ReportedPart[]): Content => ({
	stack: alike(parts, ({ found }) => found).map(({ says, parts: these }) =>
		says ? `${namesOf(these)}: ${says}` : namesOf(these)
	)
});

// A row for each size of a station; the cylinders stand in it under each other.
function measured({ parts, format }: Reported): Content[] {
	const rows = byStation(parts).flatMap((these) => {
		const keys = [...new Set(these.flatMap(({ judgement }) => judgement.sizes.map(({ sheet }) => sheet.key)))];
		return keys.flatMap((key) => {
			const sizes = these.flatMap(({ cell, judgement }) =>
				judgement.sizes.flatMap((size) => (size.sheet.key === key && size.value !== undefined ? [{ cell, size }] : []))
			);
			if (sizes.length === 0) return [];
			const [{ size: first }] = sizes;
			const unit = shownUnit(dimensionOf(first.sheet.unit), format.units);
			const limits = [
				...new Set(sizes.map(({ size }) => ('limit' in size ? format.quantity(size.limit as number, unit) : 'none')))
			];
			const gauges = [
				...new Set(
					sizes.map(({ size: { gauge } }) =>
						gauge
							? `${gauge.name}${gauge.facts.overdue ? ' (calibration overdue: uncertainty doubled)' : ''}`
							: 'shop caliper, assumed'
					)
				)
			];
			const values = sizes.map(
				({ cell, size }) =>
					`${cell.cylinder > 0 && these.length > 1 ? `${cell.cylinder}: ` : ''}${format.withUncertainty(size.value!, size.budget.U, unit)}`
			);
			return [
				[these[0].station.name, first.characteristic.name, values.join('\n'), limits.join('\n'), gauges.join('\n')]
			];
		});
	});
	return rows.length > 0
		? [table(['Part', 'Size', 'By cylinder: value ± U (95 %)', 'Limit', 'Gauge'], [110, 85, 130, 60, '*'], rows)]
		: [soft('Nothing was measured.')];
}

function torques({ bench: { gauges }, parts, format }: Reported): Content[] {
	const torque = (nm: number) => format.quantity(nm, format.units.torque);
	const says = ({ station, record }: ReportedPart): string[] => {
		const passes = tighteningPasses(station.fastening!);
		const read = record.tightened.flatMap(({ payload }) => (payload.read ? [payload.read.valueNm] : []));
		const turned = record.tightened.at(-1)?.payload.turnDeg;
		const used = [...new Set(record.tightened.flatMap(({ payload }) => payload.wrench ?? []))].map(
			(id) => gauges.find((gauge) => gauge.id === id)?.name ?? 'a wrench no longer listed'
		);
		const byHand = tightenedBy(station, record) === 'feel' ? 'by feel' : 'clicked';
		const how = turned ? `${format.number(turned)}° past hand-tight` : byHand;
		return [
			station.fastening!.torqueNm === undefined ? 'not stated' : torque(station.fastening!.torqueNm),
			`${record.tightened.length} in ${passes.length} passes`,
			[read.length > 0 ? `read ${torque(Math.min(...read))} to ${torque(Math.max(...read))}` : how, ...used].join(', ')
		];
	};
	const tightened = parts.filter(({ station, record }) => station.fastening && record.tightened.length > 0);
	const rows = byStation(tightened).flatMap((these) =>
		alike(these, (part) => says(part).join('\n')).map(({ says: text, parts: same }) => [
			namesOf(same),
			...text.split('\n')
		])
	);
	return rows.length > 0
		? [table(['Bolts', 'Torque', 'Tightened', 'Wrench'], [160, 80, 110, '*'], rows)]
		: [soft('No torque is recorded.')];
}

function otherOrder({ bench: { sheet, job, cells, people }, state }: Reported): Content[] {
	const rows = doneDespite(together(sheet, job, cells, state), allSteps(sheet, job), state.steps).map(
		({ name, cylinder, reason, by }) => [placeName(name, cylinder), reason, people[by] ?? '']
	);
	return rows.length > 0 ? [table(['Done in another order', 'Reason', 'By'], [180, '*', 90], rows)] : [];
}

function proved(reported: Reported): Content[] {
	const sentences = provedSentences(reported);
	return sentences.length > 0 ? sentences : [soft('No test is recorded.')];
}

const WORTH_SAYING = 0.005;

// The chance of every part that goes out, the likeliest first; those that are next to nothing in one line.
function forecast({ bench, parts, format }: Reported): Content[] {
	const { intervalHours } = bench.policy;
	const chances = new Map(
		decideWhole(wholeInput(bench, parts)).parts.map((part) => [
			part.id,
			part.decided === 'replace' ? part.fresh : part.reused
		])
	);
	const of = ({ cell }: ReportedPart) => chances.get(cell.part)!;
	const any = (what: 'beyond' | 'stop') => anyInPump([...chances.values()].map(({ byPump }) => byPump[what]));
	const told = parts.filter((part) => of(part).beyond >= WORTH_SAYING).toSorted((a, b) => of(b).beyond - of(a).beyond);
	const rest = parts.length - told.length;
	return [
		...(bench.handover ? [handoverWords[bench.handover.to]] : []),
		`Next service after another ${format.number(intervalHours)} h (shop policy). Chance before then: ${format.probability(any('beyond'))} that a part passes a limit or is damaged, ${format.probability(any('stop'))} that the pump stops unplanned.`,
		...(told.length > 0
			? [
					table(
						['Part', 'Passes a limit or is damaged', 'Stops the pump'],
						['*', 150, 120],
						alike(told, (part) => `${format.probability(of(part).beyond)}\n${format.probability(of(part).stop)}`).map(
							({ says, parts: these }) => [namesOf(these), ...says.split('\n')]
						)
					)
				]
			: []),
		...(rest > 0 && told.length > 0
			? [soft(`The other ${format.number(rest)} parts: below ${format.probability(WORTH_SAYING)} each.`)]
			: [])
	];
}
