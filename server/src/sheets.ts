import { LRUCache } from 'lru-cache';
import { v7 as uuidv7 } from 'uuid';
import {
	readSheet,
	toolsInScope,
	type ModelSheet,
	type SheetFault,
	type Station,
	type Tool,
	type Variant
} from '@exetasis/core/record';
import { fn, col } from 'sequelize';
import { of, type ShopScope } from './db/scope';

interface SheetListing {
	readonly id: string;
	readonly model: string;
	readonly layout: string;
	readonly revision: number;
	readonly pumps: number;
}

/** The newest revision of every model, with how many pumps of it the shop keeps. */
export async function sheetsOf(scope: ShopScope): Promise<SheetListing[]> {
	const sheets = await of(scope, 'modelSheet').all(
		{},
		{
			attributes: ['id', 'model', 'layout', 'revision'],
			order: [
				['model', 'ASC'],
				['revision', 'DESC']
			]
		}
	);
	const counted = await of(scope, 'pump').all<{ model: string; pumps: string }>(
		{},
		{ attributes: ['model', [fn('count', col('id')), 'pumps']], group: ['model'] }
	);
	const pumps = new Map(counted.map((count) => [count.model, Number(count.pumps)]));
	const newest = sheets.filter(({ model }, i) => model !== sheets[i - 1]?.model);
	return newest.map(({ id, model, layout, revision }) => ({
		id,
		model,
		layout,
		revision,
		pumps: pumps.get(model) ?? 0
	}));
}

export const sheetById = async (scope: ShopScope, id: string): Promise<ModelSheet | undefined> =>
	(await of(scope, 'modelSheet').one({ id }))?.body;

// Sheets are never changed, so one read from the database stays true; kept by shop and id.
const sheetsRead = new LRUCache<string, ModelSheet>({ max: 100 });

/** The sheet that a job has pinned; it is there, by the job's foreign key. */
export async function pinnedSheet(scope: ShopScope, id: string): Promise<ModelSheet> {
	const key = `${scope.shopId}/${id}`;
	const known = sheetsRead.get(key);
	if (known) return known;
	const sheet = (await sheetById(scope, id))!;
	sheetsRead.set(key, sheet);
	return sheet;
}

/** What one draws of a part: its section, and where it faces. */
export interface DrawnPart {
	readonly type: Station['type'];
	readonly face: Pick<Station['face'], 'toward' | 'feature' | 'mateLies'>;
}

/** A model as one recognises it. */
export interface DrawnSheet extends Pick<ModelSheet, 'model' | 'layout' | 'cylinders'> {
	/** Its stack as it comes out. */
	readonly stack: readonly DrawnPart[];
}

export interface VariantToChoose extends Omit<Variant, 'choices'> {
	readonly choices: readonly (Variant['choices'][number] & { readonly parts: readonly DrawnPart[] })[];
}

/** A model as it is received: how far a job on it can go, what is asked of the pump, how it looks, and what it takes. */
export interface ModelToReceive extends DrawnSheet, Pick<ModelSheet, 'cylinderOne' | 'scopes'> {
	/** What it may be made of; each choice with the parts that lie in such a pump alone. */
	readonly variants: readonly VariantToChoose[];
	/** Assemblies that weigh something, kg. */
	readonly masses: readonly { readonly name: string; readonly massKg: number }[];
	/** Tools made for this work alone, with the scopes that want them. */
	readonly special: readonly (Tool & { readonly scopes: readonly string[] })[];
}

/** The newest sheet of every model; each is read from the database once, since sheets never change. */
export const newestSheets = async (scope: ShopScope): Promise<ModelSheet[]> =>
	Promise.all((await sheetsOf(scope)).map(({ id }) => pinnedSheet(scope, id)));

/** The newest revision of every model, with what receiving one of its pumps asks. */
export const modelsToReceive = async (scope: ShopScope): Promise<ModelToReceive[]> =>
	(await newestSheets(scope)).map(toReceive);

const drawn = ({ type, face: { toward, feature, mateLies } }: Station): DrawnPart => ({
	type,
	face: { toward, feature, mateLies }
});

/** A sheet as one recognises its pump. */
export const drawnSheet = ({ model, layout, cylinders, stations }: ModelSheet): DrawnSheet => ({
	model,
	layout,
	cylinders,
	stack: stations.map(drawn)
});

/** The listing of `sheetsOf` with the stack of each model. */
export const drawnSheetsOf = async (scope: ShopScope): Promise<(SheetListing & DrawnSheet)[]> =>
	Promise.all(
		(await sheetsOf(scope)).map(async (sheet) => ({ ...drawnSheet(await pinnedSheet(scope, sheet.id)), ...sheet }))
	);

/** A model by one of its sheets, with what receiving a pump of it asks. */
export function toReceive(sheet: ModelSheet): ModelToReceive {
	const { cylinderOne, scopes, variants, assemblies, stations } = sheet;
	const wanted = scopes.map(({ key }) => [key, toolsInScope(sheet, { scope: key }).map((tool) => tool.key)] as const);
	return {
		...drawnSheet(sheet),
		scopes,
		...(cylinderOne ? { cylinderOne } : {}),
		variants: variants.map((variant) => ({
			...variant,
			choices: variant.choices.map((choice) => ({
				...choice,
				parts: stations.filter(({ onlyWith }) => onlyWith?.[variant.key]?.includes(choice.key)).map(drawn)
			}))
		})),
		masses: assemblies.flatMap(({ name, massKg }) => (massKg ? [{ name, massKg }] : [])),
		special: sheet.tools
			.filter(({ special }) => special)
			.map((tool) => ({
				...tool,
				scopes: wanted.flatMap(([scope, keys]) => (keys.includes(tool.key) ? [scope] : []))
			}))
	};
}

/** The newest sheet of a model, which a new job pins. */
export const newestSheet = (scope: ShopScope, model: string): Promise<{ id: string; body: ModelSheet } | undefined> =>
	of(scope, 'modelSheet').one({ model }, { attributes: ['id', 'body'], order: [['revision', 'DESC']] });

export type AddedSheet =
	| { readonly kind: 'added'; readonly id: string }
	| { readonly kind: 'faults'; readonly faults: readonly SheetFault[]; readonly more: number }
	| { readonly kind: 'revisionExists'; readonly model: string; readonly revision: number };

/** Takes a model sheet's text in. Sheets are never changed: a correction is a new revision. */
export async function addSheet(scope: ShopScope, text: string): Promise<AddedSheet> {
	const read = readSheet(text);
	if (read.kind === 'faults') return read;
	const { model, layout, revision } = read.sheet;
	const id = uuidv7();
	const added = await of(scope, 'modelSheet').addUnlessThere({
		id,
		model,
		layout,
		revision,
		body: read.sheet,
		createdAt: new Date()
	});
	return added ? { kind: 'added', id } : { kind: 'revisionExists', model, revision };
}
