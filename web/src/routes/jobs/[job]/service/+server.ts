import ical from 'ical-generator';
import { addDays } from 'date-fns';
import { benchOf } from '@exetasis/server/jobs/bench';
import { runningHoursADay } from '@exetasis/server/pumps';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

/** When the pump is due again, as an appointment: the interval in force, at the hours a day that it has run so far. */
export async function GET({ locals, params, url }) {
	const scope = scopeOf(locals);
	const { job, policy } = found(await benchOf(scope, idFrom(params.job)));
	const { hours, assumed } = await runningHoursADay(scope, job.pumpId);
	const due = addDays(job.releasedAt ?? job.receivedAt, Math.ceil(policy.intervalHours / hours));
	const calendar = ical({ name: `Service of ${job.serial}`, prodId: { company: 'Exetasis', product: 'Service' } });
	calendar.createEvent({
		id: `service-${job.id}`,
		start: due,
		allDay: true,
		summary: `Service: ${job.serial}, ${job.model}`,
		description: `After ${policy.intervalHours} h at ${hours.toFixed(1)} h a day${assumed ? ' (assumed: it has been in once only)' : ', as it has run so far'}.`,
		url: `${url.origin}/pumps/${job.pumpId}`
	});
	return fileNamed(`service-${job.serial}`, 'ics', 'text/calendar; charset=utf-8', calendar.toString());
}
