import { z } from 'zod';
import { sheetSchema } from './schema';

/**
 * The model sheet as JSON Schema (draft 2020-12), as it may be written: what has a default may be left out. References between
 * its parts are beyond what JSON Schema says; `readSheet` checks them.
 */
export const sheetJsonSchema = (): object => ({
	$id: 'exetasis/model-sheet/2',
	title: 'Exetasis model sheet, version 2',
	...z.toJSONSchema(sheetSchema, { io: 'input', unrepresentable: 'any' })
});
