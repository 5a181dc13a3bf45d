import { expect, type Page } from '@playwright/test';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import type { ModelSheet, Opening } from '@exetasis/core/record';
import { accountOf, accounts } from './people';
import { ownRequest } from './submit';

/** A part of a job's mat that its scope opens, at its place. */
export interface Laid {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
}

/** What the database answers to a question that no page answers. */
async function rows<Row extends object>(question: string, values: unknown[]): Promise<Row[]> {
	const database = new Client({ connectionString: process.env.DATABASE_URL });
	await database.connect();
	try {
		return (await database.query<Row>(question, values)).rows;
	} finally {
		await database.end();
	}
}

/** A scope of a model, on its newest sheet: the evidence that it opens on, and how many cylinders the pump has. */
export async function scopeOf(model: string, scope: string): Promise<{ opensOn?: string[]; cylinders: number }> {
	const [{ body }] = await rows<{ body: ModelSheet }>(
		'SELECT body FROM model_sheet WHERE model = $1 ORDER BY revision DESC LIMIT 1',
		[model]
	);
	const opensOn = body.scopes.find(({ key }) => key === scope)?.opensOn;
	return { cylinders: body.cylinders, ...(opensOn ? { opensOn: [...opensOn] } : {}) };
}

/** How far a job opens its pump, and the sheet that it follows. */
export async function openingOf(job: string): Promise<Opening & { sheet: ModelSheet }> {
	const [opening] = await rows<Opening & { sheet: ModelSheet }>(
		`SELECT m.body AS sheet, j.scope, j.variants, j.arrival FROM job j JOIN model_sheet m ON m.id = j.model_sheet_id
		WHERE j.id = $1`,
		[job]
	);
	return opening;
}

/** Adds entries to a job's log in the name of the page's person, as the shop's tablets send them. Every one has to be taken. */
export async function addToLog(
	page: Page,
	job: string,
	make: (laid: readonly Laid[]) => readonly { kind: string; part?: string; payload: object }[]
): Promise<readonly Laid[]> {
	const laid = await rows<Laid>(
		`SELECT c.part_id AS part, c.station, c.cylinder FROM mat_cell c JOIN job j ON j.id = c.job_id
			JOIN model_sheet m ON m.id = j.model_sheet_id, jsonb_array_elements(m.body->'stations') s
		WHERE j.id = $1 AND s->>'key' = c.station AND s->'scopes' ? j.scope`,
		[job]
	);
	const [{ id: by }] = await rows<{ id: string }>('SELECT id FROM "user" WHERE email = $1', [
		accounts[accountOf(page)]
	]);
	const at = new Date().toISOString();
	const entries = make(laid).map((entry, seq) => ({ id: uuidv7(), job, by, at, seq: seq + 1, ...entry }));
	for (let from = 0; from < entries.length; from += 2000) {
		const answer = await page.request.post(`/jobs/${job}/entries`, {
			headers: ownRequest(),
			data: { by, entries: entries.slice(from, from + 2000) }
		});
		const { answers } = (await answer.json()) as { answers: { result: string }[] };
		expect(answers.filter(({ result }) => result !== 'accepted').slice(0, 3)).toEqual([]);
	}
	return laid;
}

/** Every part of a job's mat is decided to be renewed. */
export const renewAll = (page: Page, job: string) =>
	addToLog(page, job, (laid) =>
		laid.map(({ part }) => ({
			kind: 'decision',
			part,
			payload: { verdict: 'replace', proposed: 'open', why: 'Renewed for the test' }
		}))
	);
