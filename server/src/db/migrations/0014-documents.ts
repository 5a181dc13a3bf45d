/** The shop's own documents on a model: drawings, pages of a handbook, pictures, at its sheet, a step or a part. */
export const name = '0014-documents';

export const sql = `
CREATE TABLE document (
	id uuid NOT NULL,
	shop_id uuid NOT NULL REFERENCES shop,
	model text NOT NULL,
	about text NOT NULL CHECK (about IN ('sheet', 'step', 'station')),
	key text NOT NULL,
	name text NOT NULL,
	type text NOT NULL CHECK (type IN ('application/pdf', 'image/png', 'image/jpeg')),
	bytes bytea NOT NULL CHECK (octet_length(bytes) BETWEEN 1 AND 3500000),
	added_by text NOT NULL,
	added_at timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (shop_id, id),
	FOREIGN KEY (shop_id, added_by) REFERENCES "user" (shop_id, id)
);
COMMENT ON COLUMN document.key IS 'of the step or station; empty for the sheet as a whole';
CREATE INDEX document_of_model ON document (shop_id, model);
`;
