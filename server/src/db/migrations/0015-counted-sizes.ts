/** Readings of sizes with the hours over which each was watched, and whether it was beyond its limit: worked out once a pump. */
export const name = '0015-counted-sizes';

export const sql = `
CREATE TABLE counted_size (
	shop_id uuid NOT NULL REFERENCES shop,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	pump_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL,
	characteristic text NOT NULL,
	fitted_hours double precision,
	hours double precision NOT NULL,
	beyond boolean NOT NULL,
	PRIMARY KEY (job_id, part_id, characteristic),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
CREATE INDEX counted_size_of_pump ON counted_size (pump_id);
`;
