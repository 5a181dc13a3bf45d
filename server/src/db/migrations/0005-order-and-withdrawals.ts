/**
 * The moment that counts for an entry's order, keys that carry the shop, withdrawals that may come before what they take
 * back, what a release rested on, and the indexes of ten thousand rebuilds.
 */
export const name = '0005-order-and-withdrawals';

export const sql = `
ALTER TABLE log_entry ADD COLUMN offset_ms bigint, ADD COLUMN client_seq bigint, ADD COLUMN effective_at timestamptz;
COMMENT ON COLUMN log_entry.at IS 'by the clock of the tablet that made it';
COMMENT ON COLUMN log_entry.effective_at IS 'the earlier of at + offset_ms and received_at; NULL where logged before clocks were compared: then at counts';

-- An id is one within its shop: whether another shop has it, nobody learns.
ALTER TABLE look DROP CONSTRAINT look_entry_id_fkey;
ALTER TABLE reading DROP CONSTRAINT reading_entry_id_fkey;
ALTER TABLE decision DROP CONSTRAINT decision_entry_id_fkey;
ALTER TABLE log_entry DROP CONSTRAINT log_entry_pkey, ADD PRIMARY KEY (shop_id, id);
ALTER TABLE look DROP CONSTRAINT look_pkey, ADD PRIMARY KEY (shop_id, entry_id),
	ADD FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id);
ALTER TABLE reading DROP CONSTRAINT reading_pkey, ADD PRIMARY KEY (shop_id, entry_id),
	ADD FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id);
ALTER TABLE decision DROP CONSTRAINT decision_pkey, ADD PRIMARY KEY (shop_id, entry_id),
	ADD FOREIGN KEY (shop_id, entry_id) REFERENCES log_entry (shop_id, id);

-- Kept apart from the rows that they take back, so that neither has to wait for the other.
CREATE TABLE withdrawn_entry (
	shop_id uuid NOT NULL,
	job_id uuid NOT NULL,
	entry_id uuid NOT NULL,
	PRIMARY KEY (shop_id, entry_id),
	FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
CREATE INDEX withdrawn_of_job ON withdrawn_entry (job_id);
INSERT INTO withdrawn_entry
SELECT DISTINCT w.shop_id, w.job_id, (w.payload->>'entry')::uuid FROM log_entry w
WHERE w.kind IN ('withdraw', 'correction') AND w.payload ? 'entry' AND NOT EXISTS (SELECT 1 FROM log_entry v
	WHERE v.job_id = w.job_id AND v.kind IN ('withdraw', 'correction') AND (v.payload->>'entry')::uuid = w.id);

ALTER TABLE look DROP COLUMN withdrawn;
ALTER TABLE decision DROP COLUMN withdrawn;
ALTER TABLE reading DROP COLUMN withdrawn;
ALTER TABLE reading RENAME COLUMN station TO grid_row;
ALTER TABLE reading RENAME COLUMN angle TO grid_column;
ALTER TABLE reading ADD COLUMN part_c double precision;
UPDATE reading r SET part_c = (e.payload->>'partC')::double precision FROM log_entry e
WHERE e.shop_id = r.shop_id AND e.id = r.entry_id AND e.payload ? 'partC';
CREATE VIEW standing_look AS SELECT l.* FROM look l
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = l.shop_id AND w.entry_id = l.entry_id);
CREATE VIEW standing_reading AS SELECT r.* FROM reading r
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = r.shop_id AND w.entry_id = r.entry_id);
CREATE VIEW standing_decision AS SELECT d.* FROM decision d
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = d.shop_id AND w.entry_id = d.entry_id);

ALTER TABLE job ADD COLUMN rested_on jsonb;
COMMENT ON COLUMN job.rested_on IS 'policy, gauges, fits and method at its release; NULL while open, and where released before this was kept';
-- Hours without end could be typed once, and no page of such a job opened again.
UPDATE job SET meter_hours = least(meter_hours, 1e6), pump_hours = least(pump_hours, 1e7) WHERE meter_hours > 1e6 OR pump_hours > 1e7;
UPDATE part_life SET fitted_hours = least(fitted_hours, 1e7), removed_hours = least(removed_hours, 1e7)
WHERE fitted_hours > 1e7 OR removed_hours > 1e7;
ALTER TABLE job ADD CHECK (meter_hours <= 1e6 AND pump_hours <= 1e7);
ALTER TABLE "user" ADD COLUMN active boolean NOT NULL DEFAULT true;

CREATE INDEX life_removed_by ON part_life (removed_job_id);
CREATE INDEX life_of_part ON part_life (part_id);
CREATE INDEX life_at_place ON part_life (pump_id, station, cylinder);
CREATE INDEX look_of_part ON look (part_id);
CREATE INDEX job_of_pump_in_time ON job (pump_id, received_at);
CREATE INDEX job_released ON job (shop_id, released_at);
CREATE INDEX log_taken_back ON log_entry (job_id) WHERE kind IN ('withdraw', 'correction');
CREATE INDEX log_looks ON log_entry (job_id, seq) WHERE kind IN ('finding', 'clean', 'withdraw', 'correction');
CREATE INDEX log_steps ON log_entry (job_id) WHERE kind = 'step';
`;
