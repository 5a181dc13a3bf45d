/** Photographs of parts, by the SHA-256 of their bytes; the log says of what each is. */
export const name = '0007-photos';

export const sql = `
CREATE TABLE photo (
	shop_id uuid NOT NULL REFERENCES shop,
	job_id uuid NOT NULL,
	sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
	jpeg bytea NOT NULL CHECK (octet_length(jpeg) BETWEEN 1 AND 1000000),
	kept_by text NOT NULL,
	kept_at timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (shop_id, job_id, sha256),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (shop_id, kept_by) REFERENCES "user" (shop_id, id)
);
`;
