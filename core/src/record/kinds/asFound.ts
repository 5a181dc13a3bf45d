import { z } from 'zod';
import type { EntryProblem } from '../problem';
import type { ModelSheet, Station } from '../sheet';
import { kind, ofPart } from './common';

export const foundWhere = ['inPlace', 'elsewhere', 'fellOut', 'missing', 'doubled'] as const;
export type FoundWhere = (typeof foundWhere)[number];

/** How a part lay when the pump was opened, before anybody judged it: where, which way it faced, or in pieces. The last of each stands. */
export const asFoundSchema = kind(
	'asFound',
	ofPart,
	z.union([
		z.strictObject({
			where: z.enum(foundWhere),
			/** The assembly in which it had stayed, where that is another than its own. */
			assembly: z.string().min(1).max(60).optional()
		}),
		z.strictObject({ facing: z.enum(['right', 'turned']) }),
		/** Whether its fragments, laid together, make up the whole part; `whole` takes it back. */
		z.strictObject({ pieces: z.enum(['whole', 'allFound', 'oneLost']) })
	])
);
export type AsFound = z.infer<typeof asFoundSchema>;

export interface FoundSo {
	/** Where it lay, which way it faced, and whether it was in pieces. */
	readonly where?: AsFound;
	readonly facing?: AsFound;
	readonly pieces?: AsFound;
}

export function addAsFound<R extends FoundSo>(record: R, entry: AsFound): R {
	if ('where' in entry.payload) return { ...record, where: entry };
	return 'facing' in entry.payload ? { ...record, facing: entry } : { ...record, pieces: entry };
}

/** Whether a part came out in pieces, and whether one of them is lost; undefined where it was whole, or nobody has said. */
export function brokenUp({ pieces }: FoundSo): 'allFound' | 'oneLost' | undefined {
	const said = pieces && 'pieces' in pieces.payload ? pieces.payload.pieces : undefined;
	return said === 'whole' ? undefined : said;
}

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
	if ('pieces' in payload) return undefined;
	if ('facing' in payload) return hasDirection(station) ? undefined : problem;
	const { where, assembly } = payload;
	if ((where === 'elsewhere') !== (assembly !== undefined)) return problem;
	return assembly === undefined || assemblies.some(({ key }) => key === assembly) ? undefined : problem;
}
