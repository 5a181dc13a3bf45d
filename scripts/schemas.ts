// npm run schema: writes the JSON Schemas of the model sheet and of the job file, for editors and other programs, into docs/.
import { writeFileSync } from 'node:fs';
import { jobFileJsonSchema, sheetJsonSchema } from '@exetasis/core/record';

const schemas = { 'model-sheet': sheetJsonSchema(), 'job-file': jobFileJsonSchema() };
for (const [name, schema] of Object.entries(schemas))
	writeFileSync(new URL(`../docs/${name}.schema.json`, import.meta.url), `${JSON.stringify(schema, null, '\t')}\n`);
