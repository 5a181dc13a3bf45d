// Makes the demo scenario through the application's own services, so that it obeys every rule that a technician does.
import { readdirSync, readFileSync } from 'node:fs';
import sharp from 'sharp';
import { v7 as uuidv7 } from 'uuid';
import {
	arrivals,
	assemble,
	cases,
	customerOf,
	letterhead,
	Random,
	demoPassword,
	demoFleet,
	fromTheDrawer,
	gauges,
	harshnessAt,
	inspect,
	newPart,
	otherShop,
	people,
	layoutPumps,
	pumps,
	run,
	shims,
	shop,
	sites,
	stationOf,
	unknownPump,
	visits,
	wrenches,
	drawPopulation,
	type DemoPump,
	type Population,
	type TruePart,
	type Visit
} from '@exetasis/demo';
import { defaultPolicy } from '@exetasis/core/decide';
import { customsOf, newSheet, withLaidDown } from '@exetasis/core/draft';
import { readSheet, fold, standingDecision, together, type Entry, type ModelSheet } from '@exetasis/core/record';
import { hashPassword, type SignedIn } from '@exetasis/server/auth/auth';
import { append } from '@exetasis/server/benchLog/append';
import type { Database } from '@exetasis/server/db/connection';
import { of, type ShopScope } from '@exetasis/server/db/scope';
import { lifeOf, placesOf } from '@exetasis/core/mat';
import { refit } from '@exetasis/server/fleet';
import { benchOf, type Bench } from '@exetasis/server/jobs/bench';
import { actOn, closeCase, openCase } from '@exetasis/server/trace/cases';
import { receive } from '@exetasis/server/jobs/receive';
import { setLetterhead } from '@exetasis/server/letterhead';
import { release } from '@exetasis/server/jobs/release';
import { addSheet } from '@exetasis/server/sheets';
import { keepShims, keepStock } from '@exetasis/server/stock';

const SEED = 20_240_118;
const sheetFolder = new URL('../../demo/sheets/', import.meta.url);
const sheetTexts = readdirSync(sheetFolder).map((name) => readFileSync(new URL(name, sheetFolder), 'utf8'));
const sheets = sheetTexts.map((text) => readSheet(text)).flatMap((read) => (read.kind === 'sheet' ? [read.sheet] : []));
const sheetOf = (model: string): ModelSheet => sheets.find((sheet) => sheet.model === model)!;

let db: Database;
let random = new Random(SEED);
const makeId = (at: Date) => uuidv7({ msecs: at.getTime(), random: random.bytes() });

async function addPerson(
	shopId: string,
	person: { name: string; email: string; role: string; units?: object }
): Promise<SignedIn> {
	const now = new Date();
	const id = makeId(now);
	const common = { createdAt: now, updatedAt: now };
	const preferences = person.units ? { units: person.units } : {};
	const { name, email, role } = person as { name: string; email: string; role: SignedIn['role'] };
	await db.models.user.create({
		id,
		shopId,
		name,
		email,
		role,
		preferences,
		emailVerified: true,
		image: null,
		active: true,
		firstPassword: false,
		...common
	} as never);
	const password = await hashPassword(demoPassword);
	await db.models.account.create({
		id: makeId(now),
		userId: id,
		accountId: id,
		providerId: 'credential',
		password,
		...common
	});
	return { id, name, role, shopId, preferences: {}, firstPassword: false };
}

async function addShop(name: string, currency: string): Promise<ShopScope> {
	const id = makeId(new Date());
	await db.models.shop.create({ id, name, currency, demo: false });
	await db.models.policy.create({ shopId: id, settings: defaultPolicy });
	return { db, shopId: id };
}

async function addGauges({ shopId }: ShopScope, now: Date, list: typeof gauges): Promise<void> {
	for (const { expandedU, calibratedMonthsAgo, ...gauge } of list) {
		const id = makeId(now);
		await db.models.gauge.create({ id, shopId, ...gauge, repeatabilityDof: 18, expansionPerKelvin: 11.5e-6 });
		const on = new Date(now);
		on.setMonth(on.getMonth() - calibratedMonthsAgo);
		const due = new Date(on);
		due.setFullYear(due.getFullYear() + 1);
		const day = (date: Date) => date.toISOString().slice(0, 10);
		const certificate = `demo-${gauge.kind.replaceAll(' ', '-')}-${calibratedMonthsAgo}`;
		await db.models.calibration.create({
			id: makeId(now),
			shopId,
			gaugeId: id,
			calibratedOn: day(on),
			dueOn: day(due),
			expandedU,
			k: 2,
			certificate
		});
	}
}

