import { json } from '@sveltejs/kit';
import { database } from '@exetasis/server/db/connection';

/** Ready when the database answers. */
export async function GET() {
	await database().sequelize.query('SELECT 1');
	return json({ ready: true });
}
