import { z } from 'zod';
import type { EntryProblem } from '../problem';
import type { ModelSheet, Station } from '../sheet';
import { partType } from '../../part/register';
import { ofPart, schemaOf, words } from './common';
import { partKind } from './kind';

const foundWhere = ['inPlace', 'elsewhere', 'fellOut', 'missing', 'doubled'] as const;
export type FoundWhere = (typeof foundWhere)[number];

/** How a part lay when the pump was opened, before it was judged: where, which way it faced, or in pieces. The last of each stands. */
const schema = schemaOf(
	'asFound',
	ofPart,
	z.union([
		z.strictObject({
			where: z.enum(foundWhere),
			/** The assembly in which it had stayed, where that is another than its own. */
			assembly: z.string().min(1).max(60).optional()
		}),
		z.strictObject({ facing: z.enum(['right', 'turned']) }),
		/** Which way something of it pointed, where no direction is stated: it goes back so. */
		z.strictObject({ lay: z.strictObject({ what: words, toward: z.enum(['P', 'C']) }) }),
		/** Which of its two sides ran, where either may: A is the one that is marked so. */
		z.strictObject({ ran: z.enum(['A', 'B']) }),
		/** How the joints of its rings lay to each other. */
		z.strictObject({ joints: z.enum(['staggered', 'inLine']) }),
		/** Whether its fragments, laid together, make up the whole part; `whole` takes it back. */
		z.strictObject({ pieces: z.enum(['whole', 'allFound', 'oneLost']) })
	])
);
export type AsFound = z.infer<typeof schema>;

export interface FoundSo {
	/** Where it lay, which way it faced, and whether it was in pieces. */
	readonly where?: AsFound;
	readonly facing?: AsFound;
	readonly pieces?: AsFound;
	/** Which way it lay where no direction is stated, which side ran, and how its joints lay. */
	readonly lay?: AsFound;
	readonly ran?: AsFound;
	readonly joints?: AsFound;
}

const fields = ['where', 'facing', 'pieces', 'lay', 'ran', 'joints'] as const;
type Field = (typeof fields)[number];

type Said<F extends Field> = Extract<AsFound['payload'], Record<F, unknown>>[F];
/** What the log says of a part in one respect; undefined if it says nothing. */
function said<F extends Field>(record: FoundSo, field: F): Said<F> | undefined {
	const payload = record[field]?.payload;
	return payload && field in payload ? (payload as unknown as Record<F, Said<F>>)[field] : undefined;
}

/** Whether a part came out in pieces, and whether one of them is lost; undefined where it was whole, or it is not noted. */
export function brokenUp(record: FoundSo): 'allFound' | 'oneLost' | undefined {
	const pieces = said(record, 'pieces');
	return pieces === 'whole' ? undefined : pieces;
}

/** Which way a part without a stated direction lay; undefined if it is not noted. */
export const foundLay = (record: FoundSo): Said<'lay'> | undefined => said(record, 'lay');
/** Which side of a part that may be turned has run; undefined if it is not noted. */
export const foundRan = (record: FoundSo): Said<'ran'> | undefined => said(record, 'ran');

/** What an earlier assembly left: the part was not there, was there twice, faced the wrong way, or its joints lay in line. */
export type FoundWrong = 'missing' | 'doubled' | 'reversed' | 'jointsInLine';

/** What was wrong with how a part was found; nothing where it lay as it should, or it is not noted. */
export function foundWrong(record: FoundSo): FoundWrong[] {
	const lay = said(record, 'where');
	return [
		...(lay === 'missing' || lay === 'doubled' ? [lay] : []),
		...(said(record, 'facing') === 'turned' ? (['reversed'] as const) : []),
		...(said(record, 'joints') === 'inLine' ? (['jointsInLine'] as const) : [])
	];
}

/** Whether a station has a side that can be the wrong one: neither a part alike from both sides, nor one that may go in either way. */
export const hasDirection = ({ face, type }: Pick<Station, 'face' | 'type'>): boolean =>
	face.toward !== 'either' && !partType(type).symmetric;

/** Whether a part can have been found so. */
function checkFound(
	{ payload }: AsFound,
	station: Station,
	{ assemblies }: Pick<ModelSheet, 'assemblies'>
): EntryProblem | undefined {
	const problem = { code: 'notAsFound', part: station.name } as const;
	if ('pieces' in payload) return undefined;
	if ('facing' in payload) return hasDirection(station) ? undefined : problem;
	if ('lay' in payload) return station.face.toward === 'notStated' ? undefined : problem;
	if ('ran' in payload) return station.face.reversible ? undefined : problem;
	if ('joints' in payload) return station.joints ? undefined : problem;
	const { where, assembly } = payload;
	if ((where === 'elsewhere') !== (assembly !== undefined)) return problem;
	return assembly === undefined || assemblies.some(({ key }) => key === assembly) ? undefined : problem;
}

export const asFound = partKind(schema, {
	add: (record, entry) => ({ ...record, [fields.find((field) => field in entry.payload)!]: entry }),
	check: (entry, station, { sheet }) => checkFound(entry, station, sheet)
});
