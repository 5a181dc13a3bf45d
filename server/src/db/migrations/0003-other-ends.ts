/** What else ends lives, fitted and kept beside the wear; fits without it are made anew. */
export const name = '0003-other-ends';

export const sql = `
ALTER TABLE wear_fit ADD COLUMN ends jsonb;
COMMENT ON COLUMN wear_fit.ends IS 'by station: what ends lives besides measured wear; NULL where fitted before this was kept';
`;
