import { fail, redirect } from '@sveltejs/kit';
import { setError, superValidate, type SuperValidated } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { parseQuantity, type Unit } from '@exetasis/core/quantity';
import { may } from '@exetasis/server/access';
import { receive, type Arrival } from '@exetasis/server/jobs/receive';
import { chosenIn, complaintsIn, cylindersIn, receiveSchema, toolsIn, type Received } from '$lib/forms/receive';
import { customerIn } from '$lib/forms/customer';
import { readForm } from '$lib/server/form';
import { notationOf, scopeOf, textFrom, userOf } from '$lib/server/request';
import { complaintName } from '$lib/words/complaints';
import { formatFor, type Format } from '$lib/format/numbers';
import { quantitySentence } from '$lib/words/problems';
import { modelsToReceive } from '@exetasis/server/sheets';
import { policyOf, sitesOf } from '@exetasis/server/shops';

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	return {
		form: await superValidate({}, zod4(receiveSchema), { errors: false }),
		models: await modelsToReceive(scope),
		/** A model that was chosen before, on its sheet. */
		model: textFrom(url, 'model'),
		sites: await sitesOf(scope),
		liftAloneKg: (await policyOf(scope)).liftAloneKg,
		mayManage: may(userOf(locals).role, 'manage')
	};
}

/** Reads a quantity that may be left out; a problem is noted beside its field. */
function optional(
	field: 'temperature' | 'pressure' | 'speed' | 'inletPressure' | 'starts' | 'oldMeterHours',
	unit: Unit,
	format: Format,
	form: SuperValidated<Received>
): number | undefined {
	if (form.data[field] === '') return undefined;
	const parsed = parseQuantity(form.data[field], unit);
	if (parsed.kind === 'quantity') return parsed.base;
	setError(form, field, quantitySentence(parsed.problem, format));
	return undefined;
}

function hoursIn(form: SuperValidated<Received>, format: Format): number {
	const parsed = parseQuantity(form.data.hours, 'h');
	if (parsed.kind === 'quantity') return parsed.base;
	setError(form, 'hours', quantitySentence(parsed.problem, format, 'Type the hours as a number from 0, such as 4210.'));
	return 0;
}

export const actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate({ ...(await readForm(request)) }, zod4(receiveSchema));
		if (!form.valid) return fail(400, { form });
		const { data } = form;
		const format = formatFor(() => notationOf(locals));
		const meterHours = hoursIn(form, format);
		const hoursOnOldMeter = optional('oldMeterHours', 'h', format, form);
		const temperatureC = optional('temperature', format.units.temperature, format, form);
		const pressureMPa = optional('pressure', format.units.pressure, format, form);
		const speedRpm = optional('speed', 'rpm', format, form);
		const inletPressureMPa = optional('inletPressure', format.units.pressure, format, form);
		const starts = optional('starts', 'pieces', format, form);
		if (data.pump === 'new' && data.serial === '') setError(form, 'serial', 'Type the serial number of the new pump.');
		if (data.pump === 'new' && data.model === '') setError(form, 'model', 'Choose the model.');
		if (!chosenIn(data)) setError(form, 'variants', 'The variant could not be read. Choose it again.');
		if (!toolsIn(data)) setError(form, 'tools', 'The tools could not be read. Choose them again.');
		if (!form.valid) return fail(400, { form });
		const arrival: Arrival = {
			pump:
				data.pump === 'new'
					? {
							serial: data.serial,
							model: data.model,
							...(data.site ? { siteId: data.site } : {}),
							...(data.tag ? { tag: data.tag } : {})
						}
					: { id: data.pump },
			scope: data.scope,
			complaint: [...complaintsIn(data).map((complaint) => complaintName[complaint]), data.complaint]
				.filter(Boolean)
				.join('; '),
			facts: {
				complaints: complaintsIn(data),
				place: data.place,
				...(cylindersIn(data) && { cylinders: cylindersIn(data) }),
				...(data.connections && { connections: data.connections }),
				...(data.cylinderOne && { cylinderOne: data.cylinderOne }),
				...(data.lastRebuild && { lastRebuild: data.lastRebuild }),
				...(data.evidenceReason
					? { evidence: { reason: data.evidenceReason } }
					: data.evidence && { evidence: { seen: data.evidence } }),
				tools: toolsIn(data) ?? {}
			},
			customer: customerIn(data),
			variants: chosenIn(data) ?? {},
			byLead: may(userOf(locals).role, 'manage'),
			meterHours,
			duty: {
				...(data.liquid && { liquid: data.liquid }),
				...(data.inlet && { inlet: data.inlet }),
				temperatureC,
				pressureMPa,
				speedRpm,
				inletPressureMPa,
				starts
			},
			...(hoursOnOldMeter === undefined ? {} : { meterReplaced: { hoursOnOldMeter } })
		};
		const result = await receive(scopeOf(locals), userOf(locals).id, arrival);
		switch (result.kind) {
			case 'received':
				redirect(303, `/jobs/${result.jobId}/strip`);
			case 'meterWentBack': {
				setError(
					form,
					'hours',
					`The meter showed ${result.last} h last time. Correct the number, or fill in the hours of the old meter below.`
				);
				return fail(400, { form, meterWentBack: true });
			}
			case 'serialTaken':
				return setError(form, 'serial', `${result.serial} is known already: choose it from the list above.`);
			case 'openJob': {
				setError(form, 'pump', 'This pump already has an open job.');
				return fail(400, { form, openJob: result.jobId });
			}
			case 'unknownSite':
				return setError(form, 'site', 'Your shop does not have this site. Choose another.');
			case 'unknownScope':
				return setError(form, 'scope', 'Choose one of the scopes of work on the model sheet.');
			case 'needsEvidence':
				return setError(
					form,
					'evidence',
					'This end stays closed without evidence. Choose the evidence, or ask a lead for a reason.'
				);
			case 'wrongVariant':
				return setError(form, 'variants', 'This choice is not on the model sheet. Choose again.');
			case 'wrongCylinder':
				return setError(
					form,
					'cylinders',
					`This pump does not have cylinder ${result.cylinder}, or it is listed twice.`
				);
			case 'wrongTool':
				return setError(form, 'tools', 'This tool is not on the model sheet. Choose again.');
			case 'unknownPump':
				return setError(form, 'pump', 'Your shop does not have this pump. Choose another.');
			case 'unknownModel':
				return setError(
					form,
					'model',
					`There is no model sheet for ${result.model}. A lead can import one under Model sheets.`
				);
		}
	}
};
