import { dimensionOf, shownUnit } from '@exetasis/core/quantity';
import { fold, scopeOf, standingDecision } from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Letterhead } from '@exetasis/server/letterhead';
import type { PdfDocument } from '@exetasis/server/pdf';
import type { Shop } from '@exetasis/server/shops';
import { day } from '$lib/format/time';
import { inSentence, placeName } from '../words/place';
import { partsCount } from '../words/report';
import { a4, facts, head, soft, table, type Content } from './page';
import { provedSentences } from './proved';
import { alike, byStation, foundOn, namesOf, type Reported, type ReportedPart } from './reportParts';

/** Photographs that a report shows: of what was found, in the order of the sheet. */
const MOST_PHOTOS = 9;
const OF_A_STATION = 2;

/** The photographs of a job that its report shows: at most `OF_A_STATION` of a station, `MOST_PHOTOS` in all. */
export function photosToShow({ sheet, cells, entries }: Pick<Bench, 'sheet' | 'cells' | 'entries'>): PhotoToShow[] {
	const { parts } = fold(entries);
	return sheet.stations
		.flatMap((station) =>
			cells
				.filter((cell) => cell.station === station.key)
				.flatMap(({ part, cylinder }) => {
					const record = parts.get(part);
					if (!record) return [];
					const found = foundOn(record);
					if (found === '' && standingDecision(record)?.payload.verdict !== 'replace') return [];
					const says = `${placeName(station.name, cylinder)}${found ? `: ${found}` : ''}`;
					return record.photos.map(({ payload }) => ({ says, sha256: payload.sha256 }));
				})
				.slice(0, OF_A_STATION)
		)
		.slice(0, MOST_PHOTOS);
}

/** A photograph of a job, by the name of its bytes, with what it shows: "Ceramic plunger, cylinder 2: axial scoring". */
interface PhotoToShow {
	readonly says: string;
	readonly sha256: string;
}

/** A photograph with what it shows: as a data URL. */
export interface ShownPhoto {
	readonly says: string;
	readonly jpeg: string;
}

/**
 * The report of a job for the pump's owner: what was found, with photographs; what was done; why it failed; what they should do.
 * Without our probabilities; sizes only where they condemned a part.
 */
export function customerReport(
	reported: Reported,
	shop: Shop,
	{ address, logo }: Letterhead,
	photos: readonly ShownPhoto[]
): PdfDocument {
	const { bench, parts, format } = reported;
	const { job, sheet, people, policy } = bench;
	const { customer } = job;
	const replaced = parts.filter(({ verdict }) => verdict === 'replace');
	return a4(`Rebuild report ${job.serial}`, `${shop.name} · ${job.serial}`, [
		letterhead(shop, address, logo),
		{ text: `Rebuild report: pump ${job.serial}`, fontSize: 17, bold: true, margin: [0, 10, 0, 6] },
		facts([
			...(customer.name ? ([['Customer', customer.name]] as const) : []),
			...(customer.orderNumber ? ([['Your order', customer.orderNumber]] as const) : []),
			['Pump', [job.serial, sheet.model, job.tag, job.site].filter(Boolean).join(', ')],
			['It came in for', job.complaint],
			['Hours run', `${format.number(job.meterHours)} h on its meter`],
			['Received', day(job.receivedAt)],
			['Released', job.releasedAt ? day(job.releasedAt) : 'not yet: this is a draft']
		]),
		head('Findings'),
		...found(reported),
		...pictures(photos),
		head('Work done'),
		`${scopeOf(sheet, job)?.name ?? job.scope}: ${partsCount(parts.length)} inspected, ${format.number(replaced.length)} replaced by new ones.`,
		...(replaced.length > 0 ? [{ text: `New: ${namesOf(replaced)}.`, margin: [0, 3, 0, 0] }] : []),
		head('Tests'),
		...(provedSentences(reported).length > 0 ? provedSentences(reported) : [soft('No test is recorded.')]),
		head('Cause'),
		customer.cause ?? soft('The cause was not established.'),
		head('Advice'),
		...(customer.advice ? [customer.advice] : []),
		`Next service after another ${format.number(policy.intervalHours)} h.`,
		...toWatch(parts),
		signature(job.releasedBy ? people[job.releasedBy] : undefined, job.releasedAt)
	]);
}

const letterhead = (shop: Shop, address: string, logo: Letterhead['logo']): Content => ({
	columns: [
		...(logo
			? [{ width: 'auto', image: `data:image/png;base64,${Buffer.from(logo).toString('base64')}`, fit: [150, 60] }]
			: []),
		{
			width: '*',
			alignment: 'right',
			stack: [
				{ text: shop.name, bold: true, fontSize: 11 },
				...(address ? [address] : []),
				...(shop.demo ? [soft('Invented demo data')] : [])
			]
		}
	]
});

// A row for each station and what was found there; a size is named where it condemned the part.
function found({ parts, format }: Reported): Content[] {
	const says = (part: ReportedPart): string => [part.found, ...worn(part, format)].filter(Boolean).join('; ');
	const rows = byStation(parts.filter((part) => says(part) !== '')).flatMap((these) =>
		alike(these, (part) => `${says(part)}\n${part.verdict === 'replace' ? 'replaced' : 'stays'}`).map(
			({ says: text, parts: same }) => {
				const [what, done] = text.split('\n');
				return [namesOf(same), what, done];
			}
		)
	);
	return rows.length > 0
		? [table(['Part', 'Found', 'What was done'], [190, '*', 90], rows)]
		: [soft('No damage was found.')];
}

function worn({ station, judgement }: ReportedPart, format: Reported['format']): string[] {
	return judgement.reasons.flatMap((reason) => {
		if (reason.code !== 'beyondLimit') return [];
		const size = judgement.sizes.find(({ sheet }) => sheet.key === reason.characteristic);
		if (!size) return [];
		const unit = shownUnit(
			dimensionOf(station.characteristics.find(({ key }) => key === reason.characteristic)!.unit),
			format.units
		);
		return [
			`${inSentence(size.characteristic.name)} ${format.quantity(reason.value, unit)}, past the limit of ${format.quantity(reason.limit, unit)}`
		];
	});
}

const IN_A_ROW = 3;
const pictures = (photos: readonly ShownPhoto[]): Content[] =>
	Array.from({ length: Math.ceil(photos.length / IN_A_ROW) }, (_, row) => ({
		unbreakable: true,
		margin: [0, 8, 0, 0],
		columnGap: 8,
		columns: Array.from({ length: IN_A_ROW }, (_, i) => {
			const photo = photos[row * IN_A_ROW + i] as ShownPhoto | undefined;
			return photo
				? {
						stack: [
							{ image: photo.jpeg, fit: [166, 125] },
							{ text: photo.says, fontSize: 8 }
						]
					}
				: '';
		})
	}));

function toWatch(parts: readonly ReportedPart[]): Content[] {
	const watched = parts.filter(({ verdict, found: what }) => verdict !== 'replace' && what !== '');
	return watched.length > 0 ? [`To be watched: ${namesOf(watched)}.`] : [];
}

const signature = (by: string | undefined, at: Date | null): Content => ({
	unbreakable: true,
	margin: [0, 34, 0, 0],
	columnGap: 24,
	columns: [line(by && at ? `${by}, ${day(at)}` : 'For the shop: name, date'), line('For the customer: name, date')]
});
const line = (under: string): Content => ({
	stack: [
		{ canvas: [{ type: 'line', x1: 0, y1: 0, x2: 240, y2: 0, lineWidth: 0.7 }] },
		{ text: under, fontSize: 8, margin: [0, 3, 0, 0] }
	]
});
