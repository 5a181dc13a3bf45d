import type { EntryKind } from '@exetasis/core/record';

/** One table that the log is projected into, for queries: which kinds go there, and what of them. */
interface Projection {
	readonly table: string;
	readonly kinds: readonly EntryKind[];
	/** Column → expression over a row of the log. */
	readonly columns: Readonly<Record<string, string>>;
}

const common = { entry_id: 'id', shop_id: 'shop_id', job_id: 'job_id', part_id: 'part_id' };
const at = 'coalesce(effective_at, at)';

/** The one place that says which kind of entry stands in which table. */
export const projections: readonly Projection[] = [
	{
		table: 'inspection',
		kinds: ['finding', 'clean'],
		columns: {
			...common,
			pattern: `payload->>'pattern'`,
			severity: `(payload->>'severity')::smallint`,
			onset: `payload->>'onset'`,
			at
		}
	},
	{
		table: 'reading',
		kinds: ['reading'],
		columns: {
			...common,
			characteristic: `payload->>'characteristic'`,
			// Called station and angle in entries of earlier versions.
			grid_row: `coalesce(payload->>'row', payload->>'station')::smallint`,
			grid_column: `coalesce(payload->>'column', payload->>'angle')::smallint`,
			value: `(payload->>'value')::double precision`,
			gauge_id: `(payload->>'gauge')::uuid`,
			part_c: `(payload->>'partC')::double precision`,
			gauge_c: `(payload->>'gaugeC')::double precision`
		}
	},
	{
		table: 'decision',
		kinds: ['decision'],
		columns: {
			...common,
			verdict: `payload->>'verdict'`,
			proposed: `payload->>'proposed'`,
			why: `payload->>'why'`,
			at
		}
	}
];

/** The statement that projects rows of the log, taken from `source`, into a table; rows that are there already stay. */
export const insertInto = ({ table, kinds, columns }: Projection, source: string): string => `
	INSERT INTO ${table} (${Object.keys(columns).join(', ')})
	SELECT ${Object.values(columns).join(', ')} FROM ${source}
	WHERE kind IN (${kinds.map((kind) => `'${kind}'`).join(', ')})`;
