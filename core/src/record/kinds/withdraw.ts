import { z } from 'zod';
import { common, id, kind, words } from './common';

/** Takes an earlier entry back: it stays in the log and counts no more. Undo is a withdraw, and may be withdrawn. */
export const withdrawSchema = kind('withdraw', common, z.strictObject({ entry: id, why: words }));
