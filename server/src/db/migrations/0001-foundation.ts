/** First schema: shops and people, sheets, pumps, jobs, parts and their lives, the bench log with its projections. */
export const name = '0001-foundation';

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
	UNIQUE (shop_id, id),
	UNIQUE (shop_id, serial),
	FOREIGN KEY (shop_id, site_id) REFERENCES site (shop_id, id)
);
CREATE TABLE job (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	pump_id uuid NOT NULL,
	model_sheet_id uuid NOT NULL,
	scope text NOT NULL CHECK (scope IN ('packing', 'plunger', 'valves', 'full')),
	complaint text NOT NULL,
	meter_hours double precision NOT NULL CHECK (meter_hours >= 0),
	pump_hours double precision NOT NULL CHECK (pump_hours >= 0),
	received_at timestamptz NOT NULL,
	received_by text NOT NULL,
	released_at timestamptz,
	released_by text,
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

CREATE TABLE part (
	id uuid PRIMARY KEY,
	shop_id uuid NOT NULL REFERENCES shop,
	type text NOT NULL,
	as_fitted jsonb NOT NULL DEFAULT '{}',
	lot text,
	supplier text,
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
	id uuid PRIMARY KEY,
	seq bigint GENERATED ALWAYS AS IDENTITY UNIQUE,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid,
	kind text NOT NULL,
	payload jsonb NOT NULL,
	by text NOT NULL,
	at timestamptz NOT NULL,
	received_at timestamptz NOT NULL DEFAULT now(),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
	FOREIGN KEY (job_id, part_id) REFERENCES mat_cell (job_id, part_id),
	FOREIGN KEY (shop_id, by) REFERENCES "user" (shop_id, id)
);
CREATE INDEX log_of_job ON log_entry (job_id, seq);
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'the bench log is only ever added to' USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER log_entry_stays BEFORE UPDATE OR DELETE ON log_entry FOR EACH ROW EXECUTE FUNCTION refuse_change();
CREATE TRIGGER log_stays BEFORE TRUNCATE ON log_entry FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

-- Projections of the log, for queries. "withdrawn" follows withdraw and correction entries.
CREATE TABLE look (
	entry_id uuid PRIMARY KEY REFERENCES log_entry,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	pattern text,
	severity smallint CHECK (severity BETWEEN 1 AND 3),
	onset text,
	at timestamptz NOT NULL,
	withdrawn boolean NOT NULL DEFAULT false,
	CHECK ((pattern IS NULL) = (severity IS NULL) AND (pattern IS NULL) = (onset IS NULL))
);
CREATE INDEX look_of_job ON look (job_id, part_id);
COMMENT ON TABLE look IS 'one row per finding; pattern NULL: looked at, nothing found';
CREATE TABLE reading (
	entry_id uuid PRIMARY KEY REFERENCES log_entry,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	characteristic text NOT NULL,
	station smallint NOT NULL,
	angle smallint NOT NULL,
	value double precision NOT NULL,
	gauge_id uuid,
	withdrawn boolean NOT NULL DEFAULT false,
	FOREIGN KEY (shop_id, gauge_id) REFERENCES gauge (shop_id, id)
);
CREATE INDEX reading_of_job ON reading (job_id, part_id);
CREATE INDEX reading_of_part ON reading (part_id, characteristic);
CREATE TABLE decision (
	entry_id uuid PRIMARY KEY REFERENCES log_entry,
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	part_id uuid NOT NULL,
	verdict text NOT NULL CHECK (verdict IN ('reuse', 'replace', 'lookAgain')),
	proposed text NOT NULL,
	why text,
	at timestamptz NOT NULL,
	withdrawn boolean NOT NULL DEFAULT false
);
CREATE INDEX decision_of_job ON decision (job_id, part_id);
`;
