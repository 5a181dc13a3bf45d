// Loads the demo into the empty database that DATABASE_URL names: from its file, or generated with another number of pumps.
// Usage: npm run demo:load -- [--pumps 400]
import { parseArgs } from 'node:util';
import { shop } from '@exetasis/demo';
import { database } from '@exetasis/server/db/connection';
import { loadDemo, readDemoFile } from '@exetasis/server/setup/demoFile';
import { generate } from './demo/generate';

const { values } = parseArgs({ options: { pumps: { type: 'string' } } });
const db = database();
const shops = await db.models.shop.findAll();
if (shops.some((one) => one.get('name') === shop.name && !one.get('demo'))) {
	// The shop is marked as a demo once it is complete.
	console.error(
		'Only half of the demo is in this database, because making it was stopped. Empty the database and start again.'
	);
	process.exitCode = 1;
} else if (shops.length > 0) {
	console.log('There are shops in this database already. The demo is loaded into an empty database only.');
} else if (values.pumps) {
	console.log(`Demo made: ${await generate(db, { now: new Date(), pumps: Number(values.pumps) })} (all invented).`);
} else {
	const demo = readDemoFile();
	await loadDemo(db.sequelize, demo, new Date());
	const count = (table: string) => demo.tables.get(table)?.length ?? 0;
	console.log(`Demo loaded: ${count('pump')} pumps, ${count('job')} rebuilds in four years (all invented).`);
}
await db.sequelize.close();
