// npm run schema: writes the JSON Schema of the model sheet, for editors and other programs, into docs/.
import { writeFileSync } from 'node:fs';
import { sheetJsonSchema } from '@exetasis/core/record';

writeFileSync(
	new URL('../docs/model-sheet.schema.json', import.meta.url),
	`${JSON.stringify(sheetJsonSchema(), null, '\t')}\n`
);
