/** The first schema: shops and people, sheets, pumps, jobs, parts and their lives, the bench log with what is derived from it. */
export const name = '0001-schema';

// Every row carries its shop, and foreign keys carry it along: a row can never point into another shop.
export const sql = `
CREATE TABLE shop (
	id uuid PRIMARY KEY,
	name text NOT NULL CHECK (name <> ''),
	currency text NOT NULL,
	demo boolean NOT NULL DEFAULT false
);

CREATE TABLE "user" (
	id text PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	name text NOT NULL,
	email text NOT NULL UNIQUE,
	email_verified boolean NOT NULL DEFAULT false,
	image text,
	role text NOT NULL CHECK (role IN ('technician', 'lead', 'viewer')),
	preferences jsonb NOT NULL DEFAULT '{}',
	created_at timestamptz NOT NULL DEFAULT now(),
	updated_at timestamptz NOT NULL DEFAULT now(),
	active boolean NOT NULL DEFAULT true,
	-- Other people have seen the password: it has to be changed at the first sign-in.
	first_password boolean NOT NULL DEFAULT false,
	UNIQUE (shop_id, id)
);
CREATE TABLE session (
	id text PRIMARY KEY,
	user_id text NOT NULL REFERENCES "user" ON DELETE CASCADE,
	token text NOT NULL UNIQUE,
	expires_at timestamptz NOT NULL,
	ip_address text,
	user_agent text,
	created_at timestamptz NOT NULL DEFAULT now(),
	updated_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE account (
	id text PRIMARY KEY,
	user_id text NOT NULL REFERENCES "user" ON DELETE CASCADE,
	account_id text NOT NULL,
	provider_id text NOT NULL,
	password text,
	access_token text,
	refresh_token text,
	id_token text,
	access_token_expires_at timestamptz,
	refresh_token_expires_at timestamptz,
	scope text,
	created_at timestamptz NOT NULL DEFAULT now(),
	updated_at timestamptz NOT NULL DEFAULT now(),
	UNIQUE (provider_id, account_id)
);
CREATE TABLE verification (
	id text PRIMARY KEY,
	identifier text NOT NULL,
	value text NOT NULL,
	expires_at timestamptz NOT NULL,
	created_at timestamptz NOT NULL DEFAULT now(),
	updated_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE rate_limit (
	id text PRIMARY KEY,
	key text NOT NULL UNIQUE,
	count integer NOT NULL,
	last_request bigint NOT NULL
);

CREATE TABLE policy (
	shop_id uuid PRIMARY KEY REFERENCES shop,
	settings jsonb NOT NULL
);
CREATE TABLE letterhead (
	shop_id uuid PRIMARY KEY REFERENCES shop,
	address text NOT NULL,
	logo bytea
);
CREATE TABLE site (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	name text NOT NULL CHECK (name <> ''),
	UNIQUE (shop_id, id),
	UNIQUE (shop_id, name)
);
CREATE TABLE model_sheet (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	model text NOT NULL,
	layout text NOT NULL,
	revision integer NOT NULL CHECK (revision >= 1),
	body jsonb NOT NULL,
	created_at timestamptz NOT NULL DEFAULT now(),
	UNIQUE (shop_id, id),
	UNIQUE (shop_id, model, revision)
);
CREATE TABLE gauge (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	name text NOT NULL CHECK (name <> ''),
	kind text NOT NULL,
	resolution double precision NOT NULL CHECK (resolution > 0),
	repeatability double precision NOT NULL CHECK (repeatability >= 0),
	repeatability_dof double precision NOT NULL CHECK (repeatability_dof > 0),
	reproducibility double precision NOT NULL CHECK (reproducibility >= 0),
	expansion_per_kelvin double precision NOT NULL,
	retired_on date,
	UNIQUE (shop_id, id),
	UNIQUE (shop_id, name)
);
CREATE TABLE calibration (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL,
	gauge_id uuid NOT NULL,
	calibrated_on date NOT NULL,
	due_on date NOT NULL,
	expanded_u double precision NOT NULL CHECK (expanded_u >= 0),
	k double precision NOT NULL CHECK (k > 0),
	certificate text NOT NULL,
	CHECK (due_on > calibrated_on),
	FOREIGN KEY (shop_id, gauge_id) REFERENCES gauge (shop_id, id)
);
CREATE INDEX calibration_newest ON calibration (gauge_id, calibrated_on DESC);

CREATE TABLE pump (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	site_id uuid,
	serial text NOT NULL CHECK (serial <> ''),
	tag text,
	model text NOT NULL,
	duty jsonb NOT NULL DEFAULT '{}',
	variants jsonb NOT NULL DEFAULT '{}',
	UNIQUE (shop_id, id),
	UNIQUE (shop_id, serial),
	FOREIGN KEY (shop_id, site_id) REFERENCES site (shop_id, id)
);
-- Where a pump ran before it was moved.
CREATE TABLE earlier_place (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	pump_id uuid NOT NULL,
	site_id uuid,
	tag text,
	until timestamptz NOT NULL,
	moved_by text NOT NULL,
	FOREIGN KEY (shop_id, pump_id) REFERENCES pump (shop_id, id),
	FOREIGN KEY (shop_id, site_id) REFERENCES site (shop_id, id),
	FOREIGN KEY (shop_id, moved_by) REFERENCES "user" (shop_id, id)
);
CREATE INDEX earlier_place_of_pump ON earlier_place (pump_id, until DESC);
CREATE TABLE job (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	pump_id uuid NOT NULL,
	model_sheet_id uuid NOT NULL,
	scope text NOT NULL CHECK (scope <> ''),
	complaint text NOT NULL,
	meter_hours double precision NOT NULL CHECK (meter_hours >= 0),
	pump_hours double precision NOT NULL CHECK (pump_hours >= 0),
	received_at timestamptz NOT NULL,
	received_by text NOT NULL,
	released_at timestamptz,
	released_by text,
	duty jsonb NOT NULL DEFAULT '{}',
	rested_on jsonb,
	variants jsonb NOT NULL DEFAULT '{}',
	arrival jsonb NOT NULL DEFAULT '{}',
	customer jsonb NOT NULL DEFAULT '{}',
	CHECK (meter_hours <= 1e6 AND pump_hours <= 1e7),
	CHECK ((released_at IS NULL) = (released_by IS NULL)),
	CHECK (released_at >= received_at),
	UNIQUE (shop_id, id),
	FOREIGN KEY (shop_id, pump_id) REFERENCES pump (shop_id, id),
	FOREIGN KEY (shop_id, model_sheet_id) REFERENCES model_sheet (shop_id, id),
	FOREIGN KEY (shop_id, received_by) REFERENCES "user" (shop_id, id),
	FOREIGN KEY (shop_id, released_by) REFERENCES "user" (shop_id, id)
);
CREATE UNIQUE INDEX one_open_job_per_pump ON job (pump_id) WHERE released_at IS NULL;
CREATE INDEX job_of_pump ON job (shop_id, pump_id, received_at);
CREATE INDEX job_of_pump_in_time ON job (pump_id, received_at);
CREATE INDEX job_released ON job (shop_id, released_at);
COMMENT ON COLUMN job.duty IS 'what was declared at receipt, of the hours before it';
COMMENT ON COLUMN job.rested_on IS 'policy, gauges, fits and method at its release; NULL while open';

CREATE TABLE part (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	type text NOT NULL,
	as_fitted jsonb NOT NULL DEFAULT '{}',
	lot text,
	supplier text,
	kit text,
	UNIQUE (shop_id, id)
);
CREATE TABLE part_life (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	part_id uuid NOT NULL,
	pump_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL CHECK (cylinder >= 0),
	fitted_job_id uuid,
	fitted_hours double precision,
	removed_job_id uuid,
	removed_hours double precision,
	end_reason text CHECK (end_reason IN ('worn', 'damaged', 'hurtAtStrip', 'renewedGood')),
	CHECK (removed_hours >= fitted_hours),
	CHECK ((removed_job_id IS NULL) = (end_reason IS NULL)),
	FOREIGN KEY (shop_id, part_id) REFERENCES part (shop_id, id),
	FOREIGN KEY (shop_id, pump_id) REFERENCES pump (shop_id, id),
	FOREIGN KEY (shop_id, fitted_job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (shop_id, removed_job_id) REFERENCES job (shop_id, id)
);
CREATE UNIQUE INDEX one_part_per_place ON part_life (pump_id, station, cylinder) WHERE removed_job_id IS NULL;
CREATE UNIQUE INDEX part_is_in_one_place ON part_life (part_id) WHERE removed_job_id IS NULL;
CREATE INDEX life_of_pump ON part_life (shop_id, pump_id, station, cylinder);
CREATE INDEX life_removed_by ON part_life (removed_job_id);
CREATE INDEX life_of_part ON part_life (part_id);
CREATE INDEX life_at_place ON part_life (pump_id, station, cylinder);

-- What lies on the mat of a job: the parts that were at their places when the pump came in.
CREATE TABLE mat_cell (
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	station text NOT NULL,
	cylinder integer NOT NULL CHECK (cylinder >= 0),
	PRIMARY KEY (job_id, station, cylinder),
	UNIQUE (job_id, part_id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (shop_id, part_id) REFERENCES part (shop_id, id)
);
CREATE INDEX mat_cell_of_part ON mat_cell (part_id);

-- The bench log: only ever added to.
CREATE TABLE log_entry (
	id uuid NOT NULL,
	seq bigint GENERATED ALWAYS AS IDENTITY UNIQUE,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid,
	kind text NOT NULL,
	payload jsonb NOT NULL,
	by text NOT NULL,
	at timestamptz NOT NULL,
	received_at timestamptz NOT NULL DEFAULT now(),
	offset_ms bigint,
	client_seq bigint,
	effective_at timestamptz,
	-- An id is one within its shop: no shop learns whether another one has it.
	PRIMARY KEY (shop_id, id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (job_id, part_id) REFERENCES mat_cell (job_id, part_id),
	FOREIGN KEY (shop_id, by) REFERENCES "user" (shop_id, id)
);
CREATE INDEX log_of_job ON log_entry (job_id, seq);
CREATE INDEX log_taken_back ON log_entry (job_id) WHERE kind IN ('withdraw', 'correction');
CREATE INDEX log_looks ON log_entry (job_id, seq) WHERE kind IN ('finding', 'clean', 'withdraw', 'correction');
CREATE INDEX log_steps ON log_entry (job_id) WHERE kind = 'step';
-- What tells of causes is few among the entries of a rebuild.
CREATE INDEX log_of_causes ON log_entry (job_id) WHERE kind IN ('asFound', 'mark', 'proof');
-- Photographs are looked up over all jobs of a model; each job has few.
CREATE INDEX photo_entry ON log_entry (shop_id, job_id, part_id) WHERE kind = 'photo';
COMMENT ON COLUMN log_entry.at IS 'by the clock of the tablet that made it';
COMMENT ON COLUMN log_entry.effective_at IS 'the earlier of at + offset_ms and received_at; NULL where no clock was compared: then at counts';
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'the bench log is only ever added to' USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER log_entry_stays BEFORE UPDATE OR DELETE ON log_entry FOR EACH ROW EXECUTE FUNCTION refuse_change();
CREATE TRIGGER log_stays BEFORE TRUNCATE ON log_entry FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- Withdrawals stand apart from the rows that they take back, so that neither has to wait for the other.
CREATE TABLE withdrawn_entry (
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	entry_id uuid NOT NULL,
	PRIMARY KEY (shop_id, entry_id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
CREATE INDEX withdrawn_of_job ON withdrawn_entry (job_id);

-- Projections of the log, for queries.
CREATE TABLE look (
	entry_id uuid NOT NULL,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	pattern text,
	severity smallint CHECK (severity BETWEEN 1 AND 3),
	onset text,
	at timestamptz NOT NULL,
	PRIMARY KEY (shop_id, entry_id),
	FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id),
	CHECK ((pattern IS NULL) = (severity IS NULL) AND (pattern IS NULL) = (onset IS NULL))
);
CREATE INDEX look_of_job ON look (job_id, part_id);
CREATE INDEX look_of_part ON look (part_id);
COMMENT ON TABLE look IS 'one row per finding; pattern NULL: looked at, nothing found';
CREATE TABLE reading (
	entry_id uuid NOT NULL,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	characteristic text NOT NULL,
	grid_row smallint NOT NULL,
	grid_column smallint NOT NULL,
	value double precision NOT NULL,
	gauge_id uuid,
	part_c double precision,
	gauge_c double precision,
	PRIMARY KEY (shop_id, entry_id),
	FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id),
	FOREIGN KEY (shop_id, gauge_id) REFERENCES gauge (shop_id, id)
);
CREATE INDEX reading_of_job ON reading (job_id, part_id);
CREATE INDEX reading_of_part ON reading (part_id, characteristic);
CREATE TABLE decision (
	entry_id uuid NOT NULL,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	verdict text NOT NULL CHECK (verdict IN ('reuse', 'replace', 'lookAgain')),
	proposed text NOT NULL,
	why text,
	at timestamptz NOT NULL,
	PRIMARY KEY (shop_id, entry_id),
	FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id)
);
CREATE INDEX decision_of_job ON decision (job_id, part_id);
CREATE VIEW standing_look AS SELECT l.* FROM look l
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = l.shop_id AND w.entry_id = l.entry_id);
CREATE VIEW standing_reading AS SELECT r.* FROM reading r
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = r.shop_id AND w.entry_id = r.entry_id);
CREATE VIEW standing_decision AS SELECT d.* FROM decision d
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = d.shop_id AND w.entry_id = d.entry_id);

-- What was worked out of the log, once a pump and not once a page.
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
CREATE INDEX counted_mark_of_pump ON counted_mark (pump_id);
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

-- How the parts of a model wear and end in a shop.
CREATE TABLE fleet_fit (
	shop_id uuid NOT NULL REFERENCES shop(id),
	model text NOT NULL,
	revision integer NOT NULL,
	method integer NOT NULL,
	jobs integer NOT NULL,
	knowledge jsonb NOT NULL,
	fitted_at timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (shop_id, model, revision, method, jobs)
);
COMMENT ON TABLE fleet_fit IS 'how the parts of a model wear and end in a shop, fitted to so many released jobs by this version of the method';

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

CREATE TABLE stock (
	shop_id uuid NOT NULL REFERENCES shop,
	model text NOT NULL,
	station text NOT NULL,
	pieces integer NOT NULL CHECK (pieces >= 0),
	floor integer NOT NULL DEFAULT 0 CHECK (floor >= 0),
	PRIMARY KEY (shop_id, model, station)
);
CREATE TABLE shim (
	shop_id uuid NOT NULL REFERENCES shop,
	thickness_mm double precision NOT NULL CHECK (thickness_mm > 0),
	count integer NOT NULL CHECK (count >= 0),
	PRIMARY KEY (shop_id, thickness_mm)
);

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
