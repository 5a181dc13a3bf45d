import { setError, type SuperValidated } from 'sveltekit-superforms';
import { parseQuantity, type Unit } from '@exetasis/core/quantity';
import type { Arrival } from '@exetasis/server/jobs/receive';
import type { Format } from '../format/numbers';
import { customerIn } from '../forms/customer';
import { chosenIn, complaintsIn, cylindersIn, toolsIn, type Received } from '../forms/receive';
import { complaintName } from '../words/complaints';
import { quantitySentence } from '../words/problems';

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

/** The arrival that a form states; undefined where a field is wrong, which is then said beside it. */
export function arrivalIn(form: SuperValidated<Received>, format: Format, byLead: boolean): Arrival | undefined {
	const { data } = form;
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
	if (!form.valid) return undefined;
	return {
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
			workplace: data.workplace,
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
		byLead,
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
}