// One truth for each model, the same at every run.
const populations = new Map<string, Population>();
function populationOf(sheet: ModelSheet): Population {
	const known = populations.get(sheet.model) ?? drawPopulation(sheet, new Random(SEED + populations.size));
	populations.set(sheet.model, known);
	return known;
}

/** What is true of every part of one pump, by place. */
type Truth = Map<string, TruePart>;

/** A pump with its truth, its own draws (so that another pump or another sheet changes nothing here), and whose hands it went through last. */
interface Known {
	readonly truth: Truth;
	readonly draws: Random;
	id?: string;
	refitBy?: string;
}

function runPump(
	truth: Truth,
	sheet: ModelSheet,
	cells: readonly { station: string; cylinder: number }[],
	visit: Visit
): void {
	const population = populationOf(sheet);
	for (const { station, cylinder } of cells) {
		const key = `${station}/${cylinder}`;
		if (!truth.has(key)) truth.set(key, newPart(stationOf(sheet, station), population, random));
		run(
			truth.get(key)!,
			stationOf(sheet, station),
			population,
			visit.interval,
			harshnessAt(visit.pump, station, cylinder),
			random
		);
	}
}

async function work(
	scope: ShopScope,
	user: SignedIn,
	visit: Visit,
	bench: Bench,
	{ truth, refitBy }: Known
): Promise<void> {
	const { job, sheet } = bench;
	const population = populationOf(sheet);
	const cells = bench.cells.map((cell) => ({
		...cell,
		truth: truth.get(`${cell.station}/${cell.cylinder}`)!,
		life: lifeOf(bench.fleet, stationOf(sheet, cell.station), cell)
	}));
	cells.sort((a, b) => a.cylinder - b.cylinder || order(sheet, a.station) - order(sheet, b.station));
	const entries = inspect(
		{
			job: job.id,
			by: user.id,
			at: visit.at,
			pump: visit.pump,
			sheet,
			scope: job.scope,
			cells,
			gauges: bench.gauges,
			population,
			policy: bench.policy,
			interval: visit.interval,
			years: visit.years,
			refitBy,
			progress: visit.stage === 'inspecting' ? 'half' : 'whole',
			makeId
		},
		random
	);
	const record = async (some: readonly Entry[]) => {
		const refused = (await append(scope, user, job.id, some, { asRecorded: true }))!.find(
			({ result }) => result === 'refused'
		);
		if (refused) throw new Error(`demo entry refused: ${JSON.stringify(refused)}`);
	};
	const stamps = (from: number, everyMs: number) => {
		let at = from;
		return () => ({
			id: makeId(new Date((at += everyMs))),
			job: job.id,
			by: user.id,
			at: new Date(at).toISOString()
		});
	};
	await record(entries);
	if (visit.stage === 'building' || visit.stage === 'proving') {
		const build = together(sheet, job, cells, fold(entries));
		const steps = visit.stage === 'building' ? 3 : undefined; // of the four of its sheet
		await record(assemble(build, sheet, job, stamps(Date.parse(entries.at(-1)!.at), 40_000), steps));
	}
	if (visit.stage !== 'released') return;
	const end = Date.parse(entries.at(-1)!.at);
	const state = fold(entries);
	await record(arrivals(sheet, cells, state, visit.years, stamps(end, 1000)));
	const result = await release(scope, { id: user.id, role: 'lead' }, job.id, {
		at: new Date(end + 3_600_000),
		unbuilt: 'Put together before that was recorded here (demo data)'
	});
	if (result.kind !== 'released') throw new Error(`demo job not released: ${JSON.stringify(result).slice(0, 300)}`);
	if (visit.pump.model === 'Marram') await refit(scope, sheet.model); // of the others too few are on record to be told by
	for (const { part, station, cylinder } of cells) {
		const replaced = standingDecision(state.parts.get(part)!)?.payload.verdict === 'replace';
		if (!replaced) continue;
		const fresh = newPart(stationOf(sheet, station), population, random);
		truth.set(`${station}/${cylinder}`, fromTheDrawer(fresh, stationOf(sheet, station), visit.years));
	}
}

