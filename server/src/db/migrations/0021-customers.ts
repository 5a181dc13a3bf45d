/** Whose pump it is, by when it was promised, and what the shop's letters look like. */
export const name = '0021-customers';

export const sql = `
ALTER TABLE job ADD COLUMN customer jsonb NOT NULL DEFAULT '{}';
CREATE TABLE letterhead (
	shop_id uuid PRIMARY KEY REFERENCES shop,
	address text NOT NULL,
	logo bytea
);
`;
