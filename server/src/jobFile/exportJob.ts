import { canonicalJson, withNames, type JobFile } from '@exetasis/core/record';
import { placeKey } from '@exetasis/core/mat';
import type { CalibrationRow, GaugeRow, JobRow, LogEntryRow, PartLifeRow, PartRow } from '../db/tables';
import { of, type ShopScope } from '../db/scope';
import { sheetById } from '../sheets';

/** The job whole, as the text of a job file; undefined where the shop has no such job. Photographs where they are asked for. */
export async function exportJob(
	scope: ShopScope,
	jobId: string,
	{ photos }: { readonly photos: boolean }
): Promise<{ readonly serial: string; readonly text: string } | undefined> {
	const job = await of(scope, 'job').one({ id: jobId });
	if (!job) return undefined;
	const pump = (await of(scope, 'pump').one({ id: job.pumpId }))!;
	const sheet = (await sheetById(scope, job.modelSheetId))!;
	const site = pump.siteId ? await of(scope, 'site').one({ id: pump.siteId }) : undefined;
	const log = await of(scope, 'logEntry').all({ jobId }, { order: [['seq', 'ASC']] });
	const kept = photos ? await of(scope, 'photo').all({ jobId }, { order: [['sha256', 'ASC']] }) : [];
	const parts = await partsOf(scope, job);
	const people = await peopleOf(scope, [
		...log.map(({ by }) => by),
		...kept.map(({ keptBy }) => keptBy),
		job.receivedBy,
		...(job.releasedBy ? [job.releasedBy] : [])
	]);
	const gauges = await gaugesIn(scope, log);
	const names = new Map([
		[jobId, '@job'],
		[job.pumpId, '@pump'],
		...people.map(({ id, key }) => [id, key] as const),
		...gauges.map(({ id, name }) => [id, `@gauge/${name}`] as const),
		...parts.mat.map(({ part, place }) => [part.id, `@part/${place}`] as const)
	]);
	const placeOf = new Map(parts.mat.map(({ part, place }) => [part.id, place]));
	const file: Record<keyof JobFile, unknown> = {
		format: 'exetasis.job',
		version: 1,
		sheet,
		pump: { serial: pump.serial, site: site?.name ?? null, tag: pump.tag, duty: pump.duty, variants: pump.variants },
		job: jobPart(job, names),
		people: people.map(({ key, name }) => ({ key, name })),
		gauges: gauges.map(gaugePart),
		mat: parts.mat.map(({ part, place, life }) => ({
			...partPart(part, place),
			fittedHours: life?.fittedHours ?? null,
			ended: life?.removedJobId === jobId ? life.endReason : null
		})),
		fitted: parts.fitted.map(({ part, place }) => partPart(part, place)),
		log: log.map((row) => entryPart(row, names, placeOf)),
		photos: kept.map(({ sha256, keptBy, jpeg }) => ({
			sha256,
			keptBy: names.get(keptBy),
			jpeg: Buffer.from(jpeg).toString('base64')
		}))
	};
	return { serial: pump.serial, text: canonicalJson(file) };
}

interface Placed {
	readonly place: string;
	readonly part: PartRow;
	readonly life?: PartLifeRow;
}

/** The parts on a job's mat, and those that it put into their places, each in the order of its place. */
async function partsOf(scope: ShopScope, job: JobRow): Promise<{ mat: Placed[]; fitted: Placed[] }> {
	const cells = await of(scope, 'matCell').all({ jobId: job.id });
	const lives = await of(scope, 'partLife').all({ pumpId: job.pumpId });
	const begun = lives.filter(({ fittedJobId }) => fittedJobId === job.id);
	const ids = [...cells, ...begun].map(({ partId }) => partId);
	const rows = new Map((await of(scope, 'part').all({ id: ids })).map((part) => [part.id, part]));
	const placed = (cell: { partId: string; station: string; cylinder: number }, life?: PartLifeRow): Placed => ({
		place: placeKey(cell.station, cell.cylinder),
		part: rows.get(cell.partId)!,
		...(life ? { life } : {})
	});
	const byPlace = (a: Placed, b: Placed) => (a.place < b.place ? -1 : 1);
	return {
		mat: cells
			.map((cell) =>
				placed(
					cell,
					lives.find(
						({ partId, station, cylinder }) =>
							partId === cell.partId && station === cell.station && cylinder === cell.cylinder
					)
				)
			)
			.sort(byPlace),
		fitted: begun.map((life) => placed(life)).sort(byPlace)
	};
}

