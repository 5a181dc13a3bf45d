import { pino } from 'pino';

interface Cause {
	readonly name?: string;
	readonly message?: string;
	readonly stack?: string;
	readonly cause?: unknown;
	readonly original?: { readonly code?: string; readonly constraint?: string; readonly table?: string };
	readonly code?: string;
}

// Statements and their values may hold passwords, tokens and what people typed: of an error only what names its place.
const describe = (cause: unknown): unknown => {
	if (typeof cause !== 'object' || cause === null) return String(cause);
	const { name, message, stack, original, code, cause: deeper } = cause as Cause;
	const { constraint, table } = original ?? {};
	return {
		name,
		message,
		stack,
		code: original?.code ?? code,
		constraint,
		table,
		...(deeper ? { cause: describe(deeper) } : {})
	};
};

/** The server's log, one JSON line an event; never a secret, never a statement's values, never a whole request. */
export const log = pino({
	level: process.env.LOG_LEVEL ?? 'info',
	serializers: { err: describe },
	redact: ['*.password', '*.token', '*.cookie']
});
