// Makes the demo and writes its file (npm run demo:dump), after a change of the scenario, the sheets or the schema.
import { connect } from '@exetasis/server/db/connection';
import { migrate } from '@exetasis/server/db/migrate';
import { readDatabase, writeDemoFile } from '@exetasis/server/setup/demoFile';
import { generate } from './demo/generate';
import { temporaryCluster } from './lib/postgres.mjs';

const cluster = temporaryCluster();
try {
	const { url } = await cluster.start();
	const db = connect(url('postgres'));
	await migrate(db.sequelize);
	console.log('The demo is being made: this takes several minutes …');
	const now = new Date();
	console.log(`Made: ${await generate(db, { now })}.`);
	writeDemoFile(await readDatabase(db.sequelize, now));
	await db.sequelize.close();
} finally {
	cluster.stop();
	cluster.remove();
}
