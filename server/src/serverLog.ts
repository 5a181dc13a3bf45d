import { pino } from 'pino';

/** The server's log, one JSON line an event; never a secret, never a whole request. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', redact: ['*.password', '*.token', '*.cookie'] });
