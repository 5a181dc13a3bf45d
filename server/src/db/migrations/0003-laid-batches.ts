/** Batches of parts that were laid down, so that one whose answer was lost is not laid down twice. */
export const name = '0003-laid-batches';

export const sql = `
CREATE TABLE laid_batch (
	shop_id uuid NOT NULL REFERENCES shop,
	job_id uuid NOT NULL,
	id text NOT NULL CHECK (length(id) <= 100),
	stations jsonb NOT NULL,
	PRIMARY KEY (shop_id, job_id, id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
`;
