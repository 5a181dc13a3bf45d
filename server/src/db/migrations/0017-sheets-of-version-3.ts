import { afterwards as lift } from './0008-sheets-of-version-2';

/** The sheets on record are lifted to version 3. */
export const name = '0017-sheets-of-version-3';

/** The bodies alone change. */
export const sql = 'SELECT 1;';

export const afterwards = lift;
