/** The shims in the shop's drawer, by thickness. */
export const name = '0016-shims';

export const sql = `
CREATE TABLE shim (
	shop_id uuid NOT NULL REFERENCES shop,
	thickness_mm double precision NOT NULL CHECK (thickness_mm > 0),
	count integer NOT NULL CHECK (count >= 0),
	PRIMARY KEY (shop_id, thickness_mm)
);
`;
