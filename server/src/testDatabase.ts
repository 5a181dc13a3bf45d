// Before the tests of the server: one empty database with the schema, which each test file copies.
import { Client } from 'pg';
import { connect } from './db/connection';
import { migrate } from './db/migrate';

export const TEMPLATE = 'exetasis_template';

export async function setup(): Promise<() => Promise<void>> {
	const admin = new Client({ connectionString: process.env.DATABASE_URL });
	await admin.connect();
	const remove = () => admin.query(`DROP DATABASE IF EXISTS ${TEMPLATE} WITH (FORCE)`);
	await remove();
	await admin.query(`CREATE DATABASE ${TEMPLATE}`);
	const url = new URL(process.env.DATABASE_URL!);
	url.pathname = `/${TEMPLATE}`;
	const { sequelize } = connect(url.toString());
	await migrate(sequelize);
	await sequelize.close();
	return async () => {
		await remove();
		await admin.end();
	};
}