const order = (sheet: ModelSheet, key: string) => sheet.stations.findIndex((station) => station.key === key);

const seedOf = (serial: string) => [...serial].reduce((hash, c) => Math.imul(hash ^ c.charCodeAt(0), 16_777_619), SEED);

/** A drawer of what goes most: soft parts for one pump and a half, two of them always there; and one of shims. */
async function addStock(scope: ShopScope): Promise<void> {
	await keepShims(scope, shims);
	for (const { model, stations, cylinders } of sheets)
		for (const { key, renewal, per, pieces } of stations.filter(
			({ renewal }) => renewal === 'always' || renewal === 'kit'
		)) {
			const inPump = pieces * (per === 'cylinder' ? cylinders : 1);
			const lying = renewal === 'always' ? 2 * inPump : Math.floor(inPump / 2);
			await keepStock(scope, model, { station: key, pieces: lying, floor: Math.min(2, lying) });
		}
}

async function addSites(scope: ShopScope, now: Date): Promise<ReadonlyMap<string, string>> {
	const ids = new Map<string, string>();
	for (const name of sites) {
		ids.set(name, makeId(now));
		await db.models.site.create({ id: ids.get(name)!, shopId: scope.shopId, name });
	}
	return ids;
}

// What a scope is opened on, where its sheet opens it on evidence alone.
function evidenceFor({ model }: DemoPump, scope: string): { evidence?: { seen: string } } {
	const opensOn = sheetOf(model).scopes.find(({ key }) => key === scope)?.opensOn;
	return opensOn ? { evidence: { seen: opensOn[0] } } : {};
}

async function loadHistory(
	scope: ShopScope,
	staff: readonly SignedIn[],
	fleet: readonly DemoPump[],
	siteIds: ReadonlyMap<string, string>,
	now: Date,
	most: number
): Promise<number> {
	const known = new Map<string, Known>(
		fleet.map(({ serial }) => [serial, { truth: new Map(), draws: new Random(seedOf(serial)) }])
	);
	const dates = random;
	const planned = visits(now, dates, fleet);
	for (const { pump } of planned) populationOf(sheetOf(pump.model)); // in this order, however many rebuilds follow
	const all = planned.slice(0, most);
	for (const visit of all) {
		const { pump } = visit;
		const user = dates.pick(staff);
		const own = known.get(pump.serial)!;
		random = own.draws;
		const arrival = {
			pump: own.id
				? { id: own.id }
				: { serial: pump.serial, model: pump.model, tag: pump.tag, siteId: siteIds.get(pump.site) },
			scope: visit.scope,
			variants: pump.variants,
			complaint: visit.complaint,
			customer: customerOf(visit),
			meterHours: visit.meterHours,
			facts: evidenceFor(pump, visit.scope),
			duty: { liquid: pump.liquid, pressureMPa: pump.pressureMPa, speedRpm: 950 }
		};
		const received = await receive(scope, user.id, arrival, visit.at);
		if (received.kind !== 'received') throw new Error(`demo pump not received: ${JSON.stringify(received)}`);
		const bench = (await benchOf(scope, received.jobId))!;
		own.id = bench.job.pumpId;
		runPump(own.truth, bench.sheet, placesOf(bench.sheet, pump.variants), visit); // all of the pump runs, what this job opens is inspected
		if (visit.stage !== 'stripping') await work(scope, user, visit, bench, own);
		own.refitBy = user.name;
	}
	return all.length;
}

/** Receives a pump of a model without a sheet: its sheet begins with the first part that comes off. */
async function receiveUnknown(
	scope: ShopScope,
	user: SignedIn,
	siteIds: ReadonlyMap<string, string>,
	now: Date
): Promise<void> {
	const { plate, first, serial, tag, site, complaint, meterHours, receivedHoursAgo } = unknownPump;
	const begun = { ...newSheet(plate), demo: true, provisional: true as const };
	const sheet = await addSheet(scope, JSON.stringify(withLaidDown(begun, [first], customsOf(sheets)).draft));
	if (sheet.kind !== 'added') throw new Error(`demo sheet not begun: ${JSON.stringify(sheet)}`);
	const arrival = {
		pump: { serial, model: plate.model, tag, siteId: siteIds.get(site) },
		scope: begun.scopes[0].key,
		variants: {},
		complaint,
		customer: {},
		meterHours,
		facts: {},
		duty: { pressureMPa: plate.ratedPressureMPa, speedRpm: plate.ratedSpeedRpm }
	};
	const received = await receive(scope, user.id, arrival, new Date(now.getTime() - receivedHoursAgo * 3_600_000));
	if (received.kind !== 'received') throw new Error(`demo pump not received: ${JSON.stringify(received)}`);
}

