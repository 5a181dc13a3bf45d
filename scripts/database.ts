// Databases of the server that DATABASE_URL names: `which NAME` says whether it is there, `make NAME` makes it
// empty, in place of one of that name.
import { Client } from 'pg';

const [command, name] = process.argv.slice(2);
const client = new Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
const quoted = (text: string) => client.escapeIdentifier(text);
const has = async (sql: string, value: string) => (await client.query(sql, [value])).rowCount! > 0;

switch (command) {
	case 'which': {
		const there = await has('SELECT 1 FROM pg_database WHERE datname = $1', name);
		// Earlier versions kept their tables in the cluster's first database.
		const earlier = await has('SELECT 1 FROM pg_tables WHERE tablename = $1', 'log_entry');
		console.log(there ? 'there' : earlier ? 'earlier' : 'none');
		break;
	}
	case 'make':
		await client.query(`DROP DATABASE IF EXISTS ${quoted(name)} WITH (FORCE)`);
		await client.query(`CREATE DATABASE ${quoted(name)}`);
		break;
	default:
		throw new Error(`no such command: ${command}`);
}
await client.end();
