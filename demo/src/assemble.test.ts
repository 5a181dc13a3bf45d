// What the demo's technician does in putting a pump together is what the application takes, step by step, on every sheet.
import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import {
	allSteps,
	checkEntry,
	entrySchema,
	fold,
	firstUnbuilt,
	readSheet,
	stationsInScope,
	together,
	type Entry,
	type ModelSheet
} from '@exetasis/core/record';
import { assemble } from './assemble';
import { stateOf } from '../../core/src/record/testing';

const folder = new URL('../sheets/', import.meta.url);
const sheets = readdirSync(folder).map(
	(name) => (readSheet(readFileSync(new URL(name, folder), 'utf8')) as { sheet: ModelSheet }).sheet
);
const jobs = sheets.flatMap((sheet) => sheet.scopes.map(({ key }) => [sheet.model, key, sheet] as const));

it.each(jobs)('%s, %s', (_, scope, sheet) => {
	let count = 0;
	const uuid = () => `0197f000-0000-7000-8000-${String(++count).padStart(12, '0')}`;
	const job = uuid();
	const stamp = () => ({
		id: uuid(),
		job,
		by: 'ines',
		at: new Date(Date.UTC(2026, 0, 5) + 1000 * count).toISOString()
	});
	const cells = stationsInScope(sheet, { scope }).flatMap(({ key: station, per }) =>
		(per === 'pump' ? [0] : Array.from({ length: sheet.cylinders }, (_, i) => i + 1)).map((cylinder) => ({
			station,
			cylinder,
			part: uuid()
		}))
	);
	const log: Entry[] = cells.map(({ part }, i) =>
		entrySchema.parse({
			...stamp(),
			kind: 'decision',
			part,
			payload: i % 3 === 0 ? { verdict: 'replace', proposed: 'replace' } : { verdict: 'reuse', proposed: 'reuse' }
		})
	);
	const build = () => together(sheet, { scope }, cells, fold(log));
	const opened = allSteps(sheet, { scope }).filter(({ stage }) => stage !== 'build' && stage !== 'prove');
	for (const entry of assemble(build(), sheet, { scope }, stamp)) {
		const problem = checkEntry(entry, {
			sheet,
			scope,
			stationOfPart: new Map(cells.map(({ part, station }) => [part, station])),
			log: () => stateOf({ steps: opened.map(({ key }) => key), besides: fold(log) }),
			holdOrder: true,
			together: build
		});
		expect(problem, JSON.stringify(entry)).toBeUndefined();
		log.push(entry);
	}
	expect(firstUnbuilt(build(), fold(log).answers)).toBeUndefined();
});
