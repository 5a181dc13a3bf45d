// The reports of a job that went through the server, as they are printed.
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import sharp from 'sharp';
import { createHash } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from '@exetasis/server/benchLog/append';
import type { Database } from '@exetasis/server/db/connection';
import { benchOf } from '@exetasis/server/jobs/bench';
import { keepCustomer } from '@exetasis/server/jobs/customer';
import { letterheadOf, setLetterhead } from '@exetasis/server/letterhead';
import { pdfOf, type PdfDocument } from '@exetasis/server/pdf';
import { keepPhoto, photoOf } from '@exetasis/server/photos/photos';
import { shopOf } from '@exetasis/server/shops';
import {
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	type TestShop
} from '@exetasis/server/testing';
import { customerReport, photosToShow } from './customerReport';
import { reported } from './reportParts';
import { shopReport } from './shopReport';
import { sizeList } from './sizeList';
import { defaultFormat } from '$lib/format/numbers';

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
	const picture = await sharp({ create: { width: 64, height: 48, channels: 3, background: '#5a7' } })
		.jpeg()
		.toBuffer();
	const sha256 = createHash('sha256').update(picture).digest('hex');
	await keepPhoto(shop.scope, technician.id, bench.job.id, sha256, picture);
	const answers = await append(shop.scope, technician, bench.job.id, [
		...decideAll(bench, technician, 'reuse'),
		add('finding', { pattern: 'axialScoring', severity: 2, onset: 'service' }, plunger),
		add('photo', { sha256, width: 64, height: 48 }, plunger),
		add('reading', { characteristic: 'diameter', row: 0, column: 0, value: 17.9, typed }, plunger),
		add('decision', { verdict: 'replace', proposed: 'reuse', why: 'Scored where the seal runs' }, plunger),
		...[1, 2, 3].map((cylinder) =>
			add('decision', { verdict: 'replace', proposed: 'replace' }, partAt(bench, 'packing', cylinder))
		)
	]);
	expect(answers!.filter(({ result }) => result === 'refused')).toEqual([]);
	const customer = {
		name: 'Net barge Kestrel',
		orderNumber: 'K-118',
		promisedOn: '2026-03-01',
		cause: 'Sand in the inlet water',
		advice: 'Clean the inlet strainer every week.'
	};
	expect(await keepCustomer(shop.scope, technician, bench.job.id, customer)).toBe('kept');
	await releaseDespite(shop, bench.job.id);
	expect(await keepCustomer(shop.scope, technician, bench.job.id, { cause: 'Another' })).toBe('leadOnly');
	return (await benchOf(shop.scope, bench.job.id))!;
}

const forShop = async () => shopReport(reported(await released(), defaultFormat), await shopOf(shop.scope), []);
async function forCustomer(bench?: Awaited<ReturnType<typeof released>>) {
	const job = reported(bench ?? (await released()), defaultFormat);
	const photos = await Promise.all(
		photosToShow(job.bench).map(async ({ says, sha256 }) => ({
			says,
			jpeg: `data:image/jpeg;base64,${(await photoOf(shop.scope, job.bench.job.id, sha256))!.toString('base64')}`
		}))
	);
	return customerReport(job, await shopOf(shop.scope), await letterheadOf(shop.scope), photos);
}

/** The texts of each page with where they stand, as a reader of PDF finds them. */
async function pagesOf(report: PdfDocument) {
	const pdf = await getDocument({ data: await pdfOf(report), useSystemFonts: false }).promise;
	const pages = [];
	for (let i = 1; i <= pdf.numPages; i++) {
		const page = await pdf.getPage(i);
		const [, , width, height] = page.view;
		const { items } = await page.getTextContent();
		const texts = items.flatMap((item) =>
			'str' in item && item.str.trim() !== ''
				? [{ text: item.str, x: item.transform[4] as number, y: item.transform[5] as number, width: item.width }]
				: []
		);
		pages.push({ width, height, texts });
	}
	await pdf.destroy();
	return pages;
}

