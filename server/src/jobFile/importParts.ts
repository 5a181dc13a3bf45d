import { v7 as uuidv7 } from 'uuid';
import { placeKey, placesOf } from '@exetasis/core/mat';
import type { JobFile, ModelSheet } from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';
import { refuse } from './refused';

/** Lays a file's parts out on the mat of its job, with their lives: what went has its successor in its place. */
export async function keepParts(
	scope: ShopScope,
	job: { readonly id: string; readonly pumpId: string },
	{ mat, fitted, job: { pumpHours, variants } }: JobFile,
	sheet: ModelSheet,
	parts: ReadonlyMap<string, string>
): Promise<void> {
	const places = new Map(placesOf(sheet, variants).map((place) => [placeKey(place.station, place.cylinder), place]));
	const placeOf = (place: string, type: string) => {
		const known = places.get(place);
		return known?.type === type ? known : refuse({ kind: 'wrongPart', place });
	};
	const ended = mat.flatMap(({ place, ended: why }) => (why === null ? [] : [place]));
	const odd =
		twice(mat) ??
		twice(fitted) ??
		notInBoth(
			ended,
			fitted.map(({ place }) => place)
		);
	if (odd !== undefined) refuse({ kind: 'wrongPart', place: odd });
	const lives = [
		...mat.map(({ fittedHours, ended: why, ...part }) => ({
			part,
			id: parts.get(part.place)!,
			fitted: { fittedJobId: null, fittedHours },
			removed:
				why === null
					? { removedJobId: null, removedHours: null, endReason: null }
					: { removedJobId: job.id, removedHours: pumpHours, endReason: why }
		})),
		...fitted.map((part) => ({
			part,
			id: uuidv7(),
			fitted: { fittedJobId: job.id, fittedHours: pumpHours },
			removed: { removedJobId: null, removedHours: null, endReason: null }
		}))
	];
	await of(scope, 'part').addAll(
		lives.map(({ id, part: { type, asFitted, lot, supplier, kit } }) => ({ id, type, asFitted, lot, supplier, kit }))
	);
	await of(scope, 'partLife').addAll(
		lives.map(({ id: partId, part, fitted: begun, removed }) => {
			const { station, cylinder } = placeOf(part.place, part.type);
			return { id: uuidv7(), partId, pumpId: job.pumpId, station, cylinder, ...begun, ...removed };
		})
	);
	await of(scope, 'matCell').addAll(
		mat.map(({ place, type }) => {
			const { station, cylinder } = placeOf(place, type);
			return { jobId: job.id, partId: parts.get(place)!, station, cylinder };
		})
	);
}

const twice = (parts: readonly { readonly place: string }[]): string | undefined =>
	parts.find(({ place }, i) => parts.findIndex((part) => part.place === place) < i)?.place;

// What went has something in its place, and nothing comes where nothing went.
const notInBoth = (a: readonly string[], b: readonly string[]): string | undefined =>
	a.find((place) => !b.includes(place)) ?? b.find((place) => !a.includes(place));
