import { requireThat } from '../number';
import type { ModelSheet } from '../record';
import { firstSteps } from './steps';

/** A model sheet that is being written. It has the fields of a sheet; parts and steps may still be missing. */
export type SheetDraft = ModelSheet;

/** What a name plate says. */
export interface NamePlate {
	readonly model: string;
	readonly maker: string;
	readonly cylinders: number;
	readonly strokeMm: number;
	readonly ratedPressureMPa: number;
	readonly ratedSpeedRpm: number;
}

/** Layout code of a pump that is like none of the known ones. */
export const OWN_LAYOUT = 'L0';

const MOST_CYLINDERS = 7;

/** Refuses a name plate that no pump has. Errors: PreconditionError. */
export function requirePlate(fn: string, { cylinders, strokeMm, ratedPressureMPa, ratedSpeedRpm }: NamePlate): void {
	requireThat(
		Number.isInteger(cylinders) && cylinders >= 1 && cylinders <= MOST_CYLINDERS,
		fn,
		'cylinders',
		cylinders,
		`1 to ${MOST_CYLINDERS}`
	);
	for (const [name, value] of Object.entries({ strokeMm, ratedPressureMPa, ratedSpeedRpm }))
		requireThat(value > 0 && Number.isFinite(value), fn, name, value, 'above 0');
}

/**
 * An empty sheet of a pump with this name plate: a manifold and a crankcase, one scope, and the steps that come before any work.
 * The cost of opening the pump is not known and 0 until it is entered.
 * Errors: PreconditionError for a name plate that no pump has.
 */
export function newSheet(plate: NamePlate): SheetDraft {
	requirePlate('newSheet', plate);
	const scopes = [{ key: 'full', name: 'Complete overhaul', kind: 'full' as const, offers: [] }];
	return {
		format: 'exetasis/model-sheet',
		version: 3,
		...plate,
		layout: OWN_LAYOUT,
		revision: 1,
		demo: false,
		assemblies: [
			{ key: 'manifold', name: 'Manifold' },
			{ key: 'crankcase', name: 'Crankcase' }
		],
		variants: [],
		scopes,
		tools: [],
		products: [],
		kits: [],
		openingCost: 0,
		duty: [],
		steps: firstSteps(scopes.map(({ key }) => key)),
		stations: [],
		subAssemblies: [],
		order: [],
		lookAlikes: []
	};
}
