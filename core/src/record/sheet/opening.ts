import { partType } from '../../part/register';
import type { Characteristic } from '../../part/partType';
import type { ModelSheet, Scope } from './schema';
import type { Station } from './station';
import type { Stage, Step } from './step';
import { applies, type Chosen } from './variants';

/** How far a job goes, on a pump of which variants. */
export interface Opening {
	/** Key of one of the sheet's scopes. */
	readonly scope: string;
	readonly variants?: Chosen;
	/** Of how it came in: which cylinders are opened (left out: all), and where it is worked on (left out: on the bench). */
	readonly arrival?: { readonly cylinders?: readonly number[]; readonly workplace?: 'bench' | 'machine' };
}

/** The cylinders that a job opens, from 1. */
export const openedCylinders = (
	{ cylinders }: Pick<ModelSheet, 'cylinders'>,
	{ arrival }: Pick<Opening, 'arrival'>
): readonly number[] => arrival?.cylinders ?? Array.from({ length: cylinders }, (_, i) => i + 1);

/** The stations that a job opens, on this pump. */
export const stationsInScope = (sheet: ModelSheet, { scope, variants }: Opening): Station[] =>
	sheet.stations.filter((station) => station.scopes.includes(scope) && applies(station.onlyWith, variants));

/** Whether it is judged where it is and never comes out: a surface of the pump itself, or a part that the job leaves in. */
export const staysIn = ({ type, stays }: Pick<Station, 'type' | 'stays'>): boolean =>
	stays || partType(type).fixed === true;

/** All steps that the sheet has for a job, of every stage. */
export const allSteps = (sheet: ModelSheet, { scope, variants, arrival }: Opening): Step[] =>
	sheet.steps.filter(
		(step) =>
			step.scopes.includes(scope) &&
			applies(step.onlyWith, variants) &&
			(step.at === undefined || step.at === (arrival?.workplace ?? 'bench'))
	);

/** Stages that lie before the parts are looked at. */
const opening: readonly Stage[] = ['prepare', 'strip', 'clean'];

/** The steps by which a job opens the pump, up to its parts lying clean on the mat. */
export const stepsInScope = (sheet: ModelSheet, job: Opening): Step[] =>
	allSteps(sheet, job).filter(({ stage }) => opening.includes(stage));

/** The scope of a job, by its key; undefined where the sheet has none of it. */
export const scopeOf = (sheet: ModelSheet, { scope }: Opening): Scope | undefined =>
	sheet.scopes.find(({ key }) => key === scope);

/** How many pieces of a station there are in the cylinders that a job opens, as far as its variants have them; 0 for a station that the sheet has not. */
export function piecesInPump(
	sheet: Pick<ModelSheet, 'stations' | 'cylinders'>,
	key: string,
	opening: Pick<Opening, 'variants' | 'arrival'> = {}
): number {
	const station = sheet.stations.find((candidate) => candidate.key === key);
	if (!station) return 0;
	const places = station.per === 'pump' ? [0] : openedCylinders(sheet, opening);
	return (
		station.pieces * places.filter((cylinder) => applies(station.onlyWith, opening.variants ?? {}, cylinder)).length
	);
}

/** What the part type knows of a characteristic on its sheet. */
export const characteristicOf = (station: Pick<Station, 'type'>, key: string): Characteristic =>
	partType(station.type).characteristics.find((characteristic) => characteristic.key === key)!;
