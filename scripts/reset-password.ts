// npm run password:reset -- ADDRESS: gives a person a new first password, which is told once and has to be changed at sign-in.
import { database } from '@exetasis/server/db/connection';
import { resetPassword } from '@exetasis/server/people';

const [address] = process.argv.slice(2);
if (!address || !process.env.DATABASE_URL) {
	console.error('Set DATABASE_URL and give the e-mail address: npm run password:reset -- somebody@example.org');
	process.exit(1);
}
const db = database();
const password = await resetPassword(db, address);
await db.sequelize.close();
if (!password) {
	console.error(`No person has the address ${address}.`);
	process.exit(1);
}
console.log(
	`New password of ${address}: ${password}\nIt has to be changed at the next sign-in; all sessions have ended.`
);
