/** Fitted wear of each model, so that no node fits again what another has fitted. */
export const name = '0002-wear-fit';

export const sql = `
CREATE TABLE wear_fit (
	shop_id uuid NOT NULL REFERENCES shop,
	model text NOT NULL,
	revision integer NOT NULL,
	jobs integer NOT NULL CHECK (jobs >= 0),
	fits jsonb NOT NULL,
	fitted_at timestamptz NOT NULL DEFAULT now(),
	PRIMARY KEY (shop_id, model, revision, jobs)
);
COMMENT ON COLUMN wear_fit.jobs IS 'released jobs of the model when it was fitted';
`;
