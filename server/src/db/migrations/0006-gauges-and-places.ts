/** Gauges that are used no more, and where a pump ran before it was moved. */
export const name = '0006-gauges-and-places';

export const sql = `
ALTER TABLE gauge ADD COLUMN retired_on date;

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
`;
