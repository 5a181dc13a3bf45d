// Pages over many rebuilds: what each takes, and what its statements alone take. The rebuilds are written straight into an
// empty database. Usage: tsx scripts/bench/volume.ts REBUILDS
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { v7 as uuidv7 } from 'uuid';
import { placesOf } from '@exetasis/core/mat';
import type { ModelSheet } from '@exetasis/core/record';
import { connect } from '@exetasis/server/db/connection';
import { migrate } from '@exetasis/server/db/migrate';
import { benchOf } from '@exetasis/server/jobs/bench';
import { floorOf } from '@exetasis/server/jobs/floor';
import { pumpHistory, pumpsOf } from '@exetasis/server/pumps';
import { addSheet } from '@exetasis/server/sheets';
import { beliefsOfPump } from '@exetasis/server/trace/beliefs';
import { traceOfShop } from '@exetasis/server/trace/ofShop';
import { traceOf } from '@exetasis/server/trace/onePump';

const REBUILDS_A_PUMP = 20;
const RUNS = 20;
const MOST_OPEN = 12;

const rebuilds = Number(process.argv[2]);
const pumps = Math.max(1, Math.round(rebuilds / REBUILDS_A_PUMP));
const db = connect();
await migrate(db.sequelize);
const shopId = uuidv7();
const scope = { db, shopId };
await db.models.shop.create({ id: shopId, name: 'Volume', currency: 'EUR', demo: false });
const now = new Date();
await db.models.user.create({
	id: 'writer',
	shopId,
	name: 'Writer',
	email: 'writer@volume.example',
	emailVerified: true,
	image: null,
	active: true,
	firstPassword: false,
	role: 'technician',
	preferences: {},
	createdAt: now,
	updatedAt: now
});
const text = readFileSync(new URL('../../demo/sheets/marram.json', import.meta.url), 'utf8');
const added = await addSheet(scope, text);
if (added.kind !== 'added') throw new Error(added.kind);
const places = placesOf(JSON.parse(text) as ModelSheet);

// Every second rebuild renews every place; each looks at 60 parts and reads 39 of them five times.
const began = performance.now();
const bind = [shopId, pumps, REBUILDS_A_PUMP, added.id, JSON.stringify(places), MOST_OPEN];
const id = (...parts: string[]) => `md5(concat_ws('/', ${parts.join(', ')}))::uuid`;
const place = `(SELECT (p.ordinality - 1)::int AS n, x->>'station' AS station, x->>'type' AS type, (x->>'cylinder')::int AS cylinder
	FROM jsonb_array_elements($5::jsonb) WITH ORDINALITY AS p(x, ordinality)) s`;
