import { exportJob } from '@exetasis/server/jobFile/exportJob';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

/** The job whole as a job file; `photos=no` leaves its photographs out. */
export async function GET({ locals, params, url }) {
	const photos = url.searchParams.get('photos') !== 'no';
	const { serial, text } = found(await exportJob(scopeOf(locals), idFrom(params.job), { photos }));
	return fileNamed(`job-${serial}`, 'json', 'application/json', text);
}
