// npm run demo:remove: removes the demo's shops from the database that DATABASE_URL names. Your own shops stay.
import { database } from '@exetasis/server/db/connection';
import { removeDemo } from '@exetasis/server/db/sql/removeDemo';

const db = database();
const removed = await removeDemo(db);
console.log(removed > 0 ? 'The demo has been removed.' : 'There is no demo in this database.');
await db.sequelize.close();
