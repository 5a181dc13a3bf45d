import { withIds, type RefusedBecause } from '@exetasis/core/record';

export type ImportRefused =
	/** No job file of this version: where, and what. */
	| { readonly kind: 'fault'; readonly path: string; readonly message: string }
	/** Another sheet of this model and revision is in force here. */
	| { readonly kind: 'otherSheet'; readonly model: string; readonly revision: number }
	/** The shop knows this pump: the lives of its parts would be told twice. */
	| { readonly kind: 'pumpKnown'; readonly serial: string; readonly pumpId: string }
	| { readonly kind: 'otherGauge'; readonly name: string }
	/** A part at a place that the sheet has not, twice at one, or with nothing that it was replaced by. */
	| { readonly kind: 'wrongPart'; readonly place: string }
	| { readonly kind: 'wrongEntry'; readonly id: string; readonly problem: RefusedBecause }
	| { readonly kind: 'unknownName'; readonly name: string }
	| { readonly kind: 'wrongPhoto'; readonly sha256: string }
	/** The entries are in another job of this shop. */
	| { readonly kind: 'entriesTaken' }
	/** It is well formed, and yet cannot be stored or judged. */
	| { readonly kind: 'unworkable' };
export type Imported = { readonly kind: 'imported'; readonly jobId: string } | ImportRefused;

/** Ends the taking in of a file: nothing of it is kept. */
export class Refused extends Error {
	constructor(readonly why: ImportRefused) {
		super(why.kind);
	}
}
export const refuse = (why: ImportRefused): never => {
	throw new Refused(why);
};

/** A value of a file with the ids of this shop in place of its names. */
export function named(value: unknown, ids: ReadonlyMap<string, string>): unknown {
	try {
		return withIds(value, ids);
	} catch (cause) {
		if (cause instanceof RangeError) refuse({ kind: 'unknownName', name: cause.message });
		throw cause;
	}
}
