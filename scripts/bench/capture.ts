// One reading saved by the bench log's service, against a bare INSERT + COMMIT on the same server, in one run.
import { performance } from 'node:perf_hooks';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { SignedIn } from '@exetasis/server/auth/auth';
import { append } from '@exetasis/server/benchLog/append';
import { database } from '@exetasis/server/db/connection';
import { benchOf } from '@exetasis/server/jobs/bench';
import { floorOf } from '@exetasis/server/jobs/floor';

const ROUNDS = 400;
const p95 = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)];
async function timed(work: () => Promise<unknown>): Promise<number> {
	const start = performance.now();
	await work();
	return performance.now() - start;
}

const db = database();
const user = (await db.models.user.findOne({
	where: { email: 'ines@harrow.example' },
	raw: true
})) as unknown as SignedIn;
const scope = { db, shopId: user.shopId };
const { id: job } = (await floorOf(scope)).jobs.find(({ model }) => model === 'Marram')!;
const bench = (await benchOf(scope, job))!;
const { part } = bench.cells.find(({ station, cylinder }) => station === 'plunger' && cylinder === 1)!;

const bare = new Client({ connectionString: process.env.DATABASE_URL });
await bare.connect();
await bare.query('CREATE TABLE bare (id uuid PRIMARY KEY, value double precision, at timestamptz)');

const saved: number[] = [];
const inserted: number[] = [];
for (let i = 0; i < ROUNDS; i++) {
	const payload = {
		characteristic: 'diameter',
		row: 0,
		column: 0,
		value: 17.98,
		typed: { text: '17.98', unit: 'mm' }
	};
	const entry = { id: uuidv7(), job, part, by: user.id, at: new Date().toISOString(), kind: 'reading', payload };
	saved.push(await timed(() => append(scope, user, job, [entry])));
	inserted.push(
		await timed(async () => {
			await bare.query('BEGIN');
			await bare.query('INSERT INTO bare VALUES ($1, $2, $3)', [uuidv7(), 17.98, new Date()]);
			await bare.query('COMMIT');
		})
	);
}
const [a, b] = [p95(saved), p95(inserted)];
console.log(
	`reading saved p95 ${a.toFixed(2)} ms, bare INSERT + COMMIT p95 ${b.toFixed(2)} ms: ratio ${(a / b).toFixed(2)} (budget 3)`
);
await bare.end();
await db.sequelize.close();
