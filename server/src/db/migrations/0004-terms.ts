/** Tables and statements by the terms of the trade: an inspection, a prior weight, a background rate, a renewal policy. */
export const name = '0004-terms';

const renamed = [
	['policy', 'settings', 'school', 'renewalPolicy'],
	['job', 'rested_on', 'school', 'renewalPolicy'],
	['job', 'rested_on', 'worth', 'priorWeight'],
	['fleet_fit', 'knowledge', 'worth', 'priorWeight'],
	['model_sheet', 'body', 'worth', 'priorWeight'],
	['sheet_draft', 'body', 'worth', 'priorWeight'],
	['cause_network', 'body', 'worth', 'priorWeight'],
	['cause_network', 'body', 'leak', 'backgroundRate']
] as const;

// A quote within a text is escaped, so that only a key can stand between two quotes before a colon.
const rename = ([table, column, from, to]: (typeof renamed)[number]): string =>
	`UPDATE ${table} SET ${column} = replace(${column}::text, '"${from}":', '"${to}":')::jsonb
	WHERE ${column}::text LIKE '%"${from}":%';`;

export const sql = `
ALTER TABLE look RENAME TO inspection;
ALTER TABLE counted_look RENAME TO counted_inspection;
ALTER VIEW standing_look RENAME TO standing_inspection;
ALTER INDEX log_looks RENAME TO log_inspections;
ALTER INDEX look_of_job RENAME TO inspection_of_job;
ALTER INDEX look_of_part RENAME TO inspection_of_part;
ALTER INDEX counted_look_of_pump RENAME TO counted_inspection_of_pump;
COMMENT ON TABLE inspection IS 'one row per finding; pattern NULL: inspected, nothing found';
${renamed.map(rename).join('\n')}
`;
