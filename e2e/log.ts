import { expect, type Page } from '@playwright/test';
import { Client } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { accounts } from './people';

/** A part of a job's mat that its scope opens, at its place. */
export interface Laid {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
}

/** Adds entries to a job's log in the technician's name, as the shop's tablets send them. Every one has to be taken. */
export async function addToLog(
	page: Page,
	job: string,
	make: (laid: readonly Laid[]) => readonly { kind: string; part?: string; payload: object }[]
): Promise<readonly Laid[]> {
	const database = new Client({ connectionString: process.env.DATABASE_URL });
	await database.connect();
	const laid = await database.query<Laid>(
		`SELECT c.part_id AS part, c.station, c.cylinder FROM mat_cell c JOIN job j ON j.id = c.job_id
			JOIN model_sheet m ON m.id = j.model_sheet_id, jsonb_array_elements(m.body->'stations') s
		WHERE j.id = $1 AND s->>'key' = c.station AND s->'scopes' ? j.scope`,
		[job]
	);
	const person = await database.query<{ id: string }>('SELECT id FROM "user" WHERE email = $1', [accounts.technician]);
	await database.end();
	const by = person.rows[0].id;
	const at = new Date().toISOString();
	const entries = make(laid.rows).map((entry, seq) => ({ id: uuidv7(), job, by, at, seq: seq + 1, ...entry }));
	for (let from = 0; from < entries.length; from += 2000) {
		const answer = await page.request.post(`/jobs/${job}/entries`, {
			headers: { origin: new URL(page.url()).origin },
			data: { by, entries: entries.slice(from, from + 2000) }
		});
		const { answers } = (await answer.json()) as { answers: { result: string }[] };
		expect(answers.filter(({ result }) => result !== 'accepted').slice(0, 3)).toEqual([]);
	}
	return laid.rows;
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
