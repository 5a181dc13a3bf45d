import { createHash } from 'node:crypto';
import { PHOTO_MOST, type EntryOf } from '@exetasis/core/record';
import { of, wasTaken, type ShopScope } from '../db/scope';
import { photosToCompare, type PhotoToCompare } from '../db/sql/photosToCompare';
import { readPhoto, type PhotoFault } from './readPhoto';

export type PhotoProblem = PhotoFault | 'tooHeavy' | 'otherName' | 'released';

/**
 * Keeps the bytes of a photograph under their own name, before the entry that speaks of it. Keeping it again changes
 * nothing. Answers why it is not kept, or "kept"; undefined where the shop has no such job.
 */
export async function keepPhoto(
	scope: ShopScope,
	user: string,
	jobId: string,
	sha256: string,
	jpeg: Uint8Array
): Promise<'kept' | PhotoProblem | undefined> {
	const job = await of(scope, 'job').one({ id: jobId }, { attributes: ['releasedAt'] });
	if (!job) return undefined;
	if (job.releasedAt) return 'released';
	if (jpeg.length > PHOTO_MOST.bytes) return 'tooHeavy';
	const read = await readPhoto(jpeg, PHOTO_MOST.edge);
	if (typeof read === 'string') return read;
	if (createHash('sha256').update(jpeg).digest('hex') !== sha256) return 'otherName';
	try {
		await of(scope, 'photo').add({ jobId, sha256, jpeg: Buffer.from(jpeg), keptBy: user, keptAt: new Date() });
	} catch (cause) {
		if (!wasTaken(cause)) throw cause; // the same bytes are there: another tablet was first
	}
	return 'kept';
}

/** The bytes of a photograph of a job; undefined where there is none of that name. */
export const photoOf = async (scope: ShopScope, jobId: string, sha256: string): Promise<Buffer | undefined> =>
	(await of(scope, 'photo').one({ jobId, sha256 }, { attributes: ['jpeg'] }))?.jpeg;

/** The bytes of those of these photographs that a job has, by their names: a job file may come without them. */
export async function photosNamed(
	scope: ShopScope,
	jobId: string,
	names: readonly string[]
): Promise<ReadonlyMap<string, Buffer>> {
	const found = await of(scope, 'photo').all({ jobId, sha256: [...names] }, { attributes: ['sha256', 'jpeg'] });
	return new Map(found.map(({ sha256, jpeg }) => [sha256, jpeg]));
}

/** Photographs of other jobs that the part at this place can be held against; undefined where the shop has no such job. */
export async function photosBeside(
	scope: ShopScope,
	jobId: string,
	place: { readonly station: string; readonly cylinder: number }
): Promise<readonly PhotoToCompare[] | undefined> {
	const job = await of(scope, 'job').one({ id: jobId }, { attributes: ['id', 'pumpId'] });
	return job && photosToCompare(scope, job, place);
}

/** Of the photographs that these entries speak of, those whose bytes are there. */
export async function photosThere(
	scope: ShopScope,
	jobId: string,
	entries: readonly EntryOf<'photo'>[]
): Promise<ReadonlySet<string>> {
	if (entries.length === 0) return new Set();
	const names = entries.map(({ payload }) => payload.sha256);
	const found = await of(scope, 'photo').all({ jobId, sha256: names }, { attributes: ['sha256'] });
	return new Set(found.map(({ sha256 }) => sha256));
}