describe('the report for the shop', () => {
	it('says what was replaced and why, what was measured with its uncertainty, and what was not tested', async () => {
		const { content } = await forShop();
		const text = JSON.stringify(content);
		for (const says of [
			'Replaced: 4',
			'Ceramic plunger, cylinder 2: axial scoring',
			'V-packings (pair), cylinders 1 to 3',
			'Scored where the seal runs',
			'17.9',
			'shop caliper, assumed',
			'No torque is recorded.',
			'Not what this test is about',
			'The hold test has not been done.',
			'Net barge Kestrel, order K-118',
			'promised 1 Mar 2026'
		])
			expect(text).toContain(says);
		const { svg } = content.find((block) => typeof block === 'object' && block !== null && 'svg' in block) as {
			svg: string;
		};
		expect(svg.match(/>N</g)).toHaveLength(4);
		expect(svg).toContain('V-pack');
	});
	it('says where the pump goes, and what is likely to pass its limit until it is due', async () => {
		const text = JSON.stringify((await forShop()).content);
		expect(text).toContain('Put in stock');
		expect(text).toMatch(/Chance before then: [\d<>. %\u202f\u00a0]+ that a part passes/);
		expect(text).toContain('Passes a limit or is damaged');
	});
	it('says no sentence twice', async () => {
		const pages = await pagesOf(await forShop());
		const sentences = pages.flatMap(({ texts }) => texts.map(({ text }) => text)).filter((text) => text.length > 40);
		expect(sentences.filter((text, i) => !text.includes('page') && sentences.indexOf(text) !== i)).toEqual([]);
	});
});

describe('the report for the customer', () => {
	it('says what was found, done and advised, with photographs, and none of our probabilities', async () => {
		const { content } = await forCustomer();
		const text = JSON.stringify(content);
		for (const says of [
			'Net barge Kestrel',
			'K-118',
			'axial scoring',
			'Ceramic plunger, cylinder 2: axial scoring',
			'data:image/jpeg;base64,',
			'New: V-packings (pair), cylinders 1 to 3; ceramic plunger, cylinder 2.',
			'Sand in the inlet water',
			'Clean the inlet strainer every week.',
			'For the customer: name, date'
		])
			expect(text).toContain(says);
		expect(text.replaceAll(/data:image[^"]*/g, '')).not.toMatch(/\d\s?%/);
	});
	it('says that the cause was not established if none was typed', async () => {
		const bench = await released();
		const nothing = { ...bench, job: { ...bench.job, customer: {} } };
		expect(JSON.stringify((await forCustomer(nothing)).content)).toContain('The cause was not established.');
	});
	it('carries the letterhead of the shop', async () => {
		const logo = await sharp({ create: { width: 1600, height: 400, channels: 3, background: '#246' } })
			.png()
			.toBuffer();
		expect(await setLetterhead(shop.scope, 'Quay 4, Harrow Sound', logo)).toBe('kept');
		expect(await sharp((await letterheadOf(shop.scope)).logo!).metadata()).toMatchObject({ format: 'png', width: 600 });
		const { content } = await forCustomer();
		expect(JSON.stringify(content)).toContain('Quay 4, Harrow Sound');
		expect(JSON.stringify(content)).toContain('data:image/png;base64,');
		expect(await setLetterhead(shop.scope, 'Quay 5')).toBe('kept');
		expect((await letterheadOf(shop.scope)).logo).not.toBeNull();
		expect(await setLetterhead(shop.scope, 'Quay 5', Buffer.from('<svg/>'))).toBe('notAPicture');
		expect(await setLetterhead(shop.scope, 'Quay 5', new Uint8Array(2_000_001))).toBe('tooHeavy');
		expect(await letterheadOf(shop.scope)).toMatchObject({ address: 'Quay 5' });
		expect(await setLetterhead(shop.scope, '', null)).toBe('kept');
		expect(await letterheadOf(shop.scope)).toEqual({ address: '', logo: null });
	});
});

it('sets both on A4 pages in the shipped typeface, with every text inside the page', async () => {
	for (const report of [await forShop(), await forCustomer()]) {
		const bytes = Buffer.from(await pdfOf(report)).toString('latin1');
		expect(bytes).toMatch(/\/FontName \/[A-Z]+\+Inter/);
		expect(bytes).not.toContain('/Helvetica');
		const pages = await pagesOf(report);
		for (const { width, height, texts } of pages) {
			expect([Math.round(width), Math.round(height)]).toEqual([595, 842]);
			for (const { text, x, y, width: wide } of texts) {
				expect(x, text).toBeGreaterThanOrEqual(36);
				expect(x + wide, text).toBeLessThanOrEqual(595 - 30);
				expect(y, text).toBeGreaterThan(10);
			}
			expect(texts.some(({ text }) => text.includes('page'))).toBe(true);
		}
	}
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
	const [{ texts }] = await pagesOf({
		pageSize: 'A4',
		pageMargins: 40,
		defaultStyle: { fontSize: 10 },
		content: ['−3≤x→✓°Łódź·Ξ漢']
	});
	expect(texts.map(({ text }) => text).join('')).toBe('−3≤x→✓°Łódź·Ξ?');
});
