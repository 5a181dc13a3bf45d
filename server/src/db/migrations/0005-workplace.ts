/** Where a pump is worked on is its workplace: a place is where a part lies. */
export const name = '0005-workplace';

export const sql = `
UPDATE job SET arrival = (arrival - 'place') || jsonb_build_object('workplace', arrival->'place') WHERE arrival ? 'place';
`;
