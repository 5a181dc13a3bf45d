// npm run shop:new -- --name "Quay Pumps" --lead "Ada Crane" --email ada@quay.example [--currency EUR] [--inches]
// Makes a shop in the database that DATABASE_URL names, and prints the first password of its lead once.
import { randomBytes } from 'node:crypto';
import { parseArgs } from 'node:util';
import { metric } from '@exetasis/core/quantity';
import { database } from '@exetasis/server/db/connection';
import { makeShop } from '@exetasis/server/setup/shop';

const { values } = parseArgs({
	options: {
		name: { type: 'string' },
		lead: { type: 'string' },
		email: { type: 'string' },
		currency: { type: 'string', default: 'EUR' },
		inches: { type: 'boolean', default: false }
	}
});
const { name, lead, email, currency, inches } = values;
if (!name || !lead || !email || !/^[^@\s]+@[^@\s]+$/.test(email) || !/^[A-Z]{3}$/.test(currency)) {
	console.error(
		'Give the shop, its lead, an e-mail address and a currency of three letters:\n' +
			'npm run shop:new -- --name "Quay Pumps" --lead "Ada Crane" --email ada@quay.example --currency EUR'
	);
	process.exit(1);
}
const db = database();
const password = randomBytes(9).toString('base64url');
const units = inches ? ({ length: 'in', torque: 'ftlbf', pressure: 'psi', temperature: 'F' } as const) : metric;
const made = await makeShop(db, { name, currency, units, lead: { name: lead, email, password }, firstPassword: true });
await db.sequelize.close();
if (made.kind !== 'made') {
	console.error(`The address ${email} is already in use. Give another one.`);
	process.exit(1);
}
console.log(`Shop made. ${email} signs in with ${password} and must choose a new password then.`);
