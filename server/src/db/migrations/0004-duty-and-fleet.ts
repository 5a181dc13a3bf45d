/** The duty of each rebuild, and one table for what the fleet says of a model; what was fitted by earlier methods is made anew. */
export const name = '0004-duty-and-fleet';

export const sql = `
ALTER TABLE job ADD COLUMN duty jsonb NOT NULL DEFAULT '{}';
UPDATE job j SET duty = p.duty FROM pump p WHERE p.id = j.pump_id;
COMMENT ON COLUMN job.duty IS 'what was declared at receipt, of the hours before it';
DROP TABLE wear_fit;
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
`;
