import { liftSheet } from '@exetasis/core/record';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/** Scopes are a sheet's own, pumps have variants, and the sheets on record are lifted to version 2. */
export const name = '0008-sheets-of-version-2';

export const sql = `
ALTER TABLE job DROP CONSTRAINT job_scope_check;
ALTER TABLE job ADD CHECK (scope <> '');
ALTER TABLE job ADD COLUMN variants jsonb NOT NULL DEFAULT '{}';
ALTER TABLE pump ADD COLUMN variants jsonb NOT NULL DEFAULT '{}';
`;

/** What is said of a pump does not change; only the words of the format do. */
export async function afterwards(sequelize: Sequelize, transaction: Transaction): Promise<void> {
	const sheets = await sequelize.query<{ id: string; body: unknown }>('SELECT id, body FROM model_sheet', {
		type: QueryTypes.SELECT,
		transaction
	});
	for (const { id, body } of sheets)
		await sequelize.query('UPDATE model_sheet SET body = $2 WHERE id = $1', {
			bind: [id, JSON.stringify(liftSheet(body))],
			transaction
		});
}
