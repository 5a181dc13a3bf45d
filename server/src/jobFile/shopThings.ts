import { v7 as uuidv7 } from 'uuid';
import { canonicalJson, readSheet, type JobFile, type ModelSheet } from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';
import { refuse } from './refused';

// What a job rests on that the shop may have already: it is used where it is the same, and added where it is not there.

/** The sheet that a job pins; another one under its name is refused, since sheets are never changed. */
export async function keepSheet(scope: ShopScope, file: JobFile): Promise<{ id: string; sheet: ModelSheet }> {
	const read = readSheet(JSON.stringify(file.sheet));
	if (read.kind === 'faults') {
		const [{ path, message }] = read.faults;
		return refuse({ kind: 'fault', path: `sheet.${path}`, message });
	}
	const { sheet } = read;
	const { model, layout, revision } = sheet;
	const known = await of(scope, 'modelSheet').one({ model, revision });
	if (known) {
		const same = canonicalJson(known.body) === canonicalJson(sheet);
		return same ? { id: known.id, sheet } : refuse({ kind: 'otherSheet', model, revision });
	}
	const id = uuidv7();
	await of(scope, 'modelSheet').add({ id, model, layout, revision, body: sheet, createdAt: new Date() });
	return { id, sheet };
}

/** A pump that the shop does not know yet. */
export async function keepPump(scope: ShopScope, model: string, pump: JobFile['pump']): Promise<string> {
	const { serial, site, tag, duty, variants } = pump;
	const known = await of(scope, 'pump').one({ serial }, { attributes: ['id'] });
	if (known) refuse({ kind: 'pumpKnown', serial, pumpId: known.id });
	const id = uuidv7();
	const siteId = site === null ? null : await keepSite(scope, site);
	await of(scope, 'pump').add({ id, siteId, serial, tag, model, duty, variants });
	return id;
}

async function keepSite(scope: ShopScope, name: string): Promise<string> {
	const known = await of(scope, 'site').one({ name }, { attributes: ['id'] });
	if (known) return known.id;
	const id = uuidv7();
	await of(scope, 'site').add({ id, name });
	return id;
}

/** The end of the addresses of people who are known from a job file only; no mail goes there. */
const FROM_A_FILE = '@job-file.invalid';

/** People of the file, by its keys: someone of that name from an earlier file, else a new one who cannot sign in. */
export async function keepPeople(scope: ShopScope, people: JobFile['people']): Promise<Map<string, string>> {
	const known = await of(scope, 'user').all({ active: false }, { attributes: ['id', 'name', 'email'] });
	const earlier = new Map(
		known.filter(({ email }) => email.endsWith(FROM_A_FILE)).map(({ id, name }) => [name, id] as const)
	);
	const ids = new Map<string, string>();
	for (const { key, name } of people) {
		const id = earlier.get(name) ?? uuidv7();
		// One person each: two of one name in the file stay two.
		earlier.delete(name);
		ids.set(key, id);
		if (known.some((row) => row.id === id)) continue;
		const now = new Date();
		await of(scope, 'user').add({
			id,
			name,
			email: `${id}${FROM_A_FILE}`,
			emailVerified: false,
			image: null,
			active: false,
			firstPassword: false,
			role: 'viewer',
			preferences: {},
			createdAt: now,
			updatedAt: now
		});
	}
	return ids;
}

/** The gauges that were read with, by name; another one of that name is refused. */
export async function keepGauges(scope: ShopScope, gauges: JobFile['gauges']): Promise<Map<string, string>> {
	const ids = new Map<string, string>();
	for (const { certificates, ...facts } of gauges) {
		const known = await of(scope, 'gauge').one({ name: facts.name });
		if (known) {
			const same = Object.entries(facts).every(([key, value]) => known[key as keyof typeof known] === value);
			if (!same) refuse({ kind: 'otherGauge', name: facts.name });
			ids.set(facts.name, known.id);
			continue;
		}
		const id = uuidv7();
		ids.set(facts.name, id);
		await of(scope, 'gauge').add({ id, ...facts });
		await of(scope, 'calibration').addAll(
			certificates.map((certificate) => ({ id: uuidv7(), gaugeId: id, ...certificate }))
		);
	}
	return ids;
}
