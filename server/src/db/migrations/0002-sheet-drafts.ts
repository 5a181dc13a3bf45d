/** Model sheets that are being written. */
export const name = '0002-sheet-drafts';

export const sql = `
CREATE TABLE sheet_draft (
	id uuid NOT NULL,
	shop_id uuid NOT NULL REFERENCES shop,
	body jsonb NOT NULL,
	version integer NOT NULL CHECK (version > 0),
	based_on uuid,
	changed_by text NOT NULL,
	changed_at timestamptz NOT NULL,
	PRIMARY KEY (id),
	FOREIGN KEY (shop_id, based_on) REFERENCES model_sheet (shop_id, id),
	FOREIGN KEY (shop_id, changed_by) REFERENCES "user" (shop_id, id)
);
`;