/** Whoever is spoken of, numbered as they first come. */
async function peopleOf(
	scope: ShopScope,
	ids: readonly string[]
): Promise<{ id: string; key: string; name: string }[]> {
	const inOrder = [...new Set(ids)];
	const known = await of(scope, 'user').all({ id: inOrder }, { attributes: ['id', 'name'] });
	const names = new Map(known.map(({ id, name }) => [id, name]));
	return inOrder.map((id, i) => ({ id, key: `@person/${i + 1}`, name: names.get(id)! }));
}

type WithCalibrations = GaugeRow & { readonly calibrations: CalibrationRow[] };

/** The gauges that the log was read with, by name, with their certificates. */
async function gaugesIn(scope: ShopScope, log: readonly LogEntryRow[]): Promise<WithCalibrations[]> {
	const used = log.flatMap(({ payload }) => {
		const gauge = (payload as { gauge?: unknown } | null)?.gauge;
		return typeof gauge === 'string' ? [gauge] : [];
	});
	return of(scope, 'gauge').all<WithCalibrations>(
		{ id: [...new Set(used)] },
		{
			include: ['calibrations'],
			order: [
				['name', 'ASC'],
				['calibrations', 'calibratedOn', 'ASC'],
				['calibrations', 'certificate', 'ASC']
			]
		}
	);
}

const gaugePart = (gauge: WithCalibrations) => ({
	name: gauge.name,
	kind: gauge.kind,
	resolution: gauge.resolution,
	repeatability: gauge.repeatability,
	repeatabilityDof: gauge.repeatabilityDof,
	reproducibility: gauge.reproducibility,
	expansionPerKelvin: gauge.expansionPerKelvin,
	retiredOn: gauge.retiredOn,
	certificates: gauge.calibrations.map(({ certificate, calibratedOn, dueOn, expandedU, k }) => ({
		...{ certificate, calibratedOn, dueOn, expandedU, k }
	}))
});

const partPart = ({ type, asFitted, lot, supplier, kit }: PartRow, place: string) => ({
	...{ place, type, asFitted, lot, supplier, kit }
});

const jobPart = (job: JobRow, names: ReadonlyMap<string, string>) => ({
	scope: job.scope,
	complaint: job.complaint,
	meterHours: job.meterHours,
	pumpHours: job.pumpHours,
	receivedAt: job.receivedAt,
	receivedBy: names.get(job.receivedBy),
	releasedAt: job.releasedAt,
	releasedBy: job.releasedBy ? names.get(job.releasedBy) : null,
	duty: job.duty,
	variants: job.variants,
	arrival: withNames(job.arrival, names),
	customer: job.customer,
	restedOn: withNames(job.restedOn, names)
});

const entryPart = (row: LogEntryRow, names: ReadonlyMap<string, string>, placeOf: ReadonlyMap<string, string>) => ({
	id: row.id,
	kind: row.kind,
	payload: withNames(row.payload, names),
	by: names.get(row.by),
	at: row.at,
	receivedAt: row.receivedAt,
	...(row.partId ? { part: placeOf.get(row.partId) } : {}),
	...(row.offsetMs === null ? {} : { offsetMs: Number(row.offsetMs) }),
	...(row.clientSeq === null ? {} : { seq: Number(row.clientSeq) }),
	...(row.effectiveAt ? { effectiveAt: row.effectiveAt } : {})
});
