import { z } from 'zod';
import { keySchema } from '@exetasis/core/record';

/** What a field of the sheet is, so that it can be drawn: read from the schema that guards it. */
export type Shape =
	| { readonly kind: 'text' | 'number' | 'flag' | 'key' | 'figures' }
	| { readonly kind: 'choice'; readonly values: readonly string[] }
	| { readonly kind: 'list'; readonly of: Shape }
	| { readonly kind: 'group'; readonly fields: readonly NamedShape[]; readonly hasKey: boolean }
	/** One of several: a value of a choice, a group, a list. */
	| { readonly kind: 'either'; readonly of: readonly Shape[] };

export interface NamedShape {
	readonly name: string;
	/** The statement that it belongs to; empty: it stands by itself. */
	readonly within: string;
	readonly optional: boolean;
	/** Taken where nothing is typed. */
	readonly fallback?: unknown;
	readonly shape: Shape;
}

export type Group = Extract<Shape, { kind: 'group' }>;

/** The shape of a schema, of the statement of this name. Errors: TypeError for a kind of schema that sheets do not use. */
export function shapeOf(schema: z.core.$ZodType, name = ''): Shape {
	if (schema === keySchema) return { kind: 'key' };
	if (schema instanceof z.ZodOptional || schema instanceof z.ZodDefault) return shapeOf(schema.def.innerType, name);
	if (schema instanceof z.ZodObject) {
		const fields = Object.entries(schema.shape).filter(([field]) => field !== 'key');
		return { kind: 'group', fields: fields.map((field) => named(field, name)), hasKey: 'key' in schema.shape };
	}
	if (schema instanceof z.ZodArray) return { kind: 'list', of: shapeOf(schema.element, name) };
	if (schema instanceof z.ZodUnion)
		return { kind: 'either', of: schema.options.map((option) => shapeOf(option, name)) };
	if (schema instanceof z.ZodEnum) return { kind: 'choice', values: schema.options.map(String) };
	if (schema instanceof z.ZodLiteral) {
		const [value] = schema.values;
		return value === true ? { kind: 'flag' } : { kind: 'choice', values: [String(value)] };
	}
	if (schema instanceof z.ZodBoolean) return { kind: 'flag' };
	if (schema instanceof z.ZodNumber) return { kind: 'number' };
	if (schema instanceof z.ZodString) return { kind: 'text' };
	if (schema instanceof z.ZodRecord) return { kind: 'figures' };
	throw new TypeError(`a sheet has no fields of the kind ${schema._zod.def.type}`);
}

function named([name, schema]: [string, z.core.$ZodType], within: string): NamedShape {
	const fallback = schema instanceof z.ZodDefault ? { fallback: schema.def.defaultValue } : {};
	return { name, within, optional: schema instanceof z.ZodOptional, ...fallback, shape: shapeOf(schema, name) };
}

/** What stands in a field before anything is typed: nothing where a text or a number is wanted, else the first that holds. */
export function emptyOf(shape: Shape, key: string): unknown {
	switch (shape.kind) {
		case 'text':
		case 'key':
			return '';
		case 'number':
			return undefined;
		case 'flag':
			return true;
		case 'choice':
			return shape.values[0];
		case 'list':
			return [];
		case 'figures':
			return {};
		case 'either':
			return emptyOf(shape.of[0], key);
		case 'group': {
			const wanted = shape.fields.filter(({ optional }) => !optional);
			const fields = wanted.map(({ name, fallback, shape: of }) => [name, fallback ?? emptyOf(of, key)]);
			return { ...(shape.hasKey ? { key } : {}), ...Object.fromEntries(fields) };
		}
	}
}

/** The name under which one of several is chosen: the value itself, what tells a group from the others, or its only field. */
export function choicesOf(shape: Shape): readonly string[] {
	switch (shape.kind) {
		case 'choice':
			return shape.values;
		case 'group': {
			const kind = shape.fields.find(({ shape: of }) => of.kind === 'choice' && of.values.length === 1);
			return kind?.shape.kind === 'choice' ? kind.shape.values : [shape.fields[0].name];
		}
		default:
			return [shape.kind];
	}
}

/** Which of several shapes a value has, and under which name. */
export function chosenOf(of: readonly Shape[], value: unknown): { readonly shape: Shape; readonly name: string } {
	for (const shape of of) for (const name of choicesOf(shape)) if (isChosen(shape, name, value)) return { shape, name };
	return { shape: of[0], name: choicesOf(of[0])[0] };
}

function isChosen(shape: Shape, name: string, value: unknown): boolean {
	switch (shape.kind) {
		case 'choice':
			return value === name;
		case 'group':
			return typeof value === 'object' && value !== null && (name in value || ('kind' in value && value.kind === name));
		case 'list':
			return Array.isArray(value);
		default:
			return typeof value === 'number';
	}
}