const YEAR_MS = 365 * 86_400_000;
async function loadCases(scope: ShopScope, lead: SignedIn, now: Date): Promise<void> {
	const start = now.getTime() - 4 * YEAR_MS;
	for (const example of cases) {
		const serial = pumps.find(({ story }) => story === example.story)?.serial;
		const pump = await of(scope, 'pump').one({ serial });
		if (!pump) continue; // a fleet for trying volume may have none of its story
		const pumpId = pump.id;
		const jobs = await of(scope, 'job').all({ pumpId }, { order: [['receivedAt', 'ASC']] });
		const from = (years: number) => jobs.find(({ receivedAt }) => receivedAt.getTime() >= start + years * YEAR_MS)!;
		const opened = from(example.openedYears);
		const { station, cylinder, pattern, cause, hypothesis } = example;
		const asked = { pumpId, station, cylinder, pattern, cause, hypothesis, openedJobId: opened.id };
		const answer = await openCase(scope, lead, asked, opened.receivedAt);
		if (answer.kind !== 'done') throw new Error(`demo case not opened: ${JSON.stringify(answer)}`);
		if (!example.acted) continue;
		const acted = from(example.acted.years);
		await actOn(scope, lead, answer.id, { ...example.acted, jobId: acted.id }, acted.receivedAt);
		if (!example.confirmed) continue;
		const told = from(example.confirmed.years).receivedAt;
		await closeCase(scope, lead, answer.id, 'confirmed', example.confirmed.says, told);
	}
}

export interface Wanted {
	/** Its present moment: the history ends here. */
	readonly now: Date;
	/** How many pumps the fleet that is traced has; with none said, the demo's own. */
	readonly pumps?: number;
	/** Ends after so many rebuilds of that fleet and of the other layouts each, without the fits and cases after them. */
	readonly mostRebuilds?: number;
}

/** Makes the demo in an empty database. The same moment makes the same history; only the ids differ. */
export async function generate(into: Database, { now, pumps: count, mostRebuilds }: Wanted): Promise<string> {
	db = into;
	random = new Random(SEED);
	populations.clear();
	const fleet = demoFleet(count ?? pumps.length);
	const scope = await addShop(shop.name, shop.currency);
	const staff: SignedIn[] = [];
	for (const person of people) staff.push(await addPerson(scope.shopId, person));
	await addGauges(scope, now, gauges);
	for (const text of sheetTexts) await addSheet(scope, text);
	await addStock(scope);
	await setLetterhead(scope, letterhead.address, await sharp(Buffer.from(letterhead.logo)).png().toBuffer());
	const other = await addShop(otherShop.name, otherShop.currency);
	await addPerson(other.shopId, otherShop.lead);
	await addSheet(other, sheetTexts[0]);
	const workers = staff.filter(({ role }) => role !== 'viewer');
	const siteIds = await addSites(scope, now);
	const most = mostRebuilds ?? Infinity;
	let rebuilds = await loadHistory(scope, workers, fleet, siteIds, now, most);
	// Draws of their own: another pump here changes nothing in the histories above.
	random = new Random(SEED + 1);
	rebuilds += await loadHistory(scope, workers, layoutPumps, siteIds, now, most);
	await receiveUnknown(scope, workers[0], siteIds, now);
	await addGauges(scope, now, wrenches);
	if (mostRebuilds === undefined) {
		for (const model of new Set([...fleet, ...layoutPumps].map((pump) => pump.model))) await refit(scope, model);
		const lead = staff.find(({ role }) => role === 'lead')!;
		await loadCases(scope, lead, now);
	}
	await db.models.shop.update({ demo: true }, { where: {} });
	return `${fleet.length + layoutPumps.length + 1} pumps, ${rebuilds + 1} rebuilds in four years`;
}
