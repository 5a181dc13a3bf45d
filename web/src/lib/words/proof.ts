import type { HoldFinding, TraceFinding, TraceProblem, TraceVerdict } from '@exetasis/core/prove';
import type { UnitPreference } from '@exetasis/core/quantity';
import type { DeviceEnd } from '@exetasis/server/devices/lines';
import type { Held, PressureGauge, Unproved } from '@exetasis/core/record';
import { inSentence, placeName } from './place';
import { formatNumber, formatProbability, formatQuantity } from '../ui/numbers';

/** What the sheet's test still lacks, as one says it. */
export function unprovedWords(left: Unproved): string {
	switch (left.what) {
		case 'notHeld':
			return 'It has not been held under pressure.';
		case 'holdFails':
			return 'It does not hold its pressure.';
		case 'holdTooClose':
			return 'Whether it holds is too close to call: hold it longer.';
		case 'notLookedAt':
			return `Nobody has looked for drips: ${left.place}.`;
		case 'held':
			return `${left.answer}${left.cylinder > 0 ? `, cylinder ${left.cylinder}` : ''}. ${left.why}`;
		case 'fragmentLost':
			return `A fragment of the ${inSentence(placeName(left.part, left.cylinder))} has not been found: left in the pump it damages what it meets.`;
		case 'drips':
			return `It drips steadily: ${left.place}.`;
	}
}

/** A pressure of a test, as closely as its gauge is read. */
export const testPressure = (mpa: number, { pressure }: UnitPreference): string =>
	formatQuantity(mpa, pressure, { bar: 1, MPa: 2, psi: 0 }[pressure]);

/** What a hold test says, with its figures. */
export function holdWords(
	{ fallMPa, coolingMPa, fallOverSheetTimeMPa, pWithin }: HoldFinding,
	{ minutes, mostFallMPa }: { readonly minutes: number; readonly mostFallMPa: number },
	preference: UnitPreference
): string {
	const fell = `It fell by ${testPressure(fallMPa, preference)}`;
	const scaled = `${testPressure(fallOverSheetTimeMPa, preference)} over the sheet’s ${formatNumber(minutes)} min`;
	const explained = testPressure(coolingMPa, preference);
	const rest =
		coolingMPa === 0
			? `; that is ${scaled}`
			: `; ${coolingMPa > 0 ? 'cooling' : 'warming'} explains ${explained} of it. The rest is ${scaled}`;
	return `${fell}${rest}; at most ${testPressure(mostFallMPa, preference)} is allowed. Within that with ${formatProbability(pWithin)}.`;
}

/** By which gauge it was held, and what to mind of it. */
export function heldByWords({ gauge, noted }: Held<PressureGauge>): string {
	const by = gauge
		? `Read by ${gauge.name}${gauge.facts.overdue ? ', whose calibration is overdue: it counts twice' : ''}.`
		: 'A class 1 gauge of that range is assumed.';
	return noted ? by : `${by} No temperature was noted: up to half a kelvin of change is assumed.`;
}

/** What a trace may be of. */
export function verdictWords(verdict: TraceVerdict): string {
	switch (verdict.what) {
		case 'healthy':
			return 'No leak above 1 % of the flow';
		case 'air':
			return 'Air in the suction: every cylinder delivers late';
		case 'inlet':
			return `Inlet valve of cylinder ${verdict.cylinder} leaks, or its packing`;
		case 'discharge':
			return `Discharge valve of cylinder ${verdict.cylinder} leaks`;
		case 'oneValve':
			return 'One valve or packing leaks; without a mark on the shaft nobody can say which';
	}
}

/** Why nothing can be said of a trace that was read, and what to do. */
export const hiddenWords: Readonly<Record<NonNullable<TraceFinding['hidden']>, string>> = {
	noMark:
		'Cannot tell: without a mark on the shaft, two cylinders look alike either way. Fit the mark for cylinder 1 and listen again.',
	lag: 'Cannot tell: a damper, a long line or noise between pump and sensor hides a leak of 3 %. Put sensor and nozzle at the pump, or listen for longer.'
};

/** Why a trace says nothing, and what to do. */
export function traceProblemWords({ code, found, wanted }: TraceProblem): string {
	switch (code) {
		case 'silent':
			return 'The rig delivers no pressure. Is the pump running, the gauge connected, its tap open?';
		case 'notNumbers':
			return 'What the rig sent is no pressure. Check the sensor and its cable, and record again.';
		case 'tooShort':
			return `Only ${formatNumber(found)} whole turns were recorded; ${formatNumber(wanted)} are needed. Record for longer.`;
		case 'tooCoarse':
			return `Only ${formatNumber(found)} samples a turn; ${formatNumber(wanted)} are needed. Record faster, or turn slower.`;
		case 'pulsesMissing':
			return 'Pulses of the shaft’s mark are missing between turns. Clean the mark, set the pick-up closer, and record again.';
		case 'speedDrifts':
			return `The speed ran away by ${formatProbability(found - 1)} while it was recorded, and nothing marks the shaft. Hold the speed, or fit a mark.`;
	}
}

/** Why a device says nothing more, and what to do. */
export function deviceEndWords(device: string, why: DeviceEnd): string {
	switch (why) {
		case 'notSet':
			return `${device} has no address here yet. Whoever keeps the server sets it (docs/devices.md).`;
		case 'refused':
			return `${device} does not answer. Is it switched on and on the network?`;
		case 'silent':
			return `${device} is connected and sends nothing. Is it running?`;
		case 'closed':
			return `${device} has ended the connection. Listen again.`;
		case 'notTheDevice':
			return `What answers at that address does not speak as ${device.toLowerCase()} does. Check its address.`;
	}
}
