// Creates an empty database of this name on the server that DATABASE_URL names.
import { Client } from 'pg';

const [name] = process.argv.slice(2);
const client = new Client({ connectionString: process.env.DATABASE_URL });
await client.connect();
await client.query(`CREATE DATABASE ${client.escapeIdentifier(name)}`);
await client.end();
