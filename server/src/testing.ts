import { readFileSync } from 'node:fs';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import {
	askedAt,
	openedCylinders,
	placesAsked,
	piecesInPump,
	stepsInScope,
	type Ask,
	type Entry,
	type Step
} from '@exetasis/core/record';
import { toBase } from '@exetasis/core/quantity';
import type { Role } from './access';
import { hashPassword, type SignedIn } from './auth/auth';
import { append } from './benchLog/append';
import { connect, type Database } from './db/connection';
import type { ShopScope } from './db/scope';
import { benchOf, type Bench } from './jobs/bench';
import { receive, type Arrival } from './jobs/receive';
import { release, type Released } from './jobs/release';
import { addSheet } from './sheets';
import { TEMPLATE } from './testDatabase';

/** The demo's L1 sheet, as text. */
export const sheetText = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
export const MODEL = 'Marram';
export const PASSWORD = 'test-password';

/** A database of its own on the server that npm test started: with the schema and no rows, or a copy of another template. */
export async function freshDatabase(
	template = TEMPLATE
): Promise<{ db: Database; url: string; drop: () => Promise<void> }> {
	const name = `t_${uuidv7().replaceAll('-', '')}`;
	const admin = new Client({ connectionString: process.env.DATABASE_URL });
	await admin.connect();
	await admin.query(`CREATE DATABASE ${name} TEMPLATE ${template}`);
	const url = new URL(process.env.DATABASE_URL!);
	url.pathname = `/${name}`;
	const db = connect(url.toString());
	const drop = async () => {
		await db.sequelize.close();
		await admin.query(`DROP DATABASE ${name} WITH (FORCE)`);
		await admin.end();
	};
	return { db, url: url.toString(), drop };
}

export interface TestShop {
	readonly scope: ShopScope;
	readonly people: Record<Role, SignedIn>;
}

/** A shop with its model sheet, a micrometer, and one person of each role. */
export async function makeShop(db: Database, name: string): Promise<TestShop> {
	const shopId = uuidv7();
	await db.models.shop.create({ id: shopId, name, currency: 'EUR', demo: false });
	const scope = { db, shopId };
	await addSheet(scope, sheetText);
	const people = {} as Record<Role, SignedIn>;
	for (const role of ['technician', 'lead', 'viewer'] as const) people[role] = await addPerson(db, shopId, role, name);
	return { scope, people };
}

export async function addPerson(db: Database, shopId: string, role: Role, shopName: string): Promise<SignedIn> {
	const id = uuidv7();
	const now = new Date();
	const dates = { createdAt: now, updatedAt: now };
	const email = `${role}-${id}@${shopName.toLowerCase()}.example`;
	await db.models.user.create({
		id,
		shopId,
		name: `${role} of ${shopName}`,
		email,
		emailVerified: true,
		image: null,
		active: true,
		firstPassword: false,
		role,
		preferences: {},
		...dates
	});
	const password = await hashPassword(PASSWORD);
	await db.models.account.create({
		id: uuidv7(),
		userId: id,
		accountId: id,
		providerId: 'credential',
		password,
		...dates
	});
	return { id, name: `${role} of ${shopName}`, role, shopId, preferences: {}, firstPassword: false };
}

let serial = 0;
export const arrival = (change: Partial<Arrival> = {}): Arrival => ({
	pump: { serial: `T-${++serial}`, model: MODEL },
	scope: 'packing',
	complaint: 'water leak',
	meterHours: 1000,
	duty: {},
	...change
});

/** A job just received, as the bench sees it: nothing is signed off yet. */
export async function receiveJob({ scope, people }: TestShop, change: Partial<Arrival> = {}): Promise<Bench> {
	const received = await receive(scope, people.technician.id, arrival(change));
	if (received.kind !== 'received') throw new Error(`not received: ${received.kind}`);
	return (await benchOf(scope, received.jobId))!;
}

// What is answered where nothing is amiss.
function answerOf(ask: Ask, { sheet, job }: Bench): unknown {
	switch (ask.kind) {
		case 'count':
			return piecesInPump(sheet, ask.station, job);
		case 'choice':
			return (ask.choices.find(({ means }) => means === 'harmless') ?? ask.choices[0]).text;
		case 'setting':
			return { value: 6, typed: { text: '6', unit: ask.unit } };
		case 'readings': {
			const alike = { value: toBase(0.5, ask.unit), typed: { text: '0.5', unit: ask.unit } };
			return { readings: placesAsked(ask, openedCylinders(sheet, job)).map(() => alike) };
		}
		default:
			return ask.kind === 'tick' ? true : 'Nothing to note';
	}
}

/** The answers to the questions of a step, for a sound pump. */
export const answersTo = (bench: Bench, user: SignedIn, { key, asks }: Pick<Step, 'key' | 'asks'>): Entry[] =>
	asks.flatMap((ask, i) =>
		askedAt(ask, openedCylinders(bench.sheet, bench.job)).map((cylinder) =>
			entryOf(bench, user, 'answer', {
				step: key,
				ask: i,
				value: answerOf(ask, bench),
				...(cylinder ? { cylinder } : {})
			})
		)
	);

/** A job that has been stripped: all its steps are signed off. */
export async function openJob(shop: TestShop, change: Partial<Arrival> = {}): Promise<Bench> {
	const bench = await receiveJob(shop, change);
	const steps = stepsInScope(bench.sheet, bench.job);
	const { technician } = shop.people;
	await append(
		shop.scope,
		technician,
		bench.job.id,
		steps.flatMap((step) => [
			...answersTo(bench, technician, step),
			entryOf(bench, technician, 'step', { step: step.key })
		])
	);
	return (await benchOf(shop.scope, bench.job.id))!;
}

/** Releases a job whose putting together is not what a test is about: a lead lets it go. */
export const releaseDespite = ({ scope, people }: TestShop, jobId: string): Promise<Released> =>
	release(scope, people.lead, jobId, { unbuilt: 'Not what this test is about' });

/** An entry of a job, by a person, at this moment. */
export const entryOf = (bench: Bench, user: SignedIn, kind: Entry['kind'], payload: object, part?: string): Entry =>
	({
		id: uuidv7(),
		job: bench.job.id,
		by: user.id,
		at: new Date().toISOString(),
		kind,
		payload,
		...(part ? { part } : {})
	}) as Entry;

export const partAt = (bench: Bench, station: string, cylinder: number): string =>
	bench.cells.find((cell) => cell.station === station && cell.cylinder === cylinder)!.part;

/** "Clean" and then this verdict for every part on the mat. */
export const decideAll = (bench: Bench, user: SignedIn, verdict: 'reuse' | 'replace'): Entry[] =>
	bench.cells.flatMap(({ part }) => [
		entryOf(bench, user, 'clean', {}, part),
		entryOf(bench, user, 'decision', { verdict, proposed: verdict }, part)
	]);
