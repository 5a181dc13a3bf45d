/** Where a pump is worked on is its workplace: a place is where a part lies. */
export const name = '0005-workplace';

// A quote within a text is escaped, so that only a key can stand between two quotes before a colon.
export const sql = `
UPDATE job SET arrival = replace(arrival::text, '"place":', '"workplace":')::jsonb WHERE arrival ? 'place';
`;
