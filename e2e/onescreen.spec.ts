import { readFileSync, readdirSync } from 'node:fs';
import { expect, test, type Page } from './test';
import { readSheet, pointsToRead, type ModelSheet } from '@exetasis/core/record';
import { firstCheck, startingNetwork, type Cause } from '@exetasis/core/trace';
import { partType } from '@exetasis/core/part';
import { openMat } from './job';
import { addToLog } from './log';
import { pageOf } from './people';
import { submit } from './submit';

const sheets = new URL('../demo/sheets/', import.meta.url);
const names = readdirSync(sheets).filter((name) => name.endsWith('.json'));
const sheetOf = (name: string): ModelSheet => {
	const read = readSheet(readFileSync(new URL(name, sheets), 'utf8'));
	if (read.kind !== 'sheet') throw new Error(`${name} is no sheet`);
	return read.sheet;
};

const caution = {
	when: 'both',
	hazard: 'spring',
	text: 'Hold it down with a block of wood while the last thread lets go: it jumps, and glasses are worn until it lies on the bench.'
} as const;

/** The sheet with a caution at every station, as a model of its own. */
const cautioned = (sheet: ModelSheet, model: string): ModelSheet => ({
	...sheet,
	model,
	revision: 1,
	stations: sheet.stations.map((station) => ({ ...station, cautions: [caution] }))
});

/** Five cylinders and thirty stations: as many as any pump has. */
function wide(sheet: ModelSheet, model: string): ModelSheet {
	const whole = cautioned(sheet, model);
	const last = whole.stations.filter(({ side, per }) => side === 'valves' && per === 'cylinder').slice(-4);
	const more = last.map((station, i) => ({
		...station,
		key: `${station.key}Second`,
		short: `2nd ${i + 1}`
	}));
	const both = (key: string) => (last.some((station) => station.key === key) ? [key, `${key}Second`] : [key]);
	return {
		...whole,
		cylinders: 5,
		crank: whole.crank && { ...whole.crank, phasesDeg: [0, 72, 144, 216, 288] },
		steps: whole.steps.map((step) => ({ ...step, stations: step.stations.flatMap(both) })),
		stations: [...whole.stations, ...more]
	};
}

/** Opens a case at every part of the first cylinder, and a second one at the first of them: what they ask for stands at the part. */
async function suspectAll(lead: Page, job: string, { stations }: ModelSheet): Promise<void> {
	await lead.goto(`/jobs/${job}/inspect`);
	const pump = /[0-9a-f-]{36}$/.exec(
		(await lead.getByRole('link', { name: /^E2E-/ }).first().getAttribute('href'))!
	)![0];
	const all = stations.flatMap(({ key, type, per }, i) =>
		partType(type)
			.patterns.slice(0, i === 0 ? 2 : 1)
			.map(({ pattern }) => ({ station: key, cylinder: per === 'pump' ? '0' : '1', pattern }))
	);
	// The cause that asks for most words.
	const asks = (cause: Cause) => firstCheck(startingNetwork, cause, { stations }, 1)?.name.length ?? 0;
	const { key: cause } = startingNetwork.causes.toSorted((a, b) => asks(b) - asks(a))[0];
	for (const at of all) {
		const hypothesis = 'It comes back at every rebuild.';
		expect(await submit(lead, `/trace/pumps/${pump}`, { ...at, cause, hypothesis })).toContain('/trace/cases/');
	}
}

/** Every pattern that the part has and a reading at every point of every size, for all parts of the mat; answers with the places to look at. */
async function record(page: Page, job: string, sheet: ModelSheet): Promise<string[]> {
	const laid = await addToLog(page, job, (parts) =>
		parts.flatMap(({ part, station: at }) => {
			const station = sheet.stations.find(({ key }) => key === at)!;
			const findings = partType(station.type).patterns.map(({ pattern }) => ({
				kind: 'finding',
				part,
				payload: { pattern, severity: 1, onset: 'service' }
			}));
			const readings = station.characteristics.flatMap((characteristic) => {
				const { rows, columns } = pointsToRead(characteristic);
				return rows.flatMap((_, row) =>
					columns.map((_, column) => {
						// The same number at every point within seconds would be asked about.
						const value = Number((characteristic.nominal + ((row + column) % 2) / 1000).toFixed(4));
						return {
							kind: 'reading',
							part,
							payload: {
								characteristic: characteristic.key,
								row,
								column,
								value,
								typed: { text: String(value), unit: characteristic.unit }
							}
						};
					})
				);
			});
			return [...findings, ...readings];
		})
	);
	const order = (key: string) => sheet.stations.findIndex((station) => station.key === key);
	// The first cylinder has the cases, so its parts have least room; of the widest mat the last cylinder is walked as well.
	return laid
		.filter(({ cylinder }) => cylinder <= 1 || (sheet.cylinders >= 5 && cylinder === sheet.cylinders))
		.toSorted((a, b) => order(a.station) - order(b.station) || a.cylinder - b.cylinder)
		.map(({ station, cylinder }) => `${station}/${cylinder}`);
}

