import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { discardLimit, type Station } from '../sheet';
import { ofPart, schemaOf, typed } from './common';
import { partKind } from './kind';
import { checkSize } from './size';

/** What the part that replaces this one measures as it is fitted: its wear is counted from there, not from nominal. */
const schema = schemaOf(
	'fitted',
	ofPart,
	z.strictObject({ characteristic: z.string().min(1).max(40), value: z.number().finite(), typed })
);
export type Fitted = z.infer<typeof schema>;

export interface FittedSizes {
	/** Sizes of the part that replaces it, the last of each characteristic. */
	readonly fitted: readonly Fitted[];
}

/** A new part has all of its allowance before it, or some: one at its limit is none. */
export function checkFitted(payload: Fitted['payload'], station: Station): EntryProblem | undefined {
	const problem = checkSize(payload, station);
	if (problem) return problem;
	const measured = station.characteristics.find(({ key }) => key === payload.characteristic)!;
	const limit = discardLimit(measured);
	if (!limit) return undefined;
	const leaves = limit.side === 'min' ? payload.value - limit.value : limit.value - payload.value;
	return leaves > 0
		? undefined
		: { code: 'fittedBeyondLimit', value: payload.value, limit: limit.value, unit: measured.unit };
}

export const fitted = partKind(schema, {
	add: (record, entry) => ({
		...record,
		fitted: [...record.fitted.filter(({ payload }) => payload.characteristic !== entry.payload.characteristic), entry]
	}),
	check: ({ payload }, station) => checkFitted(payload, station)
});
