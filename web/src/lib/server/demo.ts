import { database } from './db/connection';

/** Whether this database holds a demo shop, whose accounts are public and are named on the sign-in page. */
export const hasDemo = async (): Promise<boolean> =>
	(await database().models.shop.count({ where: { demo: true } })) > 0;
