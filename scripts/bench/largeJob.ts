// A pump of seven cylinders and 542 parts in the demo's database, opened and looked at once. Prints its job.
// Usage: tsx scripts/bench/largeJob.ts
import { readFileSync } from 'node:fs';
import { v7 as uuidv7 } from 'uuid';
import { readSheet, type Station } from '@exetasis/core/record';
import { append } from '@exetasis/server/benchLog/append';
import { database } from '@exetasis/server/db/connection';
import { benchOf } from '@exetasis/server/jobs/bench';
import { receive } from '@exetasis/server/jobs/receive';
import { addSheet } from '@exetasis/server/sheets';

const CYLINDERS = 7;
const PARTS = 542;
const text = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const read = readSheet(text);
if (read.kind !== 'sheet') throw new Error('the demo sheet has faults');
const { sheet } = read;

// Stations of the sheet again and again, without what ties them to others, until there are enough.
const plain = ({ mates: _m, gates: _g, ...station }: Station): Station => station as Station;
const own = sheet.stations.filter(({ per }) => per === 'cylinder');
const ofPump = sheet.stations.filter(({ per }) => per === 'pump').map(plain);
const each = Math.ceil((PARTS - ofPump.length) / CYLINDERS);
const perCylinder = Array.from({ length: each }, (_, i) => {
	const station = plain(own[i % own.length]);
	return i < own.length
		? station
		: { ...station, key: `${station.key}N${i}`, name: `${station.name} ${i}`, number: `N-${i}` };
});
const large = {
	...JSON.parse(text),
	model: 'Large',
	cylinders: CYLINDERS,
	crank: undefined,
	stations: [...ofPump, ...perCylinder],
	steps: sheet.steps.filter(({ stage }) => stage === 'prepare').map((step) => ({ ...step, stations: undefined })),
	subAssemblies: [],
	order: [],
	lookAlikes: [],
	kits: [],
	walk: undefined
};
const db = database();
const shop = await db.models.shop.findOne({ where: { demo: true }, order: [['name', 'ASC']] });
const scope = { db, shopId: shop!.get('id') as string };
const [{ id: user }] = await db.models.user
	.findAll({ where: { shopId: scope.shopId, role: 'lead' } })
	.then((all) => all.map((model) => model.get({ plain: true }) as { id: string }));
const added = await addSheet(scope, JSON.stringify(large));
if (added.kind !== 'added') throw new Error(JSON.stringify(added).slice(0, 2000));
const received = await receive(scope, user, {
	pump: { serial: `LARGE-${Date.now()}`, model: 'Large' },
	scope: 'full',
	complaint: 'planned',
	meterHours: 2000,
	duty: {}
});
if (received.kind !== 'received') throw new Error(JSON.stringify(received));
const { job, cells, sheet: pinned } = (await benchOf(scope, received.jobId))!;
const entry = (kind: string, payload: object, part?: string) => ({
	...{ id: uuidv7(), job: job.id, by: user, at: new Date().toISOString(), kind, payload },
	...(part ? { part } : {})
});
const answers = await append(scope, { id: user } as never, job.id, [
	...pinned.steps.map(({ key }) => entry('step', { step: key })),
	entry('clean', {}, cells[0].part)
] as never);
const refused = answers!.filter(({ result }) => result === 'refused');
if (refused.length > 0) throw new Error(JSON.stringify(refused).slice(0, 500));
console.log(JSON.stringify({ job: job.id, parts: cells.length }));
await db.sequelize.close();
