import { createHash } from 'node:crypto';
import {
	checkEntry,
	entrySchema,
	fold,
	PHOTO_MOST,
	together,
	type Entry,
	type JobFacts,
	type JobFile,
	type ModelSheet,
	type RefusedBecause,
	gaugeOf
} from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';
import { importEntries } from '../db/sql/importEntries';
import { readPhoto } from '../photos/readPhoto';
import { named, refuse } from './refused';

/** Keeps a file's photographs; each has to be the one that it is named after, and none that a tablet could not have sent. */
export async function keepPhotos(
	scope: ShopScope,
	jobId: string,
	photos: JobFile['photos'],
	ids: ReadonlyMap<string, string>
): Promise<void> {
	for (const { sha256, keptBy, jpeg } of photos) {
		const bytes = Buffer.from(jpeg, 'base64');
		const own = createHash('sha256').update(bytes).digest('hex') === sha256;
		const good =
			own && bytes.length <= PHOTO_MOST.bytes && typeof (await readPhoto(bytes, PHOTO_MOST.edge)) !== 'string';
		if (!good) refuse({ kind: 'wrongPhoto', sha256 });
		await of(scope, 'photo').add({
			jobId,
			sha256,
			jpeg: bytes,
			keptBy: named(keptBy, ids) as string,
			keptAt: new Date()
		});
	}
}

const placeFrom = (place: string) => {
	const [station, cylinder] = place.split('/');
	return { station, cylinder: Number(cylinder) };
};

interface TakenIn {
	readonly sheet: ModelSheet;
	readonly parts: ReadonlyMap<string, string>;
	readonly ids: ReadonlyMap<string, string>;
}

/** Writes a file's log, every entry checked as if it were recorded here, but for the order in which it came about. */
export async function keepLog(
	scope: ShopScope,
	jobId: string,
	{ log, mat, job }: JobFile,
	{ sheet, parts, ids }: TakenIn
): Promise<void> {
	const places = mat.map(({ place }) => ({ part: parts.get(place)!, ...placeFrom(place) }));
	const nothing = fold([]);
	const build = together(sheet, job, places, nothing);
	const facts: JobFacts = {
		...job,
		sheet,
		stationOfPart: new Map(places.map(({ part, station }) => [part, station])),
		holdOrder: false,
		log: () => nothing,
		together: () => build
	};
	const gauges = new Set([...ids].flatMap(([name, id]) => (name.startsWith('@gauge/') ? [id] : [])));
	const rows = log.map(({ receivedAt, effectiveAt, by, part, payload, ...own }) => {
		const taken = {
			...own,
			job: jobId,
			by: named(by, ids) as string,
			payload: named(payload, ids),
			...(part === undefined ? {} : { part: parts.get(part) ?? refuse({ kind: 'unknownName', name: part }) })
		};
		const problem = problemOf(taken, facts, gauges);
		if (problem) refuse({ kind: 'wrongEntry', id: own.id, problem });
		return {
			...taken,
			part: taken.part ?? null,
			offsetMs: own.offsetMs ?? null,
			seq: own.seq ?? null,
			effectiveAt: effectiveAt ?? null,
			receivedAt
		};
	});
	if ((await importEntries(scope, jobId, rows)) < rows.length) refuse({ kind: 'entriesTaken' });
}

// The rules that hold for whatever is recorded here, but for the order in which it came about.
function problemOf(raw: object, facts: JobFacts, gauges: ReadonlySet<string>): RefusedBecause | undefined {
	const parsed = entrySchema.safeParse(raw);
	if (!parsed.success) {
		const [issue] = parsed.error.issues;
		return { code: 'malformed', path: issue.path.join('.'), message: issue.message };
	}
	const entry: Entry = parsed.data;
	const gauge = gaugeOf(entry);
	if (gauge && !gauges.has(gauge)) return { code: 'unknownGauge' };
	return checkEntry(entry, facts);
}
