/** What the gauge was at stands beside the part's temperature; the view is made again, because it names its columns once. */
export const name = '0018-gauge-temperature';

export const sql = `
-- Groups of digits are set apart by a space alone.
UPDATE "user" SET preferences = jsonb_set(preferences, '{numerals}', to_jsonb(split_part(preferences->>'numerals', '-', 1) || '-space'))
WHERE preferences ? 'numerals';
ALTER TABLE reading ADD COLUMN gauge_c double precision;
CREATE OR REPLACE VIEW standing_reading AS SELECT r.* FROM reading r
	WHERE NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = r.shop_id AND w.entry_id = r.entry_id);
`;
