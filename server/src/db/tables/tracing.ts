// What tracing has counted, fitted and been told.
import type { FleetKnowledge } from '@exetasis/core/decide';
import type { CauseNetwork } from '@exetasis/core/trace';
import {
	date,
	flag,
	json,
	key,
	now,
	nullable,
	number,
	table,
	text,
	textOf,
	uuid,
	whole,
	withDefault,
	type RowOf
} from './columns';

/** What was done with a case, when and by whom; the last one says how it stands. */
export interface CaseStep {
	readonly at: string;
	readonly by: string;
	readonly did: 'opened' | 'acted' | 'confirmed' | 'refuted' | 'notTold' | 'reopened';
	readonly says: string;
}

// Of the part that was counted.
const counted = {
	shopId: uuid,
	jobId: key(uuid),
	partId: key(uuid),
	pumpId: uuid,
	station: text,
	cylinder: whole,
	fittedHours: nullable(number)
};

export const countedInspection = table('counted_inspection', {
	...counted,
	hours: number
});

export const countedMark = table('counted_mark', {
	...counted,
	pattern: key(text),
	opening: number
});

export const countedSize = table('counted_size', {
	...counted,
	hours: number,
	characteristic: key(text),
	beyond: flag
});

export const countedPump = table('counted_pump', {
	shopId: uuid,
	pumpId: key(uuid),
	mark: text
});

export const fleetFit = table('fleet_fit', {
	shopId: key(uuid),
	model: key(text),
	revision: key(whole),
	method: key(whole),
	jobs: key(whole),
	knowledge: json<FleetKnowledge>(),
	fittedAt: withDefault(date, now)
});

/** One revision of what the shop believes of causes. */
export const causeNetwork = table('cause_network', {
	shopId: key(uuid),
	revision: key(whole),
	body: json<CauseNetwork>(),
	madeBy: text,
	madeAt: withDefault(date, now)
});

/** A recurrence with its suspected cause and what was done against it. */
export const traceCase = table('trace_case', {
	id: key(uuid),
	shopId: key(uuid),
	pumpId: uuid,
	station: text,
	cylinder: whole,
	pattern: text,
	cause: text,
	hypothesis: text,
	openedJobId: uuid,
	action: nullable(text),
	actedJobId: nullable(uuid),
	effectiveness: nullable(number),
	watchHours: nullable(number),
	outcome: nullable(textOf<'confirmed' | 'refuted' | 'notTold'>()),
	history: withDefault(json<readonly CaseStep[]>(), [])
});
export type TraceCaseRow = RowOf<typeof traceCase>;
