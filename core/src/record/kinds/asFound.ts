import { z } from 'zod';
import type { EntryProblem } from '../problem';
import type { ModelSheet, Station } from '../sheet';
import { kind, ofPart } from './common';

export const foundWhere = ['inPlace', 'elsewhere', 'fellOut', 'missing', 'doubled'] as const;
export type FoundWhere = (typeof foundWhere)[number];

/** How a part lay when the pump was opened, before anybody judged it: where, or which way it faced. The last of each stands. */
export const asFoundSchema = kind(
	'asFound',
	ofPart,
	z.union([
		z.strictObject({
			where: z.enum(foundWhere),
			/** The assembly in which it had stayed, where that is another than its own. */
			assembly: z.string().min(1).max(60).optional()
		}),
		z.strictObject({ facing: z.enum(['right', 'turned']) })
	])
);
export type AsFound = z.infer<typeof asFoundSchema>;

export interface FoundSo {
	/** Where it lay, and which way it faced. */
	readonly where?: AsFound;
	readonly facing?: AsFound;
}

export const addAsFound = <R extends FoundSo>(record: R, entry: AsFound): R =>
	'where' in entry.payload ? { ...record, where: entry } : { ...record, facing: entry };

/** What an earlier assembly left: the part was not there, was there twice, or faced the wrong way. */
export type FoundWrong = 'missing' | 'doubled' | 'reversed';

/** What was wrong with how a part was found; nothing where it lay as it should, or nobody has said. */
export function foundWrong({ where, facing }: FoundSo): FoundWrong[] {
	const lay = where && 'where' in where.payload ? where.payload.where : undefined;
	const turned = facing && 'facing' in facing.payload && facing.payload.facing === 'turned';
	return [...(lay === 'missing' || lay === 'doubled' ? [lay] : []), ...(turned ? (['reversed'] as const) : [])];
}

/** Whether a station has a side that can be the wrong one. */
export const hasDirection = ({ face }: Pick<Station, 'face'>): boolean => face.toward !== 'any';

/** Whether a part can have been found so. */
export function checkAsFound(
	{ payload }: AsFound,
	station: Station,
	{ assemblies }: Pick<ModelSheet, 'assemblies'>
): EntryProblem | undefined {
	const problem = { code: 'notAsFound', part: station.name } as const;
	if (!('where' in payload)) return hasDirection(station) ? undefined : problem;
	const { where, assembly } = payload;
	if ((where === 'elsewhere') !== (assembly !== undefined)) return problem;
	return assembly === undefined || assemblies.some(({ key }) => key === assembly) ? undefined : problem;
}
