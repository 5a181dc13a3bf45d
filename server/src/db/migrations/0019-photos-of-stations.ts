/** Photographs are looked up over the jobs of a model, of which each has few. */
export const name = '0019-photos-of-stations';

export const sql = `
CREATE INDEX photo_entry ON log_entry (shop_id, job_id, part_id) WHERE kind = 'photo';
`;
