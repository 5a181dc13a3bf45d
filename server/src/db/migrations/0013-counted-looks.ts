/** Looks with the hours that each stands for, and the marks that count among them: worked out once a pump, not once a page. */
export const name = '0013-counted-looks';

export const sql = `
CREATE TABLE counted_look (
	shop_id uuid NOT NULL REFERENCES shop,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	pump_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL,
	fitted_hours double precision,
	hours double precision NOT NULL,
	PRIMARY KEY (job_id, part_id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
CREATE TABLE counted_mark (
	shop_id uuid NOT NULL REFERENCES shop,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	pump_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL,
	pattern text NOT NULL,
	fitted_hours double precision,
	opening double precision NOT NULL,
	PRIMARY KEY (job_id, part_id, pattern),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
COMMENT ON COLUMN counted_mark.opening IS 'this part''s share of its rebuild''s opening, among all that a mark took out then; 0 where it stayed in';
CREATE TABLE counted_pump (
	shop_id uuid NOT NULL REFERENCES shop,
	pump_id uuid PRIMARY KEY,
	mark text NOT NULL,
	FOREIGN KEY (shop_id, pump_id) REFERENCES pump (shop_id, id)
);
CREATE INDEX counted_look_of_pump ON counted_look (pump_id);
-- What tells of causes is few among the entries of a rebuild.
CREATE INDEX log_of_causes ON log_entry (job_id) WHERE kind IN ('asFound', 'mark', 'proof');
CREATE INDEX counted_mark_of_pump ON counted_mark (pump_id);
`;
