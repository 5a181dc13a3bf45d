import { describe, expect, it } from 'vitest';
import type { TraceProblem } from '@exetasis/core/prove';
import { metric, type UnitPreference } from '@exetasis/core/quantity';
import {
	deviceEndWords,
	heldByWords,
	holdWords,
	testPressure,
	traceProblemWords,
	unprovedWords,
	verdictWords
} from './proof';
import { defaultFormat, formatFor } from '../format/numbers';

const pressureIn = (pressure: UnitPreference['pressure']) =>
	formatFor(() => ({ units: { ...metric, pressure }, numerals: 'point-space' }));
const plain = (sentence: string) => sentence.replaceAll(/[\u00a0\u202f]/g, ' ');

describe('what the test of a pump still lacks', () => {
	it.each([
		[{ what: 'notHeld' }, 'The hold test has not been done.'],
		[{ what: 'holdFails' }, 'The hold test has failed.'],
		[{ what: 'holdTooClose' }, 'The hold test is too close to decide. Repeat it for longer.'],
		[{ what: 'notLookedAt', place: 'weep hole 2' }, 'Not yet checked for drips: weep hole 2.'],
		[{ what: 'drips', place: 'weep hole 2' }, 'Steady drip: weep hole 2.'],
		[
			{ what: 'fragmentLost', part: 'Discharge spring', cylinder: 2 },
			'A fragment of the discharge spring, cylinder 2 has not been found. If it stays in the pump, it causes damage.'
		]
	] as const)('%j', (left, words) => {
		expect(unprovedWords(left)).toBe(words);
	});
});

describe('the gauge of a hold', () => {
	const held = { coolingMPa: 0, noted: true, fallMPa: 0.1, fallOverSheetTimeMPa: 0.1, pWithin: 1 };
	const facts = { resolution: 0.01, calibrationU: 0.03, calibrationK: 2, repeatability: 0.008, repeatabilityDof: 20 };
	const gauge = (overdue: boolean) => ({
		...{ id: 'g', name: 'Digital test gauge', kind: 'pressure gauge' },
		facts: { ...facts, reproducibility: 0, expansionPerKelvin: 0, overdue }
	});
	it('is said to have been read without a temperature, where none was noted', () =>
		expect(heldByWords({ ...held, noted: false })).toContain('0.5 K'));
	it('is named, with what to mind of it, or what was assumed', () => {
		expect(heldByWords({ ...held, gauge: gauge(false) })).toBe('Read by Digital test gauge.');
		expect(heldByWords({ ...held, gauge: gauge(true) })).toContain('calibration is overdue');
		expect(heldByWords(held)).toContain('class 1');
	});
});

describe('a pressure of a test', () => {
	it('is written as closely as its gauge is read, in the reader’s unit', () => {
		expect(plain(testPressure(12.34, defaultFormat))).toBe('123.4 bar');
		expect(plain(testPressure(12.345, pressureIn('MPa')))).toMatch(/^12\.3[45] MPa$/);
		expect(plain(testPressure(12.34, pressureIn('psi')))).toBe('1 790 psi');
	});
	it('is said with what it fell by, what that is over the sheet’s time, and how sure it is', () => {
		const finding = { fallMPa: 0.4, coolingMPa: 0, fallOverSheetTimeMPa: 0.8, pWithin: 0.93 };
		expect(plain(holdWords(finding, { minutes: 10, mostFallMPa: 1 }, defaultFormat))).toBe(
			'Pressure fell 4.0 bar (8.0 bar per 10 min; limit 10.0 bar). 93 % probability of being within the limit.'
		);
		expect(plain(holdWords({ ...finding, coolingMPa: 0.3 }, { minutes: 10, mostFallMPa: 1 }, defaultFormat))).toContain(
			'Cooling explains 3.0 bar of it'
		);
	});
});

describe('what a trace says', () => {
	it('names the valve and the cylinder, or that no one can', () => {
		expect(verdictWords({ what: 'healthy', probability: 0.9 })).toBe('No leak above 1 % of the flow');
		expect(verdictWords({ what: 'air', probability: 0.9 })).toContain('Air in the suction');
		expect(verdictWords({ what: 'inlet', cylinder: 2, probability: 0.9 })).toBe(
			'Inlet valve or packing of cylinder 2 leaks'
		);
		expect(verdictWords({ what: 'discharge', cylinder: 3, probability: 0.9 })).toBe(
			'Discharge valve of cylinder 3 leaks'
		);
		expect(verdictWords({ what: 'oneValve', probability: 0.9 })).toContain('Fit a shaft mark');
	});
	it.each<[TraceProblem['code'], number, number, string]>([
		[
			'silent',
			0,
			0,
			'The rig shows no pressure. Check that the pump runs, the gauge is connected and its tap is open.'
		],
		[
			'notNumbers',
			0,
			0,
			'The rig sent values that are not pressures. Check the sensor and its cable, then record again.'
		],
		['tooShort', 3, 8, 'Only 3 full revolutions were recorded (8 needed). Record for longer.'],
		['tooLong', 7e6, 6e6, '7 000 000 samples are too many (6 000 000 at most). Record for a shorter time.'],
		['tooCoarse', 11, 32, 'Only 11 samples per revolution (32 needed). Sample faster or run the pump slower.'],
		[
			'pulsesMissing',
			2,
			1,
			'Pulses of the shaft mark are missing. Clean the mark, move the pick-up closer and record again.'
		],
		[
			'speedDrifts',
			1.2,
			1.02,
			'The speed changed by 20 % during the recording, and the shaft has no mark. Keep the speed constant or fit a mark.'
		]
	])('where it says nothing, why, and what to do: %s', (code, found, wanted, words) => {
		expect(plain(traceProblemWords({ kind: 'problem', code, found, wanted }, defaultFormat))).toBe(words);
	});
	it.each([
		['notSet', 'The wrench has no address yet. Your administrator can set it (docs/devices.md).'],
		['refused', 'The wrench does not answer. Check that it is on and connected to the network.'],
		['silent', 'The wrench is connected but sends nothing. Check that it is running.'],
		['closed', 'The wrench closed the connection. Start the recording again.'],
		['notTheDevice', 'The device at this address is not the wrench. Check the address.']
	] as const)('and of a device that ends: %s', (why, words) => {
		expect(deviceEndWords('The wrench', why)).toBe(words);
	});
});
