// The one-time code with which a shop is set up from another machine.
import { randomInt } from 'node:crypto';

// Without 0 and O, 1 and I, which are confused when the code is read aloud.
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const LENGTH = 8;

/** A new code: 40 random bits. */
export const newSetupCode = () => Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
