// The report of a job that went through the server, as it is printed.
import { afterAll, beforeAll, expect, it } from 'vitest';
import { metric } from '@exetasis/core/quantity';
import { append } from '@exetasis/server/benchLog/append';
import type { Database } from '@exetasis/server/db/connection';
import { benchOf } from '@exetasis/server/jobs/bench';
import { pdfOf } from '@exetasis/server/pdf';
import { shopOf } from '@exetasis/server/shops';
import {
	decideAll,
	entryOf,
	freshDatabase,
	letGo,
	makeShop,
	openJob,
	partAt,
	type TestShop
} from '@exetasis/server/testing';
import { reportOf } from './report';
import { sizeList } from './sizeList';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Report <&>');
});
afterAll(() => drop());

async function released() {
	const { technician } = shop.people;
	const bench = await openJob(shop);
	const add = (kind: Parameters<typeof entryOf>[2], payload: object, part?: string) =>
		entryOf(bench, technician, kind, payload, part);
	const plunger = partAt(bench, 'plunger', 2);
	const typed = { text: '17.9', unit: 'mm' };
	const answers = await append(shop.scope, technician, bench.job.id, [
		...decideAll(bench, technician, 'reuse'),
		add('finding', { pattern: 'axialScoring', severity: 2, onset: 'service' }, plunger),
		add('reading', { characteristic: 'diameter', row: 0, column: 0, value: 17.9, typed }, plunger),
		add('decision', { verdict: 'replace', proposed: 'reuse', why: 'Scored where the seal runs' }, plunger)
	]);
	expect(answers!.filter(({ result }) => result === 'refused')).toEqual([]);
	await letGo(shop, bench.job.id);
	return (await benchOf(shop.scope, bench.job.id))!;
}

const reported = async () => reportOf(await released(), await shopOf(shop.scope), metric) as { content: unknown[] };

it('says what was replaced and why, what was measured with its uncertainty, and what nobody tested', async () => {
	const { content } = await reported();
	const text = JSON.stringify(content);
	for (const says of [
		'Replaced: 1',
		'Ceramic plunger, cylinder 2',
		'axial scoring',
		'Scored where the seal runs',
		'17.9',
		'shop caliper, assumed',
		'No torque is on record.',
		'Not what this test is about',
		'It has not been held under pressure.'
	])
		expect(text).toContain(says);
	const { svg } = content.find((one) => typeof one === 'object' && one !== null && 'svg' in one) as { svg: string };
	expect(svg.match(/>N</g)).toHaveLength(1);
	expect(svg).toContain('V-pack');
});

it('says where the pump goes, and what is likely to pass its limit until it is due', async () => {
	const text = JSON.stringify((await reported()).content);
	expect(text).toContain('It went on the shelf');
	expect(text).toMatch(/Until then some part passes a limit with [\d<>. %\u202f\u00a0]+, and the pump stops unplanned/);
	expect(text).toContain('Most likely to pass a limit');
});

it('lists every size with what it rests on, and every reading as it was typed', async () => {
	const bench = await released();
	const { sizes, readings } = sizeList(bench);
	const named = (rows: readonly (readonly unknown[])[]) =>
		rows.slice(1).map((row) => Object.fromEntries(rows[0].map((head, i) => [head as string, row[i]])));
	expect(named(sizes)).toEqual([
		expect.objectContaining({
			...{ Part: 'Ceramic plunger', Cylinder: 2, Size: 'Diameter', Unit: 'mm', Value: 17.9, Readings: 1 },
			...{ Nominal: 18, Gauge: 'shop caliper, assumed', Decided: 'Replace' }
		})
	]);
	expect(sizes[1][5]).toBeGreaterThan(0.01);
	expect(named(readings)).toEqual([
		expect.objectContaining({ Value: 17.9, 'As typed': '17.9 mm', Row: expect.any(String), Gauge: null })
	]);
});

it('prints, whatever signs its texts hold', async () => {
	const report = await reported();
	const pdf = Buffer.from(await pdfOf(report)).toString('latin1');
	expect(pdf.startsWith('%PDF-1.')).toBe(true);
	expect(pdf.match(/\/Type \/Page\b/g)!.length).toBeGreaterThanOrEqual(1);
	expect(
		(await pdfOf({ defaultStyle: { font: 'Helvetica' }, content: ['−3 ≤ x → \u202f漢 ✓'] })).length
	).toBeGreaterThan(500);
});
