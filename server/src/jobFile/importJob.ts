import { v7 as uuidv7 } from 'uuid';
import { judgeMat } from '@exetasis/core/mat';
import { PreconditionError } from '@exetasis/core/number';
import {
	arrivalFactsSchema,
	chosenProblem,
	fold,
	readJobFile,
	scopeOf,
	wrongCylinder,
	type ArrivalFacts,
	type JobFile
} from '@exetasis/core/record';
import { projectWithdrawn } from '../benchLog/withdrawals';
import type { RestedOn } from '../db/tables';
import { restedOnFrom } from '../jobs/restedOn';
import { codeOf, inTransaction, of, wasTaken, type ShopScope } from '../db/scope';
import { benchOf } from '../jobs/bench';
import { keepLog, keepPhotos } from './importLog';
import { keepParts } from './importParts';
import { named, refuse, Refused, type Imported } from './refused';
import { keepGauges, keepPeople, keepPump, keepSheet } from './shopThings';

/**
 * Takes a job in from the text of a job file: its sheet, site, gauges and pump where the shop has them not, its parts, its
 * log and its photographs. Exported again it is the same text. What is not taken leaves nothing behind. People of the file
 * become people of this shop who cannot sign in, so that no one here is said to have done what someone else did.
 */
export async function importJob(scope: ShopScope, source: string): Promise<Imported> {
	const read = readJobFile(source);
	if (read.kind === 'fault') return read;
	return takeOrSay(scope, read.file, true);
}

async function takeOrSay(scope: ShopScope, file: JobFile, again: boolean): Promise<Imported> {
	try {
		const jobId = await inTransaction(scope, (within) => take(within, file));
		return { kind: 'imported', jobId };
	} catch (cause) {
		if (cause instanceof Refused) return cause.why;
		// Someone took the same in at the same moment: what is there now says why not.
		if (wasTaken(cause) && again) return takeOrSay(scope, file, false);
		// PostgreSQL's classes of data exceptions and broken constraints, and what the core cannot work with.
		if (/^2[23]/.test(codeOf(cause) ?? '') || cause instanceof PreconditionError) return { kind: 'unworkable' };
		throw cause;
	}
}

async function take(scope: ShopScope, file: JobFile): Promise<string> {
	const { id: modelSheetId, sheet } = await keepSheet(scope, file);
	const { variants } = file.job;
	if (!scopeOf(sheet, file.job)) refuse({ kind: 'fault', path: 'job.scope', message: 'is no scope of the sheet' });
	const wrong = chosenProblem(sheet, variants) ?? chosenProblem(sheet, file.pump.variants);
	if (wrong) refuse({ kind: 'fault', path: `job.variants.${wrong.variant}`, message: 'is none of the sheet' });
	// What no receiving could have written would keep the job's pages from opening.
	const came = arrivalFactsSchema.partial().safeParse(file.job.arrival);
	if (!came.success || wrongCylinder(sheet, came.data.cylinders) !== undefined)
		refuse({ kind: 'fault', path: 'job.arrival', message: 'is not how a pump comes in' });
	const jobId = uuidv7();
	const pumpId = await keepPump(scope, sheet.model, file.pump);
	const people = await keepPeople(scope, file.people);
	const gauges = await keepGauges(scope, file.gauges);
	const parts = new Map(file.mat.map(({ place }) => [place, uuidv7()]));
	const ids = new Map([
		['@job', jobId],
		['@pump', pumpId],
		...people,
		...[...gauges].map(([name, id]) => [`@gauge/${name}`, id] as const),
		...[...parts].map(([place, id]) => [`@part/${place}`, id] as const)
	]);
	const { arrival, restedOn, receivedBy, releasedBy, receivedAt, releasedAt, ...job } = file.job;
	await of(scope, 'job').add({
		id: jobId,
		pumpId,
		modelSheetId,
		...job,
		receivedAt: new Date(receivedAt),
		receivedBy: named(receivedBy, ids) as string,
		releasedAt: releasedAt === null ? null : new Date(releasedAt),
		releasedBy: releasedBy === null ? null : (named(releasedBy, ids) as string),
		arrival: named(arrival, ids) as Partial<ArrivalFacts>,
		restedOn: restedOnAs(named(restedOn, ids))
	});
	await keepParts(scope, { id: jobId, pumpId }, file, sheet, parts);
	await keepPhotos(scope, jobId, file.photos, ids);
	await keepLog(scope, jobId, file, { sheet, parts, ids });
	await projectWithdrawn(scope, jobId);
	await mustBeJudged(scope, jobId);
	return jobId;
}

function restedOnAs(value: unknown): RestedOn | null {
	if (value === null) return null;
	return (
		restedOnFrom(value) ?? refuse({ kind: 'fault', path: 'job.restedOn', message: 'is not what a release rests on' })
	);
}

// What every page of a job does: a file that breaks it is not taken in.
async function mustBeJudged(scope: ShopScope, jobId: string): Promise<void> {
	const bench = (await benchOf(scope, jobId))!;
	try {
		judgeMat(bench, fold(bench.entries).parts);
	} catch (cause) {
		throw cause instanceof PreconditionError ? cause : new Refused({ kind: 'unworkable' });
	}
}
