import { jobOf } from '@exetasis/server/jobs/job';
import { pdfOf } from '@exetasis/server/pdf';
import { day } from '$lib/format/time';
import { found, idFrom, fileNamed, scopeOf } from '$lib/server/request';

const MM = 72 / 25.4;

/** The label of a pump that goes on the shelf: 100 × 60 mm, with a code that leads to the pump. */
export async function GET({ locals, params, url }) {
	const { job, sheet, restedOn } = found(await jobOf(scopeOf(locals), idFrom(params.job)));
	const about = [
		`${sheet.model}${job.tag ? `, ${job.tag}` : ''}`,
		job.releasedAt ? `Rebuilt, released ${day(job.releasedAt)}` : 'NOT RELEASED',
		`${Math.round(job.pumpHours)} h`,
		restedOn?.handover?.to === 'service' ? 'In service' : 'Stock: turn the shaft by hand once a month'
	];
	const label = {
		pageSize: { width: 100 * MM, height: 60 * MM },
		pageMargins: 5 * MM,
		defaultStyle: { fontSize: 10 },
		content: [
			{
				columns: [
					{ width: '*', stack: [{ text: job.serial, fontSize: 18, bold: true, margin: [0, 0, 0, 6] }, ...about] },
					{ width: 'auto', qr: `${url.origin}/pumps/${job.pumpId}`, fit: 38 * MM }
				]
			}
		]
	};
	return fileNamed(`label-${job.serial}`, 'pdf', 'application/pdf', await pdfOf(label));
}
