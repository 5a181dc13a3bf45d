// npm run project: makes everything that is kept beside the logs (looks, readings, decisions, what is taken back) again from them.
import { projectShop } from '@exetasis/server/benchLog/withdrawals';
import { database } from '@exetasis/server/db/connection';

const db = database();
for (const shop of await db.models.shop.findAll()) {
	await projectShop({ db, shopId: shop.get('id') as string });
	console.log(`Projected anew: ${shop.get('name')}`);
}
await db.sequelize.close();
