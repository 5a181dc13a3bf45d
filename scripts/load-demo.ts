// Loads the demo into the database that DATABASE_URL names, from its file; or makes it with another number of pumps in an empty one.
// Usage: npm run demo:load -- [--pumps 400]
import { parseArgs } from 'node:util';
import { shop } from '@exetasis/demo';
import { database } from '@exetasis/server/db/connection';
import { loadDemo, readDemoFile } from '@exetasis/server/setup/demoFile';
import { generate } from './demo/generate';

const { values } = parseArgs({ options: { pumps: { type: 'string' } } });
const db = database();
const shops = await db.models.shop.findAll();
if (shops.some((model) => model.get('name') === shop.name && !model.get('demo'))) {
	// The shop is marked as a demo once it is complete.
	console.error(
		'Only half of the demo is in this database, because making it was stopped. Empty the database and start again.'
	);
	process.exitCode = 1;
} else if (values.pumps && shops.length > 0) {
	console.log('There are shops in this database already. A larger fleet is made in an empty database only.');
} else if (values.pumps) {
	console.log(`Demo made: ${await generate(db, { now: new Date(), pumps: Number(values.pumps) })} (all invented).`);
} else {
	const demo = readDemoFile();
	const count = (table: string) => demo.tables.get(table)?.length ?? 0;
	console.log(
		(await loadDemo(db.sequelize, demo, new Date())) === 'loaded'
			? `Demo loaded: ${count('pump')} pumps, ${count('job')} rebuilds in four years (all invented).`
			: 'The demo is in this database already.'
	);
}
await db.sequelize.close();