/** What of the part in hand does not lie in the window, is covered, is too small, or has to be scrolled to. */
const outside = (page: Page) =>
	page.evaluate(() => {
		const faults: string[] = [];
		const region = (name: string) => document.querySelector<HTMLElement>(`[aria-label="${name}"]`)!;
		const within = (name: string, element: Element | null, least = { width: 0, height: 0 }) => {
			if (!element) return faults.push(`${name} is missing`);
			const box = element.getBoundingClientRect();
			if (box.width < least.width - 0.5 || box.height < least.height - 0.5)
				faults.push(`${name} is ${Math.round(box.width)}×${Math.round(box.height)}`);
			if (box.left < -0.5 || box.top < -0.5 || box.right > innerWidth + 0.5 || box.bottom > innerHeight + 0.5)
				return faults.push(`${name} lies outside, to ${Math.round(box.right)}, ${Math.round(box.bottom)}`);
			const top = document.elementFromPoint((box.left + box.right) / 2, (box.top + box.bottom) / 2);
			if (!top || !(element.contains(top) || top.contains(element)))
				faults.push(`${name} is covered by ${top?.tagName}`);
			const panel = element.closest('section');
			const edge = panel?.parentElement?.getBoundingClientRect();
			if (edge && box.bottom > edge.bottom + 0.5)
				faults.push(`${name} runs out of its panel by ${Math.round(box.bottom - edge.bottom)}`);
			return 0;
		};
		const touch = { width: 44, height: 44 };
		const cell = { width: 32, height: 32 };
		within('name', document.querySelector('h1'));
		within('caution', document.querySelector('.caution:not(.case)'));
		const suspected = document.querySelector('.case');
		if (suspected) {
			within('case', suspected, touch);
			within('check', document.querySelector('.check'), touch);
		}
		within('direction', document.querySelector('.direction'));
		// The pictures of a finding's grades stand only where they have room.
		const shown = Array.from(region('Look').querySelectorAll('button')).filter(
			(button) => button.getClientRects().length > 0
		);
		if (shown.length < 3) faults.push('Look is empty');
		for (const button of shown) within(`Look: ${button.textContent?.trim()}`, button, touch);
		const measure = region('Measure');
		if (measure.querySelector('input')) {
			within('reading', measure.querySelector('input'), touch);
			within('gauge', measure.querySelector('select[aria-label="Gauge"]'), touch);
			for (const place of Array.from(measure.querySelectorAll('table button')))
				within(`place ${place.getAttribute('aria-label')}`, place, cell);
		}
		for (const button of Array.from(measure.querySelectorAll('button:not(table button)')))
			within(`Measure: ${button.textContent}`, button, touch);
		const judge = region('Judge');
		within('verdict', judge.querySelector('.verdict'));
		for (const button of Array.from(judge.querySelectorAll('button')))
			within(`Judge: ${button.textContent?.trim()}`, button, touch);
		const reasons = judge.querySelectorAll('li');
		for (const reason of Array.from(reasons).slice(0, 3)) within(`reason ${reason.textContent}`, reason);
		if (reasons.length === 0) faults.push('no reason');
		if (judge.querySelector('svg')) within('limit strip', judge.querySelector('svg'));
		const mat = region('Mat');
		within('mat', mat);
		within('row in hand', mat.querySelector('[tabindex="0"][data-place]'), cell);
		within('column in hand', mat.querySelector('.in-hand, .current .fits'));
		for (const panel of Array.from(document.querySelectorAll('.panel'))) {
			if (panel.scrollHeight > panel.clientHeight + 1)
				faults.push(`a panel scrolls: ${panel.scrollHeight} in ${panel.clientHeight}`);
			if (panel.scrollWidth > panel.clientWidth + 1) faults.push('a panel scrolls sideways');
		}
		if (document.documentElement.scrollHeight > innerHeight || document.documentElement.scrollWidth > innerWidth)
			faults.push(`the page scrolls: ${document.documentElement.scrollWidth}×${document.documentElement.scrollHeight}`);
		return faults;
	});

/** Where not all columns have room, assemblies fold: opens them one by one until the place lies on the mat. */
async function unfold(page: Page, place: string): Promise<void> {
	const cell = page.locator(`[data-place="${place}"]`);
	const row = page
		.getByRole('region', { name: 'Mat' })
		.getByRole('row')
		.filter({ has: page.locator('.folded') });
	for (let i = 0; (await cell.count()) === 0; i++) {
		const folded = row.first().getByRole('button', { name: /not inspected$/ });
		await folded.nth(i % (await folded.count())).click();
		expect(i, `${place} is on no part of the mat`).toBeLessThan(40);
	}
}

async function walkAll(page: Page, sheet: ModelSheet, places: readonly string[]): Promise<string[]> {
	const faults: string[] = [];
	for (const place of places) {
		await unfold(page, place);
		await page.evaluate((to) => document.querySelector<HTMLElement>(`[data-place="${to}"]`)!.click(), place);
		const [key, cylinder] = place.split('/');
		const { name } = sheet.stations.find((station) => station.key === key)!;
		await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
		faults.push(...(await outside(page)).map((fault) => `${sheet.model} ${key}/${cylinder}: ${fault}`));
	}
	return faults;
}

const sized = (name: string) => {
	const sheet = sheetOf(name);
	return cautioned(sheet, `${sheet.model} one screen`);
};
for (const sheet of [...names.map(sized), wide(sheetOf('marram.json'), 'Marram wide')]) {
	test(`every part of ${sheet.model} stands whole in a window of 1280×800`, async ({ browser }) => {
		test.setTimeout(300_000);
		const lead = await pageOf(browser, 'lead');
		await submit(lead, '/sheets', { text: JSON.stringify(sheet) });
		const page = await pageOf(browser, 'technician');
		const { job } = await openMat(page, sheet.scopes.at(-1)!.key, { model: sheet.model });
		const places = await record(page, job, sheet);
		await suspectAll(lead, job, sheet);
		await page.reload();
		const unseen = page
			.getByRole('region', { name: 'Mat' })
			.getByRole('button', { name: /; not inspected|: [1-9]\d* of/ });
		await expect(unseen).toHaveCount(0);
		expect(await walkAll(page, sheet, places)).toEqual([]);
	});
}
