import { error } from '@sveltejs/kit';
import { metric } from '@exetasis/core/quantity';
import { validate } from 'uuid';
import type { SignedIn } from '@exetasis/server/auth/auth';
import type { Reader } from '@exetasis/server/background/sharedReads';
import { database } from '@exetasis/server/db/connection';
import type { ShopScope } from '@exetasis/server/db/scope';
import type { Notation } from '$lib/format/numbers';

/** The signed-in person of a request that the access table has let through. */
export function userOf(locals: App.Locals): SignedIn {
	if (!locals.user) error(401, 'You are signed out. Sign in again. What you typed is still here.');
	return locals.user;
}

/** The shop whose data this request may see: that of its person, and no other. */
export const scopeOf = (locals: App.Locals): ShopScope => ({ db: database(), shopId: userOf(locals).shopId });

/** Who reads a shared page, and of which shop. */
export function readerOf(locals: App.Locals): Reader {
	const { id, shopId } = userOf(locals);
	return { shop: shopId, user: id };
}

/** How the person of a request has figures written, signed in or not. */
export function notationOf({ user }: App.Locals): Notation {
	const { units = metric, numerals = 'point-space' } = user?.preferences ?? {};
	return { units, numerals };
}

/** An id from the address. Anything that is none, and anything of another shop, is the same "no such page". */
export function idFrom(param: string): string {
	if (!validate(param)) error(404, 'This page does not exist. Check the address, or go back to Floor.');
	return param;
}

/** The thing asked for, or 404 where the shop has none. */
export function found<T>(thing: T | undefined): T {
	if (thing === undefined) error(404, 'This page does not exist. Check the address, or go back to Floor.');
	return thing;
}

const MOST_CYLINDERS = 100;

/** A place of a pump: a station and its cylinder, 0 for the pump as a whole; or 404 where there can be none. */
export function placeFrom(
	station: string | null,
	cylinder: string | null
): { readonly station: string; readonly cylinder: number } {
	const number = Number(cylinder ?? Number.NaN);
	if (!station || station.length > 100 || !Number.isInteger(number) || number < 0 || number > MOST_CYLINDERS)
		error(404, 'This page does not exist. Check the address, or go back to Floor.');
	return { station: station.replaceAll('\0', ''), cylinder: number };
}

/** A text from the address's query, as far as it can be looked for; left out: nothing. */
export const textFrom = (url: URL, name: string): string =>
	(url.searchParams.get(name) ?? '').replaceAll('\0', '').toWellFormed().trim().slice(0, 100);

/** Which page of a list the address asks for, from 0. */
export function pageFrom(url: URL): number {
	const page = Number(url.searchParams.get('page') ?? 1);
	return Number.isInteger(page) && page >= 1 && page <= 1_000_000 ? page - 1 : 0;
}

/** A file to be kept, of this name. */
export const fileNamed = (name: string, extension: string, type: string, content: Uint8Array | string): Response =>
	new Response(content as BodyInit, {
		headers: {
			'content-type': type,
			'content-disposition': `attachment; filename="${name.replaceAll(/[^\w-]/g, '_')}.${extension}"`,
			'cache-control': 'no-store'
		}
	});
