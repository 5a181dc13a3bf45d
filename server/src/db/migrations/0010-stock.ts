/** What lies in the shop's own drawers, by model and station, and how much is always to be there. */
export const name = '0010-stock';

export const sql = `
CREATE TABLE stock (
	shop_id uuid NOT NULL REFERENCES shop,
	model text NOT NULL,
	station text NOT NULL,
	pieces integer NOT NULL CHECK (pieces >= 0),
	floor integer NOT NULL DEFAULT 0 CHECK (floor >= 0),
	PRIMARY KEY (shop_id, model, station)
);
`;
