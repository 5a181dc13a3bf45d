// Jobs, what lies on their mats, and their photographs.
import type { Duty } from './pumps';
import type { MatFacts } from '@exetasis/core/mat';
import type { ArrivalFacts, Chosen, Customer, Unproved } from '@exetasis/core/record';
import {
	bytes,
	date,
	json,
	key,
	now,
	nullable,
	number,
	table,
	text,
	uuid,
	whole,
	withDefault,
	type RowOf
} from './columns';

/** What a release rested on, so that its report never changes its verdicts. */
export interface RestedOn extends Pick<MatFacts, 'policy' | 'gauges' | 'fleet'> {
	/** Version of the method by which the fleet's record was fitted. */
	readonly method: number;
	/** Where it went; unknown of releases before this was asked. */
	readonly handover?: Handover;
	/** What was not put together and proved when a lead let it go, and why. */
	readonly unbuilt?: StillToDo & { readonly why: string };
}

/** Where a pump goes when it is released, and whether its hoses and covers are back where they were. */
export interface Handover {
	readonly to: 'service' | 'shelf';
	readonly connected: boolean;
}

/** Steps of building and proving that are not done, and what the sheet's test lacks. */
export interface StillToDo {
	readonly steps: readonly string[];
	readonly tests: readonly Unproved[];
}

export const job = table('job', {
	id: key(uuid),
	shopId: uuid,
	pumpId: uuid,
	modelSheetId: uuid,
	/** Key of one of its sheet's scopes. */
	scope: text,
	complaint: text,
	meterHours: number,
	pumpHours: number,
	receivedAt: date,
	receivedBy: text,
	releasedAt: nullable(date),
	releasedBy: nullable(text),
	duty: withDefault(json<Duty>(), {}),
	/** The pump's variants as they were when it was received. */
	variants: withDefault(json<Chosen>(), {}),
	/** How it came in; empty for jobs received before this was asked. */
	arrival: withDefault(json<Partial<ArrivalFacts>>(), {}),
	/** Whose pump it is and what they are told. */
	customer: withDefault(json<Customer>(), {}),
	restedOn: nullable(json<RestedOn>())
});
export type JobRow = RowOf<typeof job>;

export const matCell = table('mat_cell', {
	shopId: uuid,
	jobId: key(uuid),
	partId: uuid,
	station: key(text),
	cylinder: key(whole)
});

export const photo = table('photo', {
	shopId: key(uuid),
	jobId: key(uuid),
	sha256: key(text),
	jpeg: bytes,
	keptBy: text,
	keptAt: withDefault(date, now)
});
