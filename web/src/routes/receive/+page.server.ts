import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { metric, parseQuantity, type Unit } from '@exetasis/core/quantity';
import { scopeSchema } from '@exetasis/core/record';
import { receive, type Arrival } from '@exetasis/server/jobs/receive';
import { pumpsOf } from '@exetasis/server/pumps';
import { readForm } from '$lib/server/form';
import { scopeOf, userOf } from '$lib/server/request';
import { quantitySentence } from '$lib/words/problems';
import { sheetsOf } from '@exetasis/server/sheets';
import { sitesOf } from '@exetasis/server/shops';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	return {
		pumps: (await pumpsOf(scope, { limit: MOST_OFFERED })).pumps,
		sheets: await sheetsOf(scope),
		sites: await sitesOf(scope)
	};
}

// As many pumps as a list to choose from holds.
const MOST_OFFERED = 2000;

const text = z.string().trim().max(400);
const fields = z.object({
	pump: z.union([z.uuid(), z.literal('new')], 'Choose the pump, or “A pump we do not know yet”.'),
	serial: text.default(''),
	model: text.default(''),
	site: z.uuid().or(z.literal('')).default(''),
	tag: text.default(''),
	scope: scopeSchema,
	complaint: text.min(1, 'Write what it came in for: without the complaint nothing can be traced.'),
	hours: text,
	liquid: text.default(''),
	temperature: text.default(''),
	pressure: text.default(''),
	speed: text.default(''),
	inlet: text.default(''),
	oldMeterHours: text.optional()
});
type Fields = z.infer<typeof fields>;
type Problems = Partial<Record<keyof Fields, string>>;

/** Reads a quantity that may be left out; a problem is noted beside its field. */
function optional(
	field: 'temperature' | 'pressure' | 'speed' | 'oldMeterHours',
	unit: Unit,
	form: Fields,
	problems: Problems
): number | undefined {
	if ((form[field] ?? '') === '') return undefined;
	const parsed = parseQuantity(form[field]!, unit);
	if (parsed.kind === 'quantity') return parsed.base;
	problems[field] = quantitySentence(parsed.problem);
	return undefined;
}

function hoursIn(form: Fields, problems: Problems): number {
	const parsed = parseQuantity(form.hours, 'h');
	if (parsed.kind === 'quantity') return parsed.base;
	problems.hours = quantitySentence(parsed.problem, 'Type the hours as a number from 0, such as 4210.');
	return 0;
}

export const actions = {
	default: async ({ request, locals }) => {
		const typed = { ...(await readForm(request)) };
		const back = (problems: Problems, extra: object = {}) => fail(400, { typed, problems, ...extra });
		const parsed = fields.safeParse(typed);
		if (!parsed.success) {
			return back(Object.fromEntries(parsed.error.issues.map(({ path, message }) => [path[0], message])) as Problems);
		}
		const form = parsed.data;
		const problems: Problems = {};
		const units = userOf(locals).preferences.units ?? metric;
		const meterHours = hoursIn(form, problems);
		const hoursOnOldMeter = optional('oldMeterHours', 'h', form, problems);
		const temperatureC = optional('temperature', units.temperature, form, problems);
		const pressureMPa = optional('pressure', units.pressure, form, problems);
		const speedRpm = optional('speed', 'rpm', form, problems);
		if (form.pump === 'new' && form.serial === '') problems.serial = 'A new pump needs its serial number.';
		if (form.pump === 'new' && form.model === '') problems.model = 'Choose the model: its sheet lays out the mat.';
		if (Object.keys(problems).length > 0) return back(problems);
		const arrival: Arrival = {
			pump:
				form.pump === 'new'
					? {
							serial: form.serial,
							model: form.model,
							...(form.site ? { siteId: form.site } : {}),
							...(form.tag ? { tag: form.tag } : {})
						}
					: { id: form.pump },
			scope: form.scope,
			complaint: form.complaint,
			meterHours,
			duty: {
				...(form.liquid && { liquid: form.liquid }),
				...(form.inlet && { inlet: form.inlet }),
				temperatureC,
				pressureMPa,
				speedRpm
			},
			...(hoursOnOldMeter === undefined ? {} : { meterReplaced: { hoursOnOldMeter } })
		};
		const result = await receive(scopeOf(locals), userOf(locals).id, arrival);
		switch (result.kind) {
			case 'received':
				redirect(303, `/jobs/${result.jobId}/strip`);
			case 'meterWentBack':
				return back(
					{
						hours: `The meter showed ${result.last} h last time. If that is a slip, correct it; if the meter was replaced, say so below.`
					},
					{ meterWentBack: true }
				);
			case 'serialTaken':
				return back({ serial: `${result.serial} is known already: choose it from the list above.` });
			case 'openJob':
				return back({ pump: 'This pump is on the bench already.' }, { openJob: result.jobId });
			case 'unknownSite':
				return back({ site: 'Your shop has no such site: choose another.' });
			case 'unknownPump':
				return back({ pump: 'Your shop has no such pump: choose another.' });
			case 'unknownModel':
				return back({ model: `There is no model sheet for ${result.model}: a lead can add one under Model sheets.` });
		}
	}
};
