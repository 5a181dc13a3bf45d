import type { HoldFinding, TraceFinding, TraceProblem, TraceVerdict } from '@exetasis/core/prove';
import type { DeviceEnd } from '@exetasis/server/devices/lines';
import type { Held, PressureGauge, Unproved } from '@exetasis/core/record';
import { inSentence, placeName } from './place';
import type { Format } from '../format/numbers';

/** What the sheet's test still lacks, as one says it. */
export function unprovedWords(left: Unproved): string {
	switch (left.what) {
		case 'notHeld':
			return 'The hold test has not been done.';
		case 'holdFails':
			return 'The hold test has failed.';
		case 'holdTooClose':
			return 'The hold test is too close to decide. Repeat it for longer.';
		case 'notLookedAt':
			return `Not yet checked for drips: ${left.place}.`;
		case 'held':
			return `${left.answer}${left.cylinder > 0 ? `, cylinder ${left.cylinder}` : ''}. ${left.why}`;
		case 'fragmentLost':
			return `A fragment of the ${inSentence(placeName(left.part, left.cylinder))} has not been found. If it stays in the pump, it causes damage.`;
		case 'drips':
			return `Steady drip: ${left.place}.`;
	}
}

/** A pressure of a test, as closely as its gauge is read. */
export const testPressure = (mpa: number, format: Format): string =>
	format.quantity(mpa, format.units.pressure, { bar: 1, MPa: 2, psi: 0 }[format.units.pressure]);

/** What a hold test says, with its figures. */
export function holdWords(
	{ fallMPa, coolingMPa, fallOverSheetTimeMPa, pWithin }: HoldFinding,
	{ minutes, mostFallMPa }: { readonly minutes: number; readonly mostFallMPa: number },
	format: Format
): string {
	const fell = `Pressure fell ${testPressure(fallMPa, format)}`;
	const scaled = `${testPressure(fallOverSheetTimeMPa, format)} per ${format.number(minutes)} min`;
	const explained = testPressure(coolingMPa, format);
	const limit = `limit ${testPressure(mostFallMPa, format)}`;
	const rest =
		coolingMPa === 0
			? ` (${scaled}; ${limit}).`
			: `. ${coolingMPa > 0 ? 'Cooling' : 'Warming'} explains ${explained} of it. The rest is ${scaled} (${limit}).`;
	return `${fell}${rest} ${format.probability(pWithin)} probability of being within the limit.`;
}

/** By which gauge it was held, and what to mind of it. */
export function heldByWords({ gauge, noted }: Held<PressureGauge>): string {
	const by = gauge
		? `Read by ${gauge.name}${gauge.facts.overdue ? ', whose calibration is overdue (uncertainty doubled)' : ''}.`
		: 'Assumed gauge: class 1 of that range.';
	return noted ? by : `${by} No temperature recorded. Assumed change: up to 0.5 K.`;
}

/** What a trace may be of. */
export function verdictWords(verdict: TraceVerdict): string {
	switch (verdict.what) {
		case 'healthy':
			return 'No leak above 1 % of the flow';
		case 'air':
			return 'Air in the suction line (all cylinders deliver late)';
		case 'inlet':
			return `Inlet valve or packing of cylinder ${verdict.cylinder} leaks`;
		case 'discharge':
			return `Discharge valve of cylinder ${verdict.cylinder} leaks`;
		case 'oneValve':
			return 'One valve or packing leaks. Fit a shaft mark to find out which';
	}
}

/** Why nothing can be said of a trace that was read, and what to do. */
export const hiddenWords: Readonly<Record<NonNullable<TraceFinding['hidden']>, string>> = {
	noMark:
		'Cannot tell. Without a shaft mark, the two cylinders cannot be told apart. Fit the mark for cylinder 1 and record again.',
	lag: 'Cannot tell. A damper, a long line or noise hides a leak of 3 %. Move the sensor and nozzle to the pump, or record for longer.'
};

/** Why a trace says nothing, and what to do. */
export function traceProblemWords({ code, found, wanted }: TraceProblem, format: Format): string {
	switch (code) {
		case 'silent':
			return 'The rig shows no pressure. Check that the pump runs, the gauge is connected and its tap is open.';
		case 'notNumbers':
			return 'The rig sent values that are not pressures. Check the sensor and its cable, then record again.';
		case 'tooShort':
			return `Only ${format.number(found)} full revolutions were recorded (${format.number(wanted)} needed). Record for longer.`;
		case 'tooLong':
			return `${format.number(found)} samples are too many (${format.number(wanted)} at most). Record for a shorter time.`;
		case 'tooCoarse':
			return `Only ${format.number(found)} samples per revolution (${format.number(wanted)} needed). Sample faster or run the pump slower.`;
		case 'pulsesMissing':
			return 'Pulses of the shaft mark are missing. Clean the mark, move the pick-up closer and record again.';
		case 'speedDrifts':
			return `The speed changed by ${format.probability(found - 1)} during the recording, and the shaft has no mark. Keep the speed constant or fit a mark.`;
	}
}

/** Why a device says nothing more, and what to do. */
export function deviceEndWords(device: string, why: DeviceEnd): string {
	switch (why) {
		case 'notSet':
			return `${device} has no address yet. Your administrator can set it (docs/devices.md).`;
		case 'refused':
			return `${device} does not answer. Check that it is on and connected to the network.`;
		case 'silent':
			return `${device} is connected but sends nothing. Check that it is running.`;
		case 'closed':
			return `${device} closed the connection. Start the recording again.`;
		case 'notTheDevice':
			return `The device at this address is not ${device.toLowerCase()}. Check the address.`;
	}
}
