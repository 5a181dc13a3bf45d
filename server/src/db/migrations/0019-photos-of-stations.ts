/** Photographs are looked up over all jobs of a model; each job has few. */
export const name = '0019-photos-of-stations';

export const sql = `
CREATE INDEX photo_entry ON log_entry (shop_id, job_id, part_id) WHERE kind = 'photo';
`;
