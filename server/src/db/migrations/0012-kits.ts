/** Out of which kit a part came: its number, or that it came by itself; empty where nobody has said. */
export const name = '0012-kits';

export const sql = `
ALTER TABLE part ADD COLUMN kit text;
`;