const statements = [
	`INSERT INTO pump (id, shop_id, serial, model) SELECT ${id("'p'", 'i')}, $1::uuid, 'VOL-' || lpad(i::text, 6, '0'), 'Marram'
		FROM generate_series(1, $2::int) i`,
	`INSERT INTO job (id, shop_id, pump_id, model_sheet_id, scope, complaint, meter_hours, pump_hours, received_at, received_by, released_at, released_by)
		SELECT ${id("'j'", 'i', 'k')}, $1::uuid, ${id("'p'", 'i')}, $4::uuid, 'full', 'planned', k * 1000, k * 1000,
			now() - ($3::int - k) * interval '60 days' - i * interval '1 minute', 'writer',
			CASE WHEN k = $3::int AND i <= $6::int THEN NULL ELSE now() - ($3::int - k) * interval '60 days' END,
			CASE WHEN k = $3::int AND i <= $6::int THEN NULL ELSE 'writer' END
		FROM generate_series(1, $2::int) i, generate_series(1, $3::int) k`,
	`INSERT INTO part (id, shop_id, type) SELECT ${id("'a'", 'i', 's.n', 'g')}, $1::uuid, s.type
		FROM generate_series(1, $2::int) i, generate_series(0, $3::int / 2 - 1) g, ${place}`,
	`INSERT INTO part_life (id, shop_id, part_id, pump_id, station, cylinder, fitted_job_id, fitted_hours, removed_job_id, removed_hours, end_reason)
		SELECT ${id("'l'", 'i', 's.n', 'g')}, $1::uuid, ${id("'a'", 'i', 's.n', 'g')}, ${id("'p'", 'i')}, s.station, s.cylinder,
			CASE WHEN g > 0 THEN ${id("'j'", 'i', '2 * g')} END, CASE WHEN g > 0 THEN 2000 * g END,
			CASE WHEN g < $3::int / 2 - 1 THEN ${id("'j'", 'i', '2 * g + 2')} END, CASE WHEN g < $3::int / 2 - 1 THEN 2000 * g + 2000 END,
			CASE WHEN g < $3::int / 2 - 1 THEN 'worn' END
		FROM generate_series(1, $2::int) i, generate_series(0, $3::int / 2 - 1) g, ${place}`,
	`INSERT INTO mat_cell (shop_id, job_id, part_id, station, cylinder)
		SELECT $1::uuid, ${id("'j'", 'i', 'k')}, ${id("'a'", 'i', 's.n', '(k - 1) / 2')}, s.station, s.cylinder
		FROM generate_series(1, $2::int) i, generate_series(1, $3::int) k, ${place}`,
	`INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at)
		SELECT ${id("'k'", 'i', 'k', 's.n')}, $1::uuid, ${id("'j'", 'i', 'k')}, ${id("'a'", 'i', 's.n', '(k - 1) / 2')},
			CASE WHEN (i + k + s.n) % 7 = 0 THEN 'finding' ELSE 'clean' END,
			CASE WHEN (i + k + s.n) % 7 = 0 THEN '{"pattern":"crack","severity":1,"onset":"service"}' ELSE '{}' END::jsonb, 'writer', now()
		FROM generate_series(1, $2::int) i, generate_series(1, $3::int) k, ${place} WHERE s.n < 60`,
	`INSERT INTO look (entry_id, shop_id, job_id, part_id, pattern, severity, onset, at)
		SELECT id, shop_id, job_id, part_id, payload->>'pattern', (payload->>'severity')::smallint, payload->>'onset', at FROM log_entry
		WHERE shop_id = $1 AND kind IN ('finding', 'clean')`,
	`INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at)
		SELECT ${id("'r'", 'i', 'k', 's.n', 'm')}, $1::uuid, ${id("'j'", 'i', 'k')}, ${id("'a'", 'i', 's.n', '(k - 1) / 2')}, 'reading',
			jsonb_build_object('characteristic', 'diameter', 'row', m / 2, 'column', m % 2, 'value', 17.98, 'typed', '{"text":"17.98","unit":"mm"}'::jsonb),
			'writer', now()
		FROM generate_series(1, $2::int) i, generate_series(1, $3::int) k, generate_series(0, 4) m, ${place} WHERE s.n < 39`,
	`INSERT INTO reading (entry_id, shop_id, job_id, part_id, characteristic, grid_row, grid_column, value)
		SELECT id, shop_id, job_id, part_id, payload->>'characteristic', (payload->>'row')::smallint, (payload->>'column')::smallint,
			(payload->>'value')::double precision FROM log_entry WHERE shop_id = $1 AND kind = 'reading'`
];
await db.sequelize.transaction(async (transaction) => {
	// The rows are consistent by how they are made; checking each key again would take longer than making it.
	await db.sequelize.query('SET LOCAL session_replication_role = replica', { transaction });
	for (const statement of statements) {
		const used = bind.slice(0, Math.max(...[...statement.matchAll(/\$(\d)/g)].map(([, n]) => Number(n))));
		// Every value is named once, since PostgreSQL wants to know the type of each.
		const types = ['uuid', 'int', 'int', 'uuid', 'jsonb', 'int'];
		const known = `WITH known AS (SELECT ${used.map((_, i) => `$${i + 1}::${types[i]}`).join(', ')}) `;
		await db.sequelize.query(statement.replace(/^\s*INSERT/, `${known}INSERT`), { bind: used, transaction });
	}
});
await db.sequelize.query('ANALYZE');
const made = `${((performance.now() - began) / 1000).toFixed(0)} s to make`;

let inSql = 0;
// Set after the fact: while the rows were made nothing was to be counted.
const { options } = db.sequelize as unknown as { options: object };
Object.assign(options, { benchmark: true, logging: (_: string, ms?: number) => (inSql += ms ?? 0) });
const p95 = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)];

const { jobs } = await floorOf(scope);
const open = jobs[0];
const pages: readonly [string, () => Promise<unknown>][] = [
	['Floor', () => floorOf(scope)],
	['Pumps', () => pumpsOf(scope)],
	['one pump', () => pumpHistory(scope, open.pumpId)],
	['Bench', () => benchOf(scope, open.id)],
	['Trace of the shop', () => traceOfShop(scope)],
	['Trace of one pump', () => traceOf(scope, open.pumpId)],
	['its causes', () => beliefsOfPump(scope, { id: open.pumpId, model: 'Marram' })]
];
console.log(`\n${rebuilds} rebuilds (${made}), p95 of ${RUNS}:`);
for (const [name, page] of pages) {
	const whole: number[] = [];
	const sql: number[] = [];
	// The first one counts what the others find counted.
	const cold = performance.now();
	await page();
	const first = performance.now() - cold;
	for (let run = 0; run < RUNS; run++) {
		inSql = 0;
		const started = performance.now();
		await page();
		whole.push(performance.now() - started);
		sql.push(inSql);
	}
	const ratio = p95(whole) / Math.max(1, p95(sql));
	console.log(
		`  ${name.padEnd(9)} ${p95(whole).toFixed(0).padStart(5)} ms, its statements ${p95(sql).toFixed(0).padStart(5)} ms: ${ratio.toFixed(1)} ×  (at most 2); the first ${first.toFixed(0)} ms`
	);
}
await db.sequelize.close();
