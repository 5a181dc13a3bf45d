import { error } from '@sveltejs/kit';
import ical from 'ical-generator';
import { addDays } from 'date-fns';
import { jobOf } from '@exetasis/server/jobs/job';
import { runningHoursADay } from '@exetasis/server/pumps';
import { policyOf } from '@exetasis/server/shops';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

const MOST_HOURS = 50_000;

/** When the pump is due again, as an appointment: after the hours asked for, else the interval in force, at the hours a day that it has run so far. */
export async function GET({ locals, params, url }) {
	const scope = scopeOf(locals);
	const { job, restedOn } = found(await jobOf(scope, idFrom(params.job)));
	const policy = restedOn?.policy ?? (await policyOf(scope));
	const asked = Number(url.searchParams.get('hours') ?? policy.intervalHours);
	if (!(asked > 0 && asked <= MOST_HOURS)) error(400, 'Choose an interval from 1 to 50 000 hours.');
	const { hours, assumed } = await runningHoursADay(scope, job.pumpId);
	const due = addDays(job.releasedAt ?? job.receivedAt, Math.ceil(asked / hours));
	const calendar = ical({ name: `Service of ${job.serial}`, prodId: { company: 'Exetasis', product: 'Service' } });
	calendar.createEvent({
		id: `service-${job.id}`,
		start: due,
		allDay: true,
		summary: `Service: ${job.serial}, ${job.model}`,
		description: `After ${Math.round(asked)} h${asked === policy.intervalHours ? ', the shop’s interval,' : ', the most economical interval,'} at ${hours.toFixed(1)} h a day${assumed ? ' (assumed: it has been in once only)' : ', as it has run so far'}.${restedOn?.handover?.to === 'shelf' ? ' It went on the shelf: move this by the days until it runs.' : ''}`,
		url: `${url.origin}/pumps/${job.pumpId}`
	});
	return fileNamed(`service-${job.serial}`, 'ics', 'text/calendar; charset=utf-8', calendar.toString());
}
