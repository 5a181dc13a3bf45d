import { Op } from 'sequelize';
import type { Database } from '../db/connection';

const RATE_LIMIT_KEPT_MS = 24 * 60 * 60 * 1000;

/** Forgets sessions and codes that have run out, and attempts that count no more. */
export async function purgeSignIn(
	{ models }: Database,
	now = new Date()
): Promise<{ sessions: number; attempts: number }> {
	const over = { where: { expiresAt: { [Op.lt]: now } } };
	const sessions = await models.session.destroy(over);
	await models.verification.destroy(over);
	const attempts = await models.rateLimit.destroy({
		where: { lastRequest: { [Op.lt]: now.getTime() - RATE_LIMIT_KEPT_MS } }
	});
	return { sessions, attempts };
}
