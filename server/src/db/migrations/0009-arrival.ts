/** How a pump came in: what for, where it is worked on, which tools are at hand. */
export const name = '0009-arrival';

export const sql = `
ALTER TABLE job ADD COLUMN arrival jsonb NOT NULL DEFAULT '{}';
`;
