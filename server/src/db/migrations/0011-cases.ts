/** What the shop believes of causes, by revision, and the cases in which it tries to put one right. */
export const name = '0011-cases';

export const sql = `
CREATE TABLE cause_network (
	shop_id uuid NOT NULL REFERENCES shop,
	revision integer NOT NULL CHECK (revision > 0),
	body jsonb NOT NULL,
	made_by text NOT NULL,
	made_at timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (shop_id, revision)
);
CREATE TABLE trace_case (
	id uuid NOT NULL,
	shop_id uuid NOT NULL REFERENCES shop,
	pump_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL CHECK (cylinder >= 0),
	pattern text NOT NULL,
	cause text NOT NULL,
	hypothesis text NOT NULL,
	opened_job_id uuid NOT NULL,
	action text,
	acted_job_id uuid,
	effectiveness double precision CHECK (effectiveness > 0 AND effectiveness <= 1),
	watch_hours double precision CHECK (watch_hours > 0),
	outcome text CHECK (outcome IN ('confirmed', 'refuted', 'notTold')),
	history jsonb NOT NULL DEFAULT '[]',
	PRIMARY KEY (shop_id, id),
	FOREIGN KEY (shop_id, pump_id) REFERENCES pump (shop_id, id),
	FOREIGN KEY (shop_id, opened_job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (shop_id, acted_job_id) REFERENCES job (shop_id, id),
	CHECK ((action IS NULL) = (acted_job_id IS NULL))
);
CREATE INDEX trace_case_pump ON trace_case (shop_id, pump_id);
CREATE UNIQUE INDEX trace_case_open ON trace_case (shop_id, pump_id, station, cylinder, pattern) WHERE outcome IS NULL;
`;
